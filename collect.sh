#!/bin/sh
# Takes stock of a host for Yuntak: runs what is installed of a list of ordinary tools and prints one text, a header before each part.
# It only reads, writes no file, and needs no network. Disk health, memory modules and slots need root; everything else does not.
#
#   sh collect.sh > kiln.txt            all of it, to give to Yuntak
#   sudo sh collect.sh > kiln.txt       with disk health and memory modules
#   sh collect.sh --speed > kiln.txt    with the speed of a core: three seconds or so of work on one core
#   sh collect.sh --mask > kiln.txt     serial numbers and the world-wide names made from them replaced; the same one always by the same word
#
# Speeds of disks and links are not taken here, since measuring is work for the host. Append what fio --output-format=json or iperf3 -J printed, if you ran them.
set -u
LC_ALL=C
export LC_ALL
PATH=$PATH:/usr/sbin:/sbin:/usr/local/sbin

usage() {
  echo "sh collect.sh [--mask] [--speed]    prints what is in this host; --mask replaces serial numbers, --speed tries a core" >&2
}

mask=no
speed=no
for option in "$@"; do
  case $option in
    --mask) mask=yes ;;
    --speed) speed=yes ;;
    -h | --help) usage; exit 0 ;;
    *) usage; exit 2 ;;
  esac
done

part() { printf '=== yuntak part %s: %s ===\n' "$1" "$2"; }
not_run() { printf '# not run: %s\n' "$*"; }
have() { command -v "$1" >/dev/null 2>&1; }
is_root() { [ "$(id -u)" = 0 ]; }

# Runs a tool when it is there. What it complains about is passed over, but for a tool that answers nothing.
run() {
  if have "$1"; then
    "$@" 2>/dev/null || not_run "$* ended with $?"
  else
    not_run "$1 is not installed"
  fi
}

# Prints files as «path:value». Files that are not there, or answer nothing, are passed over.
values() {
  for file in "$@"; do
    [ -r "$file" ] || continue
    value=$(cat "$file" 2>/dev/null) || continue
    [ -n "$value" ] && printf '%s:%s\n' "$file" "$value"
  done
}

# Prints links as «path -> target».
links() {
  for link in "$@"; do
    [ -L "$link" ] && printf '%s -> %s\n' "$link" "$(readlink "$link")"
  done
}

whole_disks() {
  for disk in /sys/block/*; do
    name=${disk##*/}
    case $name in
      sd* | hd* | nvme*n*) printf '/dev/%s\n' "$name" ;;
    esac
  done
}

health() {
  if ! have smartctl; then not_run "smartctl is not installed"; return; fi
  if ! is_root; then not_run "smartctl needs root"; return; fi
  whole_disks | while read -r disk; do
    # Its exit status is a set of flags about the disk, not about the run.
    smartctl -j -a "$disk" 2>/dev/null
  done
}

battery() {
  if have upsc; then
    upsc -l 2>/dev/null | while read -r name; do upsc "$name" 2>/dev/null; done
  elif have apcaccess; then
    apcaccess 2>/dev/null
  else
    not_run "no battery backup's daemon is installed"
  fi
}

# Memory and processor time of what runs in control groups, where the kernel has one tree of them.
control_groups() {
  find /sys/fs/cgroup -mindepth 1 -maxdepth 4 -type d 2>/dev/null | while read -r group; do
    # Slices only hold others.
    case $group in *.slice) continue ;; esac
    values "$group/memory.current" "$group/memory.peak"
    if [ -r "$group/cpu.stat" ]; then
      while read -r key value; do
        [ "$key" = usage_usec ] && printf '%s/cpu.stat:%s\n' "$group" "$value"
      done <"$group/cpu.stat"
    fi
  done
}

# The user time, in seconds, of the same piece of work, three times. Yuntak takes the least.
core_speed() {
  if ! have gzip || ! have seq; then not_run "gzip or seq is not installed"; return; fi
  seconds=''
  for _ in 1 2 3; do
    # The second line of times is of the children: user time, as 0m1.234s.
    took=$( (seq 1 3000000 | gzip -6 >/dev/null; times) | tail -n 1 | cut -d ' ' -f 1)
    minutes=${took%%m*}
    rest=${took#*m}
    whole=${rest%%.*}
    seconds="$seconds $((minutes * 60 + whole)).$(echo "${rest#*.}" | tr -d s)"
  done
  echo "core speed, seconds:$seconds"
}

collect() {
  printf '=== yuntak collect 1: host %s, %s, masked %s ===\n' "$(uname -n)" "$(date +%Y-%m-%d)" "$mask"

  part processor "lscpu -J"
  run lscpu -J

  part virtualisation "/sys/dev/char/10:232"
  # The kernel's virtualisation device is misc device 232, whatever its name under /dev.
  [ -e /sys/dev/char/10:232 ] && echo /sys/dev/char/10:232

  part memory "/proc/meminfo, lsmem -J -b"
  if [ -r /proc/meminfo ]; then cat /proc/meminfo; fi
  have lsmem && lsmem -J -b 2>/dev/null

  part memory-slots "dmidecode -t memory -t slot"
  if is_root; then run dmidecode -t memory -t slot; else not_run "dmidecode needs root"; fi

  part disks "lsblk -J -b -o ..."
  if have lsblk; then
    # Older versions know fewer columns and refuse the whole list for one they do not know.
    lsblk -J -b -o NAME,PATH,TYPE,SIZE,ROTA,TRAN,MODEL,SERIAL,WWN,MOUNTPOINTS,FSTYPE,LABEL,UUID,PKNAME,LOG-SEC,PHY-SEC,RM,HOTPLUG 2>/dev/null ||
      lsblk -J -b -o NAME,TYPE,SIZE,ROTA,TRAN,MODEL,SERIAL,WWN,MOUNTPOINT,FSTYPE,LABEL,UUID,PKNAME,LOG-SEC,PHY-SEC,RM 2>/dev/null ||
      lsblk -J -b 2>/dev/null || not_run "lsblk ended with $?"
  else
    not_run "lsblk is not installed"
  fi
  links /sys/block/*

  part mounts "findmnt -J -b"
  if have findmnt; then
    findmnt -J -b -o TARGET,SOURCE,FSTYPE,OPTIONS,SIZE,USED,UUID 2>/dev/null || findmnt -J -b 2>/dev/null || findmnt -J 2>/dev/null
  else
    not_run "findmnt is not installed"
  fi

  part arrays "/proc/mdstat, pvs, lvs"
  if [ -r /proc/mdstat ]; then cat /proc/mdstat; fi
  if have pvs && is_root; then
    pvs --reportformat json 2>/dev/null
    lvs --reportformat json -o lv_name,vg_name,lv_size,segtype 2>/dev/null
  fi

  part cards "lspci -Dvmmnnk"
  run lspci -Dvmmnnk
  values /sys/bus/pci/devices/*/boot_vga /sys/bus/pci/slots/*/address /sys/bus/pci/devices/*/sriov_totalvfs
  # Of what the kernel was started with only what is about isolation.
  if [ -r /proc/cmdline ]; then
    printf '/proc/cmdline:%s\n' "$(tr ' ' '\n' </proc/cmdline | grep -E '^([a-z_]*iommu|pcie_acs_override)=' | tr '\n' ' ')"
  fi

  part isolation "find /sys/kernel/iommu_groups -type l"
  if [ -d /sys/kernel/iommu_groups ]; then find /sys/kernel/iommu_groups -type l; fi

  part reset "/sys/bus/pci/devices/*/reset_method"
  values /sys/bus/pci/devices/*/reset_method

  part USB "lsusb -t, lsusb, /sys/bus/usb/devices"
  if have lsusb; then lsusb -t 2>/dev/null; lsusb 2>/dev/null; fi
  links /sys/bus/usb/devices/*
  for device in /sys/bus/usb/devices/*; do
    values "$device/idVendor" "$device/idProduct" "$device/product" "$device/busnum" "$device/devnum" "$device/maxchild" "$device/speed"
  done

  part network "ip -j -d link, ip -j addr, ip -j route, /sys/class/net"
  if have ip; then
    ip -j -d link 2>/dev/null && echo
    ip -j addr 2>/dev/null && echo
    ip -j route 2>/dev/null && echo
  else
    not_run "ip is not installed"
  fi
  links /sys/class/net/*
  values /sys/class/net/*/speed /sys/class/net/*/operstate

  part health "smartctl -j -a"
  health

  part heat "sensors -j"
  run sensors -j

  part battery-backup "the daemon's own values"
  battery

  part listeners "ss -H -tuln"
  run ss -H -tuln

  part what-runs "/sys/fs/cgroup"
  control_groups

  part core-speed "seq 1 3000000 | gzip -6, three times"
  if [ "$speed" = yes ]; then core_speed; else not_run "measuring was not asked for; --speed does"; fi

  part firmware "/sys/class/dmi/id"
  values /sys/class/dmi/id/bios_date /sys/class/dmi/id/bios_version /sys/class/dmi/id/board_name

  echo "=== yuntak end ==="
}

# Replaces every serial number, and every world-wide name, by a word made from it, so that the same disk is the same disk in every part and next time.
masked() {
  awk '
    BEGIN { for (i = 0; i < 256; i++) code[sprintf("%c", i)] = i }
    function word(text,    i, h) {
      h = 5381
      for (i = 1; i <= length(text); i++) h = (h * 33 + code[substr(text, i, 1)]) % 4294967296
      return sprintf("masked-%08x", h)
    }
    /"wwn"[ \t]*:[ \t]*\{/ || /"eui64"[ \t]*:[ \t]*\{/ { inside = 1 }
    inside && /"(oui|id|ext_id)"[ \t]*:/ { sub(/:[ \t]*[0-9]+/, ": 0") }
    inside && /\}/ { inside = 0 }
    {
      rest = $0
      done = ""
      while (match(rest, /"(serial|serial_number|wwn|ptuuid|partuuid|uuid|logical_unit_id|nguid|fguid)"[ \t]*:[ \t]*"[^"]*"/)) {
        found = substr(rest, RSTART, RLENGTH)
        value = found
        sub(/^"[a-z_]+"[ \t]*:[ \t]*"/, "", value)
        sub(/"$/, "", value)
        key = substr(found, 1, length(found) - length(value) - 1)
        done = done substr(rest, 1, RSTART - 1) key (value == "" ? "" : word(value)) "\""
        rest = substr(rest, RSTART + RLENGTH)
      }
      line = done rest
      if (match(line, /^[ \t]*(Serial Number|Asset Tag|SERIALNO|ups\.serial|device\.serial|battery\.serial)[ \t]*:[ \t]*/)) {
        line = substr(line, 1, RLENGTH) word(substr(line, RLENGTH + 1))
      }
      print line
    }'
}

if [ "$mask" = yes ]; then
  if ! have awk; then echo "awk is not installed, so serial numbers cannot be masked; nothing was printed." >&2; exit 1; fi
  collect | masked
else
  collect
fi

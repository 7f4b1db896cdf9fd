#!/bin/sh
# Takes stock of a host for Yuntak: runs what is installed of a list of ordinary tools and prints one text, a header before each part.
# It only reads, writes no file, and needs no network. Disk health, memory modules and slots need root; everything else does not.
#
#   sh collect.sh > kiln.txt            all of it, to give to Yuntak
#   sudo sh collect.sh > kiln.txt       with disk health and memory modules
#   sh collect.sh --speed > kiln.txt    with the speed of a core: three seconds or so of work on one core
#   sh collect.sh --mask > kiln.txt     serial numbers, world-wide names, addresses and the names of this and other machines replaced; the same one always by the same word
#   sh collect.sh --wake > kiln.txt     also asks disks that sleep, which wakes them
#
# Only tools in the system's own folders are run, whatever PATH says, and none for longer than a minute.
#
# Speeds of disks and links are not taken here, since measuring is work for the host. Append what fio --output-format=json or iperf3 -J printed, if you ran them.
set -u
LC_ALL=C
export LC_ALL
# Run as root, a tool that happens to lie in the caller's own folders must not be run in place of the system's.
PATH=/usr/sbin:/usr/bin:/sbin:/bin:/usr/local/sbin:/usr/local/bin
export PATH
seconds_at_most=60

usage() {
  echo "sh collect.sh [--mask] [--speed] [--wake]    prints what is in this host; --mask replaces what names it, --speed tries a core, --wake asks sleeping disks too" >&2
}

mask=no
speed=no
wake=no
for option in "$@"; do
  case $option in
    --mask) mask=yes ;;
    --speed) speed=yes ;;
    --wake) wake=yes ;;
    -h | --help) usage; exit 0 ;;
    *) usage; exit 2 ;;
  esac
done

part() { printf '=== yuntak part %s: %s ===\n' "$1" "$2"; }
not_run() { printf '# not run: %s\n' "$*"; }
have() { command -v "$1" >/dev/null 2>&1; }
is_root() { [ "$(id -u)" = 0 ]; }

# Runs a tool, for so long at most: a share whose server is gone may keep one waiting for ever.
limited() {
  if have timeout; then
    timeout -k 2 "$seconds_at_most" "$@" 2>/dev/null </dev/null
  else
    "$@" 2>/dev/null </dev/null
  fi
}

# Runs a tool when it is there. What it complains about is passed over, but for a tool that answers nothing.
run() {
  if have "$1"; then
    limited "$@" || not_run "$* ended with $?"
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
    if [ "$wake" = yes ]; then
      limited smartctl -j -a "$disk"
    else
      said=$(limited smartctl -n standby -j -a "$disk")
      case $said in
        *STANDBY* | *"SLEEP mode"*) not_run "smartctl $disk: the disk sleeps; --wake asks it all the same" ;;
        *) printf '%s\n' "$said" ;;
      esac
    fi
  done
}

battery() {
  if have upsc; then
    limited upsc -l | while read -r name; do limited upsc "$name"; done
  elif have apcaccess; then
    limited apcaccess
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
  have lsmem && limited lsmem -J -b

  part memory-slots "dmidecode -t memory -t slot"
  if is_root; then run dmidecode -t memory -t slot; else not_run "dmidecode needs root"; fi

  part disks "lsblk -J -b -o ..."
  if have lsblk; then
    # Older versions know fewer columns and refuse the whole list for one they do not know.
    limited lsblk -J -b -o NAME,PATH,TYPE,SIZE,ROTA,TRAN,MODEL,SERIAL,WWN,MOUNTPOINTS,FSTYPE,LABEL,UUID,PKNAME,LOG-SEC,PHY-SEC,RM,HOTPLUG ||
      limited lsblk -J -b -o NAME,TYPE,SIZE,ROTA,TRAN,MODEL,SERIAL,WWN,MOUNTPOINT,FSTYPE,LABEL,UUID,PKNAME,LOG-SEC,PHY-SEC,RM ||
      limited lsblk -J -b || not_run "lsblk ended with $?"
  else
    not_run "lsblk is not installed"
  fi
  links /sys/block/*

  part mounts "findmnt -J -b"
  if have findmnt; then
    # Without sizes nothing is asked of a server that may be gone.
    limited findmnt -J -b -o TARGET,SOURCE,FSTYPE,OPTIONS,SIZE,USED,UUID || limited findmnt -J -o TARGET,SOURCE,FSTYPE,OPTIONS,UUID || limited findmnt -J
  else
    not_run "findmnt is not installed"
  fi

  part arrays "/proc/mdstat, pvs, lvs"
  if [ -r /proc/mdstat ]; then cat /proc/mdstat; fi
  if have pvs && is_root; then
    limited pvs --reportformat json
    limited lvs --reportformat json -o lv_name,vg_name,lv_size,segtype
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
  if have lsusb; then limited lsusb -t; limited lsusb; fi
  links /sys/bus/usb/devices/*
  for device in /sys/bus/usb/devices/*; do
    values "$device/idVendor" "$device/idProduct" "$device/product" "$device/busnum" "$device/devnum" "$device/maxchild" "$device/speed"
  done

  part network "ip -j -d link, ip -j addr, ip -j route, /sys/class/net"
  if have ip; then
    limited ip -j -d link && echo
    limited ip -j addr && echo
    limited ip -j route && echo
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

# Replaces every serial number, world-wide name, address and machine's name by a word made from it, so that the same disk is the same disk in every part and next
# time, and two addresses of one network are of one network still.
masked() {
  awk -v own="$(uname -n)" '
    BEGIN {
      for (i = 0; i < 256; i++) code[sprintf("%c", i)] = i
      hex = "[0-9a-fA-F][0-9a-fA-F]"
      mac = hex ":" hex ":" hex ":" hex ":" hex ":" hex
      short = own
      sub(/\..*/, "", short)
    }
    function sum(text,    i, h) {
      h = 5381
      for (i = 1; i <= length(text); i++) h = (h * 33 + code[substr(text, i, 1)]) % 4294967296
      return h
    }
    function word(text) { return sprintf("masked-%08x", sum(text)) }
    function four(text,    part, h) {
      split(text, part, ".")
      if (part[1] == 127 || part[1] == 0 || part[1] == 255) return text
      h = sum(part[1] "." part[2] "." part[3])
      return sprintf("10.%d.%d.%d", int(h / 256) % 256, h % 256, part[4])
    }
    function six(text,    rest) {
      rest = ""
      if (match(text, /[%\/].*$/)) { rest = substr(text, RSTART); text = substr(text, 1, RSTART - 1) }
      if (text == "::" || text == "::1" || text !~ /:.*:/ || text ~ ("^" mac "$")) return text rest
      return (tolower(text) ~ /^fe80/ ? "fe80::" : "fd00::") sprintf("%x:%x", int(sum(text) / 65536), sum(text) % 65536) rest
    }
    # A name as a word of its own, unless it is what a value is called.
    function named(text, name,    done, at, before, after) {
      done = ""
      while (length(name) > 1 && (at = index(text, name)) > 0) {
        before = at > 1 ? substr(text, at - 1, 1) : " "
        after = substr(text, at + length(name), 2)
        done = done substr(text, 1, at - 1)
        done = done (before ~ /[A-Za-z0-9]/ || after ~ /^[A-Za-z0-9]/ || (before == "\"" && after == "\":") ? name : word(name))
        text = substr(text, at + length(name))
      }
      return done text
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
      if (match(line, /^[ \t]*(Serial Number|Asset Tag|SERIALNO|HOSTNAME|ups\.serial|device\.serial|battery\.serial)[ \t]*:[ \t]*/)) {
        line = substr(line, 1, RLENGTH) word(substr(line, RLENGTH + 1))
      }
      # Where something is mounted from: //server/share and server:/folder.
      if (match(line, /"source"[ \t]*:[ \t]*"(\/\/[^\/"]+|[^\/":]+:\/)/)) {
        found = substr(line, RSTART, RLENGTH)
        value = found
        sub(/^"source"[ \t]*:[ \t]*"(\/\/)?/, "", value)
        sub(/:\/$/, "", value)
        if (value !~ /^[0-9.]+$/) {
          at = RSTART + index(found, value) - 1
          line = substr(line, 1, at - 1) word(value) substr(line, at + length(value))
        }
      }
      rest = line
      line = ""
      while (match(rest, mac)) {
        value = substr(rest, RSTART, RLENGTH)
        found = sum(tolower(value))
        line = line substr(rest, 1, RSTART - 1) (value ~ /^(00:00:00:00:00:00|[fF][fF]:[fF][fF]:[fF][fF]:[fF][fF]:[fF][fF]:[fF][fF])$/ ? value : sprintf("02:00:%02x:%02x:%02x:%02x", int(found / 16777216), int(found / 65536) % 256, int(found / 256) % 256, found % 256))
        rest = substr(rest, RSTART + RLENGTH)
      }
      rest = line rest
      line = ""
      while (match(rest, /[0-9]+\.[0-9]+\.[0-9]+\.[0-9]+/)) {
        line = line substr(rest, 1, RSTART - 1) four(substr(rest, RSTART, RLENGTH))
        rest = substr(rest, RSTART + RLENGTH)
      }
      rest = line rest
      line = ""
      while (match(rest, /"(local|broadcast|dst|gateway|prefsrc|via|address6)"[ \t]*:[ \t]*"[0-9a-fA-F:]*:[^"]*"|\[[0-9a-fA-F:]*:[^]]*\]/)) {
        found = substr(rest, RSTART, RLENGTH)
        start = substr(found, 1, 1) == "[" ? 2 : match(found, /"[^"]*"$/) + 1
        line = line substr(rest, 1, index(rest, found) - 1) substr(found, 1, start - 1) six(substr(found, start, length(found) - start)) substr(found, length(found))
        rest = substr(rest, index(rest, found) + length(found))
      }
      line = named(line rest, own)
      print short == own ? line : named(line, short)
    }'
}

if [ "$mask" = yes ]; then
  if ! have awk; then echo "awk is not installed, so nothing can be masked; nothing was printed." >&2; exit 1; fi
  collect | masked
else
  collect
fi

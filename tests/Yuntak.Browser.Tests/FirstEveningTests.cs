using OpenQA.Selenium;

namespace Yuntak.Browser.Tests;

/// <summary>The first evening with a home that runs: from an empty Yuntak to three hosts and eleven guests that stand, with the clicks counted.</summary>
public class FirstEveningTests
{
    private const int MostClicks = 60;

    private const string Small = """
        === yuntak collect 1: host wren, 2026-11-24, masked no ===
        === yuntak part processor: lscpu -J ===
        {"lscpu":[{"field":"Architecture:","data":"aarch64"},{"field":"CPU(s):","data":"4"},{"field":"Thread(s) per core:","data":"1"},{"field":"Core(s) per socket:","data":"4"},{"field":"Socket(s):","data":"1"}]}
        === yuntak part memory: /proc/meminfo ===
        MemTotal:        8000000 kB
        === yuntak part disks: lsblk ===
        {"blockdevices":[{"name":"sda","path":"/dev/sda","type":"disk","size":256000000000,"rota":false,"tran":"usb","serial":"W1","children":[{"name":"sda2","path":"/dev/sda2","type":"part","size":255000000000,"mountpoints":["/"],"fstype":"ext4"}]}]}
        === yuntak part cards: lspci ===
        # not run: lspci is not installed
        === yuntak end ===
        """;

    private const string Store = """
        === yuntak collect 1: host cellar, 2026-11-24, masked no ===
        === yuntak part processor: lscpu -J ===
        {"lscpu":[{"field":"Architecture:","data":"x86_64"},{"field":"CPU(s):","data":"4"},{"field":"Thread(s) per core:","data":"1"},{"field":"Core(s) per socket:","data":"4"},{"field":"Socket(s):","data":"1"}]}
        === yuntak part memory: /proc/meminfo ===
        MemTotal:       16000000 kB
        === yuntak part disks: lsblk ===
        {"blockdevices":[{"name":"sda","path":"/dev/sda","type":"disk","size":128000000000,"rota":false,"serial":"C1","children":[{"name":"sda1","path":"/dev/sda1","type":"part","size":127000000000,"mountpoints":["/"],"fstype":"ext4"}]},
        {"name":"sdb","path":"/dev/sdb","type":"disk","size":8000000000000,"rota":true,"serial":"C2","children":[{"name":"md0","path":"/dev/md0","type":"raid5","size":16000000000000,"fstype":"ext4"}]},
        {"name":"sdc","path":"/dev/sdc","type":"disk","size":8000000000000,"rota":true,"serial":"C3","children":[{"name":"md0","path":"/dev/md0","type":"raid5","size":16000000000000,"fstype":"ext4"}]},
        {"name":"sdd","path":"/dev/sdd","type":"disk","size":8000000000000,"rota":true,"serial":"C4","children":[{"name":"md0","path":"/dev/md0","type":"raid5","size":16000000000000,"fstype":"ext4"}]}]}
        === yuntak part mounts: findmnt ===
        {"filesystems":[{"target":"/srv/loft","source":"/dev/md0","fstype":"ext4","options":"rw","size":15800000000000,"used":6200000000000}]}
        === yuntak end ===
        """;

    private const string Compose = """
        services:
          signpost:
            image: registry.saltmarsh.example/names:4.2
            ports: ["53:53"]
            volumes: ["/srv/signpost:/data"]
          broker:
            image: registry.saltmarsh.example/broker:2.0
            volumes: ["/srv/broker:/data"]
          hub:
            image: registry.saltmarsh.example/hub:9.1
            volumes: ["/srv/hub:/data"]
        """;

    private const string List = """
        vault, machine, 2 GiB, 2, 32 GiB
        notes, app stack, 512 MiB, 1, 8 GiB
        paper, app stack, 2 GiB, 2, 8 GiB
        music, app stack, 512 MiB, 1, 8 GiB
        """;

    [Fact]
    public async Task Three_running_hosts_and_eleven_guests_are_taken_over_without_a_step_in_the_runbook()
    {
        await using var person = await SliceSession.OpenAsync(demo: false);
        var clicks = 0;
        void Click(string selector)
        {
            clicks++;
            person.Click(selector);
        }

        void Paste(string into, string text)
        {
            person.Find(into);
            person.Script<object?>($"document.querySelector('{into}').value = arguments[0]", text);
        }

        void TakeOn(string bundle, string name)
        {
            Paste("#paste", bundle);
            Click("#read");
            person.Sees("#does-it-run", "Does it already run?");
            person.Find("input[name=stands][value=yes]:checked");
            Click("#accept");
            person.Sees("h1", $"What runs on {name}?");
        }

        void Verdict(string name) => person.Sees("#verdict", $"{name} holds them");

        person.Go("/Kit");
        TakeOn(KitTests.Bundle, "kiln");
        Click("#take-found");
        person.Sees("#on-it", "lantern");
        Verdict("kiln");

        void TakeOnWith(string bundle, string name, string definition, string guests, string one)
        {
            Click(".sheet a[href='/Kit']");
            TakeOn(bundle, name);
            Paste("#definition", definition);
            Click("#read");
            person.Sees("#read-words", guests);
            Click("#take");
            person.Sees("#on-it", one);
            Verdict(name);
        }

        TakeOnWith(Small, "wren", Compose, "3 guests", "signpost");
        TakeOnWith(Store, "cellar", List, "4 guests", "vault");
        Click("nav a[href='/Runbook']");
        person.Sees("main", "What stands is what is planned");
        person.Sees("header", "3 hosts, 11 guests");
        clicks.ShouldBeLessThanOrEqualTo(MostClicks);
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task By_keyboard_a_guest_that_runs_is_taken_over_and_taken_back()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Kit/TakeOver/wren");
        person.TabTo("#one-form input[name=name]");
        person.Keys("moth");
        person.TabTo("#one-form input[name=memory]");
        person.Keys("512 MiB" + Keys.Enter);
        person.Sees("#on-it", "moth");
        person.Sees("#on-it", "512\u202FMiB, stands");
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back");
        person.Complaints().ShouldBeEmpty();
    }
}

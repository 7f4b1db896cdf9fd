using System.Collections.Immutable;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>A guest on a simulated host: its figures, where its volumes lie, and how far it has come.</summary>
internal sealed class SimGuest
{
    /// <summary>What it is known by.</summary>
    public required GuestId Id { get; init; }

    /// <summary>Its figures.</summary>
    public required GuestFigures Figures { get; set; }

    /// <summary>The host it is on; inside another guest, that one's.</summary>
    public required HostId Host { get; set; }

    /// <summary>What it takes of its host's memory while it runs; nothing inside another guest.</summary>
    public ByteSize Memory { get; set; }

    /// <summary>Its system disk; null inside another guest and where none was given.</summary>
    public SimVolume? System { get; set; }

    /// <summary>Its bulk data.</summary>
    public SimVolume? Bulk { get; set; }

    /// <summary>A copy of its system disk that it does not run from: one to come, or the old one.</summary>
    public SimVolume? SystemCopy { get; set; }

    /// <summary>A copy of its bulk data that it does not run from.</summary>
    public SimVolume? BulkCopy { get; set; }

    /// <summary>How often it has run: what it wrote is newer than a copy with another number.</summary>
    public int Written { get; set; }

    /// <summary>Whether it runs.</summary>
    public GuestState State { get; set; }

    /// <summary>Whether the next shutting down only puts it to sleep.</summary>
    public bool OnlySleeps { get; set; }

    /// <summary>Whether it ran when what runs it went down, and comes back with it.</summary>
    public bool ComesBack { get; set; }

    /// <summary>Whether an install medium is in its drive.</summary>
    public bool MediumIn { get; set; }

    /// <summary>Whether the medium comes before the disk in its boot order.</summary>
    public bool MediumFirst { get; set; }

    /// <summary>Whether a whole system is on its disk.</summary>
    public bool Installed { get; set; }

    /// <summary>Whether an installation was cut off half-way.</summary>
    public bool HalfInstalled { get; set; }

    /// <summary>The processor family its image or template is for; null when it runs anywhere.</summary>
    public string? Family { get; set; }

    /// <summary>The devices it is handed, by way and device.</summary>
    public ImmutableHashSet<string> Devices { get; set; } = [];

    /// <summary>The bridges its places on networks hang on.</summary>
    public ImmutableHashSet<string> Bridges { get; set; } = [];

    /// <summary>The ports it takes while it runs.</summary>
    public ImmutableArray<SimPort> Ports { get; set; } = [];

    /// <summary>The ports it had when the work began. Who shared one then and ran knows how.</summary>
    public ImmutableArray<SimPort> StoodAt { get; init; } = [];

    /// <summary>The shares it finds at their places.</summary>
    public ImmutableHashSet<string> Shares { get; set; } = [];

    /// <summary>Steps of its life that hold.</summary>
    public ImmutableHashSet<string> Settled { get; set; } = [];

    /// <summary>Whether it starts with its host.</summary>
    public bool Starts { get; set; }

    /// <summary>Whether its start with the host is off until it is started by hand: a copy of it is under way.</summary>
    public bool Held { get; set; }

    /// <summary>Whether the page that makes its first administrator has closed, or somebody else was first.</summary>
    public bool SetUpClosed { get; set; }

    /// <summary>Whether it served people when the work began.</summary>
    public bool Served { get; init; }

    /// <summary>The size of its newest backup elsewhere; null for none.</summary>
    public ByteSize? Backup { get; set; }

    /// <summary>All it keeps, which a whole backup is about as large as.</summary>
    public ByteSize Size => (System?.Size ?? ByteSize.Zero) + (Bulk?.Size ?? ByteSize.Zero);

    /// <summary>The same, to go ahead on without changing this.</summary>
    public SimGuest Copy() => (SimGuest)MemberwiseClone();
}

using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>Something that one piece of work brings about and another waits for. What nobody brings about holds already.</summary>
/// <param name="What">What it is.</param>
/// <param name="Of">The host or guest it is about.</param>
/// <param name="Name">The pool or disk it is about; empty for none.</param>
internal readonly record struct Condition(string What, string Of, string Name = "")
{
    /// <summary>A host stands.</summary>
    public static Condition Stands(HostId host) => new("host stands", host.Value);

    /// <summary>A pool of that name is there.</summary>
    public static Condition PoolThere(HostId host, string pool) => new("pool there", host.Value, pool);

    /// <summary>A disk has left the pool that stands on it.</summary>
    public static Condition DiskFree(HostId host, string disk) => new("disk free", host.Value, disk);

    /// <summary>No guest keeps anything in a pool that goes.</summary>
    public static Condition PoolEmpty(HostId host, string pool) => new("pool empty", host.Value, pool);

    /// <summary>A guest is ready to run others' app stacks.</summary>
    public static Condition Ready(GuestId guest) => new("guest ready", guest.Value);

    /// <summary>A host has its bridges.</summary>
    public static Condition Wired(HostId host) => new("host wired", host.Value);

    /// <summary>A folder is shared.</summary>
    public static Condition Shared(string share) => new("shared", share);

    /// <summary>A store is there.</summary>
    public static Condition StoreThere(string store) => new("store there", store);

    /// <summary>A job has run for the first time.</summary>
    public static Condition Copied(string job) => new("copied", job);

    /// <summary>A job, onward copy or store that is planned no more is out of use.</summary>
    public static Condition CopiesEnded(string what) => new("copies ended", what);

    /// <summary>Nothing runs inside a guest any more.</summary>
    public static Condition Deserted(GuestId guest) => new("guest deserted", guest.Value);

    /// <summary>A guest that goes for good is gone.</summary>
    public static Condition Gone(GuestId guest) => new("guest gone", guest.Value);

    /// <summary>No guest is on a host that goes.</summary>
    public static Condition Left(HostId host) => new("host left", host.Value);

    /// <summary>The figures of a guest are what is planned.</summary>
    public static Condition Changed(GuestId guest) => new("guest changed", guest.Value);
}

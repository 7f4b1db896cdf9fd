using System.Collections.Concurrent;
using System.Net;
using Microsoft.AspNetCore.Connections;

namespace Yuntak.Web.Starting;

/// <summary>How many connections are kept, in all and for each other machine, so that none can hold all of them.</summary>
public sealed class ConnectionLimits
{
    /// <summary>The most in all.</summary>
    public const long Most = 512;

    /// <summary>The most of one other machine; a browser opens six, and several of them may sit behind one address.</summary>
    public const int MostOfOne = 48;

    private readonly ConcurrentDictionary<IPAddress, int> open = [];

    /// <summary>Passes a connection on, or closes it at once where its machine has too many.</summary>
    public ConnectionDelegate Counted(ConnectionDelegate next) =>
        async connection =>
        {
            if ((connection.RemoteEndPoint as IPEndPoint)?.Address is not { } from || IPAddress.IsLoopback(Plain(from)))
            {
                await next(connection);
                return;
            }

            var key = Plain(from);
            try
            {
                if (open.AddOrUpdate(key, 1, (_, n) => n + 1) <= MostOfOne)
                {
                    await next(connection);
                }
                else
                {
                    connection.Abort(new ConnectionAbortedException("too many connections of one machine"));
                }
            }
            finally
            {
                if (open.AddOrUpdate(key, 0, (_, n) => n - 1) <= 0)
                {
                    open.TryRemove(new(key, 0));
                }
            }
        };

    private static IPAddress Plain(IPAddress address) => address.IsIPv4MappedToIPv6 ? address.MapToIPv4() : address;
}

using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shape of the assumptions.</summary>
internal static class SettingsShapes
{
    /// <summary>The assumptions.</summary>
    internal static readonly Shape<LabSettings> Settings = new(
        "settings",
        LabSettings.Default,
        Of<LabSettings>
            .Always(
                "second-thread-gain",
                nameof(LabSettings.SecondThreadGain),
                "what a second thread adds",
                Codecs.Number(0, 1),
                LabSettings.Default.SecondThreadGain,
                s => s.SecondThreadGain,
                (s, v) => s with { SecondThreadGain = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "host-base",
                nameof(LabSettings.HostBase),
                "memory a host keeps for itself",
                Codecs.Size(Prefixes.Binary),
                LabSettings.Default.HostBase,
                s => s.HostBase,
                (s, v) => s with { HostBase = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "read-cache",
                nameof(LabSettings.ReadCacheRule),
                "read cache",
                Codecs.Word(LabWords.CacheRules),
                LabSettings.Default.ReadCacheRule,
                s => s.ReadCacheRule,
                (s, v) => s with { ReadCacheRule = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "read-cache-cap",
                nameof(LabSettings.ReadCacheCap),
                "cap of the read cache",
                Codecs.Size(Prefixes.Binary),
                LabSettings.Default.ReadCacheCap,
                s => s.ReadCacheCap,
                (s, v) => s with { ReadCacheCap = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "zone",
                nameof(LabSettings.Zone),
                "zone of its names",
                WireCodecs.FullName,
                LabSettings.Default.Zone,
                s => s.Zone,
                (s, v) => s with { Zone = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "energy-price",
                nameof(LabSettings.EnergyPrice),
                "price of a kilowatt-hour",
                Codecs.Number(0, 1_000_000),
                LabSettings.Default.EnergyPrice,
                s => s.EnergyPrice,
                (s, v) => s with { EnergyPrice = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "currency",
                nameof(LabSettings.Currency),
                "currency",
                Codecs.OneWord(12),
                LabSettings.Default.Currency,
                s => s.Currency,
                (s, v) => s with { Currency = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "time-zone",
                nameof(LabSettings.TimeZone),
                "time zone",
                CopyCodecs.Zone,
                LabSettings.Default.TimeZone,
                s => s.TimeZone,
                (s, v) => s with { TimeZone = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "wakes",
                nameof(LabSettings.Wakes),
                "the house wakes at",
                CopyCodecs.Clock,
                LabSettings.Default.Wakes,
                s => s.Wakes,
                (s, v) => s with { Wakes = v }
            )
            .IsOptional(),
        Of<LabSettings>
            .Always(
                "batch-times",
                nameof(LabSettings.BatchTimes),
                "times as likely disks of one batch fail once one has",
                Codecs.Number(1, 1000),
                LabSettings.Default.BatchTimes,
                s => s.BatchTimes,
                (s, v) => s with { BatchTimes = v }
            )
            .IsOptional()
    );
}

using CsCheck;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Units;

public class ByteSizeTests
{
    [Theory]
    [Reference("IEC 80000-13, prefixes for binary multiples")]
    [InlineData("50000 GiB", 53.687)]
    [InlineData("256 GB", 0.256)]
    [InlineData("1 TiB", 1.099511627776)]
    [InlineData("1 TB", 1)]
    public void Decimal_terabytes_follow_the_standard(string text, double tb) => Parsed(text).TB.ShouldBe(tb, 0.0005);

    [Theory]
    [Reference("IEC 80000-13, prefixes for binary multiples")]
    [InlineData("20 TB", 18.190)]
    [InlineData("4 TB", 3.638)]
    public void Binary_tebibytes_follow_the_standard(string text, double tib) => Parsed(text).TiB.ShouldBe(tib, 0.0005);

    [Fact]
    [Reference("IEC 80000-13, prefixes for binary multiples")]
    public void A_disk_sold_as_256_GB_is_238_GiB() => Parsed("256 GB").GiB.ShouldBe(238.42, 0.005);

    [Theory]
    [InlineData("4g", 4L << 30)]
    [InlineData("4 GiB", 4L << 30)]
    [InlineData("4GiB", 4L << 30)]
    [InlineData("4 GB", 4_000_000_000)]
    [InlineData("512m", 512L << 20)]
    [InlineData("1.5 GiB", 3L << 29)]
    [InlineData("1,5 GiB", 3L << 29)]
    [InlineData("1,024 MiB", 1L << 30)]
    [InlineData("0 B", 0)]
    [InlineData("  7 kB ", 7_000)]
    [InlineData("7K", 7 * 1024)]
    public void Memory_is_read_with_binary_letters(string text, long bytes) => Parsed(text).Bytes.ShouldBe(bytes);

    [Theory]
    [InlineData("4t", 4_000_000_000_000)]
    [InlineData("4 TiB", 4L << 40)]
    [InlineData("500g", 500_000_000_000)]
    public void Bought_disks_are_read_with_decimal_letters(string text, long bytes)
    {
        ByteSize.TryParse(text, Prefixes.Decimal, out var size).ShouldBeTrue();
        size.Bytes.ShouldBe(bytes);
    }

    [Theory]
    [InlineData("")]
    [InlineData(null)]
    [InlineData("4")]
    [InlineData("-4 GiB")]
    [InlineData("4 XB")]
    [InlineData("20XB")]
    [InlineData("GiB")]
    [InlineData("1e3 GiB")]
    [InlineData("NaN GiB")]
    [InlineData("4 GiB 5")]
    [InlineData("99999999999999 PB")]
    [InlineData("four gigabytes")]
    public void What_is_no_size_is_refused(string? text) => ByteSize.TryParse(text, Prefixes.Binary, out _).ShouldBeFalse();

    [Fact]
    public void A_bare_number_takes_the_unit_its_field_names()
    {
        ByteSize.TryParse("4", Prefixes.Binary, out var size, "GiB").ShouldBeTrue();
        size.ShouldBe(ByteSize.FromGiB(4));
    }

    [Fact]
    public void Every_size_is_written_so_that_it_reads_back_exactly() =>
        Gen.Long[0, ByteSize.LargestEntered.Bytes]
            .Select(b => new ByteSize(b))
            .Holds(size => ByteSize.TryParse(size.ToExactString(), Prefixes.Binary, out var read) && read == size);

    [Theory]
    [InlineData(0L, "0 B")]
    [InlineData(1023L, "1,023 B")]
    [InlineData(2L << 30, "2 GiB")]
    [InlineData(5L << 29, "2.5 GiB")]
    [InlineData(320L << 20, "320 MiB")]
    [InlineData(1L << 40, "1 TiB")]
    public void Sizes_are_spoken_in_binary(long bytes, string words) =>
        new ByteSize(bytes).ToString().ShouldBe(words.Replace(" ", Numbers.ThinSpace));

    [Theory]
    [InlineData(20_000_000_000_000L, "20 TB")]
    [InlineData(240_000_000_000L, "240 GB")]
    [InlineData(1_920_000_000_000L, "1.92 TB")]
    public void Disks_are_spoken_as_they_are_sold(long bytes, string words) =>
        new ByteSize(bytes).ToDecimalString().ShouldBe(words.Replace(" ", Numbers.ThinSpace));

    [Fact]
    public void Rounding_up_never_rounds_down_and_reaches_the_step() =>
        Gen.Select(Gen.Long[0, 1L << 45], Gen.Long[1, 1L << 31])
            .Holds(
                (bytes, step) =>
                {
                    var up = new ByteSize(bytes).RoundUpTo(new ByteSize(step));
                    (up.Bytes >= bytes && up.Bytes - bytes < step && up.Bytes % step == 0).ShouldBeTrue();
                }
            );

    [Fact]
    public void A_share_of_nothing_is_none_or_all_and_more()
    {
        ByteSize.Zero.ShareOf(ByteSize.Zero).ShouldBe(new Share(0));
        ByteSize.FromGiB(1).ShareOf(ByteSize.Zero).Value.ShouldBe(double.PositiveInfinity);
        Numbers.Percent(double.PositiveInfinity).ShouldBe("all and more");
    }

    private static ByteSize Parsed(string text)
    {
        ByteSize.TryParse(text, Prefixes.Binary, out var size).ShouldBeTrue(text);
        return size;
    }
}

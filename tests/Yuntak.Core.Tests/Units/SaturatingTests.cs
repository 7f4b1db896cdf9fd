using CsCheck;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Units;

/// <summary>Sizes stay within what can be counted, and say so; below that they are exact. Held against 128-bit arithmetic.</summary>
public class SaturatingTests
{
    private static readonly Int128 Most = long.MaxValue;

    private static readonly Gen<ByteSize> AnySize = Gen.Long[-long.MaxValue, long.MaxValue].Select(b => new ByteSize(b));

    [Fact]
    public void Sums_differences_and_products_are_exact_or_the_most_there_is() =>
        Gen.Select(AnySize, AnySize, Gen.Long[-1_000_000, 1_000_000])
            .Holds(sample =>
            {
                var (a, b, n) = sample;
                (a + b).Bytes.ShouldBe(Held((Int128)a.Bytes + b.Bytes));
                (a - b).Bytes.ShouldBe(Held((Int128)a.Bytes - b.Bytes));
                // Close to the edge a double decides whether it is the edge.
                var product = (Int128)a.Bytes * n;
                if (Int128.Abs(product) < Most - 4096 || Int128.Abs(product) > Most + 4096)
                {
                    (n * a).Bytes.ShouldBe(Held(product));
                }
            });

    [Fact]
    public void What_is_more_than_can_be_counted_says_so()
    {
        var sum = Enumerable.Repeat(ByteSize.LargestEntered, 1_100).Aggregate(ByteSize.Zero, (a, b) => a + b);
        sum.ShouldBe(ByteSize.MostCounted);
        sum.ToString().ShouldBe("more than 8\u202FEiB");
        (sum * 3.0).ShouldBe(ByteSize.MostCounted);
        (sum * double.NaN).ShouldBe(ByteSize.Zero);
        ByteSize.FromTB(1e300).ShouldBe(ByteSize.MostCounted);
        (ByteSize.MostCounted + ByteSize.FromGiB(1)).RoundUpTo(ByteSize.FromGiB(1)).ShouldBe(ByteSize.MostCounted);
    }

    [Theory]
    [InlineData("٣ GiB")]
    [InlineData("１２ GiB")]
    [InlineData("1e3 GiB")]
    public void Digits_of_other_scripts_are_no_digits(string text) => ByteSize.TryParse(text, Prefixes.Binary, out _).ShouldBeFalse();

    [Fact]
    public void Thirty_million_digits_are_no_number_and_cost_no_time()
    {
        Numbers.TryParse(new string('9', 30_000_000), out _).ShouldBeFalse();
        ByteSize.TryParse(new string('9', 30_000_000) + " B", Prefixes.Binary, out _).ShouldBeFalse();
    }

    private static long Held(Int128 exact) => (long)Int128.Clamp(exact, -Most, Most);
}

using Yuntak.Core.Units;

namespace Yuntak.Core.Tests.Units;

public class NumbersTests
{
    [Theory]
    [InlineData(1234, "1,234")]
    [InlineData(123.4, "123")]
    [InlineData(12.34, "12.3")]
    [InlineData(1.254, "1.25")]
    [InlineData(4, "4")]
    [InlineData(0.05, "0.05")]
    [InlineData(99.96, "100")]
    [InlineData(9.996, "10")]
    public void Three_telling_digits_are_enough(double value, string text) => Numbers.Short(value).ShouldBe(text);

    [Theory]
    [InlineData("1.5", 1.5)]
    [InlineData("1,5", 1.5)]
    [InlineData("1,500", 1500)]
    [InlineData("1,500.5", 1500.5)]
    [InlineData("1_000", 1000)]
    [InlineData(" 7 ", 7)]
    public void Commas_are_understood_both_ways(string text, double value)
    {
        Numbers.TryParse(text, out var number).ShouldBeTrue();
        number.ShouldBe(value);
    }

    [Theory]
    [InlineData("")]
    [InlineData("-1")]
    [InlineData("1e999")]
    [InlineData("∞")]
    [InlineData("NaN")]
    [InlineData("seven")]
    public void What_is_no_number_is_refused(string text) => Numbers.TryParse(text, out _).ShouldBeFalse();

    [Theory]
    [InlineData(0, "0 disks")]
    [InlineData(1, "1 disk")]
    [InlineData(2, "2 disks")]
    [InlineData(1200, "1,200 disks")]
    public void Counts_agree_with_their_noun(int count, string words) => Numbers.Count(count, "disk").ShouldBe(words);

    [Theory]
    [InlineData(0, "00:00")]
    [InlineData(20, "20:00")]
    public void Hours_are_written_as_a_clock_shows_them(int hour, string text) => Numbers.Hour(hour).ShouldBe(text);
}

using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.Logging.Abstractions;
using Yuntak.Core.Stations;
using Yuntak.Tests;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Tests.Http;

/// <summary>A page nobody waits for any more is not worked out to its end; what was sent is done all the same.</summary>
public class PatienceTests
{
    [Theory]
    [InlineData("GET", false)]
    [InlineData("HEAD", false)]
    [InlineData("POST", true)]
    public async Task Who_has_gone_is_not_worked_for_but_what_was_sent_is_done(string method, bool done)
    {
        using var gone = new CancellationTokenSource();
        await gone.CancelAsync();
        var context = new DefaultHttpContext { RequestAborted = gone.Token };
        context.Request.Method = method;
        var found = -1;
        await new SafetyMiddleware(
            _ =>
            {
                found = Assessment.Of(Small.Lab(Small.Host("kiln"))).Findings.Count;
                return Task.CompletedTask;
            },
            NullLogger<SafetyMiddleware>.Instance
        ).InvokeAsync(context);
        (found >= 0).ShouldBe(done);
        context.Response.StatusCode.ShouldBe(StatusCodes.Status200OK, "nothing is written to a line that is gone");
    }
}

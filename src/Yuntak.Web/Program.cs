using Yuntak.Web.Shared;

var app = YuntakApp.Build(args);
if (app is null)
{
    return 1;
}

await app.StartAsync();
Console.WriteLine($"Yuntak is at {string.Join(" and ", app.Urls)}  (stop with Ctrl+C)");
await app.WaitForShutdownAsync();
return 0;

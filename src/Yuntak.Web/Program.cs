using Yuntak.Web.Shared;

var app = YuntakApp.Build(args);
if (app is null)
{
    return 1;
}

try
{
    await app.StartAsync();
}
catch (IOException taken)
{
    Console.Error.WriteLine(
        $"Yuntak could not start: {taken.Message} Is it running already? Another address: --urls http://127.0.0.1:5481"
    );
    return 1;
}

Console.WriteLine($"Yuntak is at {string.Join(" and ", app.Urls)}  (stop with Ctrl+C)");
await app.WaitForShutdownAsync();
return 0;

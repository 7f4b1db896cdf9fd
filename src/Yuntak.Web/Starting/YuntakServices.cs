using System.IO.Compression;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.ResponseCompression;
using Yuntak.Data;
using Yuntak.Web.Arranging;
using Yuntak.Web.Door;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Starting;

/// <summary>What the application is made of.</summary>
internal static class YuntakServices
{
    private static readonly TimeSpan LastWords = TimeSpan.FromSeconds(3);

    public static void Add(IServiceCollection services, StartOptions options)
    {
        services.AddSingleton(TimeProvider.System);
        services.AddSingleton<Assessments>();
        services.AddSingleton<LabCheck>(s => s.GetRequiredService<Assessments>().Check);
        services.AddYuntakData(options.Data);
        services.AddSingleton<DeskService>();
        services.AddSingleton<ReadingDesk>();
        services.AddSingleton<ArrangeDesk>();
        services.AddHostedService<DailyThinning>();
        services.AddRazorPages(o => o.Conventions.AddPageRoute("/Bench/Index", ""));
        services
            .AddDataProtection()
            .SetApplicationName("yuntak")
            .PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(options.Data, "keys")));
        services.AddAntiforgery(o =>
        {
            o.Cookie.SameSite = SameSiteMode.Strict;
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
        services.Configure<Microsoft.AspNetCore.Mvc.CookieTempDataProviderOptions>(o =>
        {
            o.Cookie.SameSite = SameSiteMode.Strict;
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
        // Whoever is slow does not keep the machine from going down.
        services.Configure<HostOptions>(o => o.ShutdownTimeout = LastWords);
        AddDoor(services, options);
        services.Configure<FormOptions>(o =>
        {
            o.MultipartBodyLengthLimit = YuntakApp.LongestRequest;
            o.ValueLengthLimit = LongestField;
            o.KeyLengthLimit = 4096;
            o.ValueCountLimit = 4096;
        });
        services.AddResponseCompression(o =>
        {
            o.Providers.Add<BrotliCompressionProvider>();
            o.Providers.Add<GzipCompressionProvider>();
        });
        services.Configure<BrotliCompressionProviderOptions>(o => o.Level = CompressionLevel.Fastest);
    }

    /// <summary>The most bytes of one field: a pasted text. Larger ones come as files.</summary>
    public const int LongestField = 8 << 20;

    private static void AddDoor(IServiceCollection services, StartOptions options)
    {
        services.AddSingleton(new HostNames(Environment.MachineName, options.Hosts));
        services.AddSingleton(new PassFile(options.Data));
        services.AddSingleton<Tries>();
        services.AddSingleton(s => new Visits(options.Data, s.GetRequiredService<TimeProvider>()));
        services.AddSingleton<FrontDoor>();
        services.AddSingleton<OwnAddress>();
        services
            .AddAuthentication(FrontDoor.Scheme)
            .AddCookie(
                FrontDoor.Scheme,
                o =>
                {
                    o.Cookie.Name = "yuntak-in";
                    o.Cookie.HttpOnly = true;
                    o.Cookie.SameSite = SameSiteMode.Strict;
                    o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
                    o.ExpireTimeSpan = Visits.Longest;
                    o.SlidingExpiration = true;
                }
            );
    }
}

using System.Net;
using System.Net.NetworkInformation;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using Yuntak.Core.Base;
using Yuntak.Data;

namespace Yuntak.Web.Door;

/// <summary>The certificate pages are sent with: one that was named, or one of Yuntak's own, made once.</summary>
public static class Certificates
{
    // A phone refuses certificates that last longer.
    private const int Days = 820;

    /// <summary>Loads a certificate with its key.</summary>
    /// <param name="file">PEM with certificate and key, or PKCS #12 without a password.</param>
    /// <exception cref="Refused">It cannot be used.</exception>
    public static X509Certificate2 Load(string file)
    {
        try
        {
            var bytes = File.ReadAllBytes(file);
            var certificate =
                bytes.AsSpan().IndexOf("-----BEGIN"u8) >= 0
                    ? FromPem(File.ReadAllText(file))
                    : X509CertificateLoader.LoadPkcs12(bytes, null);
            return certificate.HasPrivateKey
                ? certificate
                : throw new Refused($"{file} has no key in it; certificate and key belong in one file, as PEM or PKCS #12.");
        }
        catch (Exception e) when (e is CryptographicException or IOException or UnauthorizedAccessException or ArgumentException)
        {
            throw new Refused($"The certificate {file} cannot be used: {e.Message.TrimEnd('.')}.", e);
        }
    }

    /// <summary>Yuntak's own certificate of a data folder. It is made when there is none, or when it has run out.</summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="names">The names it is for, besides this machine's.</param>
    /// <param name="now">The time.</param>
    public static X509Certificate2 Own(string folder, IEnumerable<string> names, DateTimeOffset now)
    {
        var file = Path.Combine(folder, "tls.pem");
        if (File.Exists(file))
        {
            var kept = Readable(file);
            if (kept?.NotAfter.ToUniversalTime() > now.UtcDateTime)
            {
                return kept;
            }

            if (kept is null)
            {
                Console.Error.WriteLine(
                    $"Yuntak's own certificate {file} could not be read. A new one is made; browsers warn once more, compare its fingerprint."
                );
            }

            kept?.Dispose();
        }

        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        using var made = Make(key, names, now);
        var fresh = file + ".new";
        File.Delete(fresh);
        using (var stream = DataFolder.NewOwnFile(fresh))
        {
            using var written = new StreamWriter(stream, leaveOpen: true);
            written.WriteLine(made.ExportCertificatePem());
            written.WriteLine(key.ExportPkcs8PrivateKeyPem());
            written.Flush();
            stream.Flush(flushToDisk: true);
        }

        File.Move(fresh, file, overwrite: true);
        return Load(file);
    }

    private static X509Certificate2? Readable(string file)
    {
        try
        {
            return Load(file);
        }
        catch (Refused)
        {
            return null;
        }
    }

    /// <summary>The fingerprint browsers show: SHA-256, in pairs of hex digits.</summary>
    public static string Fingerprint(X509Certificate2 certificate) =>
        string.Join(':', Convert.ToHexString(certificate.GetCertHash(HashAlgorithmName.SHA256)).Chunk(2).Select(c => new string(c)));

    private static X509Certificate2 FromPem(string text)
    {
        using var pem = X509Certificate2.CreateFromPem(text, text);
        // A key that came as PEM is not yet where the server looks for it.
        return X509CertificateLoader.LoadPkcs12(pem.Export(X509ContentType.Pkcs12), null);
    }

    private static X509Certificate2 Make(ECDsa key, IEnumerable<string> names, DateTimeOffset now)
    {
        var machine = Environment.MachineName;
        var request = new CertificateRequest($"CN=Yuntak on {machine}", key, HashAlgorithmName.SHA256);
        var alternatives = new SubjectAlternativeNameBuilder();
        foreach (var name in names.Concat(["localhost", machine, machine + ".local"]).Distinct(StringComparer.OrdinalIgnoreCase))
        {
            if (IPAddress.TryParse(name, out var ip))
            {
                alternatives.AddIpAddress(ip);
            }
            else
            {
                alternatives.AddDnsName(name);
            }
        }

        // Addresses that hold on one wire only are of no use in a certificate.
        var addresses = NetworkInterface
            .GetAllNetworkInterfaces()
            .SelectMany(n => n.GetIPProperties().UnicastAddresses)
            .Select(a => a.Address);
        foreach (var address in addresses.Where(a => !a.IsIPv6LinkLocal))
        {
            alternatives.AddIpAddress(address);
        }

        request.CertificateExtensions.Add(alternatives.Build());
        request.CertificateExtensions.Add(
            new X509BasicConstraintsExtension(certificateAuthority: false, hasPathLengthConstraint: false, 0, critical: true)
        );
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, critical: true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid("1.3.6.1.5.5.7.3.1")], critical: false));
        return request.CreateSelfSigned(now.AddDays(-1), now.AddDays(Days));
    }
}

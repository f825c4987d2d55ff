using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Web.Library;

/// <summary>The version of what works things out: what is kept by one is not taken for what another would make.</summary>
internal sealed class Workings(ITypefaces faces)
{
    private static readonly string Program = string.Join(
        ' ',
        new[] { typeof(Phrase), typeof(Workings), typeof(Typography.ShippedTypefaces), typeof(Formats.Svg.SvgPath) }.Select(t =>
            t.Module.ModuleVersionId.ToString("N")
        )
    );

    private (IReadOnlyList<TypefaceInfo> Of, string Version)? last;

    /// <summary>It in letters and figures. A face more may stand in where letters lacked before, so the typefaces count.</summary>
    public string Version
    {
        get
        {
            var all = faces.All;
            if (last is { } known && ReferenceEquals(known.Of, all))
            {
                return known.Version;
            }

            var version = Hash($"{Program} {string.Join(' ', all.Select(f => f.Id))}");
            last = (all, version);
            return version;
        }
    }

    /// <summary>A key for something that follows from words, by this version.</summary>
    public string KeyOf(string words) => Hash($"{Version} {words}");

    private static string Hash(string words) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(words)), 0, 16);
}

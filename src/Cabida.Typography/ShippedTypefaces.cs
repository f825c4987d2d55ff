using System.Reflection;
using System.Security.Cryptography;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Typography;

/// <summary>The typefaces that ship with the application, each under an open licence that ships with it too.</summary>
public sealed class ShippedTypefaces : ITypefaces, IDisposable
{
    private static readonly (string File, TypefaceInfo Info)[] Shipped =
    [
        ("KaushanScript", new("kaushan-script", "Kaushan Script", "brush")),
        ("CaveatBrush", new("caveat-brush", "Caveat Brush", "brush")),
        ("Hurricane", new("hurricane", "Hurricane", "brush with swashes")),
        ("Pacifico", new("pacifico", "Pacifico", "upright script")),
        ("Courgette", new("courgette", "Courgette", "upright script")),
        ("OleoScript-Bold", new("oleo-script", "Oleo Script Bold", "upright script")),
        ("Lobster", new("lobster", "Lobster", "upright script")),
        ("Sacramento", new("sacramento", "Sacramento", "fine script")),
        ("AlexBrush", new("alex-brush", "Alex Brush", "fine script")),
        ("DancingScript-Bold", new("dancing-script", "Dancing Script Bold", "script with swashes")),
        ("GreatVibes", new("great-vibes", "Great Vibes", "script with swashes")),
        ("Corinthia-Bold", new("corinthia", "Corinthia Bold", "script with swashes")),
        ("Birthstone", new("birthstone", "Birthstone", "script with swashes")),
        ("IslandMoments", new("island-moments", "Island Moments", "script with swashes")),
        ("Ballet", new("ballet", "Ballet", "script with swashes")),
        ("TitanOne", new("titan-one", "Titan One", "bold display")),
        ("LilitaOne", new("lilita-one", "Lilita One", "bold display")),
        ("AbrilFatface", new("abril-fatface", "Abril Fatface", "bold display")),
        ("Rye", new("rye", "Rye", "western")),
        ("Sancreek", new("sancreek", "Sancreek", "western")),
        ("Graduate", new("graduate", "Graduate", "college")),
        ("Fredoka-SemiBold", new("fredoka", "Fredoka SemiBold", "rounded")),
        ("Comfortaa-Bold", new("comfortaa", "Comfortaa Bold", "monoline")),
        ("CourierPrime-Bold", new("courier-prime", "Courier Prime Bold", "typewriter")),
        ("PatrickHand", new("patrick-hand", "Patrick Hand", "hand-printed")),
        ("ArchitectsDaughter", new("architects-daughter", "Architects Daughter", "hand-printed")),
        ("AmaticSC-Bold", new("amatic-sc", "Amatic SC Bold", "hand-printed")),
        ("SairaStencilOne", new("saira-stencil", "Saira Stencil One", "stencil")),
        ("AllertaStencil", new("allerta-stencil", "Allerta Stencil", "stencil")),
        ("BlackOpsOne", new("black-ops-one", "Black Ops One", "stencil")),
        ("ZillaSlab-Bold", new("zilla-slab", "Zilla Slab Bold", "slab")),
        ("AlfaSlabOne", new("alfa-slab-one", "Alfa Slab One", "slab")),
        ("Oswald-Medium", new("oswald", "Oswald Medium", "condensed")),
        ("BebasNeue", new("bebas-neue", "Bebas Neue", "condensed")),
        ("LeagueGothic", new("league-gothic", "League Gothic", "condensed")),
        ("EBGaramond-SemiBold", new("eb-garamond", "EB Garamond SemiBold", "serif")),
        ("PlayfairDisplay-Bold", new("playfair-display", "Playfair Display Bold", "serif")),
        ("Cinzel-Bold", new("cinzel", "Cinzel Bold", "serif")),
        ("Archivo-SemiBold", new("archivo", "Archivo SemiBold", "grotesque")),
        ("Montserrat-SemiBold", new("montserrat", "Montserrat SemiBold", "grotesque")),
        ("Cairo-Bold", new("cairo", "Cairo Bold", "grotesque") { Script = "Arabic", Sample = "فرنهولو" }),
        ("Amiri-Bold", new("amiri", "Amiri Bold", "serif") { Script = "Arabic", Sample = "فرنهولو" }),
        ("ArefRuqaa-Bold", new("aref-ruqaa", "Aref Ruqaa Bold", "upright script") { Script = "Arabic", Sample = "فرنهولو" }),
        ("Heebo-Bold", new("heebo", "Heebo Bold", "grotesque") { Script = "Hebrew", Sample = "פרנהולו" }),
        ("FrankRuhlLibre-Bold", new("frank-ruhl-libre", "Frank Ruhl Libre Bold", "serif") { Script = "Hebrew", Sample = "פרנהולו" }),
        ("Hind-Bold", new("hind", "Hind Bold", "grotesque") { Script = "Devanagari", Sample = "फर्नहोलो" }),
        ("Baloo2-SemiBold", new("baloo-2", "Baloo 2 SemiBold", "rounded") { Script = "Devanagari", Sample = "फर्नहोलो" }),
        ("HindSiliguri-Bold", new("hind-siliguri", "Hind Siliguri Bold", "grotesque") { Script = "Bengali", Sample = "ফার্নহোলো" }),
        ("Atma-Bold", new("atma", "Atma Bold", "hand-printed") { Script = "Bengali", Sample = "ফার্নহোলো" }),
        ("Kanit-SemiBold", new("kanit", "Kanit SemiBold", "grotesque") { Script = "Thai", Sample = "เฟิร์นฮอลโลว์" }),
        (
            "NotoSansGeorgian-Bold",
            new("noto-sans-georgian", "Noto Sans Georgian Bold", "grotesque") { Script = "Georgian", Sample = "ფერნჰოლოუ" }
        ),
        (
            "NotoSansArmenian-Bold",
            new("noto-sans-armenian", "Noto Sans Armenian Bold", "grotesque") { Script = "Armenian", Sample = "Ֆերնհոլոու" }
        ),
        (
            "ZenMaruGothic-Bold",
            new("zen-maru-gothic", "Zen Maru Gothic Bold", "rounded") { Script = "Japanese", Sample = "フェルンホロウ" }
        ),
        ("NotoSansSC-Bold", new("noto-sans-sc", "Noto Sans SC Bold", "grotesque") { Script = "Chinese", Sample = "蕨谷" }),
        ("NanumGothic-Bold", new("nanum-gothic", "Nanum Gothic Bold", "grotesque") { Script = "Korean", Sample = "펀할로우" }),
    ];

    /// <summary>Each is opened when it is first asked for: those of large scripts take some megabytes.</summary>
    private readonly Dictionary<string, Once<OpenTypeface>> faces = Shipped.ToDictionary(
        s => s.Info.Id,
        s => new Once<OpenTypeface>(() => Load(s.File, s.Info)),
        StringComparer.Ordinal
    );

    /// <inheritdoc/>
    public IReadOnlyList<TypefaceInfo> All { get; } = [.. Shipped.Select(s => s.Info)];

    /// <inheritdoc/>
    public ITypeface? Find(string id) => faces.GetValueOrDefault(id)?.Value;

    /// <summary>The text of a face's licence, or null for a face that is not shipped.</summary>
    public static string? LicenceOf(string id)
    {
        var file = Shipped.FirstOrDefault(s => s.Info.Id == id).File;
        if (file is null || Assembly.GetExecutingAssembly().GetManifestResourceStream($"Licences/{file}.txt") is not { } stream)
        {
            return null;
        }

        using var reader = new StreamReader(stream);
        return reader.ReadToEnd();
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        foreach (var face in faces.Values.Where(f => f.IsMade))
        {
            face.Value.Dispose();
        }
    }

    private static OpenTypeface Load(string file, TypefaceInfo info)
    {
        using var apart = Effort.Apart();
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream(file + ".ttf")
            ?? throw new InvalidOperationException($"{file}.ttf is not in the assembly.");
        var bytes = new byte[stream.Length];
        stream.ReadExactly(bytes);
        return new OpenTypeface(info, Convert.ToHexStringLower(SHA256.HashData(bytes))[..12], bytes);
    }
}

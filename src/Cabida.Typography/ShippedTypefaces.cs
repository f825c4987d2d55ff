using System.Reflection;
using System.Security.Cryptography;
using Cabida.Core.Type;

namespace Cabida.Typography;

/// <summary>The typefaces that ship with the application, each under an open licence that ships with it too.</summary>
public sealed class ShippedTypefaces : ITypefaces, IDisposable
{
    private static readonly (string File, TypefaceInfo Info)[] Shipped =
    [
        ("KaushanScript", new("kaushan-script", "Kaushan Script", "brush")),
        ("Pacifico", new("pacifico", "Pacifico", "script")),
        ("Sacramento", new("sacramento", "Sacramento", "fine script")),
        ("Archivo-SemiBold", new("archivo", "Archivo SemiBold", "grotesque")),
        ("Oswald-Medium", new("oswald", "Oswald Medium", "condensed")),
        ("ZillaSlab-Bold", new("zilla-slab", "Zilla Slab Bold", "slab")),
        ("EBGaramond-SemiBold", new("eb-garamond", "EB Garamond SemiBold", "serif")),
        ("SairaStencilOne", new("saira-stencil", "Saira Stencil One", "stencil")),
        ("Comfortaa-Bold", new("comfortaa", "Comfortaa Bold", "monoline")),
    ];

    private readonly Dictionary<string, OpenTypeface> faces;

    /// <summary>Loads all of them.</summary>
    public ShippedTypefaces()
    {
        faces = Shipped.ToDictionary(s => s.Info.Id, s => Load(s.File, s.Info), StringComparer.Ordinal);
    }

    /// <inheritdoc/>
    public IReadOnlyList<TypefaceInfo> All { get; } = [.. Shipped.Select(s => s.Info)];

    /// <inheritdoc/>
    public ITypeface? Find(string id) => faces.GetValueOrDefault(id);

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
        foreach (var face in faces.Values)
        {
            face.Dispose();
        }
    }

    private static OpenTypeface Load(string file, TypefaceInfo info)
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream(file + ".ttf")
            ?? throw new InvalidOperationException($"{file}.ttf is not in the assembly.");
        var bytes = new byte[stream.Length];
        stream.ReadExactly(bytes);
        return new OpenTypeface(info, Convert.ToHexStringLower(SHA256.HashData(bytes))[..12], bytes);
    }
}

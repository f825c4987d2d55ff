using Cabida.Core.Stock;
using Cabida.Formats.Cutting;

namespace Cabida.Web.Plans;

/// <summary>In which format a load is asked for.</summary>
/// <param name="Format">The format.</param>
/// <param name="Units">What the numbers of an SVG stand for.</param>
internal sealed record WantedFile(CutFormat Format, SvgNumbers Units)
{
    private static readonly Dictionary<string, CutFormat> Formats = new(StringComparer.OrdinalIgnoreCase)
    {
        ["svg"] = CutFormat.Svg,
        ["dxf"] = CutFormat.Dxf,
        ["dxf-r12"] = CutFormat.DxfOld,
        ["hpgl"] = CutFormat.Hpgl,
        ["pdf"] = CutFormat.Pdf,
    };

    private static readonly Dictionary<string, SvgNumbers> AllUnits = new(StringComparer.OrdinalIgnoreCase)
    {
        ["mm"] = SvgNumbers.Millimetres,
        ["96"] = SvgNumbers.Per96,
        ["90"] = SvgNumbers.Per90,
        ["72"] = SvgNumbers.Per72,
    };

    /// <summary>Whether it is what a kept file was made as.</summary>
    public bool Is(string format, string units) =>
        Formats.GetValueOrDefault(format) == Format && (Format != CutFormat.Svg || AllUnits.GetValueOrDefault(units) == Units);

    /// <summary>What is asked for, SVG in millimetres unless said; or why it cannot be given.</summary>
    public static (WantedFile? Wanted, string? Problem) Of(string? format, string? units) =>
        !Formats.TryGetValue(format ?? "svg", out var kind)
            ? (null, $"There is no format {format}. There are {string.Join(", ", Formats.Keys)}.")
        : !AllUnits.TryGetValue(units ?? "mm", out var numbers)
            ? (null, $"Units of {units} are not known. There are {string.Join(", ", AllUnits.Keys)}, the last three to the inch.")
        : (new WantedFile(kind, numbers), null);
}

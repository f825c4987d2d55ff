using Cabida.Core.Stock;

namespace Cabida.Formats.Cutting;

/// <summary>What a program would show of an SVG whose numbers it takes for something else than they are.</summary>
/// <param name="TakenFor">What it takes them for.</param>
/// <param name="Width">What it would show as the width of the load; millimetres.</param>
public sealed record SizeGuard(SvgNumbers TakenFor, double Width)
{
    /// <summary>What every assumption would show.</summary>
    /// <param name="width">The true width; millimetres.</param>
    /// <param name="written">What the numbers stand for.</param>
    public static IReadOnlyList<SizeGuard> Of(double width, SvgNumbers written) =>
        [.. Enum.GetValues<SvgNumbers>().Select(u => new SizeGuard(u, width * CutSvg.PerMillimetre(written) / CutSvg.PerMillimetre(u)))];
}

using Cabida.Core.Fitting;
using Cabida.Core.Geometry;

namespace Cabida.Core.Bench;

/// <summary>How large artwork is on its goods and how far from their edges, as a tape laid on them reads it; millimetres.</summary>
/// <param name="Width">The width of its ink.</param>
/// <param name="Height">Its height.</param>
/// <param name="BelowRim">From the rim or top edge to the top of its ink; null when the surface is not known.</param>
/// <param name="AboveBase">From the base or bottom edge to the bottom of its ink, likewise.</param>
public sealed record MadeSize(double Width, double Height, double? BelowRim, double? AboveBase)
{
    /// <summary>The size of a side of a piece; null without ink.</summary>
    /// <param name="fit">The side.</param>
    /// <param name="basis">What it was fitted on.</param>
    public static MadeSize? Of(PieceFit fit, FitBasis basis)
    {
        ArgumentNullException.ThrowIfNull(fit);
        ArgumentNullException.ThrowIfNull(basis);
        // On a wall as a tape on the goods reads it, which on a taper is not what the flat drawing says.
        if (basis.Wall is { } wall && WallExtent.Of(fit.Ink, wall) is { } on)
        {
            return new MadeSize(on.Width, on.High - on.Low, wall.Height.Value.Millimetres - on.High, on.Low);
        }

        var top = basis.Panel?.Datums.Box.MaxY;
        return Box.Of(fit.Ink) is { } box ? new MadeSize(box.Width, box.Height, top - box.MaxY, top is null ? null : box.MinY) : null;
    }
}

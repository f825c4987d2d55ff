using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>
/// Whether the transfer tape goes on first and the waste is pulled from behind: advised where the tenth percentile of the local width along
/// the outline is below 1.5 times the thinnest stroke of the film (calculations 6.5).
/// </summary>
/// <param name="Tenth">That percentile, in millimetres.</param>
/// <param name="Limit">What it is held against.</param>
public sealed record TapeFirst(double Tenth, double Limit)
{
    private const double Share = 1.5;

    /// <summary>Width samples are taken this close along the outline, in millimetres.</summary>
    private const double Step = 0.5;

    /// <summary>Whether it is advised.</summary>
    public bool IsAdvised => Tenth < Limit;

    /// <summary>The advice for ink; null without ink, and for a film that takes no tape.</summary>
    public static TapeFirst? Of(Area ink, FilmLimits limits)
    {
        ArgumentNullException.ThrowIfNull(ink);
        if (ink.IsEmpty || !limits.TakesTape)
        {
            return null;
        }

        var widths = LocalWidth.Along(ink, Step, 0).Select(s => s.Width).Order().ToList();
        return widths.Count == 0 ? null : new TapeFirst(widths[widths.Count / 10], Share * limits.Weeds);
    }
}

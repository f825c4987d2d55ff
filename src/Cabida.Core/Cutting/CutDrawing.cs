using Cabida.Core.Geometry;

namespace Cabida.Core.Cutting;

/// <summary>What a line of a cut file is for.</summary>
public enum CutLineKind
{
    /// <summary>The outline of ink.</summary>
    Ink,

    /// <summary>A cut through waste: a weed box or a break.</summary>
    Waste,

    /// <summary>A mark by which sections or layers are laid together.</summary>
    Mark,
}

/// <summary>A line that the blade follows.</summary>
/// <param name="Path">The line; a closed one ends where it begins.</param>
/// <param name="IsClosed">Whether it is closed.</param>
/// <param name="Kind">What it is for.</param>
public sealed record CutLine(Contour Path, bool IsClosed, CutLineKind Kind)
{
    /// <summary>Its points, the first repeated at the end of a closed one.</summary>
    /// <param name="chordError">How far they may lie from the line; millimetres.</param>
    public IReadOnlyList<PlanePoint> Points(double chordError)
    {
        var points = CurveFlattening.Flatten(Path, chordError, Math.PI);
        if (IsClosed && points.Count > 0 && points[^1] != points[0])
        {
            points.Add(points[0]);
        }

        return points;
    }
}

/// <summary>Lines that belong together: a piece, a weed box with its breaks.</summary>
/// <param name="Name">What it is called, for people who open the file.</param>
/// <param name="Lines">Its lines; of ink, holes as well.</param>
public sealed record CutGroup(string Name, IReadOnlyList<CutLine> Lines);

/// <summary>What is cut of one film.</summary>
/// <param name="Film">The film's name.</param>
/// <param name="Colour">Its colour, as <c>#rrggbb</c>.</param>
/// <param name="Groups">What is cut.</param>
public sealed record CutLayer(string Film, string Colour, IReadOnlyList<CutGroup> Groups)
{
    /// <summary>All its lines.</summary>
    public IEnumerable<CutLine> Lines => Groups.SelectMany(g => g.Lines);
}

/// <summary>
/// A load as it is cut: the one model of all cut files. Millimetres from the lower left of what the cutter reaches, y up.
/// </summary>
/// <param name="Title">Job, load and film.</param>
/// <param name="Width">The width of the load.</param>
/// <param name="Height">Its length.</param>
/// <param name="Layers">What is cut, a film each.</param>
public sealed record CutDrawing(string Title, double Width, double Height, IReadOnlyList<CutLayer> Layers)
{
    /// <summary>What coordinates are rounded to: well below what a cutter resolves; millimetres.</summary>
    public const double Grid = 0.001;

    /// <summary>All its lines.</summary>
    public IEnumerable<CutLine> Lines => Layers.SelectMany(l => l.Lines);

    /// <summary>It with every point elsewhere; straight lines stay straight.</summary>
    public CutDrawing Moved(Motion by) =>
        this with
        {
            Layers =
            [
                .. Layers.Select(layer =>
                    layer with
                    {
                        Groups =
                        [
                            .. layer.Groups.Select(g => g with { Lines = [.. g.Lines.Select(l => l with { Path = l.Path.Moved(by) })] }),
                        ],
                    }
                ),
            ],
        };
}

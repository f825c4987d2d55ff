using Cabida.Core.Geometry;

namespace Cabida.Formats.Cutting;

/// <summary>A line as a file holds it.</summary>
/// <param name="Layer">The layer, pen or colour it is on.</param>
/// <param name="Points">Its points, the first repeated at the end of a closed one; millimetres, y up.</param>
/// <param name="IsClosed">Whether the file closes it.</param>
public sealed record ReadLine(string Layer, IReadOnlyList<PlanePoint> Points, bool IsClosed)
{
    /// <summary>Its length.</summary>
    public double Length => Points.Zip(Points.Skip(1), (a, b) => a.To(b)).Sum();
}

/// <summary>What a cut file really holds, read from its bytes alone.</summary>
/// <param name="Width">The width of its sheet in millimetres; null for a format that has none.</param>
/// <param name="Height">Its height.</param>
/// <param name="Lines">Its lines.</param>
public sealed record ReadCut(double? Width, double? Height, IReadOnlyList<ReadLine> Lines)
{
    /// <summary>How far the points of curves may lie from them when a file is read; millimetres.</summary>
    internal const double ChordError = 0.001;

    /// <summary>The box of all that is cut, or null when nothing is.</summary>
    public Box? Used => Box.Around(Lines.SelectMany(l => l.Points).Select(p => new Box(p.X, p.Y, p.X, p.Y)));

    /// <summary>How many closed lines there are.</summary>
    public int Outlines => Lines.Count(l => l.IsClosed);

    /// <summary>The length of all lines.</summary>
    public double Length => Lines.Sum(l => l.Length);
}

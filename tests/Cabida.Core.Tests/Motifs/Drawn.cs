using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Tests.Motifs;

/// <summary>Graphics made of squares; each outline given is a piece of its own unless it is a hole of the one before.</summary>
internal sealed class Drawn : IGraphics
{
    private readonly GraphicOutlines outlines;

    public Drawn(string id, params Square[] squares)
    {
        var pieces = new List<GraphicPiece>();
        foreach (var s in squares)
        {
            if (s.IsHole)
            {
                pieces[^1] = pieces[^1] with { Closed = [.. pieces[^1].Closed, s.Contour] };
            }
            else
            {
                pieces.Add(
                    s.IsOpen
                        ? new GraphicPiece(s.Colour, FillRule.EvenOdd, [], [s.Contour])
                        : new GraphicPiece(s.Colour, FillRule.EvenOdd, [s.Contour], [])
                );
            }
        }

        outlines = new GraphicOutlines(id, pieces);
    }

    public GraphicOutlines? Find(string outlinesId) => outlinesId == outlines.Id ? outlines : null;

    public static Square Square(double x, double y, double side, bool hole = false, string colour = "#000000", bool open = false) =>
        new(
            new Contour(
                new(x, y),
                [new LineSegmentTo(new(x + side, y)), new LineSegmentTo(new(x + side, y + side)), new LineSegmentTo(new(x, y + side))]
            ),
            hole,
            colour,
            open
        );
}

internal sealed record Square(Contour Contour, bool IsHole, string Colour, bool IsOpen);

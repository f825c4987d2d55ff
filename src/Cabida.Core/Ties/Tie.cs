using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Ties;

/// <summary>A strip that holds a part that would fall out (calculations 6.3); millimetres.</summary>
/// <param name="Name">What tells it apart for as long as what it holds is there.</param>
/// <param name="Film">The layer that it is in.</param>
/// <param name="From">Where it leaves the part that it holds.</param>
/// <param name="To">Where it reaches what holds.</param>
/// <param name="Width">How wide it is.</param>
/// <param name="Middle">The middle of the part that it holds.</param>
/// <param name="Across">How far that part is across where it is narrowest.</param>
public sealed record Tie(string Name, Motifs.FilmPly Film, PlanePoint From, PlanePoint To, double Width, PlanePoint Middle, double Across)
{
    /// <summary>Where it leaves the part, seen from the middle of that: degrees to the left of the right.</summary>
    public double Angle => Math.Atan2(From.Y - Middle.Y, From.X - Middle.X) * 180 / Math.PI;

    /// <summary>Whether it was moved by hand.</summary>
    public bool Moved { get; init; }

    /// <summary>It as an area, drawn half its width into what it joins at either end.</summary>
    public Polygon Strip
    {
        get
        {
            var (length, half) = (From.To(To), Width / 2);
            var (dx, dy) =
                length > Tolerances.Fit ? ((To.X - From.X) / length, (To.Y - From.Y) / length)
                : From.To(Middle) is var far and > 0 ? ((From.X - Middle.X) / far, (From.Y - Middle.Y) / far)
                : (1.0, 0.0);
            PlanePoint At(PlanePoint of, double along, double beside) =>
                new(of.X + (along * dx) - (beside * dy), of.Y + (along * dy) + (beside * dx));
            return Outlines.Ring([At(From, -half, -half), At(To, half, -half), At(To, half, half), At(From, -half, half)]);
        }
    }
}

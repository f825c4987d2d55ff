namespace Cabida.Core.Geometry;

/// <summary>A stretch of a ring that a disc cannot touch.</summary>
/// <param name="Walk">Its ring.</param>
/// <param name="Places">Places on it, in order.</param>
/// <param name="From">Where it begins; not a number for a whole ring.</param>
/// <param name="To">Where it ends.</param>
internal sealed record NarrowStretch(RingWalk Walk, List<double> Places, double From, double To)
{
    /// <summary>Whether it is all of its ring.</summary>
    public bool IsWhole => double.IsNaN(From);

    /// <summary>The way along the boundary.</summary>
    public double Length => IsWhole ? Walk.Along(Walk.End) : Walk.Along(To) - Walk.Along(From);

    /// <summary>Whether a place of its ring lies on it.</summary>
    public bool Holds(double u)
    {
        if (IsWhole)
        {
            return true;
        }

        u += Walk.End * Math.Ceiling((From - u) / Walk.End);
        return u <= To;
    }
}

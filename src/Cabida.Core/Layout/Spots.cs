using Cabida.Core.Geometry;

namespace Cabida.Core.Layout;

/// <summary>A place that is tried for a thing: on which load, how turned, and where the middle of its box lies.</summary>
internal readonly record struct Spot(int Load, Turned Turn, double X, double Y)
{
    public PlanePoint Of(PlanePoint p) => new((Turn.Cos * p.X) - (Turn.Sin * p.Y) + X, (Turn.Sin * p.X) + (Turn.Cos * p.Y) + Y);
}

/// <summary>A turn with its sine and cosine; quarters are exact.</summary>
internal readonly record struct Turned
{
    public Turned(double degrees)
    {
        var by = Motion.TurnLeft(degrees);
        (Degrees, Sin, Cos) = (degrees, by.D, by.A);
    }

    public double Degrees { get; }

    public double Sin { get; }

    public double Cos { get; }
}

/// <summary>Where the middle of a thing may lie on a load.</summary>
internal readonly record struct SpotRange(double MinX, double MinY, double MaxX, double MaxY)
{
    public bool IsNone => MaxX < MinX || MaxY < MinY;

    public bool Holds(Spot spot) => spot.X >= MinX && spot.X <= MaxX && spot.Y >= MinY && spot.Y <= MaxY;

    public Spot Within(Spot spot) => spot with { X = Math.Clamp(spot.X, MinX, MaxX), Y = Math.Clamp(spot.Y, MinY, MaxY) };
}

/// <summary>The few best places seen.</summary>
internal sealed class BestSpots(int most)
{
    private readonly List<(Spot Spot, double Amount)> all = [];

    public IReadOnlyList<(Spot Spot, double Amount)> All => all;

    /// <summary>More than this is not kept.</summary>
    public double Worst => all.Count < most ? double.MaxValue : all[^1].Amount;

    public void Add(Spot spot, double amount)
    {
        if (amount >= Worst)
        {
            return;
        }

        if (all.Count == most)
        {
            all.RemoveAt(most - 1);
        }

        var at = all.FindIndex(s => s.Amount > amount);
        all.Insert(at < 0 ? all.Count : at, (spot, amount));
    }
}

using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Cutting;

/// <summary>
/// What a cutter makes of a square (calculations 6.12): how much longer or shorter it cuts across and along, and by how much its axes are
/// out of square.
/// </summary>
/// <param name="Across">What it makes of 1 across.</param>
/// <param name="Along">What it makes of 1 along.</param>
/// <param name="Skew">By how much a line along leans across; radians, positive to the right.</param>
public readonly record struct CutterTruth(double Across, double Along, double Skew)
{
    /// <summary>A cutter that makes of everything what it should.</summary>
    public static CutterTruth True { get; } = new(1, 1, 0);

    /// <summary>From a proving square that was cut and measured.</summary>
    /// <param name="side">What its sides should be; millimetres.</param>
    /// <param name="across">What the side across measures.</param>
    /// <param name="along">What the side along measures.</param>
    /// <param name="rising">The diagonal from its lower left.</param>
    /// <param name="falling">The diagonal from its upper left.</param>
    public static CutterTruth Of(double side, double across, double along, double rising, double falling) =>
        new(across / side, along / side, Math.Asin(((rising * rising) - (falling * falling)) / (4 * across * along)));

    /// <summary>From a proving square as it was typed; a cutter is true of which not all four lengths can be read.</summary>
    /// <param name="proved">The square.</param>
    public static CutterTruth Of(ProvingSquare proved)
    {
        ArgumentNullException.ThrowIfNull(proved);
        double? Read(TypedLength typed, LengthRange range) => typed.Read(range).ValueOrDefault?.Value.Millimetres;
        return
            Read(proved.Across, ProvingSquare.Sides) is { } across
            && Read(proved.Along, ProvingSquare.Sides) is { } along
            && Read(proved.Rising, ProvingSquare.Diagonals) is { } rising
            && Read(proved.Falling, ProvingSquare.Diagonals) is { } falling
            ? Of(ProvingSquare.Side, across, along, rising, falling)
            : True;
    }

    /// <summary>What the cutter makes of what is written.</summary>
    public Motion Makes => new(Across, Along * Math.Sin(Skew), 0, 0, Along * Math.Cos(Skew), 0);

    /// <summary>What is written so that the cutter makes what is meant: the inverse.</summary>
    public Motion Written
    {
        get
        {
            var (x, y) = (1 / Across, 1 / (Along * Math.Cos(Skew)));
            return new Motion(x, -Math.Tan(Skew) * x, 0, 0, y, 0);
        }
    }

    /// <summary>What is written of a load of a size: moved as far right as skew leans it to the left.</summary>
    /// <param name="width">How wide it is; millimetres.</param>
    /// <param name="height">How long.</param>
    public Motion WrittenOn(double width, double height)
    {
        var written = Written;
        return written.Moved(-Math.Min(0, written.Of(new Box(0, 0, width, height)).MinX), 0);
    }

    /// <summary>Whether it makes of everything what it should.</summary>
    public bool IsTrue => this == True;
}

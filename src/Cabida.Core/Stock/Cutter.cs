using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Stock;

/// <summary>A cutter, by what it really reaches.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="ReachWidth">How wide it cuts on a mat.</param>
/// <param name="ReachLength">How long it cuts on a mat.</param>
/// <param name="Note">Anything worth remembering.</param>
public sealed record Cutter(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    TypedLength ReachWidth,
    TypedLength ReachLength,
    string Note = ""
)
{
    /// <summary>Its carriers; none for one mat that is as large as the reach.</summary>
    [MaxLength(50)]
    public IReadOnlyList<Carrier> Carriers { get; init; } = [];

    /// <summary>What it does without a carrier.</summary>
    public Rollers Rollers { get; init; } = Rollers.None;

    /// <summary>What its blade asks for.</summary>
    public Blade Blade { get; init; } = Blade.Usual;

    /// <summary>How it moves.</summary>
    public CutterPace Pace { get; init; } = CutterPace.Usual;

    /// <summary>What its program takes the numbers of an SVG for.</summary>
    public SvgNumbers SvgNumbers { get; init; }

    /// <summary>How far off what it cuts may be, with two standard deviations; empty for the usual.</summary>
    public TypedLength CutsWithin { get; init; } = TypedLength.Empty;

    /// <summary>How far off a small cutter usually is; millimetres, the product's own default.</summary>
    public const double UsualCutsWithin = 0.3;

    /// <summary>How far off it may be, in millimetres; what cannot be read is the usual.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double CutsWithinOr => CutsWithin.Read(LengthRange.Uncertainty).ValueOrDefault?.Value.Millimetres ?? UsualCutsWithin;

    /// <summary>The device that loads are sent to; empty where files are carried to it.</summary>
    [MaxLength(DocumentGate.LongestName)]
    public string Machine { get; init; } = "";

    /// <summary>Its carriers, or the one that stands for what it reaches.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<Carrier> CarriersOr =>
        Carriers.Count > 0 ? Carriers : [new Carrier(Carrier.Plain, "Mat", ReachWidth, ReachLength, ReachWidth, ReachLength)];

    /// <summary>
    /// What it reaches of a sheet of a film at most, on any carrier or without, across and along, in millimetres; null where that cannot be
    /// read.
    /// </summary>
    public (double Width, double Height)? ReachOf(Film film)
    {
        ArgumentNullException.ThrowIfNull(film);
        static double Read(TypedLength typed, LengthRange range) => typed.OrZero(range).Millimetres;
        var ways = CarriersOr
            .Select(c => (Width: Read(c.ReachWidth, LengthRange.Object), Height: Read(c.ReachLength, LengthRange.Object)))
            .Append((Width: Read(Rollers.Width, LengthRange.Object), Height: Read(Rollers.Longest, StockItem.RollLength)));
        return ways.Select(w =>
                (
                    Width: Math.Min(w.Width, Read(film.Width, LengthRange.Object)),
                    Height: Math.Min(w.Height, Read(film.Length, LengthRange.Object))
                )
            )
            .Where(w => w.Width > 0 && w.Height > 0)
            .OrderByDescending(w => w.Width * w.Height)
            .Select(w => ((double, double)?)w)
            .FirstOrDefault();
    }
}

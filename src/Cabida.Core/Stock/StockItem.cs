using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Stock;

/// <summary>What a stock item is.</summary>
public enum StockForm
{
    /// <summary>Sheets of one size.</summary>
    Sheet,

    /// <summary>A roll.</summary>
    Roll,

    /// <summary>A left-over shape.</summary>
    OffCut,
}

/// <summary>A ring of an off-cut's outline.</summary>
/// <param name="Points">Its corners in order, the first not repeated; millimetres, y up.</param>
public sealed record StockRing([property: MaxLength(StockRing.Most)] IReadOnlyList<PlanePoint> Points)
{
    /// <summary>It may have so many corners.</summary>
    public const int Most = 2000;
}

/// <summary>What the maker has of a film: sheets of one size, a roll, or an off-cut; lengths as typed.</summary>
/// <param name="Id">Tells it apart from others of its film.</param>
/// <param name="Form">What it is.</param>
/// <param name="Width">Its width; of an off-cut with an outline, empty.</param>
/// <param name="Length">Its length; of a roll, what is left.</param>
public sealed record StockItem(
    [property: MaxLength(DocumentGate.LongestName)] string Id,
    StockForm Form,
    TypedLength Width,
    TypedLength Length
)
{
    /// <summary>How many there are.</summary>
    [Range(0, 10_000)]
    public int Count { get; init; } = 1;

    /// <summary>The outline of an off-cut that is no rectangle, and then its holes; none for a rectangle.</summary>
    [MaxLength(200)]
    public IReadOnlyList<StockRing> Outline { get; init; } = [];

    /// <summary>
    /// Where its lower left lies on its carrier, from the loading corner, where it stays as it was scanned there; null where it is laid
    /// anew.
    /// </summary>
    public PlanePoint? LiesAt { get; init; }

    /// <summary>What one of it, or the whole roll as bought, costs; as typed, empty where it is not known.</summary>
    [MaxLength(TypedLength.MostLetters)]
    public string Price { get; init; } = "";

    /// <summary>Where it comes from, and anything else worth remembering.</summary>
    public string Note { get; init; } = "";

    /// <summary>
    /// Its shape from its lower left, y up; or why it has none: a length that cannot be read, an outline that crosses itself or encloses
    /// nothing.
    /// </summary>
    public Outcome<Area> Shape()
    {
        if (Outline.Count > 0)
        {
            return OfOutline();
        }

        if (Width.Read(LengthRange.Object) is { Ok: false } width)
        {
            return Outcome<Area>.Fail(width.Problem!);
        }

        var range = Form == StockForm.Roll ? RollLength : LengthRange.Object;
        return Length.Read(range) is { Ok: false } length
            ? Outcome<Area>.Fail(length.Problem!)
            : Outcome<Area>.Of(
                Outlines.Rectangle(new Box(0, 0, Width.OrZero(LengthRange.Object).Millimetres, Length.OrZero(range).Millimetres))
            );
    }

    /// <summary>How long a roll may be.</summary>
    public static LengthRange RollLength { get; } = new(Measures.Length.Mm(1), Measures.Length.Mm(200_000));

    private Outcome<Area> OfOutline()
    {
        foreach (var ring in Outline)
        {
            if (ring.Points.Count < 3 || ring.Points.Any(p => !double.IsFinite(p.X) || !double.IsFinite(p.Y)))
            {
                return Outcome<Area>.Fail(Phrase.Say($"Its outline has no inside. An outline takes at least three corners."));
            }

            if (!Outlines.Ring(ring.Points).IsValid)
            {
                return Outcome<Area>.Fail(Phrase.Say($"Its outline crosses or touches itself. Go round it once, corner by corner."));
            }
        }

        var shape = Outlines.Without(
            Outlines.Ring(Outline[0].Points),
            Outlines.Join([.. Outline.Skip(1).Select(r => (Area)Outlines.Ring(r.Points))])
        );
        return Box.Of(shape) is { } box && shape.Area > 1
            ? Outcome<Area>.Of(Outlines.Moved(shape, Motion.Move(-box.MinX, -box.MinY)))
            : Outcome<Area>.Fail(Phrase.Say($"Nothing is left of it: its holes take all."));
    }
}

/// <summary>All that the maker has of a film; kept apart from the film, which stays as it is when some of it is used.</summary>
/// <param name="FilmId">The film.</param>
/// <param name="Items">What there is.</param>
public sealed record FilmStock(
    [property: MaxLength(DocumentGate.LongestName)] string FilmId,
    [property: MaxLength(500)] IReadOnlyList<StockItem> Items
)
{
    /// <summary>What stays clear along its edges; empty for the usual.</summary>
    public TypedLength EdgeMargin { get; init; } = TypedLength.Empty;

    /// <summary>What its supplier calls it.</summary>
    [MaxLength(DocumentGate.LongestName)]
    public string SupplierName { get; init; } = "";

    /// <summary>How thick it is; empty where it is not known.</summary>
    public TypedLength Thickness { get; init; } = TypedLength.Empty;

    /// <summary>How many months it keeps; null where it is not known.</summary>
    [Range(1, 600)]
    public int? KeepsMonths { get; init; }

    /// <summary>What a square metre costs, as typed; empty for what its sheets tell.</summary>
    [MaxLength(TypedAmount.MostLetters)]
    public string PerSquareMetre { get; init; } = "";

    /// <summary>
    /// What a square metre costs: as typed, else as the first sheet with a price tells. A roll tells it not: what is left of it is not what
    /// was bought. Null where it is not known.
    /// </summary>
    public decimal? SquareMetre()
    {
        if (TypedAmount.Read(PerSquareMetre).ValueOrDefault is { } typed)
        {
            return typed;
        }

        return Items
            .Where(i => i.Form == StockForm.Sheet)
            .Select(i => (Price: TypedAmount.Read(i.Price).ValueOrDefault, Area: i.Shape().ValueOrDefault?.Area ?? 0))
            .Where(i => i is { Price: not null, Area: > 0 })
            .Select(i => (decimal?)(i.Price!.Value / (decimal)(i.Area / 1e6)))
            .FirstOrDefault();
    }

    /// <summary>Anything else worth remembering.</summary>
    public string Note { get; init; } = "";

    /// <summary>The usual margin along the edges; millimetres.</summary>
    public const double UsualEdgeMargin = 5;

    /// <summary>What stays clear along its edges, in millimetres; what cannot be read is the usual.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double EdgeMarginOr =>
        EdgeMargin.IsEmpty ? UsualEdgeMargin : EdgeMargin.Read(LengthRange.Margin).ValueOrDefault?.Value.Millimetres ?? UsualEdgeMargin;
}

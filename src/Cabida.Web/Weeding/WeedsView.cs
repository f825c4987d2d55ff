using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Core.Wording;

namespace Cabida.Web.Weeding;

/// <summary>A cut across waste.</summary>
/// <param name="Kind">What it parts.</param>
/// <param name="Points">Where it runs; millimetres, y up.</param>
internal sealed record BreakView(BreakKind Kind, IReadOnlyList<PlanePoint> Points);

/// <summary>A weed box with its breaks.</summary>
/// <param name="Box">The box.</param>
/// <param name="Breaks">Its breaks.</param>
/// <param name="Cells">How many cells they leave.</param>
internal sealed record WeedBoxView(Box Box, IReadOnlyList<BreakView> Breaks, int Cells)
{
    public static WeedBoxView Of(WastePlan plan) =>
        new(
            plan.Box,
            [.. plan.Breaks.Select(b => new BreakView(b.Kind, [.. b.Line.Coordinates.Select(c => new PlanePoint(c.X, c.Y))]))],
            plan.Cells.Count
        );
}

/// <summary>How long weeding is expected to take, and what it took.</summary>
/// <param name="Minutes">The estimate.</param>
/// <param name="Entries">How many of the maker's own times are known for such films.</param>
/// <param name="Fitted">Whether the estimate is fitted to them.</param>
/// <param name="Spread">Their standard deviation about it, in minutes; null where it is not fitted.</param>
/// <param name="Took">What this took; null where it was not typed.</param>
internal sealed record WeedingTime(double Minutes, int Entries, bool Fitted, double? Spread, double? Took)
{
    public static WeedingTime Of(Core.Waste.Weeding weeding, FilmPurpose purpose, WeedingBook book, string key)
    {
        var pace = WeedingPace.Of(book.Took, purpose);
        return new WeedingTime(
            pace.MinutesOf(weeding),
            book.Took.Count(t => t.Purpose == purpose),
            pace.Spread is not null,
            pace.Spread,
            book.Took.FirstOrDefault(t => t.Of == key)?.Minutes
        );
    }
}

/// <summary>How something is weeded: a film of a piece, or a load.</summary>
/// <param name="Key">What its minutes are typed for.</param>
/// <param name="Around">What its weed boxes are cut round.</param>
/// <param name="Boxes">They.</param>
/// <param name="Bits">How many bits there are.</param>
/// <param name="Small">Of these, how many under 4 mm².</param>
/// <param name="CutLength">The length of all cuts, in millimetres.</param>
/// <param name="Time">How long it takes.</param>
/// <param name="Peel">Free ends by the side that they point to.</param>
/// <param name="Best">The side with the fewest.</param>
/// <param name="Tape">Whether the tape goes on first; null for a stencil.</param>
/// <param name="Nearest">How near any break comes to the ink; null without any.</param>
/// <param name="NoWay">Where breaks were wanted and there is no way.</param>
internal sealed record WeedsView(
    string Key,
    WeedBox Around,
    IReadOnlyList<WeedBoxView> Boxes,
    int Bits,
    int Small,
    double CutLength,
    WeedingTime Time,
    PeelSides Peel,
    PeelSide Best,
    TapeFirst? Tape,
    double? Nearest,
    IReadOnlyList<Phrase> NoWay
)
{
    public static WeedsView Of(LoadWeeds weeds, FilmPurpose purpose, WeedingBook book, string key) =>
        new(
            key,
            weeds.Box,
            [.. weeds.Plans.Select(WeedBoxView.Of)],
            weeds.Weeding.Bits,
            weeds.Weeding.Small,
            weeds.Weeding.CutLength,
            WeedingTime.Of(weeds.Weeding, purpose, book, key),
            weeds.Peel,
            weeds.Peel.Best,
            weeds.Tape,
            weeds.Nearest,
            weeds.NoWay
        );

    public static WeedsView Of(FilmWaste waste, WeedBox around, FilmPurpose purpose, WeedingBook book, string key) =>
        new(
            key,
            around,
            waste.Plan is { } plan ? [WeedBoxView.Of(plan)] : [],
            waste.Weeding.Bits,
            waste.Weeding.Small,
            waste.Weeding.CutLength,
            WeedingTime.Of(waste.Weeding, purpose, book, key),
            waste.Peel,
            waste.Peel.Best,
            waste.Tape,
            waste.Nearest,
            waste.Plan?.NoWay ?? []
        );
}

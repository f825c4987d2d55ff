using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>What a weed box is cut round.</summary>
public enum WeedBox
{
    /// <summary>Nothing: there is none, and no breaks either.</summary>
    None,

    /// <summary>Each piece.</summary>
    Piece,

    /// <summary>Each row of pieces on a load.</summary>
    Row,

    /// <summary>All that is on a load.</summary>
    Load,
}

/// <summary>How the waste of a film is boxed in and broken (calculations 6.5); lengths as typed, empty for the usual.</summary>
/// <param name="Box">What a weed box is cut round.</param>
/// <param name="BetweenRows">Whether breaks go between rows of ink.</param>
/// <param name="BetweenWords">Whether they go between words.</param>
/// <param name="LongWaste">Whether they go across waste that is too long.</param>
/// <param name="Margin">How far the box stands out from the ink.</param>
/// <param name="Clearance">How far breaks stay from ink.</param>
/// <param name="Longest">How long waste may be.</param>
public sealed record WeedWays(
    WeedBox Box,
    bool BetweenRows,
    bool BetweenWords,
    bool LongWaste,
    TypedLength Margin,
    TypedLength Clearance,
    TypedLength Longest
)
{
    /// <summary>The usual margin; millimetres.</summary>
    public const double UsualMargin = 5;

    /// <summary>The usual clearance; millimetres.</summary>
    public const double UsualClearance = 1;

    /// <summary>How long waste usually may be; millimetres.</summary>
    public const double UsualLongest = 150;

    private static readonly LengthRange Margins = new(Length.Mm(0.5), Length.Mm(100));
    private static readonly LengthRange Clearances = new(Length.Mm(0.2), Length.Mm(20));
    private static readonly LengthRange Lengths = new(Length.Mm(10), Length.Mm(5000));

    /// <summary>Before anything was chosen: no box, and every kind of break once there is one.</summary>
    public static WeedWays Usual { get; } = new(WeedBox.None, true, true, true, TypedLength.Empty, TypedLength.Empty, TypedLength.Empty);

    /// <summary>How far the box stands out, in millimetres; what cannot be read is the usual.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double MarginOr => Read(Margin, Margins) ?? Math.Max(UsualMargin, ClearanceOr);

    /// <summary>How far breaks stay from ink, in millimetres.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double ClearanceOr => Read(Clearance, Clearances) ?? UsualClearance;

    /// <summary>How long waste may be, in millimetres.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double LongestOr => Read(Longest, Lengths) ?? UsualLongest;

    /// <summary>What cannot be used of it, each with its field.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<Finding> Problems
    {
        get
        {
            var unread = new (string Field, TypedLength Typed, LengthRange Range)[]
            {
                ("margin", Margin, Margins),
                ("clearance", Clearance, Clearances),
                ("longest", Longest, Lengths),
            }
                .Where(l => !l.Typed.IsEmpty)
                .Select(l => (l.Field, l.Typed.Read(l.Range).Problem))
                .Where(l => l.Problem is not null)
                .Select(l => Finding.Unusable(l.Field, l.Problem!))
                .ToList();
            // A box nearer than that would leave no room for a break to end in.
            return unread.Count == 0 && MarginOr < ClearanceOr
                ?
                [
                    Finding.Unusable(
                        "margin",
                        Phrase.Say($"The box stands out at least as far as breaks keep clear of the ink: {Length.Mm(ClearanceOr):fine}.")
                    ),
                ]
                : unread;
        }
    }

    private static double? Read(TypedLength typed, LengthRange range) =>
        typed.IsEmpty ? null : typed.Read(range).ValueOrDefault?.Value.Millimetres;
}

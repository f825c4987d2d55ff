using System.Security.Cryptography;
using System.Text.Json;
using System.Text.Json.Serialization;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Pieces;

/// <summary>
/// What of a run's set-up the fit of its pieces depends on. It is stated here, so that what is added to a set-up later changes no fit
/// until it is named, and a test tells of what is named neither here nor as something else.
/// </summary>
/// <param name="Blank">The blank as it was measured.</param>
/// <param name="Size">Which size of it.</param>
/// <param name="Zone">Which zone.</param>
/// <param name="Motif">The motif.</param>
/// <param name="Film">The film of parts that name none: its limits are looked at.</param>
/// <param name="Films">The films that parts name.</param>
/// <param name="Sides">Other sides of the same pieces.</param>
/// <param name="Sizing">How pieces are sized.</param>
/// <param name="LetterHeight">The letter height of all, where they share one.</param>
/// <param name="ScaleTyped">The scale of all, where they share one.</param>
/// <param name="GroupBy">The field that groups them.</param>
/// <param name="GroupHeights">The letter heights of groups.</param>
/// <param name="Placing">Where artwork may stand.</param>
/// <param name="Centring">What of it stands on the datum centre.</param>
/// <param name="Right">How far all of it is moved to the right.</param>
/// <param name="Up">How far up.</param>
/// <param name="Taper">How it takes to a tapered wall.</param>
/// <param name="Concessions">What is done for names that do not fit.</param>
public sealed record FitTerms(
    Pin? Blank,
    string Size,
    string Zone,
    Pin? Motif,
    Pin? Film,
    IReadOnlyList<Pin> Films,
    IReadOnlyList<RunSide> Sides,
    Sizing Sizing,
    TypedLength LetterHeight,
    string ScaleTyped,
    string GroupBy,
    IReadOnlyList<GroupHeight> GroupHeights,
    Placing Placing,
    Centring? Centring,
    TypedLength Right,
    TypedLength Up,
    TaperWay Taper,
    IReadOnlyList<Concession> Concessions
)
{
    /// <summary>The terms of a set-up.</summary>
    public static FitTerms Of(RunSetUp run)
    {
        ArgumentNullException.ThrowIfNull(run);
        return new FitTerms(
            run.Blank,
            run.Size,
            run.Zone,
            run.Motif,
            run.Film,
            run.Films,
            run.Sides,
            run.Sizing,
            run.LetterHeight,
            run.ScaleTyped,
            run.GroupBy,
            run.GroupHeights,
            run.Placing,
            run.Centring,
            run.Right,
            run.Up,
            run.Taper,
            run.Concessions
        );
    }

    /// <summary>Tells apart terms on which a fit could differ.</summary>
    [JsonIgnore]
    public string Key => Convert.ToHexString(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(this)), 0, BytesOfKey);

    private const int BytesOfKey = 12;
}

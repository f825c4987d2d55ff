using System.Text.Json.Serialization;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Core.Findings;

/// <summary>
/// Something that was noticed, of whatever was looked at: a reading, a field, a line of a list, a part of a motif, a piece.
/// </summary>
/// <param name="Rule">What was looked for.</param>
/// <param name="Severity">How serious it is.</param>
/// <param name="Message">It in words.</param>
public sealed record Finding(Rule Rule, Severity Severity, Phrase Message)
{
    /// <summary>The piece of a run that it is about, by its id; empty where it is none or goes without saying.</summary>
    public string Piece { get; init; } = "";

    /// <summary>The side of the piece, by its id; the first has none.</summary>
    public string Side { get; init; } = "";

    /// <summary>The part of a motif, by its id; empty for the whole.</summary>
    public string Part { get; init; } = "";

    /// <summary>The fields that it is about, as their document names them.</summary>
    public IReadOnlyList<string> Fields { get; init; } = [];

    /// <summary>The line of a list, from 1; 0 for the whole list or where there is none.</summary>
    public int Line { get; init; }

    /// <summary>Where it is, the worst first; millimetres, y up, the coordinates of what is looked at.</summary>
    public IReadOnlyList<PlanePoint> Places { get; init; } = [];

    /// <summary>What was found, when it is a figure: millimetres, or a share for strain.</summary>
    public double? Figure { get; init; }

    /// <summary>What is allowed, in the unit of the figure.</summary>
    public double? Limit { get; init; }

    /// <summary>How far the figure lies beyond its limit, as a share of the limit; the heavier comes first.</summary>
    public double Weight => Figure is { } figure && Limit is { } limit && limit != 0 ? Math.Abs((limit - figure) / limit) : 0;

    /// <summary>What would mend it, each by itself.</summary>
    public IReadOnlyList<Remedy> Remedies { get; init; } = [];

    /// <summary>The reason for which it is kept as it is; empty where it is not.</summary>
    public string Kept { get; init; } = "";

    /// <summary>
    /// Whether it can be kept as it is: what a film bears is the maker's to judge. What would be cut wrong, or not at all, is not.
    /// </summary>
    public bool MayBeKept =>
        Rule
            is Rule.ThinStrokes
                or Rule.NarrowGaps
                or Rule.Specks
                or Rule.Counters
                or Rule.LooseParts
                or Rule.WideTies
                or Rule.DoubledCuts
                or Rule.CrossedCuts
                or Rule.FilmStrain
                or Rule.SidesOverlap;

    /// <summary>The layer of film that it is about, as checks name it; empty where it is none.</summary>
    [JsonIgnore]
    public string Layer { get; init; } = "";

    /// <summary>Whether nothing may be made until it is mended.</summary>
    [JsonIgnore]
    public bool Stops => Severity == Severity.Stop;

    /// <summary>A field that cannot be used as it was typed.</summary>
    /// <param name="field">The field, as its document names it.</param>
    /// <param name="message">What is wrong with it.</param>
    public static Finding Unusable(string field, Phrase message) => new(Rule.Unusable, Severity.Stop, message) { Fields = [field] };

    /// <summary>Something that is lacking before anything can be made.</summary>
    /// <param name="field">Where it would be chosen.</param>
    /// <param name="message">What it is.</param>
    public static Finding Lacking(string field, Phrase message) => new(Rule.Lacking, Severity.Stop, message) { Fields = [field] };
}

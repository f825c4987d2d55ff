using Cabida.Core.Findings;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Lists;

/// <summary>A line of a list exchanged or taken away; the others stay as they were typed.</summary>
/// <param name="Line">The line, from 1.</param>
/// <param name="Instead">What stands there instead, several lines too; null to take it away.</param>
internal sealed record LineChange(int Line, string? Instead) : Change<Run>
{
    /// <inheritdoc/>
    public override int Order => Line;

    /// <summary>It as a remedy.</summary>
    public Remedy Offered(string words) => new(FormattableString.Invariant($"{Line} {Instead}"), Phrase.Say($"{words}")) { Change = this };

    /// <inheritdoc/>
    public override Run Of(Run document)
    {
        var lines = document.List.NamesTyped.ReplaceLineEndings("\n").Split('\n').ToList();
        if (Line < 1 || Line > lines.Count)
        {
            return document;
        }

        lines.RemoveAt(Line - 1);
        if (Instead is not null)
        {
            lines.Insert(Line - 1, Instead);
        }

        return document with
        {
            List = document.List with { NamesTyped = string.Join('\n', lines) },
        };
    }
}

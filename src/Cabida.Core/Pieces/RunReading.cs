using Cabida.Core.Blanks;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Lists;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Pieces;

/// <summary>A run with what it pins → what its pieces stand on, or what it lacks.</summary>
public static class RunReading
{
    /// <summary>Reads a run.</summary>
    /// <param name="id">Which run.</param>
    /// <param name="revision">Its revision.</param>
    /// <param name="run">The run.</param>
    /// <param name="pinned">What it pins.</param>
    /// <param name="atHand">The typefaces and graphics at hand.</param>
    public static ReadRun Of(string id, int revision, Run run, PinnedDocuments pinned, AtHand atHand)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(pinned);
        ArgumentNullException.ThrowIfNull(atHand);
        var (setUp, blank, motif, film) = (run.SetUp, pinned.Blank, pinned.Motif, pinned.Film);
        var sheet = blank is null ? null : BlankSheet.Of(blank);
        var size = sheet?.SizeOf(setUp.Size);
        var laid = size?.ZoneOf(setUp.Zone);
        var height = setUp.LetterHeight.Read(LengthRange.Artwork);
        var lacks = new List<Finding>();
        Lacking(blank is null, "blank", Phrase.Say($"Choose a blank from the shelf."));
        Lacking(
            blank is not null && setUp.Size.Length > 0 && size?.Size != setUp.Size,
            "blank",
            Phrase.Say($"{blank?.Name:strong} has no size {setUp.Size} any more. Choose one it has.")
        );
        Lacking(
            blank is not null && setUp.Zone.Length > 0 && laid is null,
            "blank",
            Phrase.Say($"The zone this run was for is no longer on {blank?.Name:strong}. Choose another.")
        );
        Lacking(
            blank is not null && (laid is not null || setUp.Zone.Length == 0) && laid?.Zone is null,
            "blank",
            laid?.Problem is { } none
                ? Phrase.Say($"{blank?.Name:strong} has no room to work on: {none}")
                : Phrase.Say(
                    $"{blank?.Name:strong} has no room to work on yet. Finish measuring it on the shelf, then take its newer readings here."
                )
        );
        Lacking(motif is null, "motif", Phrase.Say($"Choose a motif."));
        Lacking(motif is not null && motif.Parts.Count == 0, "motif", Phrase.Say($"{motif?.Name:strong} has no parts yet."));
        var wrong = motif is null
            ? null
            : MotifProblems.Of(motif, atHand.Faces, atHand.Graphics).FirstOrDefault(p => !p.Fields.Contains("name"));
        Lacking(wrong is not null, "motif", Phrase.Say($"{motif?.Name:strong} has something to mend: {wrong?.Message ?? Phrase.Empty}"));
        Lacking(film is null, "film", Phrase.Say($"Choose a film."));
        // By other limits than were meant, what is too thin would pass unseen.
        foreach (var one in pinned.Films.Values.Prepend(film).OfType<Film>())
        {
            var limit = StockProblems.OfLimits(one) is [var first, ..] ? first.Message : null;
            Lacking(
                limit is not null,
                "film",
                Phrase.Say(
                    $"A limit of {one.Name:strong} cannot be used: {limit ?? Phrase.Empty} Mend it in the stock, then take the newer "
                        + $"film here."
                )
            );
        }

        Lacking(setUp.Sizing == Sizing.OneLetterHeight && !height.Ok, "letterHeight", height.Problem ?? Phrase.Empty);
        Lacking(
            setUp.Sizing == Sizing.OneScale && RunBasis.ScaleOf(setUp.ScaleTyped) is null,
            "scale",
            Phrase.Say($"Type the scale of all in hundredths of the motif’s own size, from 1 to 10000: 100 is as it was composed.")
        );
        Lacking(run.Pieces.Count == 0, "names", Phrase.Say($"Type the names, one a line."));
        var sides = SidesOf(setUp, pinned, size, lacks, atHand);
        // A row that names a size is never made on another.
        var sizesNamed = run
            .Pieces.Select(p => p.ValueOf(NameList.Size))
            .Where(s => s.Length > 0 && blank?.Surface == SurfaceKind.Garment)
            .Distinct(ReadRun.Sizes)
            .ToList();
        var others = (sheet?.Sizes ?? []).Where(s => s.Size != size?.Size && sizesNamed.Contains(s.Size, ReadRun.Sizes)).ToList();
        var unknown = sizesNamed.Where(n => sheet?.Sizes.Any(s => ReadRun.Sizes.Equals(s.Size, n)) == false).ToList();
        Lacking(
            unknown.Count > 0,
            "names",
            Phrase.Say(
                $"Rows of the list are of size {string.Join(", ", unknown):strong}, which {blank?.Name} does not have. It has "
                    + $"{string.Join(", ", sheet?.Sizes.Select(s => s.Size) ?? [])}."
            )
        );
        foreach (var other in others)
        {
            var lacking = sides.Select(s => s.Side.Zone).Prepend(setUp.Zone).Select(other.ZoneOf).FirstOrDefault(z => z?.Zone is null);
            Lacking(
                lacking is not null,
                "blank",
                Phrase.Say($"Rows of the list are of size {other.Size}, which has no room to work on: {lacking?.Problem ?? Phrase.Empty}")
            );
        }

        if (lacks.Count > 0)
        {
            return new ReadRun(id, revision, run, blank, sheet, motif, film, pinned.Cutter, null, lacks);
        }

        // A side that is the same on every piece has no size of a set to keep to.
        var same = setUp with { Sizing = Sizing.EachLargest };
        FitBasis BasisOn(SizeSheet on, LaidZone zone, Motif of) =>
            RunBasis.Of(of == motif || Fields.In(of).Count > 0 ? setUp : same, pinned, on, zone, of, atHand);
        ReadSurface SurfaceOn(SizeSheet on) =>
            new(
                on,
                on.ZoneOf(setUp.Zone)!,
                BasisOn(on, on.ZoneOf(setUp.Zone)!, motif!),
                [
                    .. sides
                        .Select(s => (s.Side, s.Motif, Laid: on.ZoneOf(s.Side.Zone)!))
                        .Select(s => new ReadSide(s.Side, s.Motif, s.Laid, BasisOn(on, s.Laid, s.Motif))),
                ]
            );
        return new ReadRun(id, revision, run, blank, sheet, motif, film, pinned.Cutter, SurfaceOn(size!), lacks)
        {
            BySize = others.ToDictionary(s => s.Size, SurfaceOn, ReadRun.Sizes),
        };

        void Lacking(bool isLacking, string field, Phrase message)
        {
            if (isLacking)
            {
                lacks.Add(Finding.Lacking(field, message));
            }
        }
    }

    private static List<(RunSide Side, Motif Motif)> SidesOf(
        RunSetUp run,
        PinnedDocuments pinned,
        SizeSheet? size,
        List<Finding> lacks,
        AtHand atHand
    )
    {
        var sides = new List<(RunSide, Motif)>();
        // Two that cannot be told apart were kept before ids were looked at: the second counts for nothing.
        foreach (var (side, number) in run.Sides.Select((s, i) => (s, i + 2)).DistinctBy(s => s.s.Id))
        {
            var (motif, laid) = (pinned.SideMotifs[number - 2], size?.ZoneOf(side.Zone));
            var wrong = motif is null
                ? null
                : MotifProblems.Of(motif, atHand.Faces, atHand.Graphics).FirstOrDefault(p => !p.Fields.Contains("name"));
            if (motif is null || motif.Parts.Count == 0 || wrong is not null)
            {
                lacks.Add(
                    Finding.Lacking(
                        "sides",
                        wrong is null
                            ? Phrase.Say($"Choose a motif with parts for side {number}.")
                            : Phrase.Say($"{motif?.Name:strong} has something to mend: {wrong.Message}")
                    )
                );
            }
            else if (size is not null && laid?.Zone is null)
            {
                lacks.Add(
                    Finding.Lacking(
                        "sides",
                        Phrase.Say(
                            $"Side {number} has no room to work on: {laid?.Problem ?? Phrase.Say($"its zone is no longer on the blank.")}"
                        )
                    )
                );
            }
            else if (laid is not null)
            {
                sides.Add((side, motif));
            }
        }

        return sides;
    }
}

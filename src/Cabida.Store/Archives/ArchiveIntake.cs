using Cabida.Core.Wording;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>A document of an archive that is to be brought in, with all that belongs to it.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Which one.</param>
/// <param name="Takes">Whether it takes the place of what is here, where that differs; else what is here stays.</param>
public sealed record ArchiveChoice(string Kind, string Id, bool Takes);

/// <summary>What came of bringing documents in.</summary>
/// <param name="Added">How many are here now that were not.</param>
/// <param name="Replaced">How many took the place of what was here.</param>
/// <param name="Kept">How many are here as they were, being the same or wanted so.</param>
public sealed record ArchiveBrought(int Added, int Replaced, int Kept);

/// <summary>
/// Brings documents of an archive into a library that has others. What never was here comes with its whole past; what is here keeps its
/// own, and a state of there is one more of it. What pins a revision there pins the same state here.
/// </summary>
public sealed class ArchiveIntake(CabidaContext db, TimeProvider clock)
{
    private readonly RevisionTexts texts = new(db);
    private readonly Dictionary<long, long> changes = [];
    private readonly PinMap pins = new();
    private long? ownChange;

    /// <summary>Brings them in: all of it or nothing.</summary>
    /// <exception cref="NotWorkableException">Something of it cannot be read or used.</exception>
    public async Task<ArchiveBrought> Bring(
        Archive archive,
        IReadOnlyList<ArchiveChoice> choices,
        Func<ArchiveAbout, byte[], Phrase?> gate,
        CancellationToken stop = default
    )
    {
        ArgumentNullException.ThrowIfNull(archive);
        ArgumentNullException.ThrowIfNull(choices);
        ArgumentNullException.ThrowIfNull(gate);
        var takes = choices.Where(c => c.Takes).Select(c => (c.Kind, c.Id)).ToHashSet();
        var closure = new ArchiveClosure(archive);
        var all = closure.Of(choices.Select(c => (c.Kind, c.Id)));
        await using var transaction = await db.Database.BeginTransactionAsync(stop);
        await ArchiveKept.Add(db, archive, Wanted(archive, all), gate, stop);
        var pinned = Pinned(archive, all);
        var (added, replaced, kept) = (0, 0, 0);
        // What is pinned comes before what pins it.
        foreach (var (kind, id) in all.OrderBy(d => d.Kind == DocumentKinds.Run || d.Kind == DocumentKinds.Offer))
        {
            var about = archive.Documents.First(d => d.Kind == kind.Kind && d.Id == id);
            var compared = await new ArchiveComparison(db).Of(archive, kind, about, stop);
            if (compared.Problem is { } problem)
            {
                throw new NotWorkableException(Phrase.Say($"{about.Name:strong} ({kind.Kind}) cannot be taken. {problem}"));
            }

            // What is referred to and was removed here has to come back.
            var isTaken = compared.Standing == ArchiveStanding.Removed || takes.Contains((kind.Kind, id));
            if (compared.Standing == ArchiveStanding.New)
            {
                await AddWhole(archive, kind, id, about, stop);
                added++;
            }
            else
            {
                await Join(archive, kind, id, about, pinned, isTaken && compared.Standing != ArchiveStanding.Same, stop);
                (added, replaced, kept) =
                    compared.Standing == ArchiveStanding.Removed ? (added + 1, replaced, kept)
                    : isTaken && compared.Standing == ArchiveStanding.Differs ? (added, replaced + 1, kept)
                    : (added, replaced, kept + 1);
            }
        }

        await transaction.CommitAsync(stop);
        db.ChangeTracker.Clear();
        return new ArchiveBrought(added, replaced, kept);
    }

    /// <summary>Brings in what never was here, under its own revisions.</summary>
    private async Task AddWhole(Archive archive, DocumentKind kind, string id, DocumentAbout about, CancellationToken stop)
    {
        var there = archive.Changes();
        foreach (var row in kind.Rows)
        {
            var states = archive.States(row.Kind, id);
            foreach (var change in states.Select(s => s.Change).Distinct().Order())
            {
                await ChangeOf(there, change, stop);
            }

            await StateRows.Add(
                db,
                row.Kind,
                id,
                states.Select(s =>
                    s.Text is null ? s
                    : pins.In(row, s.Form, s.Text) is var (form, text) ? s with { Form = form, Text = text }
                    : s
                ),
                c => changes[c],
                stop
            );
            await StateRows.Stand(db, row.Kind, id, "", about.CreatedAt, about.ChangedAt, stop);
        }
    }

    /// <summary>Has the states of there that are pinned, and the last where it is taken, be states of what is here.</summary>
    private async Task Join(
        Archive archive,
        DocumentKind kind,
        string id,
        DocumentAbout about,
        ILookup<(string, string), int> pinned,
        bool isTaken,
        CancellationToken stop
    )
    {
        foreach (var row in kind.Rows)
        {
            var there = archive.States(row.Kind, id);
            var known = await Known(row, id, stop);
            var standing = await DocumentHistory.Last(db, row.Kind, id, stop);
            var added = false;
            foreach (var revision in pinned[(row.Kind, id)].Distinct().Order())
            {
                if (there.ElementAtOrDefault(revision - 1) is not { Text: { } text } state)
                {
                    continue;
                }

                if (!known.TryGetValue(ArchiveComparison.Normal(row, state.Form, text), out var found))
                {
                    found = await Append(row, id, state.Form, text, await NewChange($"Bring in {about.Name} as it was there", stop), stop);
                    known[ArchiveComparison.Normal(row, state.Form, text)] = found;
                    added = true;
                }

                pins.Add(row.Kind, id, revision, found);
            }

            if (isTaken && there is [.., { Text: { } last } state2])
            {
                var (form, mapped) = pins.In(row, state2.Form, last);
                await Append(row, id, form, mapped, await OwnChange(stop), stop);
            }
            else if (added && standing is { Gone: false } && await texts.Of(standing, stop) is { } mine)
            {
                await Append(row, id, standing.Form, mine, await NewChange($"Keep {about.Name} as it is here", stop), stop);
            }
            else if (!added)
            {
                continue;
            }

            var now = clock.GetUtcNow().UtcDateTime;
            var created = await CreatedAt(row.Kind, id, stop) ?? now;
            await StateRows.Stand(db, row.Kind, id, "", created, now, stop);
        }
    }

    private Task<DateTime?> CreatedAt(string kind, string id, CancellationToken stop) =>
        db.Documents.Where(d => d.Kind == kind && d.Id == id).Select(d => (DateTime?)d.CreatedAt).FirstOrDefaultAsync(stop);

    /// <summary>The states that are here, by their texts, with the last revision of each.</summary>
    private async Task<Dictionary<string, int>> Known(RowKind row, string id, CancellationToken stop)
    {
        var known = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var revision in db.Revisions.Where(r => r.Kind == row.Kind && r.Id == id && !r.Gone).OrderBy(r => r.Revision).ToList())
        {
            if (await texts.Of(revision, stop) is { } text)
            {
                known[ArchiveComparison.Normal(row, revision.Form, text)] = revision.Revision;
            }
        }

        db.ChangeTracker.Clear();
        return known;
    }

    private async Task<int> Append(RowKind row, string id, int form, string text, long change, CancellationToken stop)
    {
        var last = await DocumentHistory.Last(db, row.Kind, id, stop);
        var packed = await texts.Pack(row.Kind, id, last, text, stop);
        var next = new RevisionRow
        {
            Kind = row.Kind,
            Id = id,
            Revision = (last?.Revision ?? 0) + 1,
            Replaced = last is null ? null : last.Restored ?? last.Revision,
            Form = form,
            Packed = packed.Packed,
            BasedOn = packed.BasedOn,
            ChangeSetId = change,
        };
        db.Revisions.Add(next);
        await db.SaveChangesAsync(stop);
        db.ChangeTracker.Clear();
        return next.Revision;
    }

    /// <summary>The change here that is one of there: with its words and its time.</summary>
    private async Task ChangeOf(IReadOnlyDictionary<long, ArchivedChange> there, long change, CancellationToken stop)
    {
        if (!changes.ContainsKey(change))
        {
            changes[change] = there.TryGetValue(change, out var known)
                ? await Add(known.At, known.Words, stop)
                : throw new NotWorkableException(Phrase.Say($"It names a change that is not in it: it was changed or damaged."));
        }
    }

    private async Task<long> OwnChange(CancellationToken stop) => ownChange ??= await NewChange("Bring in from an archive", stop);

    private Task<long> NewChange(string words, CancellationToken stop) => Add(clock.GetUtcNow().UtcDateTime, words, stop);

    private async Task<long> Add(DateTime at, string words, CancellationToken stop)
    {
        var row = new ChangeSetRow { At = at, Words = words };
        db.ChangeSets.Add(row);
        await db.SaveChangesAsync(stop);
        db.ChangeTracker.Clear();
        return row.Id;
    }

    /// <summary>Which revisions of what are pinned by any state of what comes in.</summary>
    private static ILookup<(string, string), int> Pinned(Archive archive, IReadOnlyList<(DocumentKind Kind, string Id)> all) =>
        all.SelectMany(d => d.Kind.Rows.SelectMany(row => archive.States(row.Kind, d.Id).Select(s => (row, s))))
            .Where(s => s.s.Text is not null)
            .SelectMany(s => s.row.ReferencesIn(s.s.Form, s.s.Text!))
            .Where(r => r.Revision is not null)
            .ToLookup(r => (r.Kind, r.Id), r => r.Revision!.Value);

    /// <summary>What is kept beside documents and named by any state of what comes in.</summary>
    private static Func<ArchiveAbout, bool> Wanted(Archive archive, IReadOnlyList<(DocumentKind Kind, string Id)> all)
    {
        var said = all.SelectMany(d => d.Kind.Rows.SelectMany(row => archive.States(row.Kind, d.Id)))
            .Select(s => s.Text)
            .OfType<string>()
            .ToList();
        return about =>
            about switch
            {
                PictureAbout p => Names(p.Id),
                TypefaceAbout t => Names(t.Id),
                OutlinesAbout o => Names(o.Id),
                CutFileAbout f => Names(f.Id),
                _ => false,
            };

        bool Names(string id) => said.Exists(t => t.Contains($"\"{id}\"", StringComparison.Ordinal));
    }
}

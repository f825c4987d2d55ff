using System.Text.Json;
using Cabida.Core.Findings;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Remedies;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Runs;

/// <summary>Makes remedies of a run: of the run alone, or of its motif and the run that takes it, as one change.</summary>
internal static class RunMending
{
    /// <summary>A run with remedies made and its motifs with theirs; null where one of them is not offered.</summary>
    public static (Run Run, IReadOnlyList<MotifMend> Motifs)? Mended(Run run, IEnumerable<Finding> findings, IReadOnlyList<string> chosen)
    {
        var offered = findings.SelectMany(f => f.Remedies).Where(r => r.Refused is null).ToList();
        var motifs = offered.Where(r => r.Change is MotifMend && chosen.Contains(r.Id)).DistinctBy(r => r.Id).ToList();
        var others = chosen.Except(motifs.Select(m => m.Id)).ToList();
        var changed = others.Count == 0 ? run : Remedying.Mended(run, findings, others);
        return changed is null || chosen.Count == 0 ? null : (changed, [.. motifs.Select(m => (MotifMend)m.Change!)]);
    }

    /// <summary>A run as it would be with remedies; nothing of it is kept.</summary>
    public static async Task<ReadRun> Read(
        ReadRun run,
        Run changed,
        IReadOnlyList<MotifMend> motifs,
        RunReader reader,
        CancellationToken stop
    )
    {
        var pinned = await reader.Pinned(changed.SetUp, stop);
        foreach (var mend in motifs)
        {
            var side = changed.SetUp.Sides.ToList().FindIndex(s => s.Id == mend.Side);
            pinned =
                side < 0
                    ? pinned with
                    {
                        Motif = pinned.Motif is { } own ? mend.Of(own) : null,
                    }
                    : pinned with
                    {
                        SideMotifs = [.. pinned.SideMotifs.Select((m, i) => i == side && m is not null ? mend.Of(m) : m)],
                    };
        }

        return reader.Read(new Stored<Run>(run.Id, run.Revision, default, default, changed), pinned);
    }

    /// <summary>Makes remedies that were offered.</summary>
    public static async Task<Results<Ok<RunView>, ProblemHttpResult>> Mend(
        string id,
        RemediesChosen chosen,
        HttpContext http,
        Func<ReadRun, Task<IReadOnlyList<Finding>>> findings,
        CancellationToken stop
    )
    {
        var services = http.RequestServices;
        var (library, reader) = (services.GetRequiredService<Cabida.Store.Library>(), services.GetRequiredService<RunReader>());
        if (await library.Find(DocumentKinds.Run, id, stop) is not { } stored)
        {
            return LibraryEndpoints.Problem(new Written<Run>(null, Refusal.Missing), DocumentKinds.Run.Kind);
        }

        var offered = await findings(await reader.Read(stored, stop));
        if (
            Mended(stored.Document, offered, chosen.Remedies) is not { Motifs.Count: > 0 } mended
            || EntityTag.Read(http.Request)?.MadeFrom(stored.Revision) is not { } madeFrom
        )
        {
            return await Remedying.Mend<Run, RunView>(
                DocumentKinds.Run,
                id,
                chosen,
                http,
                _ => Task.FromResult<IEnumerable<Finding>>(offered),
                stop
            );
        }

        return await WithMotifs(stored, madeFrom, mended.Run, mended.Motifs, http, stop);
    }

    private static async Task<Results<Ok<RunView>, ProblemHttpResult>> WithMotifs(
        Stored<Run> stored,
        int madeFrom,
        Run changed,
        IReadOnlyList<MotifMend> motifs,
        HttpContext http,
        CancellationToken stop
    )
    {
        var services = http.RequestServices;
        var (library, views) = (services.GetRequiredService<Cabida.Store.Library>(), services.GetRequiredService<IViews<Run, RunView>>());
        var unit = new UnitOfWork($"Mend {stored.Document.Name}");
        var setUp = changed.SetUp;
        foreach (var of in motifs.GroupBy(m => PinOf(stored.Document.SetUp, m.Side)))
        {
            if (
                of.Key is not { } pin
                || await library.Find(DocumentKinds.Motif, pin.Id, stop) is not { } motif
                || !IsSame(motif.Document, await library.At(DocumentKinds.Motif, pin.Id, pin.Revision, stop))
            )
            {
                return TypedResults.Problem(
                    "The motif was changed since this run took it, so it cannot be mended from here. Take the newer one in the set-up "
                        + "first, or mend the pieces alone.",
                    statusCode: StatusCodes.Status409Conflict,
                    title: "The motif is newer"
                );
            }

            unit.Put(DocumentKinds.Motif, pin.Id, of.Aggregate(motif.Document, (m, mend) => mend.Of(m)), motif.Revision);
            // Whatever of this run is made with the motif takes it as it will be.
            Pin? Next(Pin? of) => of == pin ? pin with { Revision = motif.Revision + 1 } : of;
            setUp = setUp with { Motif = Next(setUp.Motif), Sides = [.. setUp.Sides.Select(s => s with { Motif = Next(s.Motif) })] };
        }

        unit.Put(DocumentKinds.Run, stored.Id, changed with { SetUp = setUp }, madeFrom);
        var made = await library.Make(unit, stop);
        var after = await library.Find(DocumentKinds.Run, stored.Id, stop);
        return await LibraryEndpoints.Answer(
            new Written<Run>(after, made.Refused, Revision: after?.Revision ?? 0),
            DocumentKinds.Run,
            http,
            views,
            services.GetRequiredService<Listings>(),
            stop
        );
    }

    /// <summary>Whether a motif still is what the run took; what was changed and taken back is.</summary>
    private static bool IsSame(Motif now, Motif? taken) =>
        JsonSerializer.Serialize(now, ApiJson.Options) == JsonSerializer.Serialize(taken, ApiJson.Options);

    private static Pin? PinOf(RunSetUp setUp, string side) =>
        side.Length == 0 ? setUp.Motif : setUp.Sides.FirstOrDefault(s => s.Id == side)?.Motif;
}

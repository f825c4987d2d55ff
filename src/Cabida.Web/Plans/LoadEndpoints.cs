using System.IO.Compression;
using Cabida.Core.Cutting;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Formats;
using Cabida.Formats.Cutting;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Plans;

/// <summary>What the files of a load measure, read back, and how long it takes.</summary>
/// <param name="FileName">Their name, without an ending.</param>
/// <param name="Width">The outer width of all that is cut, as it was read out of the SVG; millimetres.</param>
/// <param name="Height">Its outer height.</param>
/// <param name="Outlines">How many closed lines there are.</param>
/// <param name="Length">The length of all lines.</param>
/// <param name="Minutes">How long the blade takes.</param>
/// <param name="UpShare">The share of its way that it is lifted.</param>
/// <param name="Guard">What a program would show as the width of the load that takes the numbers of the SVG for something else.</param>
/// <param name="Numbers">What the cutter's program takes them for.</param>
/// <param name="Scale">What is made up for across and along, and the skew in degrees; null where the cutter was not proved.</param>
/// <param name="Knife">Whether HPGL holds what a knife asks for.</param>
/// <param name="Problem">Why no file may be used; null for none.</param>
internal sealed record LoadFilesView(
    string FileName,
    double Width,
    double Height,
    int Outlines,
    double Length,
    double Minutes,
    double UpShare,
    IReadOnlyList<SizeGuard> Guard,
    SvgNumbers Numbers,
    TruthView? Scale,
    bool Knife,
    string? Problem
);

/// <summary>What a cutter makes of a square.</summary>
internal sealed record TruthView(double Across, double Along, double SkewDegrees);

/// <summary>A released load as it is shown.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="ChangedAt">When something was written beside it last.</param>
/// <param name="Load">It.</param>
/// <param name="Drawn">How it looks; null where that is lost.</param>
/// <param name="Changed">The names of its pieces that were changed since.</param>
internal sealed record ReleasedView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    ReleasedLoad Load,
    DrawnLoad? Drawn,
    IReadOnlyList<string> Changed
);

/// <summary>Works released loads out as their pages show them.</summary>
internal sealed class ReleasedViews(KeptCutFiles files, WaitingRuns waiting, LayeredInks inks) : IViews<ReleasedLoad, ReleasedView>
{
    public async Task<ReleasedView> Of(Stored<ReleasedLoad> stored, CancellationToken stop)
    {
        var load = stored.Document;
        var now = (await waiting.Of(load.RunIds(), false, stop))
            .SelectMany(r => CutThing.Of(r.Run, r.Ready, load.FilmId, p => Enumerable.Range(1, p.Fit.Piece.Copies), inks))
            .ToDictionary(t => t.Id, t => t.InkKey);
        var drawn = await files.Find(load.Drawn, stop);
        return new ReleasedView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            load,
            drawn is null ? null : System.Text.Json.JsonSerializer.Deserialize<DrawnLoad>(drawn),
            [
                .. load
                    .Items.Where(i => now.TryGetValue(i.Id with { Section = 0 }, out var key) && key != i.InkHash)
                    .Select(i => i.Name)
                    .Distinct(),
            ]
        );
    }

    /// <summary>Frozen: only what was done with it since is taken from a page.</summary>
    public Task<ReleasedLoad> Tidy(ReleasedLoad incoming, ReleasedLoad stored, CancellationToken stop) =>
        Task.FromResult(stored with { Cuts = incoming.Cuts });
}

internal static class LoadEndpoints
{
    public static void MapLoads(this RouteGroupBuilder api)
    {
        var loads = api.MapGroup("/loads").WithTags("Loads");
        loads.MapLibrary<ReleasedLoad, ReleasedView>(DocumentKinds.Load);
        loads
            .MapGet(
                "/{id}/file",
                async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> (
                    string id,
                    string? format,
                    string? units,
                    PlanReader reader,
                    PlanLayer layer,
                    Cabida.Store.Library library,
                    KeptCutFiles files,
                    CancellationToken stop
                ) =>
                {
                    if (WantedFile.Of(format, units) is { Problem: { } unknown })
                    {
                        return TypedResults.Problem(unknown, statusCode: StatusCodes.Status422UnprocessableEntity);
                    }

                    var wanted = WantedFile.Of(format, units).Wanted!;
                    if (LoadIds.Read(id) is var (planId, number))
                    {
                        return
                            await reader.Find(planId, stop) is { } read
                            && await layer.Lay(read, stop) is var laid
                            && laid.Loads.FirstOrDefault(l => l.Number == number) is { } load
                            ? FileOf(laid, load, wanted)
                            : TypedResults.NotFound();
                    }

                    if (
                        await library.Find(DocumentKinds.Load, id, stop) is not { } released
                        || released.Document.Files.FirstOrDefault(f => wanted.Is(f.Format, f.Units)) is not { } kept
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    return await files.Find(kept.Hash, stop) is { } bytes
                        ? TypedResults.File(bytes, WrittenCut.MediaTypeOf(wanted.Format), kept.Name)
                        : TypedResults.Problem(
                            "The bytes that were released are not there any more, or are not what they were.",
                            statusCode: StatusCodes.Status500InternalServerError,
                            title: "The file was not given out"
                        );
                }
            )
            .WithName("GetCutFile");

        loads
            .MapGet(
                "/{id}/files",
                async Task<Results<Ok<LoadFilesView>, NotFound>> (string id, PlanReader reader, PlanLayer layer, CancellationToken stop) =>
                    LoadIds.Read(id) is var (planId, number)
                    && await reader.Find(planId, stop) is { } read
                    && await layer.Lay(read, stop) is var laid
                    && laid.Loads.FirstOrDefault(l => l.Number == number) is { } load
                        ? TypedResults.Ok(Measured(laid, load))
                        : TypedResults.NotFound()
            )
            .WithName("GetLoadFiles");

        api.MapGet(
                "/plans/{id}/files",
                async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> (
                    string id,
                    string? format,
                    string? units,
                    PlanReader reader,
                    PlanLayer layer,
                    CancellationToken stop
                ) =>
                {
                    if (WantedFile.Of(format, units) is { Problem: { } unknown })
                    {
                        return TypedResults.Problem(unknown, statusCode: StatusCodes.Status422UnprocessableEntity);
                    }

                    if (await reader.Find(id, stop) is not { } read || await layer.Lay(read, stop) is not { Loads.Count: > 0 } laid)
                    {
                        return TypedResults.NotFound();
                    }

                    return Zipped(laid, WantedFile.Of(format, units).Wanted!);
                }
            )
            .WithTags("Plans")
            .WithName("GetPlanFiles");
    }

    private static Results<FileContentHttpResult, NotFound, ProblemHttpResult> FileOf(LaidPlan laid, CutLoad load, WantedFile wanted)
    {
        if (WhyNot(laid) is { } why)
        {
            return NotGiven(why);
        }

        var cut = CutFile.Of(laid, load);
        var file = cut.As(wanted);
        return (cut.Problem ?? file.Problem) is { } problem
            ? NotGiven(problem)
            : TypedResults.File(file.Bytes, file.MediaType, load.FileName + file.Ending);
    }

    /// <summary>All loads of a plan in one archive; of PDF one file with a page a load.</summary>
    private static Results<FileContentHttpResult, NotFound, ProblemHttpResult> Zipped(LaidPlan laid, WantedFile wanted)
    {
        if (WhyNot(laid) is { } why)
        {
            return NotGiven(why);
        }

        var cuts = laid.Loads.Select(l => (Load: l, Cut: CutFile.Of(laid, l))).ToList();
        if (cuts.Select(c => c.Cut.Problem).OfType<string>().FirstOrDefault() is { } wrong)
        {
            return NotGiven(wrong);
        }

        using var zip = new MemoryStream();
        using (var archive = new ZipArchive(zip, ZipArchiveMode.Create, true))
        {
            foreach (var (load, cut) in cuts)
            {
                var file = cut.As(wanted);
                if (file.Problem is { } problem)
                {
                    return NotGiven(problem);
                }

                using var entry = archive.CreateEntry(load.FileName + file.Ending).Open();
                entry.Write(file.Bytes);
            }
        }

        var name = FormattableString.Invariant(
            $"{FileNames.Safe(laid.Read.Name)}_{laid.Loads.Count}-loads_{FileNames.Safe(laid.Read.Film!.Name)}.zip"
        );
        return TypedResults.File(zip.ToArray(), "application/zip", name);
    }

    private static string? WhyNot(LaidPlan laid) => Releasing.Pinned(laid)?.ToString();

    private static ProblemHttpResult NotGiven(string problem) =>
        TypedResults.Problem(problem, statusCode: StatusCodes.Status500InternalServerError, title: "The file was not given out");

    private static LoadFilesView Measured(LaidPlan laid, CutLoad load)
    {
        var cutter = laid.Read.Cutter!;
        var cut = CutFile.Of(laid, load);
        var file = cut.As(new WantedFile(CutFormat.Svg, cutter.SvgNumbers));
        var used = file.Read.Used ?? default;
        var time = cut.Time(cutter.Pace);
        var truth = CutterTruth.Of(PlanPlaces.CarrierOf(laid.Read.Plan, cutter)?.Proved ?? cutter.Rollers.Proved);
        return new LoadFilesView(
            load.FileName,
            used.Width,
            used.Height,
            file.Read.Outlines,
            file.Read.Length,
            time.Seconds / 60,
            time.LengthUp / Math.Max(1e-9, time.LengthUp + time.LengthDown),
            SizeGuard.Of(load.Sheet.Width, cutter.SvgNumbers),
            cutter.SvgNumbers,
            truth.IsTrue ? null : new TruthView(truth.Across, truth.Along, truth.Skew * 180 / Math.PI),
            cut.Knife is not null,
            cut.Problem ?? file.Problem
        );
    }
}

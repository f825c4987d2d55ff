using Cabida.Core.Bench;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Pieces;
using Cabida.Core.Wording;
using Cabida.Formats;
using Cabida.Formats.Svg;
using Cabida.Formats.Templates;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Bench;

/// <summary>A page of a template: what it prints.</summary>
internal sealed record TemplatePage(Box Box);

/// <summary>A line of a template.</summary>
internal sealed record TemplateLineView(StrokeKind Kind, string Path);

/// <summary>A template as a page shows it; millimetres, y up.</summary>
/// <param name="Problem">Why there is none.</param>
/// <param name="Box">What is printed.</param>
/// <param name="Ink">The ink as path data.</param>
/// <param name="Lines">Edges, folds, holes.</param>
/// <param name="Distances">How far the ink lies from each.</param>
/// <param name="Pages">The pages, row by row.</param>
/// <param name="Across">How many lie side by side.</param>
internal sealed record TemplateView(
    Phrase? Problem,
    Box? Box,
    string Ink,
    IReadOnlyList<TemplateLineView> Lines,
    IReadOnlyList<TemplateDistance> Distances,
    IReadOnlyList<TemplatePage> Pages,
    int Across
);

/// <summary>Templates to place pieces by, true to size.</summary>
internal static class TemplateEndpoints
{
    public static void MapTemplates(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}/template").WithTags("Bench");
        runs.MapGet(
                "",
                async Task<Results<Ok<TemplateView>, NotFound>> (
                    string id,
                    string? piece,
                    int? side,
                    string? paper,
                    RunReader reader,
                    FittedPieces fitted,
                    CancellationToken stop
                ) =>
                    await Read(id, piece, side, paper, reader, fitted, stop) is { } read
                        ? TypedResults.Ok(View(read))
                        : TypedResults.NotFound()
            )
            .WithName("GetTemplate");

        runs.MapGet(
                "/file",
                async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> (
                    string id,
                    string? piece,
                    int? side,
                    string? paper,
                    bool? inches,
                    RunReader reader,
                    FittedPieces fitted,
                    CancellationToken stop
                ) =>
                {
                    if (await Read(id, piece, side, paper, reader, fitted, stop) is not { } read)
                    {
                        return TypedResults.NotFound();
                    }

                    if (read.Template.ValueOrDefault is not { } template || read.Tiling.ValueOrDefault is not { } tiling)
                    {
                        return Gate.CannotBeWorkedOut(read.Template.Problem ?? read.Tiling.Problem!);
                    }

                    var pdf = TemplatePdf.Write(template, tiling, $"{read.Run.Run.Name}, {read.Name}", inches == true);
                    var name = FileNames.Safe($"{read.Run.Run.Name} {read.Name}");
                    return TypedResults.File(pdf, "application/pdf", $"{name}_template_{tiling.Paper.Name.ToLowerInvariant()}.pdf");
                }
            )
            .WithName("GetTemplateFile");
    }

    private sealed record ReadTemplate(ReadRun Run, string Name, Outcome<PlacingTemplate> Template, Outcome<PaperTiling> Tiling);

    private static async Task<ReadTemplate?> Read(
        string id,
        string? pieceId,
        int? side,
        string? paper,
        RunReader reader,
        FittedPieces fitted,
        CancellationToken stop
    )
    {
        if (
            await reader.Find(id, stop) is not { Basis: not null } run
            || run.Run.Pieces.FirstOrDefault(p => string.IsNullOrEmpty(pieceId) || p.Id == pieceId) is not { } piece
        )
        {
            return null;
        }

        var on = run.SurfaceOf(piece);
        var sides = on.All.Select(s => s.Laid).ToList();
        var fits = fitted.Of(run, piece).Fits.ToList();
        var at = side ?? 0;
        if (at < 0 || at >= sides.Count || at >= fits.Count)
        {
            return null;
        }

        var template = PlacingTemplate.Of(on.Sheet, sides[at], fits[at]);
        var tiling = template.ValueOrDefault is { } made
            ? PaperTiling.Of(made.Box, paper == "letter" ? Paper.Letter : Paper.A4)
            : Outcome<PaperTiling>.Fail(template.Problem!);
        return new ReadTemplate(run, piece.Name, template, tiling);
    }

    private static TemplateView View(ReadTemplate read)
    {
        if (read.Template.ValueOrDefault is not { } template)
        {
            return new TemplateView(read.Template.Problem, null, "", [], [], [], 0);
        }

        var tiling = read.Tiling.ValueOrDefault;
        var pages =
            from row in Enumerable.Range(0, tiling?.Down ?? 0)
            from column in Enumerable.Range(0, tiling?.Across ?? 0)
            select new TemplatePage(tiling!.PageBox(column, row));
        return new TemplateView(
            read.Tiling.Problem,
            template.Box,
            SvgPath.Of(template.Ink, Tolerances.File),
            [.. template.Lines.Select(l => new TemplateLineView(l.Kind, PathOf(l)))],
            template.Distances,
            [.. pages],
            tiling?.Across ?? 0
        );
    }

    private static string PathOf(TemplateLine line) =>
        string.Concat(line.Points.Select((p, i) => FormattableString.Invariant($"{(i == 0 ? 'M' : 'L')}{p.X:0.###} {p.Y:0.###}")))
        + (line.Closed ? "Z" : "");
}

using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Formats;
using Cabida.Formats.Cutting;
using Cabida.Store;
using Cabida.Web.Plans;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Stock;

/// <summary>
/// The squares of 100 by which a cutter is found out: one in every way that a program may take an SVG's numbers (the test square,
/// calculations 6.10), and one that is measured once it is cut (the proving square, 6.12).
/// </summary>
internal static class SquareEndpoints
{
    /// <summary>What is left free around the square; millimetres.</summary>
    private const double Around = 10;

    public static void MapSquares(this RouteGroupBuilder api) =>
        api.MapGet(
                "/cutters/{id}/square",
                async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> (
                    string id,
                    string? format,
                    string? units,
                    Cabida.Store.Library library,
                    CancellationToken stop
                ) =>
                {
                    if (WantedFile.Of(format, units) is { Problem: { } unknown })
                    {
                        return TypedResults.Problem(unknown, statusCode: StatusCodes.Status422UnprocessableEntity);
                    }

                    if (await library.Find(DocumentKinds.Cutter, id, stop) is not { } cutter)
                    {
                        return TypedResults.NotFound();
                    }

                    var wanted = WantedFile.Of(format, units).Wanted!;
                    var knife = DragKnife.Of(cutter.Document.Blade);
                    var file = WrittenCut.Of(Square(cutter.Document.Name), wanted.Format, wanted.Units, knife);
                    var numbers = wanted.Format == CutFormat.Svg ? $"_{units ?? "mm"}" : "";
                    return file.Problem is { } problem
                        ? TypedResults.Problem(problem, statusCode: StatusCodes.Status500InternalServerError)
                        : TypedResults.File(
                            file.Bytes,
                            file.MediaType,
                            $"square-of-100_{FileNames.Safe(cutter.Document.Name)}{numbers}{file.Ending}"
                        );
                }
            )
            .WithTags("Stock")
            .WithName("GetSquare");

    private static CutDrawing Square(string cutter)
    {
        var square = Outlines.Rectangle(new Box(Around, Around, Around + ProvingSquare.Side, Around + ProvingSquare.Side));
        const double sheet = ProvingSquare.Side + (2 * Around);
        return new CutDrawing(
            $"A square of 100 for {cutter}",
            sheet,
            sheet,
            [new CutLayer("Square", "#23282c", [CutGroups.OfInk("Square of 100", square)])]
        );
    }
}

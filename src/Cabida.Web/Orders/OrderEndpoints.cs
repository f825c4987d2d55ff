using System.ComponentModel.DataAnnotations;
using System.Diagnostics;
using System.Globalization;
using System.Text;
using Cabida.Core.Documents;
using Cabida.Core.Orders;
using Cabida.Core.Wording;
using Cabida.Devices.Shop;
using Cabida.Formats.Orders;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Orders;

/// <summary>An order that is typed.</summary>
/// <param name="Number">Its number; empty for the next of the day.</param>
/// <param name="Customer">Who orders.</param>
internal sealed record NewOrder(
    [property: MaxLength(DocumentGate.LongestName)] string Number,
    [property: MaxLength(DocumentGate.LongestName)] string Customer
);

/// <summary>Orders that are taken.</summary>
/// <param name="Ids">Which.</param>
internal sealed record OrdersToTake([property: MaxLength(20_000)] IReadOnlyList<string> Ids);

/// <summary>An order that could not be taken.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Reason">Why.</param>
internal sealed record NotTaken(string Id, Phrase Reason);

/// <summary>What was taken of orders.</summary>
/// <param name="Jobs">The jobs they became, or belong to.</param>
/// <param name="NotTaken">Those that could not be.</param>
/// <param name="Left">Those that were not come to in time; ask again for them.</param>
internal sealed record OrdersTaken(IReadOnlyList<string> Jobs, IReadOnlyList<NotTaken> NotTaken, IReadOnlyList<string> Left);

/// <summary>Orders in: brought as files, typed, taken; and out: how far their pieces are.</summary>
internal static class OrderEndpoints
{
    /// <summary>A little more than a list may have, so that the reason can be told.</summary>
    private const long MostBytes = 40_000_000;

    /// <summary>So long a request takes orders; what is left is asked for again.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(1);

    public static void MapOrders(this RouteGroupBuilder api)
    {
        var orders = api.MapGroup("/orders").WithTags("Orders");
        orders
            .MapGet("", async Task<Ok<Listing<OrderCard>>> (Listings listings, OrderViews views, CancellationToken stop) =>
                TypedResults.Ok(
                    await listings.Of(
                        DocumentKinds.Order,
                        o => views.CardOf(o, stop),
                        stop,
                        all =>
                            all.OrderBy(o => o.Document.On, StringComparer.Ordinal).ThenBy(o => o.Document.Number, StringComparer.Ordinal)
                    )
                )
            )
            .WithName("ListOrders");

        orders
            .MapPost(
                "",
                async Task<Results<Ok<OrderView>, ProblemHttpResult>> (
                    NewOrder wanted,
                    Cabida.Store.Library library,
                    IViews<Order, OrderView> views,
                    TimeProvider clock,
                    CancellationToken stop
                ) =>
                {
                    var number = wanted.Number.Trim();
                    var today = clock.GetLocalNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
                    for (var i = 1; number.Length == 0; i++)
                    {
                        var next = FormattableString.Invariant($"{today} no. {i}");
                        number = await library.RevisionOf(DocumentKinds.Order, OrderKeys.IdOf(next), stop) == 0 ? next : "";
                    }

                    var id = OrderKeys.IdOf(number);
                    if (await library.Find(DocumentKinds.Order, id, stop) is not null)
                    {
                        return Body.Unusable(Phrase.Say($"There is an order {number} already."), "Not added");
                    }

                    var order = new Order(number, OrderSheet.Empty with { Customer = wanted.Customer, Lines = [OrderLine.Blank] })
                    {
                        On = clock.GetLocalNow().ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
                    };
                    await library.Make(new UnitOfWork($"Begin order {number}").Put(DocumentKinds.Order, id, order), stop);
                    return TypedResults.Ok(await views.Of((await library.Find(DocumentKinds.Order, id, stop))!, stop));
                }
            )
            .WithName("AddOrder");

        orders
            .MapPost(
                "/file",
                async Task<Results<Ok<OrdersIn>, ProblemHttpResult>> (
                    [MaxLength(DocumentGate.LongestName)] string name,
                    HttpRequest request,
                    OrderIntake intake,
                    CancellationToken stop
                ) =>
                {
                    var came = OrderFile.Read(name, await Body.Read(request, stop));
                    return came.Problem is { } problem
                        ? Body.Unusable(problem, "These orders cannot be read")
                        : TypedResults.Ok(await intake.Take(came.Value, name, stop));
                }
            )
            .WithName("BringOrders")
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes));

        orders
            .MapPost("/take", async Task<Ok<OrdersTaken>> (OrdersToTake wanted, OrderTaker taker, CancellationToken stop) =>
            {
                var (jobs, not, spent) = (new List<string>(), new List<NotTaken>(), Stopwatch.StartNew());
                var done = 0;
                foreach (var id in wanted.Ids.TakeWhile(_ => spent.Elapsed < Patience))
                {
                    var taken = await taker.Take(id, null, stop);
                    if (taken.Problem is { } reason)
                    {
                        not.Add(new NotTaken(id, reason));
                    }
                    else
                    {
                        jobs.Add(taken.Value);
                    }

                    done++;
                }

                return TypedResults.Ok(new OrdersTaken(jobs, not, [.. wanted.Ids.Skip(done)]));
            })
            .WithName("TakeOrders");

        orders
            .MapPost(
                "/{id}/take",
                async Task<Results<Ok<OrderView>, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    HttpContext http,
                    Cabida.Store.Library library,
                    OrderTaker taker,
                    IViews<Order, OrderView> views,
                    CancellationToken stop
                ) =>
                {
                    var madeFrom = EntityTag.Read(http.Request)?.MadeFrom(await library.RevisionOf(DocumentKinds.Order, id, stop));
                    var taken = await taker.Take(id, madeFrom, stop);
                    if (taken.Problem is { } reason)
                    {
                        return Body.Unusable(reason, "Not taken");
                    }

                    var stored = (await library.Find(DocumentKinds.Order, id, stop))!;
                    EntityTag.Put(http, stored.Revision);
                    return TypedResults.Ok(await views.Of(stored, stop));
                }
            )
            .WithName("TakeOrder");

        orders
            .MapGet("/pieces.csv", async Task<FileContentHttpResult> (PiecesOut pieces, CancellationToken stop) =>
                TypedResults.File(
                    new UTF8Encoding(true).GetBytes($"\ufeff{FolderShop.Csv(await pieces.All(stop))}"),
                    "text/csv; charset=utf-8",
                    "orders-pieces.csv"
                )
            )
            .WithName("GetOrderedPieces");

        orders.MapLibrary<Order, OrderView>(DocumentKinds.Order);
    }
}

using System.ComponentModel.DataAnnotations;
using System.Diagnostics;
using Cabida.Core.Wording;
using Cabida.Devices.Shop;
using Cabida.Formats.Lists;
using Cabida.Formats.Orders;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Orders;

/// <summary>The shop as the page of orders shows it.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="IsStandIn">Whether it is the stand-in.</param>
/// <param name="Ready">The files that lie ready.</param>
/// <param name="Problem">Why they cannot be looked at.</param>
internal sealed record ShopView(string Name, bool IsStandIn, IReadOnlyList<OrderDrop> Ready, Phrase? Problem);

/// <summary>A file of the shop's that was looked at.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Orders">What became of its orders; null where it cannot be read.</param>
/// <param name="Problem">Why it cannot be read; it stays where it is.</param>
internal sealed record FetchedFile(string Name, OrdersIn? Orders, Phrase? Problem);

/// <summary>What was fetched from the shop.</summary>
/// <param name="Files">The files that were looked at.</param>
/// <param name="Left">How many were not come to in time; ask again.</param>
internal sealed record Fetched(IReadOnlyList<FetchedFile> Files, int Left);

/// <summary>How much the stand-in is to order.</summary>
/// <param name="Lines">How many lines.</param>
internal sealed record StandInOrders([property: Range(1, 2000)] int Lines);

/// <summary>What the shop was told.</summary>
/// <param name="Pieces">Of how many pieces.</param>
internal sealed record ShopTold(int Pieces);

/// <summary>The shop that leaves orders in a folder.</summary>
internal static class ShopEndpoints
{
    /// <summary>So long a request fetches files; what is left is asked for again.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(2);

    public static void MapShop(this RouteGroupBuilder api)
    {
        var shop = api.MapGroup("/shop").WithTags("Orders");
        shop.MapGet("", Ok<ShopView> (ConnectedShop connected) =>
            {
                try
                {
                    return TypedResults.Ok(new ShopView(connected.Shop.Name, connected.IsStandIn, connected.Shop.Ready(), null));
                }
                catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
                {
                    return TypedResults.Ok(new ShopView(connected.Shop.Name, connected.IsStandIn, [], Unreached));
                }
            })
            .WithName("GetShop");

        shop.MapPost(
                "/fetch",
                async Task<Results<Ok<Fetched>, ProblemHttpResult>> (ConnectedShop connected, OrderIntake intake, CancellationToken stop) =>
                {
                    try
                    {
                        return TypedResults.Ok(await Fetch(connected.Shop, intake, stop));
                    }
                    catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
                    {
                        return Body.Unusable(Unreached, "Nothing was fetched");
                    }
                }
            )
            .WithName("FetchOrders");

        shop.MapPost("/files/{name}/away", Results<NoContent, ProblemHttpResult> (string name, ConnectedShop connected) =>
            {
                try
                {
                    connected.Shop.PutAway(name);
                    return TypedResults.NoContent();
                }
                catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
                {
                    return Body.Unusable(Phrase.Say($"The file {name} is not there any more, or cannot be moved."), "Not put away");
                }
            })
            .WithName("PutOrdersAway");

        shop.MapPost(
                "/tell",
                async Task<Results<Ok<ShopTold>, ProblemHttpResult>> (ConnectedShop connected, PiecesOut told, CancellationToken stop) =>
                {
                    var pieces = await told.All(stop);
                    try
                    {
                        await connected.Shop.Tell(pieces, stop);
                        return TypedResults.Ok(new ShopTold(pieces.Count));
                    }
                    catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
                    {
                        return Body.Unusable(Unreached, "The shop was not told");
                    }
                }
            )
            .WithName("TellShop");

        shop.MapPost(
                "/stand-in",
                async Task<Results<Ok<ShopView>, ProblemHttpResult>> (
                    StandInOrders wanted,
                    ConnectedShop connected,
                    OfferReader offers,
                    CancellationToken stop
                ) =>
                    connected.Drop(await offers.Book(stop), wanted.Lines) is null
                        ? Body.Unusable(Phrase.Say($"The stand-in orders what is offered, and nothing is offered yet."), "Nothing ordered")
                        : TypedResults.Ok(new ShopView(connected.Shop.Name, connected.IsStandIn, connected.Shop.Ready(), null))
            )
            .WithName("StandInOrders");
    }

    private static Phrase Unreached => Phrase.Say($"The shop’s folder cannot be reached. Nothing of it was changed.");

    /// <summary>Reads the files that lie ready. One that was taken in is put away; one that cannot be read stays, and is told.</summary>
    private static async Task<Fetched> Fetch(IShop shop, OrderIntake intake, CancellationToken stop)
    {
        var (files, ready, spent) = (new List<FetchedFile>(), shop.Ready(), Stopwatch.StartNew());
        foreach (var drop in ready.TakeWhile(_ => spent.Elapsed < Patience))
        {
            if (drop.Bytes > ListFile.MostBytes)
            {
                files.Add(
                    new FetchedFile(
                        drop.Name,
                        null,
                        Phrase.Say($"It has {drop.Bytes / 1e6:0} MB; more than {ListFile.MostBytes / 1e6:0} is not read.")
                    )
                );
                continue;
            }

            var came = OrderFile.Read(drop.Name, await shop.Read(drop.Name, stop));
            if (came.Problem is { } problem)
            {
                files.Add(new FetchedFile(drop.Name, null, problem));
                continue;
            }

            files.Add(new FetchedFile(drop.Name, await intake.Take(came.Value, shop.Name, stop), null));
            shop.PutAway(drop.Name);
        }

        return new Fetched(files, ready.Count - files.Count);
    }
}

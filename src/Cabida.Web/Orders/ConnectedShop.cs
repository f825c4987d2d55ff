using Cabida.Core.Orders;
using Cabida.Devices.Shop;

namespace Cabida.Web.Orders;

/// <summary>
/// The shop that leaves orders in a folder: one of the maker's own where the setting names it, or the stand-in's beside the library.
/// </summary>
internal sealed class ConnectedShop(IConfiguration configuration, TimeProvider clock)
{
    /// <summary>The setting that names the folder of a shop.</summary>
    public const string Setting = "ShopFolder";

    private readonly string folder = configuration[Setting] is { Length: > 0 } own
        ? own
        : Path.Combine(configuration["Data"] ?? "data", "shop");

    /// <summary>Whether it is the stand-in.</summary>
    public bool IsStandIn { get; } = configuration[Setting] is not { Length: > 0 };

    /// <summary>The shop.</summary>
    public IShop Shop => new FolderShop(IsStandIn ? "Shop stand-in" : Path.GetFileName(folder.TrimEnd('/')), folder);

    /// <summary>Has the stand-in drop orders; null where the shop is a real one.</summary>
    public Dropped? Drop(OfferBook book, int lines)
    {
        List<OrderedOffer> offers =
        [
            .. book
                .All.Where(o => !o.Offer.IsRetired)
                .Select(o => new OrderedOffer(o.Offer.Code.Length > 0 ? o.Offer.Code : o.Offer.Name, o.HasName, o.Sizes)),
        ];
        return IsStandIn && offers.Count > 0 ? new ShopStandIn(folder, clock).Drop(offers, lines) : null;
    }
}

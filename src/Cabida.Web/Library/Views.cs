using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Orders;
using Cabida.Core.Plans;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Web.Blanks;
using Cabida.Web.Graphics;
using Cabida.Web.Jobs;
using Cabida.Web.Making;
using Cabida.Web.Motifs;
using Cabida.Web.Orders;
using Cabida.Web.Plans;
using Cabida.Web.Runs;
using Cabida.Web.Stock;

namespace Cabida.Web.Library;

internal static class Views
{
    public static void AddViews(this IServiceCollection services)
    {
        services.AddScoped<IViews<Blank, BlankView>, BlankViews>();
        services.AddSingleton<KeptGrounds>();
        services.AddScoped<GroundReader>();
        services.AddScoped<MotifViews>();
        services.AddScoped<IViews<Motif, MotifView>>(s => s.GetRequiredService<MotifViews>());
        services.AddScoped<GraphicViews>();
        services.AddScoped<IViews<Graphic, GraphicView>>(s => s.GetRequiredService<GraphicViews>());
        services.AddScoped<IViews<Film, FilmView>, FilmViews>();
        services.AddScoped<IViews<Cutter, CutterView>, CutterViews>();
        services.AddScoped<IViews<Press, PressView>, PressViews>();
        services.AddScoped<IViews<FilmStock, FilmStockView>, FilmStockViews>();
        services.AddScoped<IViews<CutPlan, PlanView>, PlanViews>();
        services.AddScoped<IViews<ReleasedLoad, ReleasedView>, ReleasedViews>();
        services.AddScoped<IViews<Core.Runs.Making, KeptMakingView>, MakingViews>();
        services.AddScoped<IViews<Workshop, WorkshopView>, WorkshopViews>();
        services.AddScoped<Proofs.WorkshopMark>();
        services.AddScoped<RunCards>();
        services.AddScoped<IViews<Job, JobView>, JobViews>();
        services.AddScoped<RunViews>();
        services.AddScoped<IViews<Run, RunView>>(s => s.GetRequiredService<RunViews>());
        services.AddScoped<IViews<Offer, OfferView>, OfferViews>();
        services.AddScoped<OrderViews>();
        services.AddScoped<IViews<Order, OrderView>>(s => s.GetRequiredService<OrderViews>());
    }
}

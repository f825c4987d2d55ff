using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Web.Blanks;
using Cabida.Web.Jobs;
using Cabida.Web.Motifs;
using Cabida.Web.Runs;
using Cabida.Web.Stock;

namespace Cabida.Web.Library;

internal static class Views
{
    public static void AddViews(this IServiceCollection services)
    {
        services.AddScoped<IViews<Blank, BlankView>, BlankViews>();
        services.AddScoped<IViews<Motif, MotifView>, MotifViews>();
        services.AddScoped<IViews<Film, FilmView>, FilmViews>();
        services.AddScoped<IViews<Cutter, CutterView>, CutterViews>();
        services.AddScoped<IViews<Job, JobView>, JobViews>();
        services.AddScoped<IViews<Run, RunView>, RunViews>();
    }
}

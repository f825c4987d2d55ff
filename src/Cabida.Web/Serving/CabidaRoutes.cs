using Cabida.Web.Bench;
using Cabida.Web.Blanks;
using Cabida.Web.Costs;
using Cabida.Web.Demo;
using Cabida.Web.Graphics;
using Cabida.Web.Jobs;
using Cabida.Web.Lengths;
using Cabida.Web.Library;
using Cabida.Web.Machines;
using Cabida.Web.Making;
using Cabida.Web.Motifs;
using Cabida.Web.Orders;
using Cabida.Web.Past;
using Cabida.Web.Pictures;
using Cabida.Web.Plans;
using Cabida.Web.Proofs;
using Cabida.Web.Runs;
using Cabida.Web.Safekeeping;
using Cabida.Web.Stock;
using Cabida.Web.Strips;
using Cabida.Web.Tracing;
using Cabida.Web.Typefaces;
using Cabida.Web.Weeding;

namespace Cabida.Web.Serving;

/// <summary>All that the application answers.</summary>
internal static class CabidaRoutes
{
    public static void MapCabida(this WebApplication app)
    {
        app.MapFrontEnd();
        app.MapOpenApi("/api/{documentName}.json");
        var api = app.MapGroup("/api").AddEndpointFilter<Gate>();
        api.MapSafekeeping();
        api.MapArchives();
        api.MapBlanks();
        api.MapBlankFiles();
        api.MapStrain();
        api.MapStrips();
        api.MapPictures();
        api.MapTracing();
        api.MapOffCuts();
        api.MapScanner();
        api.MapMotifs();
        api.MapParts();
        api.MapForms();
        api.MapTrials();
        api.MapMotifChecks();
        api.MapGraphics();
        api.MapTypefaces();
        api.MapStock();
        api.MapSquares();
        api.MapJobs();
        api.MapOffers();
        api.MapOrders();
        api.MapShop();
        api.MapRuns();
        api.MapFits();
        api.MapGhosts();
        api.MapRemedies();
        api.MapListFiles();
        api.MapSeen();
        api.MapProofs();
        api.MapVerdicts();
        api.MapAnswers();
        api.MapWorkshop();
        api.MapPlans();
        api.MapLoads();
        api.MapCutting();
        api.MapMachines();
        api.MapBench();
        api.MapTemplates();
        api.MapCare();
        api.MapMakings();
        api.MapBenchTicks();
        api.MapDay();
        api.MapCosts();
        api.MapWeeding();
        api.MapLengths();
        api.MapFinding();
        api.MapPast();
        api.MapDemo();
    }
}

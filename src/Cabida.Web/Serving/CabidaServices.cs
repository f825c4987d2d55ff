using System.Globalization;
using Cabida.Core.Checking;
using Cabida.Core.Motifs;
using Cabida.Core.Plans;
using Cabida.Core.Type;
using Cabida.Core.Waste;
using Cabida.Devices.Scanning;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Typography;
using Cabida.Web.Bench;
using Cabida.Web.Costs;
using Cabida.Web.Demo;
using Cabida.Web.Graphics;
using Cabida.Web.Inks;
using Cabida.Web.Jobs;
using Cabida.Web.Library;
using Cabida.Web.Machines;
using Cabida.Web.Making;
using Cabida.Web.Orders;
using Cabida.Web.Past;
using Cabida.Web.Plans;
using Cabida.Web.Proofs;
using Cabida.Web.Runs;
using Cabida.Web.Safekeeping;
using Cabida.Web.Typefaces;
using Cabida.Web.Weeding;
using Microsoft.EntityFrameworkCore;
using Serilog;

namespace Cabida.Web.Serving;

/// <summary>All that the application is made of, by the step of the work it belongs to.</summary>
internal static class CabidaServices
{
    public static void AddCabida(this IServiceCollection services, IConfiguration configuration)
    {
        services.AddSerilog(log => log.ReadFrom.Configuration(configuration).WriteTo.Console(formatProvider: CultureInfo.InvariantCulture));
        services.ConfigureHttpJsonOptions(o => ApiJson.Configure(o.SerializerOptions));
        services.AddOpenApi(o => o.AddSchemaTransformer<WholeValues>());
        services.AddProblemDetails();
        services.AddExceptionHandler<RequestFaults>();
        services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        services.AddSingleton(TimeProvider.System);
        services.AddSingleton<DataFolder>();
        services.AddSingleton<MachineFile>();
        services.AddSingleton<InstanceLock>();
        services.AddSingleton<LibraryState>();
        services.AddSingleton<LibraryOpening>();
        services.AddSingleton<Copying>();
        services.AddSingleton<SafekeepingReader>();
        services.AddSingleton<ArchiveDesk>();
        services.AddSingleton<Restarting>();
        services.AddSingleton<ShippedTypefaces>();
        services.AddSingleton<LibraryTypefaces>();
        services.AddSingleton<ITypefaces>(s => s.GetRequiredService<LibraryTypefaces>());
        services.AddSingleton<IGraphics, LibraryGraphics>();
        services.AddSingleton<IScanner, ScannerStandIn>();
        services.AddSingleton<DecodedPictures>();
        services.AddSingleton<InkCache>();
        services.AddSingleton<InkPaths>();
        services.AddSingleton<DrawnInks>();
        services.AddSingleton<InkFactsCache>();
        services.AddSingleton<AtHand>();
        services.AddSingleton<FittedPieces>();
        services.AddSingleton<KeptRemedies>();
        services.AddScoped<OfferedRemedies>();
        services.AddSingleton<FilmWasteCache>();
        services.AddSingleton<SharedBoxes>();
        services.AddSingleton<Silhouettes>();
        services.AddSingleton<LayeredInks>();
        services.AddSingleton<LoadWeeding>();
        services.AddSingleton<ReleasedLoads>();
        services.AddDbContext<CabidaContext>(o => o.UseSqlite(new DataFolder(configuration).ConnectionString));
        services.AddDbContext<DerivedContext>(o => o.UseSqlite(new DataFolder(configuration).DerivedConnectionString));
        services.AddScoped<Cabida.Store.Library>();
        services.AddScoped<Listings>();
        services.AddScoped<LibraryIndex>();
        services.AddScoped<KeptCards>();
        services.AddScoped<Cards>();
        services.AddSingleton<Workings>();
        services.AddScoped<KeptFits>();
        services.AddScoped<PiecePages>();
        services.AddScoped<Cabida.Store.Pictures>();
        services.AddScoped<AddedTypefaces>();
        services.AddScoped<KeptOutlines>();
        services.AddScoped<Works>();
        services.AddScoped<RunReader>();
        services.AddSingleton<FitWork>();
        services.AddSingleton<LayWork>();
        services.AddSingleton<ConnectedMachines>();
        services.AddSingleton<CutWatch>();
        if (!OpenApiBuild.IsRunning)
        {
            services.AddHostedService(s => s.GetRequiredService<FitWork>());
            services.AddHostedService(s => s.GetRequiredService<LayWork>());
            services.AddHostedService(s => s.GetRequiredService<CutWatch>());
            services.AddHostedService<WarmUp>();
            services.AddHostedService<DailyCopies>();
        }

        services.AddScoped<KeptLayouts>();
        services.AddScoped<KeptCutFiles>();
        services.AddScoped<WaitingRuns>();
        services.AddScoped<PlanReader>();
        services.AddScoped<PlanLayer>();
        services.AddScoped<Releasing>();
        services.AddScoped<SentLoads>();
        services.AddScoped<BenchReader>();
        services.AddScoped<PressReader>();
        services.AddScoped<CareReader>();
        services.AddScoped<BenchExtras>();
        services.AddScoped<RunMakings>();
        services.AddScoped<MakingMemory>();
        services.AddScoped<MakingReader>();
        services.AddScoped<LoadTicker>();
        services.AddScoped<SizesReader>();
        services.AddScoped<JobStages>();
        services.AddScoped<WeekReader>();
        services.AddScoped<AgainReader>();
        services.AddScoped<AgainTaker>();
        services.AddScoped<PinsNow>();
        services.AddScoped<DayPlanner>();
        services.AddScoped<OfferReader>();
        services.AddScoped<OrderIntake>();
        services.AddScoped<OrderTaker>();
        services.AddScoped<PiecesOut>();
        services.AddSingleton<ConnectedShop>();
        services.AddScoped<CostReader>();
        services.AddScoped<ProofSheets>();
        services.AddScoped<QuotationReader>();
        services.AddScoped<WeedingMemory>();
        services.AddScoped<DemoLibrary>();
        services.AddScoped<DemoDay>();
        services.AddViews();
        services.AddPast();
    }
}

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
using Cabida.Web.Blanks;
using Cabida.Web.Costs;
using Cabida.Web.Demo;
using Cabida.Web.Graphics;
using Cabida.Web.Inks;
using Cabida.Web.Jobs;
using Cabida.Web.Lengths;
using Cabida.Web.Library;
using Cabida.Web.Machines;
using Cabida.Web.Making;
using Cabida.Web.Motifs;
using Cabida.Web.Pictures;
using Cabida.Web.Plans;
using Cabida.Web.Proofs;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Cabida.Web.Stock;
using Cabida.Web.Strips;
using Cabida.Web.Tracing;
using Cabida.Web.Typefaces;
using Cabida.Web.Weeding;
using Microsoft.EntityFrameworkCore;
using Serilog;

CultureInfo.DefaultThreadCurrentCulture = CultureInfo.InvariantCulture;

// Settings lie beside the application, wherever it is started from.
var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
builder.Services.AddSerilog(log =>
    log.ReadFrom.Configuration(builder.Configuration).WriteTo.Console(formatProvider: CultureInfo.InvariantCulture)
);
builder.Services.ConfigureHttpJsonOptions(o => ApiJson.Configure(o.SerializerOptions));
builder.Services.AddOpenApi(o => o.AddSchemaTransformer<WholeValues>());
builder.Services.AddProblemDetails();
builder.Services.AddExceptionHandler<RequestFaults>();
builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton<ShippedTypefaces>();
builder.Services.AddSingleton<LibraryTypefaces>();
builder.Services.AddSingleton<ITypefaces>(s => s.GetRequiredService<LibraryTypefaces>());
builder.Services.AddSingleton<IGraphics, LibraryGraphics>();
builder.Services.AddSingleton<IScanner, ScannerStandIn>();
builder.Services.AddSingleton<DecodedPictures>();
builder.Services.AddSingleton<InkCache>();
builder.Services.AddSingleton<InkPaths>();
builder.Services.AddSingleton<DrawnInks>();
builder.Services.AddSingleton<InkFactsCache>();
builder.Services.AddSingleton<AtHand>();
builder.Services.AddSingleton<FittedPieces>();
builder.Services.AddSingleton<KeptRemedies>();
builder.Services.AddScoped<OfferedRemedies>();
builder.Services.AddSingleton<FilmWasteCache>();
builder.Services.AddSingleton<SharedBoxes>();
builder.Services.AddSingleton<Silhouettes>();
builder.Services.AddSingleton<LayeredInks>();
builder.Services.AddSingleton<LoadWeeding>();
builder.Services.AddSingleton<ReleasedLoads>();
builder.Services.AddDbContext<CabidaContext>(o => o.UseSqlite(DataFile.ConnectionString(builder.Configuration)));
builder.Services.AddDbContext<DerivedContext>(o => o.UseSqlite(DataFile.DerivedConnectionString(builder.Configuration)));
builder.Services.AddScoped<Cabida.Store.Library>();
builder.Services.AddScoped<Listings>();
builder.Services.AddScoped<LibraryIndex>();
builder.Services.AddScoped<KeptCards>();
builder.Services.AddScoped<Cards>();
builder.Services.AddSingleton<Workings>();
builder.Services.AddScoped<KeptFits>();
builder.Services.AddScoped<PiecePages>();
builder.Services.AddScoped<Cabida.Store.Pictures>();
builder.Services.AddScoped<AddedTypefaces>();
builder.Services.AddScoped<KeptOutlines>();
builder.Services.AddScoped<Works>();
builder.Services.AddScoped<RunReader>();
builder.Services.AddSingleton<FitWork>();
builder.Services.AddSingleton<LayWork>();
builder.Services.AddSingleton<ConnectedMachines>();
builder.Services.AddSingleton<CutWatch>();
if (!OpenApiBuild.IsRunning)
{
    builder.Services.AddHostedService(s => s.GetRequiredService<FitWork>());
    builder.Services.AddHostedService(s => s.GetRequiredService<LayWork>());
    builder.Services.AddHostedService(s => s.GetRequiredService<CutWatch>());
    builder.Services.AddHostedService<WarmUp>();
}

builder.Services.AddScoped<KeptLayouts>();
builder.Services.AddScoped<KeptCutFiles>();
builder.Services.AddScoped<WaitingRuns>();
builder.Services.AddScoped<PlanReader>();
builder.Services.AddScoped<PlanLayer>();
builder.Services.AddScoped<Releasing>();
builder.Services.AddScoped<SentLoads>();
builder.Services.AddScoped<BenchReader>();
builder.Services.AddScoped<PressReader>();
builder.Services.AddScoped<RunMakings>();
builder.Services.AddScoped<MakingMemory>();
builder.Services.AddScoped<MakingReader>();
builder.Services.AddScoped<DayPlanner>();
builder.Services.AddScoped<CostReader>();
builder.Services.AddScoped<QuotationReader>();
builder.Services.AddScoped<WeedingMemory>();
builder.Services.AddScoped<DemoLibrary>();
builder.Services.AddViews();

var app = builder.Build();

// What cannot be read of a request is the sender's, not ours.
app.UseExceptionHandler();
app.UseStatusCodePages();
if (!OpenApiBuild.IsRunning)
{
    await DataFile.Prepare(app);
}

app.MapFrontEnd();
app.MapOpenApi("/api/{documentName}.json");
var api = app.MapGroup("/api").AddEndpointFilter<Gate>();
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
api.MapRuns();
api.MapFits();
api.MapGhosts();
api.MapRemedies();
api.MapListFiles();
api.MapSeen();
api.MapProofs();
api.MapVerdicts();
api.MapWorkshop();
api.MapPlans();
api.MapLoads();
api.MapCutting();
api.MapMachines();
api.MapBench();
api.MapTemplates();
api.MapMakings();
api.MapDay();
api.MapCosts();
api.MapWeeding();
api.MapLengths();
api.MapFinding();
api.MapDemo();
await app.RunAsync();

using System.Globalization;
using Cabida.Core.Type;
using Cabida.Devices.Scanning;
using Cabida.Store;
using Cabida.Typography;
using Cabida.Web.Blanks;
using Cabida.Web.Demo;
using Cabida.Web.Jobs;
using Cabida.Web.Lengths;
using Cabida.Web.Library;
using Cabida.Web.Loads;
using Cabida.Web.Motifs;
using Cabida.Web.Pictures;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Cabida.Web.Stock;
using Cabida.Web.Strips;
using Cabida.Web.Tracing;
using Microsoft.EntityFrameworkCore;
using Serilog;

CultureInfo.DefaultThreadCurrentCulture = CultureInfo.InvariantCulture;

// Settings lie beside the application, wherever it is started from.
var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
builder.Services.AddSerilog(log => log.ReadFrom.Configuration(builder.Configuration).WriteTo.Console(formatProvider: CultureInfo.InvariantCulture));
builder.Services.ConfigureHttpJsonOptions(o => ApiJson.Configure(o.SerializerOptions));
builder.Services.AddOpenApi(o => o.AddSchemaTransformer<WholeValues>());
builder.Services.AddProblemDetails();
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton<ITypefaces, ShippedTypefaces>();
builder.Services.AddSingleton<IScanner, ScannerStandIn>();
builder.Services.AddSingleton<InkCache>();
builder.Services.AddSingleton<FittedPieces>();
builder.Services.AddDbContext<CabidaContext>(o => o.UseSqlite(DataFile.ConnectionString(builder.Configuration)));
builder.Services.AddScoped<Cabida.Store.Library>();
builder.Services.AddScoped<Cabida.Store.Pictures>();
builder.Services.AddScoped<RunReader>();
builder.Services.AddScoped<LoadPlanner>();
builder.Services.AddScoped<DemoLibrary>();
builder.Services.AddViews();

var app = builder.Build();
// What cannot be read of a request is the sender's, not ours.
app.UseExceptionHandler(new ExceptionHandlerOptions { StatusCodeSelector = e => e is BadHttpRequestException bad ? bad.StatusCode : StatusCodes.Status500InternalServerError });
app.UseStatusCodePages();
if (!OpenApiBuild.IsRunning)
{
    await DataFile.Prepare(app);
}

app.MapFrontEnd();
app.MapOpenApi("/api/{documentName}.json");
var api = app.MapGroup("/api");
api.MapBlanks();
api.MapBlankFiles();
api.MapStrain();
api.MapStrips();
api.MapPictures();
api.MapTracing();
api.MapScanner();
api.MapMotifs();
api.MapStock();
api.MapJobs();
api.MapRuns();
api.MapFits();
api.MapSeen();
api.MapLoads();
api.MapLengths();
api.MapFinding();
api.MapDemo();
await app.RunAsync();

using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using OpenQA.Selenium.Chrome;

[assembly: CollectionBehavior(DisableTestParallelization = true)]

namespace Cabida.Browser.Tests;

/// <summary>The real application in its own process on a library of its own, and headless Chromium looking at it.</summary>
public sealed class Workshop : IDisposable
{
    private const string Answers = "/api/cutters";
    private readonly string folder = Path.Combine(Path.GetTempPath(), $"cabida-{Guid.NewGuid():N}");
    private readonly int port = FreePort();
    private readonly int cutterPort = FreePort();
    private readonly bool demo;
    private Process? server;
    private Process? cutter;

    public Workshop(bool demo)
    {
        this.demo = demo;
        Start();
        Downloads = Path.Combine(folder, "downloads");
        Directory.CreateDirectory(Downloads);
        var options = new ChromeOptions { BinaryLocation = OnPath("chromium", "chromium-browser", "google-chrome") };
        options.AddArguments(
            "--headless",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--window-size=1280,800",
            $"--user-data-dir={Path.Combine(folder, "profile")}"
        );
        options.AddUserProfilePreference("download.default_directory", Downloads);
        Driver = new ChromeDriver(ChromeDriverService.CreateDefaultService(OnPath("chromedriver")), options, TimeSpan.FromMinutes(2));
        // The window's frame takes some of the size; the page itself is to be 1280 × 800.
        Driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new Dictionary<string, object?>
            {
                ["width"] = 1280,
                ["height"] = 800,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = false,
            }
        );
    }

    public ChromeDriver Driver { get; }

    public string Downloads { get; }

    /// <summary>Where its library lies.</summary>
    public string Data => folder;

    public string Address => $"http://127.0.0.1:{port}";

    public static string Root { get; } = FindRoot();

    /// <summary>Stops the application and starts it again on the same library.</summary>
    /// <param name="meanwhile">What is done while it does not run.</param>
    /// <param name="answers">What it answers once it has started.</param>
    public void Restart(Action? meanwhile = null, string answers = Answers)
    {
        Stop();
        meanwhile?.Invoke();
        Start(answers);
    }

    /// <summary>Starts the cutter stand-in, a process of its own.</summary>
    /// <param name="fast">How many times as fast as in life it cuts.</param>
    public void StartCutter(int fast)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true };
        foreach (
            var argument in new[]
            {
                Path.Combine(AppContext.BaseDirectory, "Cabida.StandIns.dll"),
                "--port",
                $"{cutterPort}",
                "--fast",
                $"{fast}",
            }
        )
        {
            start.ArgumentList.Add(argument);
        }

        cutter = Process.Start(start)!;
        cutter.StandardOutput.ReadLine().ShouldNotBeNull().ShouldContain("listens");
    }

    /// <summary>Pulls its plug.</summary>
    public void StopCutter()
    {
        cutter?.Kill();
        cutter?.WaitForExit();
        cutter?.Dispose();
        cutter = null;
    }

    public void Dispose()
    {
        Driver.Quit();
        StopCutter();
        Stop();
        Directory.Delete(folder, recursive: true);
    }

    private void Start(string answers = Answers)
    {
        var dll = Path.Combine(AppContext.BaseDirectory, "Cabida.Web.dll");
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (
            var argument in new[]
            {
                dll,
                "--Urls",
                Address,
                "--Data",
                folder,
                "--Demo",
                demo ? "true" : "false",
                "--FrontEnd",
                Path.Combine(Root, "web", "dist"),
                "--CutterStandIn",
                $"127.0.0.1:{cutterPort}",
            }
        )
        {
            start.ArgumentList.Add(argument);
        }

        server = Process.Start(start)!;
        server.BeginOutputReadLine();
        server.BeginErrorReadLine();
        using var client = new HttpClient();
        // A machine that is busy starts it late; it is waited for as long as it lives.
        for (var waited = Stopwatch.StartNew(); ; )
        {
            try
            {
                client.GetAsync(new Uri(Address + answers)).GetAwaiter().GetResult().EnsureSuccessStatusCode();
                return;
            }
            catch (HttpRequestException) when (!server.HasExited && waited.Elapsed < TimeSpan.FromMinutes(5))
            {
                Thread.Sleep(250);
            }
            catch (HttpRequestException)
            {
                // What never came up must not go on beside the next tests.
                Stop();
                throw;
            }
        }
    }

    private void Stop()
    {
        server!.Kill();
        server.WaitForExit();
        server.Dispose();
    }

    public static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    private static string OnPath(params string[] names) =>
        names
            .SelectMany(n => Environment.GetEnvironmentVariable("PATH")!.Split(':').Select(p => Path.Combine(p, n)))
            .FirstOrDefault(File.Exists)
        ?? throw new InvalidOperationException($"{names[0]} is not installed; test.sh installs it.");

    private static string FindRoot()
    {
        for (var at = new DirectoryInfo(AppContext.BaseDirectory); at is not null; at = at.Parent)
        {
            if (File.Exists(Path.Combine(at.FullName, "Cabida.slnx")))
            {
                return at.FullName;
            }
        }

        throw new InvalidOperationException("Cabida.slnx is not above the tests.");
    }
}

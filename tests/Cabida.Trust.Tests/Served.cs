using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;

[assembly: CollectionBehavior(DisableTestParallelization = true)]

namespace Cabida.Trust.Tests;

/// <summary>The real application in a process of its own, on a library of its own, that may be ended at any moment.</summary>
public sealed class Served : IDisposable
{
    private readonly Process process;
    private readonly StringBuilder said = new();

    private Served(Process process, Uri address, string data)
    {
        (this.process, Address, Data) = (process, address, data);
        Client = new HttpClient { BaseAddress = address, Timeout = TimeSpan.FromMinutes(3) };
    }

    public Uri Address { get; }

    /// <summary>The folder of its library.</summary>
    public string Data { get; }

    public HttpClient Client { get; }

    /// <summary>What it wrote on its console.</summary>
    public string Said
    {
        get
        {
            lock (said)
            {
                return said.ToString();
            }
        }
    }

    public int ExitCode => process.ExitCode;

    /// <summary>A folder that nothing has yet.</summary>
    public static string FreshFolder() => Directory.CreateTempSubdirectory("cabida-trust-").FullName;

    public static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    /// <summary>Begins to start it.</summary>
    /// <param name="data">The folder of its library.</param>
    /// <param name="port">Where it is to answer; a free port where none is given.</param>
    /// <param name="more">Further arguments.</param>
    public static Served Begin(string data, int? port = null, params string[] more)
    {
        var address = new Uri($"http://127.0.0.1:{port ?? FreePort()}");
        // Where the tests themselves run in the background Ctrl+C is ignored, and so it would be here.
        var start = new ProcessStartInfo("env") { RedirectStandardOutput = true, RedirectStandardError = true };
        string[] arguments =
        [
            "--default-signal=INT",
            "dotnet",
            Path.Combine(AppContext.BaseDirectory, "Cabida.Web.dll"),
            "--Urls",
            address.GetLeftPart(UriPartial.Authority),
            "--Data",
            data,
            .. more,
        ];
        foreach (var argument in arguments)
        {
            start.ArgumentList.Add(argument);
        }

        var served = new Served(Process.Start(start)!, address, data);
        served.process.OutputDataReceived += served.Hear;
        served.process.ErrorDataReceived += served.Hear;
        served.process.BeginOutputReadLine();
        served.process.BeginErrorReadLine();
        return served;
    }

    /// <summary>Starts it, and waits until it answers: a library that is open, or why it is not.</summary>
    public static async Task<Served> Start(string data, int? port = null, params string[] more)
    {
        var served = Begin(data, port, more);
        await served.Answers();
        return served;
    }

    /// <summary>Waits until it answers.</summary>
    public async Task Answers()
    {
        for (var waited = Stopwatch.StartNew(); ; )
        {
            try
            {
                (await Client.GetAsync("/api/safekeeping")).EnsureSuccessStatusCode();
                return;
            }
            catch (HttpRequestException fault)
            {
                (process.HasExited || waited.Elapsed > TimeSpan.FromMinutes(3)).ShouldBeFalse($"{fault.Message}\n{Said}");
                await Task.Delay(50);
            }
        }
    }

    /// <summary>Waits until it has ended by itself.</summary>
    public async Task Ended()
    {
        using var patience = new CancellationTokenSource(TimeSpan.FromMinutes(2));
        await process.WaitForExitAsync(patience.Token);
    }

    /// <summary>Ends it as a power cut does.</summary>
    public void Kill()
    {
        process.Kill();
        process.WaitForExit();
    }

    /// <summary>Ends it as Ctrl+C does.</summary>
    public async Task Interrupt()
    {
        if (!process.HasExited)
        {
            using var signal = Process.Start("kill", ["-INT", $"{process.Id}"]);
            await signal.WaitForExitAsync();
            await Ended();
        }
    }

    public async Task<JsonNode> Get(string path) => await Read(await Client.GetAsync(path));

    public async Task<JsonNode> Post(string path, object? body = null) => await Read(await Client.PostAsJsonAsync(path, body ?? new { }));

    /// <summary>Changes a document as its page does.</summary>
    public async Task<HttpResponseMessage> Put(string path, JsonNode document, string ifMatch)
    {
        using var request = new HttpRequestMessage(HttpMethod.Put, path)
        {
            Content = new StringContent(document.ToJsonString(), Encoding.UTF8, "application/json"),
        };
        request.Headers.TryAddWithoutValidation("If-Match", ifMatch);
        return await Client.SendAsync(request);
    }

    public void Dispose()
    {
        if (!process.HasExited)
        {
            Kill();
        }

        Client.Dispose();
        process.Dispose();
    }

    private static async Task<JsonNode> Read(HttpResponseMessage response)
    {
        var text = await response.Content.ReadAsStringAsync();
        response.IsSuccessStatusCode.ShouldBeTrue($"{(int)response.StatusCode} {response.RequestMessage!.RequestUri}: {text}");
        return text.Length == 0 ? new JsonObject() : JsonNode.Parse(text)!;
    }

    private void Hear(object sender, DataReceivedEventArgs line)
    {
        lock (said)
        {
            said.AppendLine(line.Data);
        }
    }
}

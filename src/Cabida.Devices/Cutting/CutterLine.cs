using System.Net;
using System.Net.Sockets;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Cabida.Devices.Cutting;

/// <summary>What is asked over the line; one of them is set, none to look.</summary>
internal sealed record CutterAsked(CutJob? Send = null, CutterOrder? Tell = null, string? Sheet = null);

/// <summary>What comes back; one of them is set.</summary>
internal sealed record CutterSaid(CutterAnswer? Answer = null, CutSheet? Sheet = null, string? Refused = null);

/// <summary>
/// The line between the product and a cutter: a socket, a question as one line of JSON, an answer as another, and it is closed. Lines are
/// bounded, and nobody is waited for longer than said.
/// </summary>
internal static class CutterLine
{
    /// <summary>A question or an answer is no longer than this; bytes.</summary>
    public const int Longest = 64 * 1024 * 1024;

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
        RespectNullableAnnotations = true,
        RespectRequiredConstructorParameters = true,
    };

    public static async Task Write<T>(Stream stream, T what, CancellationToken stop)
    {
        await stream.WriteAsync(JsonSerializer.SerializeToUtf8Bytes(what, Options), stop);
        await stream.WriteAsync("\n"u8.ToArray(), stop);
        await stream.FlushAsync(stop);
    }

    /// <summary>The next line.</summary>
    /// <exception cref="FormatException">There is none, it is too long, or it says nothing that can be understood.</exception>
    public static async Task<T> Read<T>(Stream stream, CancellationToken stop)
    {
        using var line = new MemoryStream();
        var part = new byte[64 * 1024];
        while (true)
        {
            var count = await stream.ReadAsync(part, stop);
            var end = Array.IndexOf(part, (byte)'\n', 0, count);
            line.Write(part, 0, end >= 0 ? end : count);
            if (end >= 0)
            {
                break;
            }

            if (count == 0 || line.Length > Longest)
            {
                throw new FormatException(count == 0 ? "The line was cut off." : "The line is too long.");
            }
        }

        try
        {
            return JsonSerializer.Deserialize<T>(line.GetBuffer().AsSpan(0, (int)line.Length), Options)
                ?? throw new FormatException("The line says nothing.");
        }
        catch (Exception e) when (e is JsonException or NotSupportedException)
        {
            throw new FormatException("The line cannot be understood: " + e.Message, e);
        }
    }
}

/// <summary>A cutter at the other end of a socket.</summary>
/// <param name="id">Tells it apart from other devices.</param>
/// <param name="name">What it is called.</param>
/// <param name="at">Where it listens.</param>
public sealed class SocketCutter(string id, string name, IPEndPoint at) : ICutter
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(5);

    /// <summary>A load of thousands of lines is put in order before it is taken.</summary>
    private static readonly TimeSpan PatienceWithLoads = TimeSpan.FromMinutes(2);

    /// <inheritdoc/>
    public string Id => id;

    /// <inheritdoc/>
    public string Name => name;

    /// <inheritdoc/>
    public Task<CutterAnswer> Look(CancellationToken stop = default) => Answer(new CutterAsked(), Patience, stop);

    /// <inheritdoc/>
    public Task<CutterAnswer> Send(CutJob job, CancellationToken stop = default) =>
        Answer(new CutterAsked(Send: job), PatienceWithLoads, stop);

    /// <inheritdoc/>
    public Task<CutterAnswer> Tell(CutterOrder order, CancellationToken stop = default) =>
        Answer(new CutterAsked(Tell: order), Patience, stop);

    /// <inheritdoc/>
    public async Task<CutSheet> Sheet(string jobId, CancellationToken stop = default) =>
        (await Ask(new CutterAsked(Sheet: jobId), Patience, stop)).Sheet ?? throw Muddled(null);

    private async Task<CutterAnswer> Answer(CutterAsked asked, TimeSpan patience, CancellationToken stop) =>
        (await Ask(asked, patience, stop)).Answer ?? throw Muddled(null);

    private async Task<CutterSaid> Ask(CutterAsked asked, TimeSpan patience, CancellationToken stop)
    {
        using var late = CancellationTokenSource.CreateLinkedTokenSource(stop);
        late.CancelAfter(patience);
        try
        {
            using var client = new TcpClient(at.AddressFamily);
            await client.ConnectAsync(at, late.Token);
            await using var stream = client.GetStream();
            await CutterLine.Write(stream, asked, late.Token);
            var said = await CutterLine.Read<CutterSaid>(stream, late.Token);
            return said.Refused is { } why ? throw new CutterRefusedException(why) : said;
        }
        catch (OperationCanceledException e) when (!stop.IsCancellationRequested)
        {
            throw new CutterAwayException($"{Name} does not answer.", e);
        }
        catch (FormatException e)
        {
            throw Muddled(e);
        }
        catch (Exception e) when (e is SocketException or IOException)
        {
            throw new CutterAwayException($"{Name} is not there: nothing listens at {at}, or it went away.", e);
        }
    }

    private CutterAwayException Muddled(Exception? inner) => new($"What answers at {at} is not {Name}.", inner);
}

/// <summary>Lets a cutter stand-in be spoken to over a socket.</summary>
/// <param name="cutter">The stand-in.</param>
/// <param name="at">Where it listens; port 0 for any that is free.</param>
public sealed class CutterPort(CutterStandIn cutter, IPEndPoint at) : IDisposable
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(30);
    private const int MostAtOnce = 32;

    private readonly TcpListener listener = new(at);
    private readonly SemaphoreSlim room = new(MostAtOnce);

    /// <summary>Begins to listen.</summary>
    /// <returns>Where.</returns>
    /// <exception cref="SocketException">The port is taken.</exception>
    public IPEndPoint Open()
    {
        listener.Start();
        return (IPEndPoint)listener.LocalEndpoint;
    }

    /// <summary>Answers until it is told to stop.</summary>
    public async Task Answer(CancellationToken stop)
    {
        while (!stop.IsCancellationRequested)
        {
            await room.WaitAsync(stop);
            TcpClient client;
            try
            {
                client = await listener.AcceptTcpClientAsync(stop);
            }
            catch (Exception e) when (e is SocketException or ObjectDisposedException or OperationCanceledException)
            {
                return;
            }

            _ = Task.Run(
                async () =>
                {
                    try
                    {
                        await Answer(client, stop);
                    }
                    finally
                    {
                        client.Dispose();
                        room.Release();
                    }
                },
                CancellationToken.None
            );
        }
    }

    /// <summary>Answers one question; whoever went away or says nothing sensible is let go.</summary>
    private async Task Answer(TcpClient client, CancellationToken stop)
    {
        using var late = CancellationTokenSource.CreateLinkedTokenSource(stop);
        late.CancelAfter(Patience);
        try
        {
            await using var stream = client.GetStream();
            CutterSaid said;
            try
            {
                said = Said(await CutterLine.Read<CutterAsked>(stream, late.Token));
            }
            catch (Exception e) when (e is CutterRefusedException or FormatException)
            {
                said = new CutterSaid(Refused: e.Message);
            }

            await CutterLine.Write(stream, said, stop);
        }
        catch (Exception e) when (e is IOException or SocketException or OperationCanceledException)
        {
            // Nobody is left to be told.
        }
    }

    private CutterSaid Said(CutterAsked asked) =>
        asked switch
        {
            { Send: { } job } => new CutterSaid(Answer: cutter.Take(job)),
            { Tell: { } order } => new CutterSaid(Answer: cutter.Do(order)),
            { Sheet: { } id } => new CutterSaid(Sheet: cutter.SheetOf(id)),
            _ => new CutterSaid(Answer: cutter.Look()),
        };

    /// <inheritdoc/>
    public void Dispose()
    {
        listener.Dispose();
        room.Dispose();
    }
}

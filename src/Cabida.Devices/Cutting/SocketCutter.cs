using System.Net;
using System.Net.Sockets;

namespace Cabida.Devices.Cutting;

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
            return said.Refused is { } why ? throw new CutterRefusedException(why) { WantsTest = said.WantsTest } : said;
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

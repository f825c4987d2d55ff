using System.Net;
using System.Net.Sockets;

namespace Cabida.Devices.Cutting;

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
                said = new CutterSaid(Refused: e.Message, WantsTest: e is CutterRefusedException { WantsTest: true });
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

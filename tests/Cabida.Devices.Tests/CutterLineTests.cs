using System.Net;
using System.Net.Sockets;
using System.Text;
using Cabida.Core.Stock;
using Cabida.Devices.Cutting;
using Cabida.StandIns;

namespace Cabida.Devices.Tests;

/// <summary>The line to the stand-in: a real socket, and those who say nothing sensible over it.</summary>
public sealed class CutterLineTests : IDisposable
{
    private readonly CutterPort port = new(
        new CutterStandIn((f, c) => LoadReading.Lines(f, c, SvgNumbers.Per96), TimeProvider.System, 10_000),
        new IPEndPoint(IPAddress.Loopback, 0)
    );
    private readonly CancellationTokenSource stop = new();
    private readonly Task answering;
    private readonly IPEndPoint at;

    public CutterLineTests()
    {
        at = port.Open();
        answering = port.Answer(stop.Token);
    }

    public void Dispose()
    {
        stop.Cancel();
        port.Dispose();
        stop.Dispose();
    }

    [Fact]
    public async Task A_load_is_sent_cut_and_seen_over_the_line()
    {
        var cutter = new SocketCutter("c", "Cutter", at);
        var two_thousand = Enumerable.Range(0, 2000).SelectMany(i => CutterTests.Square(i % 50 * 5, i / 50 * 5, 4)).ToList();
        var job = CutterTests.Load("a", two_thousand);
        (await cutter.Send(job)).Jobs.ShouldHaveSingleItem().Lines.ShouldBe(2000);
        (await cutter.Sheet("a")).Strokes.Count.ShouldBe(2000);
        while ((await cutter.Look()).State != CutterState.Idle)
        {
            await Task.Delay(20);
        }

        (await cutter.Look()).Jobs[0].State.ShouldBe(CutJobState.Done);
        (await Should.ThrowAsync<CutterRefusedException>(() => cutter.Sheet("none"))).Message.ShouldContain("no such load");
        (
            await Should.ThrowAsync<CutterRefusedException>(() => cutter.Tell(new CutterOrder(CutterCommand.Pause, "a")))
        ).Message.ShouldContain("cut already");
    }

    [Theory]
    [InlineData("")]
    [InlineData("\n")]
    [InlineData("GET / HTTP/1.1\r\nHost: evil.example\r\n\r\n")]
    [InlineData("{\"send\":{}}\n")]
    [InlineData("{\"tell\":{\"command\":\"dance\",\"jobId\":\"a\"}}\n")]
    [InlineData("{\"send\":{\"id\":null,\"film\":null}}\n")]
    [InlineData("null\n")]
    [InlineData("[[[[")]
    public async Task Whoever_says_nothing_sensible_is_let_go_and_the_next_is_answered(string said)
    {
        using (var client = new TcpClient())
        {
            await client.ConnectAsync(at);
            using var reader = new StreamReader(client.GetStream());
            await client.GetStream().WriteAsync(Encoding.UTF8.GetBytes(said));
            client.Client.Shutdown(SocketShutdown.Send);
            await reader.ReadToEndAsync();
        }

        (await new SocketCutter("c", "Cutter", at).Look()).State.ShouldBe(CutterState.Idle);
        answering.IsFaulted.ShouldBeFalse();
    }

    [Fact]
    public async Task A_cutter_that_is_not_there_or_is_something_else_is_said_to_be_away()
    {
        var none = new TcpListener(IPAddress.Loopback, 0);
        none.Start();
        var free = (IPEndPoint)none.LocalEndpoint;
        var other = Task.Run(async () =>
        {
            using var client = await none.AcceptTcpClientAsync();
            await client.GetStream().WriteAsync("220 mail.example\r\n"u8.ToArray());
        });
        (await Should.ThrowAsync<CutterAwayException>(() => new SocketCutter("c", "Cutter", free).Look())).Message.ShouldContain("is not");
        await other;
        none.Stop();
        (await Should.ThrowAsync<CutterAwayException>(() => new SocketCutter("c", "Cutter", free).Look())).Message.ShouldContain(
            "not there"
        );
    }
}

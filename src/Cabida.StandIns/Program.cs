using System.Globalization;
using System.Net;
using System.Net.Sockets;
using Cabida.Core.Stock;
using Cabida.Devices.Cutting;
using Cabida.StandIns;

// The cutter stand-in, a process of its own. --port number (0 for any that is free), --fast times, --numbers mm|96|90|72.
CultureInfo.DefaultThreadCurrentCulture = CultureInfo.InvariantCulture;
var given = new Dictionary<string, string>(StringComparer.Ordinal);
for (var i = 0; i + 1 < args.Length; i += 2)
{
    given[args[i]] = args[i + 1];
}

var (unknown, numbers) = given.GetValueOrDefault("--numbers", "96") switch
{
    "mm" => (false, SvgNumbers.Millimetres),
    "96" => (false, SvgNumbers.Per96),
    "90" => (false, SvgNumbers.Per90),
    "72" => (false, SvgNumbers.Per72),
    _ => (true, SvgNumbers.Per96),
};
if (
    unknown
    || args.Length % 2 != 0
    || given.Keys.Except(["--port", "--fast", "--numbers"]).Any()
    || !ushort.TryParse(given.GetValueOrDefault("--port", "0"), CultureInfo.InvariantCulture, out var port)
    || !double.TryParse(given.GetValueOrDefault("--fast", "1"), CultureInfo.InvariantCulture, out var fast)
    || fast is not (>= 0.01 and <= 10_000)
)
{
    await Console.Error.WriteLineAsync("Usage: Cabida.StandIns [--port number] [--fast times] [--numbers mm|96|90|72]");
    return 2;
}

using var stop = new CancellationTokenSource();
Console.CancelKeyPress += (_, e) =>
{
    e.Cancel = true;
    stop.Cancel();
};
AppDomain.CurrentDomain.ProcessExit += (_, _) => stop.Cancel();
var cutter = new CutterStandIn((format, content) => LoadReading.Lines(format, content, numbers), TimeProvider.System, fast);
using var line = new CutterPort(cutter, new IPEndPoint(IPAddress.Loopback, port));
try
{
    var at = line.Open();
    Console.WriteLine(FormattableString.Invariant($"The cutter stand-in listens at {at}"));
}
catch (SocketException e)
{
    await Console.Error.WriteLineAsync($"The cutter stand-in cannot listen at port {port}: {e.Message}");
    return 1;
}

await line.Answer(stop.Token);
return 0;

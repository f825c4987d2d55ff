using System.Net;
using Cabida.Devices.Cutting;

namespace Cabida.Web.Machines;

/// <summary>The cutters that loads can be sent to.</summary>
internal sealed class ConnectedMachines(IConfiguration configuration)
{
    /// <summary>The setting that says where the stand-in listens: address and port.</summary>
    public const string Setting = "CutterStandIn";

    public IReadOnlyList<ICutter> All { get; } = configuration[Setting] is { Length: > 0 } at ? [StandIn(at)] : [];

    public ICutter? Find(string id) => All.FirstOrDefault(m => m.Id == id);

    /// <summary>It is on this machine and nowhere else: what the maker cuts is nobody else's.</summary>
    private static SocketCutter StandIn(string at) =>
        IPEndPoint.TryParse(at, out var end) && IPAddress.IsLoopback(end.Address) && end.Port > 0
            ? new SocketCutter("stand-in", "Cutter stand-in", end)
            : throw new InvalidOperationException(
                $"The setting {Setting} is to be an address of this machine and a port, as 127.0.0.1:5311."
            );
}

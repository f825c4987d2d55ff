namespace Cabida.Devices.Scanning;

/// <summary>A sheet that lies ready.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What is on it.</param>
/// <param name="IsPhotograph">Whether it is taken with a camera rather than scanned.</param>
public sealed record SheetInTray(string Id, string Name, bool IsPhotograph);

/// <summary>How a sheet is scanned.</summary>
/// <param name="DotsPerInch">The resolution.</param>
/// <param name="SkewDegrees">How crooked the sheet lies.</param>
/// <param name="Noise">The noise of a pixel, as a share of white.</param>
/// <param name="Shading">How much darker the light is at one corner than at the other, as a share.</param>
public sealed record ScanSettings(double DotsPerInch, double SkewDegrees = 0, double Noise = 0.01, double Shading = 0.1)
{
    /// <summary>Other noise of the same kind.</summary>
    public int Seed { get; init; }
}

/// <summary>A scan as a device hands it over.</summary>
/// <param name="Png">The picture file.</param>
/// <param name="DotsPerInch">Its resolution; null for a photograph.</param>
public sealed record Scan(byte[] Png, double? DotsPerInch);

/// <summary>A device that turns a sheet of paper into a picture. The stand-in and a real one are reached through this.</summary>
public interface IScanner
{
    /// <summary>What it is called.</summary>
    string Name { get; }

    /// <summary>The resolutions it offers.</summary>
    IReadOnlyList<int> Resolutions { get; }

    /// <summary>What lies in its tray.</summary>
    IReadOnlyList<SheetInTray> Tray { get; }

    /// <summary>Scans a sheet.</summary>
    /// <exception cref="ArgumentException">There is no such sheet.</exception>
    Task<Scan> Scan(string sheetId, ScanSettings settings, CancellationToken stop = default);
}

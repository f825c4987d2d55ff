namespace Cabida.Devices.Scanning;

/// <summary>A scanner that ships with the product: its tray holds made-up sheets, rendered as they are scanned.</summary>
public sealed class ScannerStandIn : IScanner
{
    /// <inheritdoc/>
    public string Name => "Scanner stand-in";

    /// <inheritdoc/>
    public IReadOnlyList<int> Resolutions { get; } = [150, 300, 600];

    /// <inheritdoc/>
    public IReadOnlyList<SheetInTray> Tray { get; } =
    [.. MadeUpSheets.All.Select(s => new SheetInTray(s.Id, s.Name, s.Photographed is not null))];

    /// <inheritdoc/>
    public Task<Scan> Scan(string sheetId, ScanSettings settings, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(settings);
        var sheet = MadeUpSheets.All.FirstOrDefault(s => s.Id == sheetId)
            ?? throw new ArgumentException($"There is no sheet “{sheetId}” in the tray.", nameof(sheetId));
        return Task.Run(
            () => new Scan(SheetRendering.Png(sheet, settings), sheet.Photographed is null ? settings.DotsPerInch : null),
            stop
        );
    }
}

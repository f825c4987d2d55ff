using System.Globalization;
using System.Text;
using System.Text.Json;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Devices.Cutting;
using Cabida.Formats.Cutting;
using Cabida.Store;
using Cabida.Web.Plans;

namespace Cabida.Web.Machines;

/// <summary>
/// Released loads as they are sent to a cutter. What is sent is the file that was released, to the byte, with the settings that the film
/// has now: those of a test cut that failed are mended before it is cut. A load is told apart by its revision, which changes when it is
/// noted as cut, so that one that is sent twice is cut once.
/// </summary>
internal sealed class SentLoads(KeptCutFiles files, Cabida.Store.Library library)
{
    private const string Test = ".test";
    private const string Cut = ".cut";

    /// <summary>The load that a cutter's job is of, and whether it is a test cut.</summary>
    public static (string Load, bool IsTest)? LoadOf(string jobId) =>
        jobId.EndsWith(Test, StringComparison.Ordinal) ? (jobId[..^Test.Length], true)
        : jobId.LastIndexOf(Cut, StringComparison.Ordinal) is > 0 and var at
        && int.TryParse(jobId.AsSpan(at + Cut.Length), NumberStyles.None, CultureInfo.InvariantCulture, out _)
            ? (jobId[..at], false)
        : null;

    /// <summary>A load as it is sent, or why it cannot be.</summary>
    public async Task<(CutJob? Job, string? Problem)> Of(Stored<ReleasedLoad> stored, CutWanted wanted, CancellationToken stop)
    {
        var load = stored.Document;
        if (UntilOf(wanted.Until) is { Problem: { } unread })
        {
            return (null, unread);
        }

        var drawn = await files.Find(load.Drawn, stop) is { } bytes ? JsonSerializer.Deserialize<DrawnLoad>(bytes) : null;
        var format =
            wanted.Format is "svg" or "hpgl" ? wanted.Format
            : load.Cutter.Blade.CutterSeesToIt ? "svg"
            : "hpgl";
        var (content, problem) = wanted.IsTest ? TestOf(load, drawn) : await FileOf(load, format, stop);
        if (problem is not null)
        {
            return (null, problem);
        }

        var stock = (await library.Find(DocumentKinds.FilmStock, load.FilmId, stop))?.Document;
        var settings = (await library.Find(DocumentKinds.Film, load.FilmId, stop))?.Document.Settings ?? load.Film.Settings;
        var film = new FilmIn(
            load.FilmId,
            stored.Id,
            load.Film.Name,
            load.Film.Material,
            Read(stock?.Thickness ?? TypedLength.Empty),
            CarrierOf(load),
            UntilOf(wanted.Until).Until ?? drawn?.FilmUntil ?? load.Reach.Height
        );
        return (
            new CutJob(
                stored.Id + (wanted.IsTest ? Test : string.Create(CultureInfo.InvariantCulture, $"{Cut}{stored.Revision}")),
                wanted.IsTest ? $"Test cut, {load.Film.Name}" : $"{load.Name}, load {load.Number} of {load.Of}",
                wanted.IsTest ? "svg" : format,
                content!,
                load.Reach.Width,
                load.Reach.Height,
                film,
                settings
            )
            {
                IsTest = wanted.IsTest,
                WithoutTest = wanted.WithoutTest,
                From = wanted.IsTest ? 0 : wanted.From,
            },
            null
        );
    }

    /// <summary>How far up film reaches, as typed, in millimetres; null where nothing was. Or why it cannot be read.</summary>
    public static (double? Until, string? Problem) UntilOf(TypedLength typed) =>
        typed.IsEmpty ? (null, null)
        : typed.Read(StockItem.RollLength) is { Ok: true } read ? (read.Value.Value.Millimetres, null)
        : (null, $"How far the film reaches: {typed.Read(StockItem.RollLength).Problem}");

    /// <summary>How thick the carrier is that it lay on; null for none.</summary>
    private static double? CarrierOf(ReleasedLoad load) =>
        load.Carrier.Length == 0
            ? null
            : Read(load.Cutter.CarriersOr.FirstOrDefault(c => c.Name == load.Carrier)?.Thickness ?? TypedLength.Empty)
                ?? Carrier.UsualThickness;

    private static double? Read(TypedLength typed) => typed.Read(LengthRange.Thickness).ValueOrDefault?.Value.Millimetres;

    private static (string?, string?) TestOf(ReleasedLoad load, DrawnLoad? drawn) =>
        drawn?.Test is { } test
            ? (
                CutSvg.Write(
                    test.Drawing($"Test cut, {load.Film.Name}", load.Reach.Width, load.Reach.Height, load.Film.Name, load.Film.Colour),
                    load.Cutter.SvgNumbers
                ),
                null
            )
            : (null, "This load leaves no room for a test cut. Make it on a scrap, or cut without.");

    private async Task<(string?, string?)> FileOf(ReleasedLoad load, string format, CancellationToken stop)
    {
        var units = format == "hpgl" ? null : UnitsOf(load.Cutter.SvgNumbers);
        var wanted = WantedFile.Of(format, units).Wanted!;
        return load.Files.FirstOrDefault(f => wanted.Is(f.Format, f.Units)) is { } file && await files.Find(file.Hash, stop) is { } bytes
            ? (Encoding.UTF8.GetString(bytes), null)
            : (null, "The bytes that were released are not there any more, or are not what they were.");
    }

    private static string UnitsOf(SvgNumbers numbers) =>
        numbers switch
        {
            SvgNumbers.Per96 => "96",
            SvgNumbers.Per90 => "90",
            SvgNumbers.Per72 => "72",
            _ => "mm",
        };
}

using Cabida.Core.Tracing;
using Cabida.Devices.Scanning;
using Cabida.Formats.Pictures;

namespace Cabida.Benchmarks;

/// <summary>Following the outline on an A4 scan at 300 dots an inch against decoding it: medians of interleaved runs.</summary>
internal static class Tracing
{
    private const int Rounds = 9;
    private const double Dots = 300;

    public static void Report()
    {
        var png = SheetRendering.Png(MadeUpSheets.All.Single(s => s.Id == "tag"), new ScanSettings(Dots, 1.5, 0.012, 0.18));
        var head = PictureHead.Read(png).Value;
        var (decoding, following) = (new List<double>(), new List<double>());
        for (var round = -2; round < Rounds; round++)
        {
            GreyPicture? picture = null;
            var decode = Medians.Time(() => picture = GreyReader.Read(png, head).Value);
            var follow = Medians.Time(() =>
                _ = OutlineTrace
                    .Of(
                        picture!,
                        PictureScale.OfScan(Dots, head.Height).Value,
                        new TraceSettings(LineEdge.Inner, 0.4, 0.1, []) { Straighten = true }
                    )
                    .Value.Outlines.Single()
            );
            if (round >= 0)
            {
                decoding.Add(decode);
                following.Add(follow);
            }
        }

        Console.WriteLine(
            $"{head.Width} × {head.Height}, medians of {Rounds}: decoding {Medians.Of(decoding):0} ms, following "
                + $"{Medians.Of(following):0} ms, ratio {Medians.Of(following) / Medians.Of(decoding):0.00}"
        );
    }
}

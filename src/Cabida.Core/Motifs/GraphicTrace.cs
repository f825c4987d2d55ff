using Cabida.Core.Geometry;
using Cabida.Core.Tracing;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>How a picture becomes a graphic.</summary>
/// <param name="Colours">How many flat colours, 2 to 8; 1 for what is darker than a threshold.</param>
/// <param name="Threshold">The brightness, 0 to 1, below which a pixel counts, where there is one colour.</param>
/// <param name="WithoutBackground">Whether the colour along the picture's border is left out.</param>
/// <param name="Specks">Bits and holes of fewer square pixels than this are dropped.</param>
public sealed record GraphicTraceChoice(int Colours, double Threshold, bool WithoutBackground, double Specks)
{
    /// <summary>Whether all that is not clear counts, whatever its colour; the threshold is then that of opacity.</summary>
    public bool ByOpacity { get; init; }
}

/// <summary>
/// A picture → a graphic: pixels sorted by a threshold or into flat colours, each colour's outline followed between pixels
/// by marching squares, and curves fitted to it. A pixel is a millimetre; y up.
/// </summary>
public static class GraphicTrace
{
    /// <summary>The most colours a picture is traced to.</summary>
    public const int MostColours = 8;

    /// <summary>How far fitted curves may lie from the followed outline, in pixels.</summary>
    private const double FitWithin = 0.08;

    private const int MostOutlines = 20_000;

    /// <summary>Traces a picture; the pieces come with the background first.</summary>
    public static Outcome<IReadOnlyList<GraphicPiece>> Of(
        ColourPicture picture,
        GraphicTraceChoice choice,
        CancellationToken stop = default
    )
    {
        ArgumentNullException.ThrowIfNull(picture);
        ArgumentNullException.ThrowIfNull(choice);
        if (choice.Colours is < 1 or > MostColours)
        {
            return Fail(Phrase.Say($"A picture is traced to 1 to {MostColours} colours, not {choice.Colours}."));
        }

        var layers =
            choice.ByOpacity ? Opaque(picture, choice.Threshold)
            : choice.Colours == 1 ? Dark(picture, choice.Threshold)
            : Flat(picture, choice);
        if (layers is null)
        {
            return Fail(
                choice.ByOpacity
                    ? Phrase.Say($"Nothing in the picture is clear, so there is no edge to follow. Follow what is dark, or flat colours.")
                : picture.Opacity is null ? Phrase.Say($"The picture is of a single colour: there is nothing in it to follow.")
                : Phrase.Say($"The picture is of a single colour on a clear ground. Follow what is not clear.")
            );
        }

        var pieces = new List<GraphicPiece>();
        foreach (var (colour, mask) in layers)
        {
            stop.ThrowIfCancellationRequested();
            mask.Smooth();
            var found = LevelContours
                .Of(mask, PaperLight.Even(255), 0.5, _ => (0, mask.Width), stop)
                ?.Where(c => Math.Abs(c.SignedArea) >= Math.Max(choice.Specks, 1))
                .ToList();
            if (found is null || found.Count > MostOutlines)
            {
                return Fail(
                    Phrase.Say(
                        $"There is too much in the picture to follow: it looks like a photograph. Take fewer colours, drop larger "
                            + $"specks, or trace a drawing."
                    )
                );
            }

            List<Contour> contours =
            [
                .. found.Select(c =>
                    CurveFitting.Fit(
                        Outlines.Ring([.. c.Points.Select(p => new PlanePoint(p.X, picture.Height - p.Y))]).ExteriorRing,
                        FitWithin
                    )
                ),
            ];
            if (contours.Count > 0)
            {
                pieces.Add(new GraphicPiece(colour, FillRule.EvenOdd, contours, []));
            }
        }

        return pieces.Count > 0
            ? Outcome<IReadOnlyList<GraphicPiece>>.Of(pieces)
            : Fail(
                choice.ByOpacity ? Phrase.Say($"Nothing in the picture is more opaque than that. Lower it.")
                : choice.Colours == 1 ? Phrase.Say($"Nothing in the picture is darker than the threshold. Raise it.")
                : Phrase.Say($"Nothing is left once specks and background are dropped.")
            );
    }

    private static Outcome<IReadOnlyList<GraphicPiece>> Fail(Phrase why) => Outcome<IReadOnlyList<GraphicPiece>>.Fail(why);

    /// <summary>
    /// What is darker than the threshold, brightness scaled so that the threshold lies in the middle; null when all pixels are alike.
    /// </summary>
    private static List<(string Colour, GreyPicture Mask)>? Dark(ColourPicture picture, double threshold)
    {
        var grey = picture.Grey();
        return grey.Pixels.All(p => p == grey.Pixels[0]) ? null : [("#000000", Below(grey, threshold))];
    }

    /// <summary>What is more opaque than the threshold, in the colour most of it is of; null where nothing is clear.</summary>
    private static List<(string Colour, GreyPicture Mask)>? Opaque(ColourPicture picture, double threshold)
    {
        if (picture.Opacity is not { } opacity || opacity.All(o => o == opacity[0]))
        {
            return null;
        }

        var flat = FlatColours.Find(picture, MostColours);
        return
        [
            (
                flat.Colours.Count > 0 ? Hex(flat.Colours[0]) : "#000000",
                Below(new GreyPicture(picture.Width, picture.Height, [.. opacity.Select(o => (byte)(255 - o))]), 1 - threshold)
            ),
        ];
    }

    /// <summary>Brightness scaled so that the threshold lies in the middle.</summary>
    private static GreyPicture Below(GreyPicture grey, double threshold)
    {
        var level = Math.Clamp(threshold, 0.01, 0.99) * 255;
        return new GreyPicture(grey.Width, grey.Height, [.. grey.Pixels.Select(p => (byte)Math.Clamp(127.5 + ((p - level) * 2), 0, 255))]);
    }

    private static string Hex((double R, double G, double B) colour) =>
        $"#{(int)Math.Round(colour.R):x2}{(int)Math.Round(colour.G):x2}{(int)Math.Round(colour.B):x2}";

    private static List<(string Colour, GreyPicture Mask)>? Flat(ColourPicture picture, GraphicTraceChoice choice)
    {
        var flat = FlatColours.Find(picture, choice.Colours);
        // On a clear ground one colour is a drawing, white too; and the ground is no colour that could be left out.
        var clear = flat.Of.Contains(FlatColours.Clear);
        if (flat.Colours.Count < (clear ? 1 : 2))
        {
            return null;
        }

        var background = choice.WithoutBackground ? Border(flat, picture.Width, picture.Height) : -1;
        return
        [
            .. Enumerable
                .Range(0, flat.Colours.Count)
                .Where(k => k != background)
                .Select(k =>
                    (
                        Hex(flat.Colours[k]),
                        new GreyPicture(picture.Width, picture.Height, [.. flat.Of.Select(c => c == k ? (byte)0 : (byte)255)])
                    )
                ),
        ];
    }

    /// <summary>The colour that most of the border is of; none where that is clear.</summary>
    private static int Border(FlatColours flat, int width, int height)
    {
        var counts = new int[FlatColours.Clear + 1];
        for (var x = 0; x < width; x++)
        {
            counts[flat.Of[x]]++;
            counts[flat.Of[((height - 1) * width) + x]]++;
        }

        for (var y = 0; y < height; y++)
        {
            counts[flat.Of[y * width]]++;
            counts[flat.Of[(y * width) + width - 1]]++;
        }

        return Array.IndexOf(counts, counts.Max()) is var most && most == FlatColours.Clear ? -1 : most;
    }
}

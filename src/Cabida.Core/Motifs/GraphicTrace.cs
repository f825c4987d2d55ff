using Cabida.Core.Geometry;
using Cabida.Core.Tracing;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>How a picture becomes a graphic.</summary>
/// <param name="Colours">How many flat colours, 2 to 8; 1 for what is darker than a threshold.</param>
/// <param name="Threshold">The brightness, 0 to 1, below which a pixel counts, where there is one colour.</param>
/// <param name="WithoutBackground">Whether the colour along the picture's border is left out.</param>
/// <param name="Specks">Bits and holes of fewer square pixels than this are dropped.</param>
public sealed record GraphicTraceChoice(int Colours, double Threshold, bool WithoutBackground, double Specks);

/// <summary>
/// A picture → a graphic: pixels sorted by a threshold or into flat colours, each colour's outline followed between pixels
/// by marching squares, and curves fitted to it. A pixel is a millimetre; y up.
/// </summary>
public static class GraphicTrace
{
    /// <summary>The most colours a picture is traced to.</summary>
    public const int MostColours = 8;

    /// <summary>How far fitted curves may lie from the followed outline, in pixels.</summary>
    private const double FitWithin = 0.12;

    private const int MostOutlines = 20_000;

    /// <summary>Traces a picture; the pieces come with the background first.</summary>
    public static Outcome<IReadOnlyList<GraphicPiece>> Of(ColourPicture picture, GraphicTraceChoice choice, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(picture);
        ArgumentNullException.ThrowIfNull(choice);
        if (choice.Colours is < 1 or > MostColours)
        {
            return Fail(Phrase.Say($"A picture is traced to 1 to {MostColours} colours, not {choice.Colours}."));
        }

        var layers = choice.Colours == 1 ? Dark(picture, choice.Threshold) : Flat(picture, choice);
        if (layers is null)
        {
            return Fail(Phrase.Say($"The picture is of a single colour: there is nothing in it to follow."));
        }

        var pieces = new List<GraphicPiece>();
        foreach (var (colour, mask) in layers)
        {
            stop.ThrowIfCancellationRequested();
            mask.Smooth();
            var found = LevelContours.Of(mask, PaperLight.Even(255), 0.5, _ => (0, mask.Width), stop)?.Where(c => Math.Abs(c.SignedArea) >= Math.Max(choice.Specks, 1)).ToList();
            if (found is null || found.Count > MostOutlines)
            {
                return Fail(Phrase.Say($"There is too much in the picture to follow: it looks like a photograph. Take fewer colours, drop larger specks, or trace a drawing."));
            }

            List<Contour> contours = [.. found.Select(c => CurveFitting.Fit(Outlines.Ring([.. c.Points.Select(p => new PlanePoint(p.X, picture.Height - p.Y))]).ExteriorRing, FitWithin))];
            if (contours.Count > 0)
            {
                pieces.Add(new GraphicPiece(colour, FillRule.EvenOdd, contours, []));
            }
        }

        return pieces.Count > 0 ? Outcome<IReadOnlyList<GraphicPiece>>.Of(pieces)
            : Fail(choice.Colours == 1 ? Phrase.Say($"Nothing in the picture is darker than the threshold. Raise it.") : Phrase.Say($"Nothing is left once specks and background are dropped."));
    }

    private static Outcome<IReadOnlyList<GraphicPiece>> Fail(Phrase why) => Outcome<IReadOnlyList<GraphicPiece>>.Fail(why);

    /// <summary>What is darker than the threshold, brightness scaled so that the threshold lies in the middle; null when all pixels are alike.</summary>
    private static List<(string Colour, GreyPicture Mask)>? Dark(ColourPicture picture, double threshold)
    {
        var grey = picture.Grey();
        if (grey.Pixels.All(p => p == grey.Pixels[0]))
        {
            return null;
        }

        var level = Math.Clamp(threshold, 0.01, 0.99) * 255;
        return [("#000000", new GreyPicture(grey.Width, grey.Height, [.. grey.Pixels.Select(p => (byte)Math.Clamp(127.5 + ((p - level) * 2), 0, 255))]))];
    }

    private static List<(string Colour, GreyPicture Mask)>? Flat(ColourPicture picture, GraphicTraceChoice choice)
    {
        var flat = FlatColours.Find(picture, choice.Colours);
        if (flat.Colours.Count < 2)
        {
            return null;
        }

        var background = choice.WithoutBackground ? Border(flat, picture.Width, picture.Height) : -1;
        return [.. Enumerable.Range(0, flat.Colours.Count).Where(k => k != background).Select(k =>
        {
            var (r, g, b) = flat.Colours[k];
            return ($"#{(int)Math.Round(r):x2}{(int)Math.Round(g):x2}{(int)Math.Round(b):x2}", new GreyPicture(picture.Width, picture.Height, [.. flat.Of.Select(c => c == k ? (byte)0 : (byte)255)]));
        })];
    }

    /// <summary>The colour that most of the border is of.</summary>
    private static int Border(FlatColours flat, int width, int height)
    {
        var counts = new int[flat.Colours.Count];
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

        return Array.IndexOf(counts, counts.Max());
    }
}

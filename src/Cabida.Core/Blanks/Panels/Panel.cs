using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using Dimension = Cabida.Core.Measures.Dimension;

namespace Cabida.Core.Blanks;

/// <summary>
/// A flat surface: x = 0 is its middle (of a back, which lies beside its front, a place to the right), y = 0 its bottom edge. The nominal
/// outline uses the best values; the cautious one is what is there for certain.
/// </summary>
/// <param name="Nominal">By the best values.</param>
/// <param name="Cautious">Less what is uncertain.</param>
/// <param name="Width">Its width.</param>
/// <param name="Height">Its height.</param>
/// <param name="Datums">What is measured from on it.</param>
public sealed record Panel(Polygon Nominal, Polygon Cautious, Dimension Width, Dimension Height, Datums Datums)
{
    /// <summary>What is inside it and belongs to something else, such as a mat's opening: a zone keeps off it and its margins.</summary>
    public Polygon? Inner { get; init; }

    /// <summary>Which cloth thing it is the body of; null for others.</summary>
    public GarmentKind? Garment { get; init; }

    /// <summary>Which face it is.</summary>
    public FaceKey Face => Datums.Face;

    /// <summary>What that face is called.</summary>
    public string Name { get; init; } = "front";

    /// <summary>How far beside its front the other side is laid, in widths.</summary>
    private const double Beside = 1.15;

    /// <summary>
    /// The other side of a flat thing: turned over about its upright middle line, so that left and right are as one looks at it.
    /// </summary>
    public Panel OtherSide()
    {
        var between = Datums.Box.CentreX + (Beside * Width.Value.Millimetres / 2);
        // Mirroring turns rings round; they run as they did before.
        Polygon Turned(Polygon p) => (Polygon)Outlines.Mirrored(p, between).Reverse();
        var nominal = Turned(Nominal);
        return this with
        {
            Nominal = nominal,
            Cautious = Turned(Cautious),
            Inner = Inner is null ? null : Turned(Inner),
            Datums = new Datums(Box.Of(nominal)!.Value, Datums.Heights) { Face = FaceKey.Back },
            Name = "back",
        };
    }

    /// <summary>The same laid elsewhere, as another face.</summary>
    internal Panel At(double middle, FaceKey face, string name)
    {
        Polygon Moved(Polygon p) => (Polygon)Outlines.Placed(p, 1, middle - Datums.Box.CentreX, 0);
        var nominal = Moved(Nominal);
        var datums = Datums.Of(Box.Of(nominal)!.Value) with { Face = face };
        return this with { Nominal = nominal, Cautious = Moved(Cautious), Datums = datums, Name = name };
    }

    /// <summary>A rectangle that is measured.</summary>
    public static Panel Rectangle(Dimension width, Dimension height)
    {
        ArgumentNullException.ThrowIfNull(width);
        ArgumentNullException.ThrowIfNull(height);
        return Of(width, height, (w, h) => Outlines.Rectangle(new Box(-w / 2, -h / 2, w / 2, h / 2)));
    }

    /// <summary>A shape that its width and height decide; drawn round its middle.</summary>
    internal static Panel Of(Dimension width, Dimension height, Func<double, double, Polygon> shape)
    {
        var (w, h) = (width.Value.Millimetres, height.Value.Millimetres);
        Polygon Raised(Polygon p) => (Polygon)Outlines.Placed(p, 1, 0, h / 2);
        var nominal = Raised(shape(w, h));
        return new Panel(
            nominal,
            Raised(shape(width.Cautious.Millimetres, height.Cautious.Millimetres)),
            width,
            height,
            Blanks.Datums.Of(Box.Of(nominal)!.Value)
        );
    }
}

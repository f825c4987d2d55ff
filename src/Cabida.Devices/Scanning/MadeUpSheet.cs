using Cabida.Core.Geometry;

namespace Cabida.Devices.Scanning;

/// <summary>How a shape is put on paper.</summary>
public enum DrawnAs
{
    /// <summary>Filled dark, as the object itself laid on the glass.</summary>
    Filled,

    /// <summary>Drawn round with a pencil.</summary>
    Pencil,
}

/// <summary>A made-up sheet of paper with a shape on it: what a scan of it is measured against.</summary>
/// <param name="Id">Tells it apart.</param>
/// <param name="Name">What is on it.</param>
/// <param name="Width">The sheet's width in millimetres.</param>
/// <param name="Height">Its height.</param>
/// <param name="Shapes">The shapes, each an outer ring and its holes; millimetres from the sheet's lower left, y up.</param>
/// <param name="As">How they are drawn.</param>
public sealed record MadeUpSheet(
    string Id,
    string Name,
    double Width,
    double Height,
    IReadOnlyList<IReadOnlyList<IReadOnlyList<PlanePoint>>> Shapes,
    DrawnAs As
)
{
    /// <summary>How dark the shape or line is, as a share of the paper's brightness taken away.</summary>
    public double Darkness { get; init; } = 0.8;

    /// <summary>How wide the pencil line is, in millimetres; its middle runs on the shape.</summary>
    public double LineWidth { get; init; } = 0.6;

    /// <summary>The paper's colour, red, green and blue as shares.</summary>
    public (double Red, double Green, double Blue) Paper { get; init; } = (0.97, 0.97, 0.96);

    /// <summary>How far the shape's soft shadow falls to the right and down, in millimetres; nothing for none.</summary>
    public double Shadow { get; init; }

    /// <summary>How far each straight stroke of the pencil runs on past its corner, in millimetres.</summary>
    public double RunsOver { get; init; }

    /// <summary>
    /// Corners of the sheet on a photograph as shares of it, y down: upper left, upper right, lower right, lower left; null for a scan.
    /// </summary>
    public IReadOnlyList<PlanePoint>? Photographed { get; init; }
}

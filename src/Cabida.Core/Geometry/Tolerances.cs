namespace Cabida.Core.Geometry;

/// <summary>
/// Every tolerance of the computation, in millimetres unless said. Each is passed explicitly to what uses it;
/// the order is: computed ink 0.01, checks 0.02, files 0.02 more, the hand 0.5.
/// </summary>
public static class Tolerances
{
    /// <summary>The chord error allowed where a curve is flattened at its final size.</summary>
    public const double Ink = 0.01;

    /// <summary>The most a flattened curve may turn at one vertex, in radians (5°).</summary>
    public const double InkTurn = 5 * Math.PI / 180;

    /// <summary>How far computed ink may stand outside a zone.</summary>
    public const double Fit = 0.001;

    /// <summary>The accuracy of local widths and of the checks built on them.</summary>
    public const double Check = 0.02;

    /// <summary>How far the curves of a cut file may lie from the computed outline.</summary>
    public const double File = 0.02;
}

using Cabida.Core.Geometry;

namespace Cabida.Core.Layout;

/// <summary>A turn about the origin and then a move: what becomes of a thing that is laid, and never its size.</summary>
/// <param name="Degrees">The turn to the left.</param>
/// <param name="X">The move across; millimetres.</param>
/// <param name="Y">The move up; millimetres.</param>
public readonly record struct RigidMotion(double Degrees, double X, double Y)
{
    /// <summary>It as a change of place.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Motion Motion => Motion.TurnLeft(Degrees).Moved(X, Y);
}

using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>The line that a person measures from on the real thing.</summary>
public enum Datum
{
    /// <summary>The middle of the surface.</summary>
    Middle,

    /// <summary>The rim of a wall, the top edge of a panel; down from it.</summary>
    Top,

    /// <summary>The base of a wall, the bottom edge of a panel; up from it.</summary>
    Bottom,

    /// <summary>The collar seam at the centre, or the top edge of a bag; down from it.</summary>
    Collar,

    /// <summary>The top of the shoulder beside the collar; down from it.</summary>
    Shoulder,

    /// <summary>The hem, or the bottom edge of a bag; up from it.</summary>
    Hem,

    /// <summary>The top of the pocket; down from it.</summary>
    Pocket,
}

/// <summary>To which side of the middle line.</summary>
public enum Sideways
{
    /// <summary>On it.</summary>
    Centred,

    /// <summary>To the left as one looks at it.</summary>
    Left,

    /// <summary>To the right as one looks at it.</summary>
    Right,
}

/// <summary>Where a thing stands, as a maker measures it in. Its near edge stands <see cref="Away"/> from the datum; at the
/// middle it is centred and nothing is measured.</summary>
public sealed record Place
{
    /// <summary>What is measured from.</summary>
    public Datum From { get; init; }

    /// <summary>How far its near edge stands from there.</summary>
    public TypedLength Away { get; init; } = TypedLength.Empty;

    /// <summary>To which side of the middle line its own middle stands.</summary>
    public Sideways Side { get; init; }

    /// <summary>How far.</summary>
    public TypedLength Across { get; init; } = TypedLength.Empty;
}

/// <summary>What one typed field was understood as.</summary>
/// <param name="Field">The field's name in the document.</param>
/// <param name="Value">What was understood; null when nothing was typed or it cannot be read.</param>
/// <param name="Problem">Why it cannot be read.</param>
public sealed record FieldEcho(string Field, Length? Value, Phrase? Problem)
{
    /// <summary>Reads a field; an empty one is neither a value nor a problem.</summary>
    public static FieldEcho Of(string field, TypedLength typed, LengthRange range)
    {
        ArgumentNullException.ThrowIfNull(typed);
        var read = typed.Read(range);
        return new FieldEcho(field, read.ValueOrDefault?.Value, typed.IsEmpty ? null : read.Problem);
    }
}

/// <summary>The heights of the datums of a surface in its own coordinates; what was not measured is missing.</summary>
/// <param name="Box">The box of the surface.</param>
/// <param name="Heights">The height of each datum there is.</param>
public sealed record Datums(Geometry.Box Box, IReadOnlyDictionary<Datum, double> Heights)
{
    /// <summary>The face whose they are.</summary>
    public FaceKey Face { get; init; }

    /// <summary>Top and bottom of a box.</summary>
    public static Datums Of(Geometry.Box box) =>
        new(box, new Dictionary<Datum, double> { [Datum.Top] = box.MaxY, [Datum.Bottom] = box.MinY });

    /// <summary>The centre of a thing of a height that is placed, or why it has none.</summary>
    internal Outcome<Geometry.PlanePoint> Centre(Place place, double height)
    {
        var across = place.Across.OrZero(LengthRange.Distance).Millimetres;
        var x =
            Box.CentreX
            + (
                place.Side switch
                {
                    Sideways.Left => -across,
                    Sideways.Right => across,
                    _ => 0,
                }
            );
        if (place.From == Datum.Middle)
        {
            return Outcome<Geometry.PlanePoint>.Of(new(x, Box.CentreY));
        }

        if (!Heights.TryGetValue(place.From, out var from))
        {
            return Outcome<Geometry.PlanePoint>.Fail(
                (Face.Facing, place.From) switch
                {
                    (Facing.Back, Datum.Pocket) => Phrase.Say(
                        $"It is measured from the pocket, which is on the front. Measure it from something on the back."
                    ),
                    (Facing.Back, _) => Phrase.Say(
                        $"It is measured from the {Name(place.From)} of the back, which was not read. Read it, or measure from the "
                            + $"shoulder or the hem."
                    ),
                    _ => Phrase.Say($"It is measured from the {Name(place.From)}, which was not read."),
                }
            );
        }

        var away = place.Away.OrZero(LengthRange.Distance).Millimetres;
        return Outcome<Geometry.PlanePoint>.Of(new(x, IsUpwards(place.From) ? from + away + (height / 2) : from - away - (height / 2)));
    }

    /// <summary>Whether one measures up from a datum.</summary>
    public static bool IsUpwards(Datum from) => from is Datum.Bottom or Datum.Hem;

    /// <summary>What a maker calls it.</summary>
    public static string Name(Datum from) =>
        from switch
        {
            Datum.Middle => "middle",
            Datum.Top => "top",
            Datum.Bottom => "base",
            Datum.Collar => "collar seam",
            Datum.Shoulder => "shoulder",
            Datum.Hem => "hem",
            Datum.Pocket => "pocket",
            _ => throw new ArgumentOutOfRangeException(nameof(from)),
        };
}

using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>A zone's typed lengths, read.</summary>
internal sealed record ReadZone(ZoneSpec Spec, Length Top, Length Bottom, Length Left, Length Right, double? Width, double? Height)
{
    /// <summary>What was understood of every field, and the zone when all that matter can be read.</summary>
    public static (IReadOnlyList<FieldEcho> Echoes, ReadZone? Zone, Phrase? Problem) Of(ZoneSpec spec)
    {
        var m = spec.Margins;
        List<FieldEcho> echoes =
        [
            FieldEcho.Of("top", m.Top, LengthRange.Margin),
            FieldEcho.Of("bottom", m.Bottom, LengthRange.Margin),
            FieldEcho.Of("left", m.Left, LengthRange.Margin),
            FieldEcho.Of("right", m.Right, LengthRange.Margin),
            FieldEcho.Of("width", spec.Width, LengthRange.Object),
            FieldEcho.Of("height", spec.Height, LengthRange.Object),
            FieldEcho.Of("away", spec.Place.Away, LengthRange.Distance),
            FieldEcho.Of("across", spec.Place.Across, LengthRange.Distance),
        ];
        if (echoes.FirstOrDefault(e => e.Problem is not null) is { } wrong)
        {
            return (echoes, null, Phrase.Say($"{spec.Name:strong}: {wrong.Problem!}"));
        }

        Length Margin(string field) => echoes.First(e => e.Field == field).Value ?? Length.Zero;
        double? Size(string field) => echoes.First(e => e.Field == field).Value?.Millimetres;
        return (
            echoes,
            new ReadZone(spec, Margin("top"), Margin("bottom"), Margin("left"), Margin("right"), Size("width"), Size("height")),
            null
        );
    }
}

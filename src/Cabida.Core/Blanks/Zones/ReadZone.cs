using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>A zone's typed lengths, read.</summary>
internal sealed record ReadZone(
    ZoneSpec Spec, Length Top, Length Bottom, Length Left, Length Right, double? Width, double? Height)
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
        return (echoes, new ReadZone(spec, Margin("top"), Margin("bottom"), Margin("left"), Margin("right"), Size("width"), Size("height")), null);
    }
}

/// <summary>A place kept clear, read; with the uncertainty of where it stands and how large it is.</summary>
internal sealed record ReadClear(KeptClear Spec, double Width, double Height, double Clearance, Length Uncertainty)
{
    /// <summary>What was understood of every field, and the place when it can be drawn.</summary>
    public static (IReadOnlyList<FieldEcho> Echoes, ReadClear? Clear, Phrase? Problem) Of(KeptClear spec)
    {
        var away = LengthRange.Object with { Least = Length.Zero };
        List<FieldEcho> echoes =
        [
            FieldEcho.Of("width", spec.Width, LengthRange.Object),
            FieldEcho.Of("height", spec.Height, LengthRange.Object),
            FieldEcho.Of("clearance", spec.Clearance, LengthRange.Margin),
            FieldEcho.Of("away", spec.Place.Away, away),
            FieldEcho.Of("across", spec.Place.Across, away),
        ];
        if (echoes.FirstOrDefault(e => e.Problem is not null) is { } wrong)
        {
            return (echoes, null, Phrase.Say($"{spec.Name:strong}: {wrong.Problem!}"));
        }

        double? Value(string field) => echoes.First(e => e.Field == field).Value?.Millimetres;
        var (width, height) = (Value("width"), Value("height"));
        var needsWidth = spec.Shape != ClearShape.Band && width is null;
        var needsHeight = spec.Shape is not (ClearShape.Round or ClearShape.Strip) && height is null;
        if (needsWidth || needsHeight)
        {
            return (echoes, null, Phrase.Say($"{spec.Name:strong}: type {(needsWidth ? spec.Shape == ClearShape.Round ? "how wide it is across" : "its width" : "its height")}, so that it can be kept clear."));
        }

        // Each typed length counts as one reading by a steel rule; a zone keeps clear of the place wherever it may really be.
        var parts = new[] { spec.Width, spec.Height, spec.Place.Away, spec.Place.Across }
            .Where(t => !t.IsEmpty).Select(t => t.Read(away)).Where(r => r.Ok)
            .Select(r => DimensionEstimate.From([(r.Value, MeasuringTool.SteelRule)], MeasuredAlong.Straight).Dimension.Uncertainty);
        return (echoes, new ReadClear(spec, width ?? 0, spec.Shape == ClearShape.Round ? width ?? 0 : height ?? 0, Value("clearance") ?? 0, Dimension.Combined([.. parts])), null);
    }
}

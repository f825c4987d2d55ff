using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>A place kept clear, read; with the uncertainty of where it stands and how large it is.</summary>
/// <param name="Spec">The place, with its lengths as all their readings make them.</param>
/// <param name="Width">Its width; millimetres.</param>
/// <param name="Height">Its height; millimetres.</param>
/// <param name="Clearance">What stays clear round it; millimetres.</param>
/// <param name="Uncertainty">How far an edge of it may be out.</param>
internal sealed record ReadClear(KeptClear Spec, double Width, double Height, double Clearance, Length Uncertainty)
{
    /// <summary>What reading a place came to.</summary>
    /// <param name="Echoes">What was understood of every field.</param>
    /// <param name="Clear">The place when it can be drawn.</param>
    /// <param name="Problem">Why it cannot.</param>
    /// <param name="Readings">What its lengths amount to that were read again.</param>
    /// <param name="Told">What stands out among those readings.</param>
    internal sealed record Result(
        IReadOnlyList<FieldEcho> Echoes,
        ReadClear? Clear,
        Phrase? Problem,
        IReadOnlyList<ClearReading> Readings,
        IReadOnlyList<Phrase> Told
    );

    /// <summary>Reads a place.</summary>
    public static Result Of(KeptClear spec)
    {
        List<FieldEcho> echoes =
        [
            FieldEcho.Of("width", spec.Width, LengthRange.Object),
            FieldEcho.Of("height", spec.Height, LengthRange.Object),
            FieldEcho.Of("clearance", spec.Clearance, LengthRange.Margin),
            FieldEcho.Of("away", spec.Place.Away, LengthRange.Distance),
            FieldEcho.Of("across", spec.Place.Across, LengthRange.Distance),
        ];
        var lengths = Enum.GetValues<ClearField>().ToDictionary(f => f, f => Length(spec, f));
        List<ClearReading> readings = [.. lengths.Values.Select(l => l.Reading).OfType<ClearReading>()];
        List<Phrase> told = [.. lengths.Values.SelectMany(l => l.Told)];
        if (echoes.FirstOrDefault(e => e.Problem is not null) is { } wrong)
        {
            return new Result(echoes, null, Phrase.Say($"{spec.Name:strong}: {wrong.Problem!}"), readings, told);
        }

        double? Value(ClearField field) => lengths[field].Is?.Value.Millimetres;
        var (width, height) = (Value(ClearField.Width), Value(ClearField.Height));
        var needsWidth = spec.Shape != ClearShape.Band && width is null;
        var needsHeight = spec.Shape is not (ClearShape.Round or ClearShape.Strip) && height is null;
        if (needsWidth || needsHeight)
        {
            return new Result(
                echoes,
                null,
                Phrase.Say(
                    $"{spec.Name:strong}: type "
                        + $"{(needsWidth ? spec.Shape == ClearShape.Round ? "how wide it is across" : "its width" : "its height")}, so "
                        + $"that it can be kept clear."
                ),
                readings,
                told
            );
        }

        // A zone keeps clear of the place wherever it may really be.
        var read = spec with
        {
            Place = spec.Place with
            {
                Away = Value(ClearField.Away) is { } away ? Exactly(away) : spec.Place.Away,
                Across = Value(ClearField.Across) is { } across ? Exactly(across) : spec.Place.Across,
            },
        };
        return new Result(
            echoes,
            new ReadClear(
                read,
                width ?? 0,
                spec.Shape == ClearShape.Round ? width ?? 0 : height ?? 0,
                echoes.First(e => e.Field == "clearance").Value?.Millimetres ?? 0,
                Dimension.Combined([.. lengths.Values.Select(l => l.Is?.Uncertainty).OfType<Length>()])
            ),
            null,
            readings,
            told
        );
    }

    /// <summary>
    /// One length from all its readings: the one typed at the place, by a steel rule unless it says otherwise, and those that follow.
    /// </summary>
    private static (Dimension? Is, ClearReading? Reading, IReadOnlyList<Phrase> Told) Length(KeptClear spec, ClearField field)
    {
        var range = field is ClearField.Width or ClearField.Height ? LengthRange.Object : LengthRange.Distance;
        var typed = field switch
        {
            ClearField.Width => spec.Width,
            ClearField.Height => spec.Height,
            ClearField.Away => spec.Place.Away,
            _ => spec.Place.Across,
        };
        var again = spec.Again.FirstOrDefault(a => a.Field == field);
        var lines = again?.Lines.Select(l => l.Readings.Select(t => (Typed: t, l.Tool, Read: t.Read(range))).ToList()).ToList() ?? [];
        var good = lines.SelectMany(l => l).Where(r => r.Read.Ok).Select(r => (r.Typed, Read: r.Read.Value, r.Tool)).ToList();
        // Further readings speak of a place only once it was typed where it stands.
        if (typed.IsEmpty || typed.Read(range) is not { Ok: true, Value: var first })
        {
            return (null, again is null ? null : new ClearReading(field, EchoesOf([]), null, null), []);
        }

        var all = good.Prepend((Typed: typed, Read: first, Tool: again?.Tool ?? MeasuringTool.SteelRule)).ToList();
        List<(ReadLength Read, MeasuringTool Tool)> readings = [.. all.Select(r => (r.Read, r.Tool))];
        var estimate = DimensionEstimate.From(readings, MeasuredAlong.Straight);
        if (again is null)
        {
            return (estimate.Dimension, null, []);
        }

        var length = field switch
        {
            ClearField.Width => "width",
            ClearField.Height => "height",
            ClearField.Away => "distance away",
            _ => "distance across",
        };
        var name = $"{spec.Name}, {length}";
        var reading = new ClearReading(field, EchoesOf(estimate.Outliers), estimate.Dimension, estimate.Sum);
        return (estimate.Dimension, reading, [.. estimate.Told(name, readings)]);

        IReadOnlyList<IReadOnlyList<ReadingEcho>> EchoesOf(IReadOnlyList<Outlier> outliers) =>
            [
                .. lines.Select(
                    IReadOnlyList<ReadingEcho> (l) =>
                        [
                            .. l.Select(r => new ReadingEcho(
                                r.Typed,
                                r.Read.ValueOrDefault?.Value,
                                r.Typed.IsEmpty ? null : r.Read.Problem,
                                outliers.Any(o => o.Index > 0 && ReferenceEquals(good[o.Index - 1].Typed, r.Typed))
                                    ? Phrase.Say($"stands apart")
                                    : null
                            )),
                        ]
                ),
            ];
    }

    /// <summary>A length as an estimate has it, to the micrometre.</summary>
    private static TypedLength Exactly(double mm) =>
        new(mm.ToString("0.######", System.Globalization.CultureInfo.InvariantCulture) + " mm");
}

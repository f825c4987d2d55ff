using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// A zone on goods whose surface is not known: the workable size was given outright, or one side of it was and the other follows from
/// the one extent that was measured.
/// </summary>
internal static class GivenZone
{
    /// <summary>What is known of how far the goods reach where their surface is not.</summary>
    /// <param name="Around">What may be used from side to side: the girth less the handle, or the width; null when unknown.</param>
    /// <param name="Up">From base to rim, or from bottom to top; null when unknown.</param>
    /// <param name="AroundIs">What the first is called.</param>
    internal sealed record Extent(Dimension? Around, Dimension? Up, string AroundIs)
    {
        /// <summary>What the readings tell.</summary>
        public static Extent Of(SurfaceKind surface, Estimates rows)
        {
            // Contradictions are told where the surface is worked out; here only the value counts.
            List<Finding> told = [];
            switch (surface)
            {
                case SurfaceKind.Straight:
                    var girth = RoundReadings.Of(
                        rows,
                        new RoundRows("the wall", DimensionKind.Girth, DimensionKind.Across, DimensionKind.HalfGirth),
                        told
                    );
                    return new Extent(Less(girth, rows.Is(DimensionKind.Handle)), rows.Is(DimensionKind.Height), "girth");
                case SurfaceKind.Tapered:
                    return new Extent(null, rows.Is(DimensionKind.WallBetween), "girth");
                case SurfaceKind.Bellied:
                    return new Extent(null, rows.Is(DimensionKind.Height), "girth");
                case SurfaceKind.Garment:
                    return new Extent(rows.Is(DimensionKind.Width), rows.Is(DimensionKind.CollarToHem), "width");
                case SurfaceKind.Framed:
                    return new Extent(rows.Is(DimensionKind.SightWidth), rows.Is(DimensionKind.SightHeight), "sight");
                case SurfaceKind.Flat:
                    return new Extent(rows.Is(DimensionKind.Width), rows.Is(DimensionKind.Height), "width");
                default:
                    throw new ArgumentOutOfRangeException(nameof(surface));
            }
        }

        private static Dimension? Less(Dimension? whole, Dimension? part) =>
            whole is null || part is null ? whole : new(whole.Value - part.Value, Dimension.Combined(whole.Uncertainty, part.Uncertainty));
    }

    /// <summary>The zone; neither it nor a problem where too little was given and asking for the surface says it all.</summary>
    public static (Zone? Zone, Phrase? Problem, IReadOnlyList<Phrase> Notes) Of(ReadZone zone, Extent extent)
    {
        if (
            (zone.Width is null && zone.Height is null)
            || (zone.Width ?? extent.Around?.Value.Millimetres) is null
            || (zone.Height ?? extent.Up?.Value.Millimetres) is null
        )
        {
            return (null, null, []);
        }

        var notes = new List<Phrase>();
        var (width, wide) = Side(
            zone.Width,
            extent.Around,
            zone.Left,
            zone.Right,
            "wide",
            extent.AroundIs,
            "left",
            "right",
            zone.Spec.Name,
            notes
        );
        var (height, high) = Side(zone.Height, extent.Up, zone.Top, zone.Bottom, "high", "height", "top", "bottom", zone.Spec.Name, notes);
        if (width.Cautious <= Length.Zero || height.Cautious <= Length.Zero)
        {
            return (null, Phrase.Say($"{zone.Spec.Name:strong}: its margins leave nothing of what was measured."), notes);
        }

        ZoneShape Shape(Length w, Length h) =>
            ZoneShape.Rectangle(new Box(-w.Millimetres / 2, 0, w.Millimetres / 2, h.Millimetres), LimitKind.Size);
        return (
            new Zone(
                Shape(width.Value, height.Value),
                Shape(width.Cautious, height.Cautious),
                width,
                height,
                height.Value.Millimetres / 2,
                [wide, high]
            ).TurnedAs(zone.Spec),
            null,
            notes
        );
    }

    /// <summary>
    /// One side of the zone: as typed, which is taken as safe since nothing is known that could be taken off, but never more than there is;
    /// or what was measured less its margins.
    /// </summary>
    private static (Dimension Is, Phrase Sum) Side(
        double? typed,
        Dimension? there,
        Length a,
        Length b,
        string way,
        string thing,
        string first,
        string second,
        string name,
        List<Phrase> notes
    )
    {
        var way1 = Phrase.Say($"{way}");
        if (typed is { } given)
        {
            if (there is null || given <= there.Value.Millimetres)
            {
                return (new Dimension(Length.Mm(given), Length.Zero), Phrase.Say($"{Length.Mm(given):strong} {way} as given"));
            }

            notes.Add(
                Phrase.Say(
                    $"{name:strong} is {Length.Mm(given) - there.Value} {(way == "wide" ? "wider" : "higher")} than the {thing} of "
                        + $"{there.Value} leaves; it ends there."
                )
            );
            return (there, new ZoneSum(Phrase.Say($"{thing} {there.Value}"), there.Value).For(there, way1, "what was not read"));
        }

        var left = new Dimension(there!.Value - a - b, there.Uncertainty);
        return (
            left,
            new ZoneSum(Phrase.Say($"{thing} {there.Value}"), there.Value)
                .LessBoth("", first, a, second, b)
                .For(left, way1, "what was not read")
        );
    }
}

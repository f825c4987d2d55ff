using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>The figures that follow from a surface and its zones, each with where it comes from.</summary>
internal static class SurfaceFigures
{
    /// <summary>The width of straight art for which the bow is quoted.</summary>
    private static readonly Length QuotedWidth = Length.Mm(90);

    /// <summary>The bow that the eye begins to notice, for which the widest straight line is quoted.</summary>
    private static readonly Length NoticedBow = Length.Mm(1);

    public static List<WorkedOut> Of(SizeSheet sheet, Estimates rows)
    {
        var figures = new List<WorkedOut>();
        figures.AddRange(rows.Joined);
        foreach (var laid in sheet.Zones)
        {
            Zone(laid, sheet.Zones.Count > 1 ? $"{laid.Spec.Name}, " : "", figures);
        }

        if (sheet.Bellied is { } bellied)
        {
            Bellied(bellied, figures);
        }
        else if (sheet.Wall is { } wall)
        {
            OfWall(wall, sheet.OnWall?.Zone, figures);
        }
        else if (sheet.Mats is { } mats)
        {
            Framed(mats, figures);
        }
        else if (sheet.Panel is { } panel)
        {
            figures.Add(
                new(
                    "Surface",
                    Phrase.Say($"{panel.Width.Value} × {panel.Height.Value}"),
                    Phrase.Say($"± {panel.Width.Uncertainty}, ± {panel.Height.Uncertainty}")
                )
            );
            if (rows.Is(DimensionKind.Thickness) is { } thick)
            {
                figures.Add(new("Thick", Phrase.Say($"{thick.Value}"), Phrase.Say($"± {thick.Uncertainty}")));
            }
        }

        foreach (var face in sheet.Faces)
        {
            if (face.Panel is { } own)
            {
                figures.Add(
                    new(
                        face.Spec.Name,
                        Phrase.Say($"{own.Width.Value} × {own.Height.Value}"),
                        Phrase.Say($"± {own.Width.Uncertainty}, ± {own.Height.Uncertainty}")
                    )
                );
            }
        }

        return figures;
    }

    private static void Zone(LaidZone laid, string prefix, List<WorkedOut> figures)
    {
        if (laid.Zone is not { } zone)
        {
            return;
        }

        figures.Add(
            new(
                Named(prefix, "workable"),
                Phrase.Say($"{zone.Width.Value} × {zone.Height.Value}"),
                laid.Wall?.Cone is null ? Phrase.Say($"by the best values") : Phrase.Say($"at its middle height")
            )
        );
        figures.Add(
            new(
                Named(prefix, "to be safe"),
                Phrase.Say($"{zone.Width.Cautious} × {zone.Height.Cautious}"),
                Phrase.Say($"less what is uncertain")
            )
        );
        if (laid.Wall is { } wall)
        {
            var covers = Coverage.Of(zone.Width.Value, wall.GirthAt(zone.MiddleHeight).Value);
            figures.Add(new(Named(prefix, "goes round"), Phrase.Say($"{covers.Goes.Degrees:0.0}°"), Phrase.Say($"180° is seen at once")));
        }
    }

    private static string Named(string zone, string what) => zone.Length > 0 ? zone + what : char.ToUpperInvariant(what[0]) + what[1..];

    private static void OfWall(Wall wall, Zone? zone, List<WorkedOut> figures)
    {
        if (wall.Cone is not { } cone)
        {
            figures.Add(new("Across", Phrase.Say($"{wall.AcrossAt(0)}"), Phrase.Say($"girth {wall.StraightGirth.Value} / π")));
            figures.Add(new("Laid flat", Phrase.Say($"{wall.StraightGirth.Value} × {wall.Height.Value}"), Phrase.Say($"a rectangle")));
            return;
        }

        var wide = cone.WideRadius;
        figures.Add(
            new(
                "Laid flat",
                Phrase.Say($"ring sector, {cone.Sweep.Degrees:0.00}°"),
                Phrase.Say($"radii {wide.Value} and {cone.NarrowRadius}, ± {wide.Uncertainty}")
            )
        );
        figures.Add(
            new(
                "Taper",
                Phrase.Say($"{cone.HalfAngle.Degrees:0.00}° a side"),
                Phrase.Say($"{(cone.WideUp ? "wider" : "narrower")} at the top")
            )
        );
        figures.Add(new("Upright, A to B", Phrase.Say($"{cone.UprightHeight}"), Phrase.Say($"from the wall and the taper")));
        var v = zone?.MiddleHeight ?? wall.Height.Value.Millimetres / 2;
        var ring = Length.Mm(wall.RingAt(v));
        // R is uncertain by about the same share at every height, and the bow falls as R grows.
        var share = wide.Uncertainty / wide.Value;
        var bow = Cone.Bow(ring, QuotedWidth);
        figures.Add(
            new(
                "Straight line bows",
                Phrase.Say($"{bow} at {QuotedWidth} wide"),
                Phrase.Say($"± {share * bow}; {NoticedBow} at {Cone.WidestWithin(ring, NoticedBow)}")
            )
        );
    }

    private static void Bellied(BelliedWall wall, List<WorkedOut> figures)
    {
        var belly = wall.Belly;
        var heights = Enumerable
            .Range(0, (int)((belly.Highest - belly.Lowest) / FilmStrain.Grid) + 1)
            .Select(i => belly.Lowest + (i * FilmStrain.Grid))
            .ToList();
        var widest = heights.MaxBy(belly.GirthAt);
        figures.Add(new("Widest", Phrase.Say($"{Length.Mm(belly.GirthAt(widest))} round"), Phrase.Say($"{Length.Mm(widest)} up the wall")));
        var strain = FilmStrain.OfBand(belly, belly.Lowest, belly.Highest);
        StrainAt most = strain.MaxBy(s => s.Strain),
            least = strain.MinBy(s => s.Strain);
        figures.Add(
            new(
                "A full turn stretches",
                Phrase.Say($"{100 * most.Strain:0.00} %"),
                Phrase.Say($"at {Length.Mm(most.V)}, laid from {Length.Mm(belly.Lowest)} to {Length.Mm(belly.Highest)}")
            )
        );
        if (least.Strain < 0)
        {
            figures.Add(new("and gathers", Phrase.Say($"{-100 * least.Strain:0.00} %"), Phrase.Say($"at {Length.Mm(least.V)}")));
        }
    }

    private static void Framed(FrameMats mats, List<WorkedOut> figures)
    {
        if (mats.Openings.Count > 0)
        {
            figures.Add(
                new(
                    "Mats, outside",
                    Phrase.Say($"{mats.Outside.Width} × {mats.Outside.Height}"),
                    Phrase.Say($"rebate less play at both sides")
                )
            );
        }

        for (var i = 0; i < mats.Openings.Count; i++)
        {
            var name =
                mats.Openings.Count == 1 ? "Opening"
                : i == 0 ? "Opening, top mat"
                : $"Opening, mat {i + 1}";
            figures.Add(
                new(
                    name,
                    Phrase.Say($"{Length.Mm(mats.Openings[i].Width)} × {Length.Mm(mats.Openings[i].Height)}"),
                    i == 0 ? Phrase.Say($"outside less the borders") : Phrase.Say($"one step smaller")
                )
            );
        }

        if (mats.Held is { } held)
        {
            figures.Add(new("Print held by", Phrase.Say($"{held}"), Phrase.Say($"at the narrowest side")));
        }
    }
}

using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// One size of a garment or bag → the flat body with its reference points. y = 0 is the hem; the collar seam at the centre
/// stands as far above it as was read. The back is laid to the right of the front.
/// </summary>
internal static class GarmentReadings
{
    /// <summary>
    /// How far the middle of the back lies right of that of the front, in widths: clear of the sleeves, which are drawn as signs.
    /// </summary>
    private static double Beside(GarmentKind kind) => kind == GarmentKind.Shirt ? 1.72 : 1.2;

    /// <summary>The front; null while its width or length was not read.</summary>
    public static Panel? Front(GarmentKind kind, Estimates rows, List<Finding> findings)
    {
        var width = rows.Ask(
            DimensionKind.Width,
            kind == GarmentKind.Shirt
                ? Phrase.Say($"Read the width, laid flat, from armpit to armpit.")
                : Phrase.Say($"Read the width, laid flat."),
            findings
        );
        var length = rows.Ask(
            DimensionKind.CollarToHem,
            kind == GarmentKind.Shirt
                ? Phrase.Say($"Read from the collar seam at the centre down to the hem.")
                : Phrase.Say($"Read from the top edge down to the bottom."),
            findings
        );
        if (width is null || length is null)
        {
            return null;
        }

        var panel = Panel.Rectangle(width, length);
        var collar = length.Value.Millimetres;
        var heights = new Dictionary<Datum, double>
        {
            [Datum.Top] = collar,
            [Datum.Bottom] = 0,
            [Datum.Collar] = collar,
            [Datum.Hem] = 0,
        };
        if (rows.Is(DimensionKind.ShoulderToCollar) is { } shoulder)
        {
            heights[Datum.Shoulder] = collar + shoulder.Value.Millimetres;
        }

        if (
            rows.Is(DimensionKind.CollarToPocket) is { } pocket
            && Agreement.Smaller(pocket, length, DimensionKind.CollarToPocket, findings, over =>
                Phrase.Say($"{rows.Title(DimensionKind.CollarToPocket):strong}. The pocket would lie {over} below the hem.")
            )
        )
        {
            heights[Datum.Pocket] = collar - pocket.Value.Millimetres;
        }

        return panel with
        {
            Garment = kind,
            Datums = new Datums(Box.Of(panel.Nominal)!.Value, heights),
        };
    }

    /// <summary>
    /// The back of a front. A shirt's collar seam stands higher there; where it was not read, only what is level with the
    /// front's counts as there, and nothing can be measured from that seam.
    /// </summary>
    public static Panel Back(Panel front, Estimates rows, List<Finding> findings)
    {
        var kind = front.Garment ?? throw new ArgumentException("It is no cloth thing.", nameof(front));
        var heights = front.Datums.Heights.Where(h => h.Key != Datum.Pocket).ToDictionary();
        var length = front.Height;
        if (kind == GarmentKind.Shirt)
        {
            heights.Remove(Datum.Collar);
            if (rows.Is(DimensionKind.BackCollarToHem) is { } read)
            {
                length = read;
                heights[Datum.Collar] = heights[Datum.Top] = read.Value.Millimetres;
                Collar(front, read, rows, findings);
            }
        }

        var body = Panel.Rectangle(front.Width, length);
        var back = body.At(Beside(kind) * front.Width.Value.Millimetres, FaceKey.Back, "back");
        return back with { Garment = kind, Datums = back.Datums with { Heights = heights } };
    }

    /// <summary>A back's collar seam stands between the front's and the shoulder.</summary>
    private static void Collar(Panel front, Dimension back, Estimates rows, List<Finding> findings)
    {
        Agreement.Smaller(front.Height, back, DimensionKind.BackCollarToHem, findings, over =>
            Phrase.Say(
                $"{rows.Title(DimensionKind.BackCollarToHem):strong}. The collar seam would stand {over} lower at the back than in "
                    + $"front. Read both again; they may have been changed over."
            )
        );
        if (
            front.Datums.Heights.TryGetValue(Datum.Shoulder, out var shoulder)
            && back.Value.Millimetres - back.Uncertainty.Millimetres > shoulder
        )
        {
            findings.Add(
                BlankFindings.LookAt(
                    [DimensionKind.BackCollarToHem],
                    Phrase.Say(
                        $"{rows.Title(DimensionKind.BackCollarToHem):strong}. The collar seam at the back would stand "
                            + $"{Length.Mm(back.Value.Millimetres - shoulder)} above the shoulder. Read both again."
                    )
                )
            );
        }
    }
}

/// <summary>Whether the sizes of a chart grow steadily, as they are cut.</summary>
internal static class SizeChart
{
    /// <summary>A step this many times the usual one is pointed out.</summary>
    private const double Irregular = 2.2;

    private static readonly string[] UsualOrder = ["XXS", "XS", "S", "M", "L", "XL", "XXL", "2XL", "XXXL", "3XL", "4XL", "5XL"];

    public static void Check(GarmentSpec garment, IReadOnlyList<DimensionResult> rows, List<Finding> findings)
    {
        if (garment.Sizes.Count == 0)
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"Name its sizes, smallest first; one is enough.")));
            return;
        }

        if (garment.Sizes.GroupBy(s => s, StringComparer.OrdinalIgnoreCase).FirstOrDefault(g => g.Count() > 1) is { } twice)
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"Size {twice.Key:strong} stands in the chart twice.")));
        }

        var order = garment.Sizes.Select(s => Array.IndexOf(UsualOrder, s.ToUpperInvariant())).ToList();
        for (var i = 1; i < order.Count; i++)
        {
            if (order[i - 1] >= 0 && order[i] >= 0 && order[i] < order[i - 1])
            {
                findings.Add(
                    BlankFindings.LookAt(
                        [],
                        Phrase.Say(
                            $"{garment.Sizes[i]:strong} stands after {garment.Sizes[i - 1]:strong}, but is the smaller size. Put "
                                + $"the sizes in order, smallest first."
                        )
                    )
                );
            }
        }

        foreach (var kind in new[] { DimensionKind.Width, DimensionKind.CollarToHem })
        {
            Grows(
                kind,
                [
                    .. garment
                        .Sizes.Select(s => rows.FirstOrDefault(r => r.Row.Kind == kind && r.Row.Of == s))
                        .OfType<DimensionResult>()
                        .Where(r => r.Is is not null),
                ],
                findings
            );
        }
    }

    private static void Grows(DimensionKind kind, List<DimensionResult> sizes, List<Finding> findings)
    {
        var steps = sizes
            .Zip(sizes.Skip(1), (a, b) =>
                (
                    From: a,
                    To: b,
                    Step: (b.Is!.Value - a.Is!.Value).Millimetres,
                    Allowed: Dimension.Combined(a.Is!.Uncertainty, b.Is!.Uncertainty).Millimetres
                )
            )
            .ToList();
        var usual = steps.Count >= 3 ? steps.Select(s => s.Step).Order().ElementAt(steps.Count / 2) : (double?)null;
        foreach (var (from, to, step, allowed) in steps)
        {
            if (step < -allowed)
            {
                Tell(
                    Phrase.Say(
                        $"{to.Row.Title:strong} is {to.Is!.Value}, less than the {from.Is!.Value} of the smaller size "
                            + $"{from.Row.Of}. Read both again; they may have been changed over."
                    )
                );
            }
            else if (usual is { } u && u > allowed && step > (Irregular * u) + allowed)
            {
                Tell(
                    Phrase.Say(
                        $"From {from.Row.Of} to {to.Row.Of} {to.Row.Name:strong} grows by {Length.Mm(step)}; between the other "
                            + $"sizes it is about {Length.Mm(u)}. Read them again."
                    )
                );
            }
        }

        void Tell(Phrase words) => findings.Add(BlankFindings.LookAt([kind], words));
    }
}

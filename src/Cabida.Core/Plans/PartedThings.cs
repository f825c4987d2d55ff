using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Loads;
using Cabida.Core.Wording;

namespace Cabida.Core.Plans;

/// <summary>A thing that no place holds whole, as it is parted.</summary>
/// <param name="Thing">The whole thing.</param>
/// <param name="Parting">Its joints and sections; millimetres in the coordinates of its ink as it is cut.</param>
/// <param name="Lap">How far sections are lapped at joints through ink.</param>
/// <param name="IsByHand">Whether its joints were set by hand.</param>
public sealed record PartedThing(CutThing Thing, Parting Parting, double Lap, bool IsByHand);

/// <summary>Things of a plan with those parted that no place holds whole (calculations 6.7).</summary>
/// <param name="Things">What is laid: whole things and sections.</param>
/// <param name="Parted">What was parted.</param>
/// <param name="Problems">What cannot be parted, and why, by thing.</param>
public sealed record PartedThings(
    IReadOnlyList<CutThing> Things,
    IReadOnlyList<PartedThing> Parted,
    IReadOnlyDictionary<ItemId, Phrase> Problems
)
{
    /// <summary>Sections for a place.</summary>
    /// <param name="plan">The plan, with joints that were set by hand.</param>
    /// <param name="things">What waits.</param>
    /// <param name="places">Where it may lie.</param>
    /// <param name="turning">How it may be turned.</param>
    /// <param name="stop">Ends it.</param>
    public static PartedThings Of(
        CutPlan plan,
        IReadOnlyList<CutThing> things,
        IReadOnlyList<PlanPlace> places,
        LayTurning turning,
        CancellationToken stop
    )
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(things);
        ArgumentNullException.ThrowIfNull(places);
        var rectangles = places.Select(PlanRows.RectangleOf).OfType<Box>().ToList();
        var all = new List<CutThing>();
        var parted = new List<PartedThing>();
        var problems = new Dictionary<ItemId, Phrase>();
        var known = new Dictionary<string, Parting>(StringComparer.Ordinal);
        foreach (var thing in things)
        {
            stop.ThrowIfCancellationRequested();
            var byHand = plan.Joints.FirstOrDefault(j => j.Item == thing.Id with { Copy = 1 });
            if (rectangles.Count == 0 || (byHand is null && IsHeld(thing.Marked, places, turning)))
            {
                all.Add(thing);
                continue;
            }

            // The place with the most room: the fewest sections, and all of them fit it with the marks of its films.
            var reach = rectangles.MaxBy(r => r.Width * r.Height);
            var beside = thing.Marks.Count > 0 ? FilmLayering.MarksOut + (Parting.MarkSize / 2) + thing.BoxMargin : 0;
            var (width, height) = (reach.Width - (2 * beside), reach.Height - (2 * beside));
            var lap = byHand?.Laps == true ? Parting.UsualLap : 0;
            if (byHand is not null)
            {
                IReadOnlyList<Joint> joints =
                [
                    .. byHand.Upright.Select(at => Parting.JointAt(thing.Ink, true, at)),
                    .. byHand.Level.Select(at => Parting.JointAt(thing.Ink, false, at)),
                ];
                Take(Parting.Of(thing.Ink, joints, lap), lap, true);
            }
            else if (known.TryGetValue(thing.InkKey, out var same))
            {
                Take(same, lap, false);
            }
            else if (Parting.BestJoints(thing.Ink, width, height) is { Ok: true } best)
            {
                Take(known[thing.InkKey] = Parting.Of(thing.Ink, best.Value, lap), lap, false);
            }
            else
            {
                problems[thing.Id] = Parting.BestJoints(thing.Ink, width, height).Problem!;
                all.Add(thing);
            }

            void Take(Parting parting, double lapped, bool isByHand)
            {
                parted.Add(new PartedThing(thing, parting, lapped, isByHand));
                all.AddRange(
                    parting.Sections.Select(s =>
                        thing with
                        {
                            Id = thing.Id with { Section = s.Number },
                            Ink = s.Ink,
                            Section = s,
                            Marks = [.. s.Marks, .. thing.Marks.Where(m => Nearest(parting, m) == s)],
                        }
                    )
                );
            }
        }

        return new PartedThings(all, parted, problems);
    }

    /// <summary>The section that a mark of the whole is cut with.</summary>
    private static Section Nearest(Parting parting, PlanePoint mark)
    {
        var at = Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(mark.X, mark.Y));
        return parting.Sections.MinBy(s => s.Ink.Distance(at))!;
    }

    /// <summary>Whether a box lies in that of any place, turned as it may be.</summary>
    private static bool IsHeld(Box box, IReadOnlyList<PlanPlace> places, LayTurning turning) =>
        places
            .Select(p => Box.Of(p.Ground.Ground)!.Value)
            .Any(b =>
                (box.Width <= b.Width && box.Height <= b.Height)
                || (turning != LayTurning.None && box.Width <= b.Height && box.Height <= b.Width)
                || (turning == LayTurning.Any && Math.Max(box.Width, box.Height) <= Math.Sqrt((b.Width * b.Width) + (b.Height * b.Height)))
            );
}

using Cabida.Core.Geometry;
using Cabida.Core.Type;
using Cabida.Formats.Cutting;
using Cabida.Typography;
using Xunit.Abstractions;

namespace Cabida.Formats.Tests;

/// <summary>
/// Needless nodes (calculations 3.12, 6.4): a cut file holds at most 1.3 times the fewest lines and cubics that lie within the file's
/// tolerance of the outlines, smooth where they are and sharp where they are. The fewest are found another way: from every start the
/// longest stretch that one cubic with free handles can follow, and on from there.
/// </summary>
public class FewestNodesTests(ITestOutputHelper output)
{
    private static readonly ShippedTypefaces Faces = new();

    [Fact]
    public void A_cut_file_holds_hardly_more_nodes_than_the_fewest()
    {
        var (held, fewest, worst) = (0, 0, 0.0);
        foreach (var (id, face) in Faces.All.Where((_, i) => i % 3 == 0).Select(f => (f.Id, Faces.Find(f.Id)!)))
        {
            foreach (var name in new[] { "Sagebrown", "Ø&8" })
            {
                var ink = new LetteringLine(name, face, LineSetting.Plain, new InkCache()).InkAt(14 / face.CapitalHeight);
                var read = CutSvgMeasure.Of(CutSvg.Write(TestCuts.Of(900, 300, [(name, Outlines.Placed(ink, 1, 40, 60))])));
                var least = Outlines.RingsOf(ink).Sum(r => Fewest([.. r.Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y))]));
                (held, fewest) = (held + read.Nodes, fewest + least);
                worst = Math.Max(worst, (double)read.Nodes / least);
                output.WriteLine($"{id} {name}: {read.Nodes} for {least}: {(double)read.Nodes / least:0.00}");
            }
        }

        output.WriteLine($"{held} for {fewest}, worst {worst:0.00}");
        worst.ShouldBeLessThan(1.3);
    }

    /// <summary>What turns more was a corner at its source, and stays sharp.</summary>
    private const double Corner = 14 * Math.PI / 180;

    /// <summary>A joint that turns by this is no corner yet.</summary>
    private const double Kink = 3 * Math.PI / 180;

    private static double Turn(PlanePoint a, PlanePoint b, PlanePoint c)
    {
        double ux = b.X - a.X,
            uy = b.Y - a.Y,
            vx = c.X - b.X,
            vy = c.Y - b.Y;
        return Math.Abs(Math.Atan2((ux * vy) - (uy * vx), (ux * vx) + (uy * vy)));
    }

    private static int Fewest(List<PlanePoint> ring)
    {
        var n = ring.Count;
        var least = int.MaxValue;
        // Beginning where an end must be, or anywhere in the first stretch.
        List<int> corners = [.. Enumerable.Range(0, n).Where(i => Turn(ring[(i + n - 1) % n], ring[i], ring[(i + 1) % n]) > Corner)];
        foreach (var start in corners.Count > 0 ? corners.Take(1) : Enumerable.Range(0, Math.Min(n, 24)))
        {
            PlanePoint At(int i) => ring[(start + i + n) % n];
            var count = 0;
            for (var at = 0; at < n && count < least; count++)
            {
                var reach = 1;
                for (var step = 1; step > 0; )
                {
                    var tried = Math.Min(n - at, reach + step);
                    if (tried > reach && Follows(At(at - 1), [.. Enumerable.Range(at, tried + 1).Select(At)], At(at + tried + 1)))
                    {
                        reach = tried;
                        step *= 2;
                    }
                    else
                    {
                        step /= 2;
                    }
                }

                at += reach;
            }

            least = Math.Min(least, count);
        }

        return least;
    }

    /// <summary>Whether a line or a cubic with free handles lies within the tolerance of points.</summary>
    private static bool Follows(PlanePoint before, PlanePoint[] run, PlanePoint after)
    {
        if (run.Length == 2)
        {
            return true;
        }

        if (Enumerable.Range(1, run.Length - 2).Any(i => Turn(run[i - 1], run[i], run[i + 1]) > Corner))
        {
            return false;
        }

        var at = new double[run.Length];
        for (var i = 1; i < run.Length; i++)
        {
            at[i] = at[i - 1] + run[i - 1].To(run[i]);
        }

        var whole = at[^1];
        for (var i = 0; i < at.Length; i++)
        {
            at[i] /= whole;
        }

        for (var round = 0; round < 12; round++)
        {
            double aa = 0,
                ab = 0,
                bb = 0,
                ax = 0,
                ay = 0,
                bx = 0,
                by = 0;
            for (var i = 1; i < run.Length - 1; i++)
            {
                double t = at[i],
                    s = 1 - t,
                    u = 3 * s * s * t,
                    v = 3 * s * t * t,
                    p = s * s * s,
                    q = t * t * t;
                double dx = run[i].X - (p * run[0].X) - (q * run[^1].X),
                    dy = run[i].Y - (p * run[0].Y) - (q * run[^1].Y);
                (aa, ab, bb) = (aa + (u * u), ab + (u * v), bb + (v * v));
                (ax, ay, bx, by) = (ax + (u * dx), ay + (u * dy), bx + (v * dx), by + (v * dy));
            }

            var det = (aa * bb) - (ab * ab);
            if (Math.Abs(det) < 1e-12)
            {
                return run.Length == 3;
            }

            PlanePoint c = new(((ax * bb) - (bx * ab)) / det, ((ay * bb) - (by * ab)) / det),
                d = new(((aa * bx) - (ab * ax)) / det, ((aa * by) - (ab * ay)) / det);
            var worst = 0.0;
            for (var i = 1; i < run.Length - 1; i++)
            {
                worst = Math.Max(worst, On(run[0], c, d, run[^1], at[i]).To(run[i]));
                at[i] = Nearer(run[0], c, d, run[^1], at[i], run[i]);
            }

            // Between vertices it must not leave long edges either.
            for (var i = 0; worst <= Tolerances.File && i + 1 < run.Length; i++)
            {
                var m = On(run[0], c, d, run[^1], (at[i] + at[i + 1]) / 2);
                worst = Math.Max(
                    worst,
                    Outlines
                        .Line([run[i], run[i + 1]])
                        .Distance(Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(m.X, m.Y)))
                );
            }

            if (worst <= Tolerances.File)
            {
                return Smooth(before, run[0], run[1], c, outward: true) && Smooth(run[^2], run[^1], after, d, outward: false);
            }
        }

        return false;
    }

    /// <summary>Where the outline is smooth a curve begins and ends as the vertices turn there: none makes a corner of it.</summary>
    private static bool Smooth(PlanePoint before, PlanePoint at, PlanePoint after, PlanePoint handle, bool outward)
    {
        var turn = Turn(before, at, after);
        var off = outward
            ? Turn(before, at, handle) + Turn(at.Towards(after, -1), at, handle)
            : Turn(handle, at, after) + Turn(handle, at, at.Towards(before, -1));
        return turn > Corner || off <= turn + (2 * Kink);
    }

    private static PlanePoint On(PlanePoint a, PlanePoint b, PlanePoint c, PlanePoint d, double t)
    {
        var s = 1 - t;
        double p = s * s * s,
            q = 3 * s * s * t,
            u = 3 * s * t * t,
            v = t * t * t;
        return new((p * a.X) + (q * b.X) + (u * c.X) + (v * d.X), (p * a.Y) + (q * b.Y) + (u * c.Y) + (v * d.Y));
    }

    private static double Nearer(PlanePoint a, PlanePoint b, PlanePoint c, PlanePoint d, double t, PlanePoint to)
    {
        const double h = 1e-4;
        double Far(double x) => Math.Pow(On(a, b, c, d, x).To(to), 2);
        double slope = (Far(t + h) - Far(t - h)) / (2 * h),
            bend = (Far(t + h) - (2 * Far(t)) + Far(t - h)) / (h * h);
        return bend > 1e-12 ? Math.Clamp(t - (slope / bend), 0, 1) : t;
    }
}

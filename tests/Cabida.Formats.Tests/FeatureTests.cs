using System.Globalization;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Formats.Graphics;

namespace Cabida.Formats.Tests;

/// <summary>
/// Small drawings of one feature each, with what is expected beside each, a line for each fact: the area in square millimetres, the box
/// (<c>box</c> left, top, right, bottom of the page; <c>up</c> left, foot, right, top), pieces, open lines, colours, what is said, or why
/// it is refused. What is not followed must be told by name.
/// </summary>
public class FeatureTests
{
    private const double Within = 0.004;

    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "Features");

    public static TheoryData<string> Features =>
        new(
            Directory
                .EnumerateFiles(Folder, "*.*", SearchOption.AllDirectories)
                .Where(f => !f.EndsWith(".txt", StringComparison.Ordinal))
                .Select(f => Path.GetRelativePath(Folder, f).Replace('\\', '/'))
                .Order(StringComparer.Ordinal)
        );

    [Fact]
    public void There_are_as_many_as_were_asked_for() => Features.Count.ShouldBeGreaterThanOrEqualTo(150);

    [Theory]
    [MemberData(nameof(Features))]
    public void A_feature_is_right_or_tells_what_it_left_out(string name)
    {
        var path = Path.Combine(Folder, name);
        var facts = File.ReadAllLines(Path.ChangeExtension(path, ".txt"))
            .Where(l => l.Length > 0)
            .Select(l => l.Split(' ', 2))
            .ToLookup(l => l[0], l => l.Length > 1 ? l[1] : "");
        var read = GraphicFile.Read(Path.GetFileName(path), File.ReadAllBytes(path), linesOnly: facts.Contains("lines"));
        if (facts.Contains("refused"))
        {
            read.Problem.ShouldNotBeNull().ToString().ShouldContain(facts["refused"].Single());
            return;
        }

        var graphic = read.Value;
        var within = facts["within"].Select(Number).FirstOrDefault(Within);
        var areas = graphic.Pieces.Select(p => Outlines.FromContours(p.Closed, 0.001, 0.02, p.Rule == FillRule.EvenOdd)).ToList();
        foreach (var area in facts["area"])
        {
            areas.Sum(a => a.Area).ShouldBe(Number(area), within * Number(area));
        }

        foreach (var (box, down) in facts["box"].Select(b => (b, true)).Concat(facts["up"].Select(b => (b, false))))
        {
            var has = GraphicFile.BoxOf(graphic.Pieces);
            double[] sides = down ? [has.MinX, -has.MaxY, has.MaxX, -has.MinY] : [has.MinX, has.MinY, has.MaxX, has.MaxY];
            foreach (var (side, expected) in sides.Zip(box.Split(' ').Select(Number)))
            {
                side.ShouldBe(expected, 0.01, name);
            }
        }

        Check("pieces", graphic.Pieces.Count(p => p.Closed.Count > 0).ToString(CultureInfo.InvariantCulture));
        Check("open", graphic.Pieces.Count(p => p.Open.Count > 0).ToString(CultureInfo.InvariantCulture));
        Check("colours", string.Join(' ', graphic.Pieces.Select(p => p.Colour).Distinct(StringComparer.Ordinal)));
        Check("stated", graphic.SizeStated ? "yes" : "no");
        foreach (var said in facts["says"])
        {
            string.Join(' ', graphic.Notes).ShouldContain(said);
        }

        // What is right needs no word.
        if (!facts.Contains("says"))
        {
            graphic.Notes.Where(n => !n.ToString().Contains("gradient", StringComparison.Ordinal)).ShouldBeEmpty();
        }

        void Check(string fact, string has)
        {
            foreach (var expected in facts[fact])
            {
                has.ShouldBe(expected, $"{fact} of {name}");
            }
        }
    }

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}

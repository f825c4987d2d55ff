using System.Globalization;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;
using Cabida.Formats.Graphics;

namespace Cabida.Formats.Tests;

/// <summary>Files that would take minutes or for ever: refused with a reason, by what they hold and not by a clock.</summary>
public class UnkindFilesTests
{
    private static string Scribble(int points, int seed)
    {
        var random = new Random(seed);
        return "M"
            + string.Join(
                'L',
                Enumerable
                    .Range(0, points)
                    .Select(_ =>
                        string.Create(CultureInfo.InvariantCulture, $"{random.NextDouble() * 100:0.000} {random.NextDouble() * 100:0.000}")
                    )
            )
            + "Z";
    }

    private static string Svg(string inside) =>
        $"<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 100'>{inside}</svg>";

    private static string Dxf(string blocks, string entities) =>
        $"0\nSECTION\n2\nBLOCKS\n{blocks}0\nENDSEC\n0\nSECTION\n2\nENTITIES\n{entities}0\nENDSEC\n0\nEOF\n";

    private static string Insert(string of) => $"0\nINSERT\n2\n{of}\n70\n1000\n71\n1000\n44\n1\n45\n1\n";

    public static TheoryData<string, string, string> Files =>
        new()
        {
            {
                "clip.svg",
                Svg($"<clipPath id='c'><path d='{Scribble(3000, 1)}'/></clipPath><path clip-path='url(#c)' d='{Scribble(3000, 2)}'/>"),
                "crosses itself"
            },
            {
                "nested.svg",
                Svg($"<clipPath id='c'><path d='{Comb(1500, 'x')}'/></clipPath><path clip-path='url(#c)' d='{Comb(1500, 'y')}'/>"),
                "cross"
            },
            { "scribble.svg", Svg($"<path d='{Scribble(800, 3)}'/>"), "crosses itself" },
            { "stroked.svg", Svg($"<path fill='none' stroke='red' d='{Scribble(3000, 4)}'/>"), "crosses itself" },
            {
                "rules.svg",
                Svg(
                    $"<style>{string.Concat(Enumerable.Range(0, 20_000).Select(i => $".b{i}{{fill:#123}}"))}</style><rect width='5' "
                        + $"height='5'/>"
                ),
                "style rules"
            },
            {
                "siblings.svg",
                Svg(
                    $"<style>{string.Concat(Enumerable.Range(0, 2000).Select(i => $"* ~ * ~ * ~ [k='{i}']{{fill:#123}}"))}</style>{string.Concat(Enumerable.Repeat("<rect width='1' height='1'/>", 5000))}"
                ),
                "more work"
            },
            { "wide.svg", Svg("<rect width='1e30' height='5'/>"), "further than" },
            { "stroke.svg", Svg("<path d='M0 0L10 10' stroke='red' stroke-width='1e30'/>"), "further than" },
            { "dashes.svg", Svg("<path fill='none' stroke='red' stroke-dasharray='0.000001' d='M0 0L100 0'/>"), "dashes" },
            {
                "many-dashes.svg",
                Svg(string.Concat(Enumerable.Repeat("<path fill='none' stroke='red' stroke-dasharray='0.01' d='M0 0H100'/>", 300))),
                "points"
            },
            {
                "copies.svg",
                Svg(
                    $"<defs><g id='a0'><rect width='1' "
                        + $"height='1'/></g>{string.Concat(Enumerable.Range(1, 12).Select(i => $"<g id='a{i}'>{string.Concat(Enumerable.Repeat($"<use href='#a{i - 1}'/>", 10))}</g>"))}</defs><use href='#a12'/>"
                ),
                "draws more than"
            },
            {
                "boxes.svg",
                Svg(
                    $"<g id='a0'><rect width='1' "
                        + $"height='1'/></g>{string.Concat(Enumerable.Range(1, 12).Select(i => $"<g id='a{i}' style='transform-box:fill-box;transform-origin:center;transform:scale(2)'>{string.Concat(Enumerable.Repeat($"<use href='#a{i - 1}'/>", 10))}</g>"))}"
                ),
                "draws more than"
            },
            {
                "variables.svg",
                Svg(
                    $"<style>:root{{--a0:10{string.Concat(Enumerable.Range(1, 15).Select(i => $";--a{i}:{string.Concat(Enumerable.Repeat($"var(--a{i - 1}) ", 10))}"))}}} rect{{stroke-dasharray:var(--a15)}}</style><rect width='5' height='5' stroke='red'/>"
                ),
                ""
            },
            {
                "blocks.dxf",
                Dxf(
                    string.Concat(Enumerable.Range(1, 4).Select(i => $"0\nBLOCK\n2\nb{i}\n{Insert($"b{i - 1}")}0\nENDBLK\n"))
                        + "0\nBLOCK\n2\nb0\n0\nENDBLK\n",
                    Insert("b4")
                ),
                "draws more than"
            },
            {
                "circles.dxf",
                Dxf(
                    "",
                    string.Concat(Enumerable.Range(0, 59_000).Select(i => $"0\nCIRCLE\n10\n{3 * (i % 250)}\n20\n{3 * (i / 250)}\n40\n1\n"))
                ),
                "59,000 pieces"
            },
            {
                "star.dxf",
                Dxf("", string.Concat(Enumerable.Range(0, 50_000).Select(i => $"0\nLINE\n10\n0\n20\n0\n11\n{i}\n21\n{i % 977}\n"))),
                ""
            },
            {
                "lines.dxf",
                Dxf(
                    "",
                    string.Concat(
                        Enumerable.Range(0, 150_000).Select(i => $"0\nLINE\n10\n{i}\n20\n{i % 977}\n11\n{i + 1}\n21\n{i % 499}\n")
                    )
                ),
                "draws more than"
            },
        };

    /// <summary>Teeth across or up the page; two such combs cross as often as they have teeth, squared.</summary>
    private static string Comb(int teeth, char along) =>
        "M"
        + string.Join(
            'L',
            Enumerable
                .Range(0, teeth)
                .Select(i => (At: (i * 100.0 / teeth).ToString("0.####", CultureInfo.InvariantCulture), Out: i % 2 * 100))
                .Select(t => along == 'x' ? $"{t.At} {t.Out}" : $"{t.Out} {t.At}")
        )
        + (along == 'x' ? "L100 -1L0 -1Z" : "L-1 100L-1 0Z");

    [Theory]
    [MemberData(nameof(Files))]
    public void It_is_refused_at_once_with_a_reason_or_read(string name, string file, string reason)
    {
        var said = "";
        using (Effort.Within(Effort.Small))
        {
            try
            {
                var read = GraphicFile.Read(name, Encoding.UTF8.GetBytes(file));
                said = read.Problem?.ToString() ?? "";
                foreach (var piece in read.ValueOrDefault?.Pieces ?? [])
                {
                    Outlines
                        .FromContours(piece.Closed, Tolerances.Ink, Tolerances.InkTurn, piece.Rule == FillRule.EvenOdd)
                        .IsEmpty.ShouldBeFalse();
                }
            }
            catch (NotWorkableException fault)
            {
                said = fault.Reason.ToString();
            }
        }

        said.ShouldContain(reason);
    }

    [Fact]
    public void Reading_ends_when_the_one_who_asked_has_gone()
    {
        using var gone = new CancellationTokenSource();
        using var within = Effort.Within(Effort.Small, gone.Token);
        gone.Cancel();
        Should.Throw<OperationCanceledException>(() =>
            GraphicFile.Read("a.svg", Encoding.UTF8.GetBytes(Svg("<rect width='5' height='5'/>")))
        );
        Should.Throw<OperationCanceledException>(() => GraphicFile.Read("a.dxf", Encoding.UTF8.GetBytes(Dxf("", "0\nCIRCLE\n40\n5\n"))));
    }
}

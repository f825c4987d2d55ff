using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Cabida.Core.Blanks;
using Cabida.Core.Documents;
using Cabida.Core.Measures;
using Cabida.Formats.Blanks;

namespace Cabida.Formats.Tests;

public partial class BlankFileTests
{
    [Fact]
    public void What_is_written_is_read_back_the_same_but_for_what_stays_at_home()
    {
        var blank = new Blank(
            "Jug",
            SurfaceKind.Bellied,
            [
                new MeasuredDimension(
                    DimensionKind.GirthAt,
                    [new ReadingLine(MeasuringTool.SoftTape, [new("16 3/4", LengthUnit.Inch), new("425 mm"), new("unreadable")])]
                )
                {
                    Of = "2",
                },
            ]
        )
        {
            Zones =
            [
                new ZoneSpec("z", "Belly")
                {
                    Width = TypedLength.Mm(80),
                    Place = new Place { From = Datum.Bottom, Away = new("2", LengthUnit.Inch) },
                    Turning = Turning.QuarterTurn,
                },
            ],
            KeptClear = [new KeptClear("k", "lip", ClearShape.Band) { Height = TypedLength.Mm(14) }],
            Outline = new PanelOutline
            {
                Kind = OutlineKind.Drawn,
                Drawn = new DrawnOutline(
                    [
                        [new(0, 0), new(10, 0), new(5, 8)],
                    ],
                    "a scan",
                    0.13
                )
                {
                    PictureId = "abc",
                },
            },
            Material = new Material
            {
                Name = "enamel",
                Colour = "#ffffff",
                StandsHeat = "180",
            },
            Girths = 5,
            Tags = ["a", "b"],
            PictureId = "abc",
            JobId = "j",
            Note = "“ü”",
        };
        var back = BlankFile.Read(BlankFile.Write([blank])).Value.ShouldHaveSingleItem();
        back.PictureId.ShouldBeNull();
        back.JobId.ShouldBeNull();
        Encoding.UTF8.GetString(BlankFile.Write([back])).ShouldBe(Encoding.UTF8.GetString(BlankFile.Write([blank])));
        back.Measured[0].Lines[0].Readings.ShouldBe(blank.Measured[0].Lines[0].Readings);
        back.Zones.ShouldBe(blank.Zones);
        back.Material.ShouldBe(blank.Material);
    }

    [Fact]
    public void Every_example_of_the_documentation_can_be_brought_in_and_worked_out()
    {
        var page = File.ReadAllText(Path.Combine(Root(), "docs", "blank-file.md"));
        var examples = Fence().Matches(page).Select(m => m.Groups["json"].Value).ToList();
        examples.ShouldNotBeEmpty();
        foreach (var blank in examples.SelectMany(e => BlankFile.Read(Encoding.UTF8.GetBytes(e)).Value))
        {
            BlankSheet
                .Of(blank)
                .ShouldSatisfyAllConditions(s => s.Zone.ShouldNotBeNull(blank.Name), s => s.Findings.ShouldAllBe(f => !f.Stops));
        }
    }

    [Fact]
    public void A_file_written_by_hand_can_be_brought_in()
    {
        var blanks = BlankFile.Read(File.ReadAllBytes(Path.Combine(Root(), "demo", "swap", "harbour-street-goods.json"))).Value;
        blanks.Select(b => b.Name).ShouldBe(["Slate coaster", "Pint glass"]);
        blanks.ShouldAllBe(b => BlankSheet.Of(b).Zone != null);
    }

    [Theory]
    [InlineData("not json", "not well-formed")]
    [InlineData("{\"format\": \"something else\", \"version\": 1, \"blanks\": []}", "no file of blanks")]
    [InlineData("{\"format\": \"cabida blanks\", \"version\": 9, \"blanks\": []}", "of version 9")]
    [InlineData("{\"format\": \"cabida blanks\", \"version\": 1, \"blanks\": []}", "no blank in the file")]
    [InlineData(
        "{\"format\": \"cabida blanks\", \"version\": 1,\n\"blanks\": [{\"name\": \"A\", \"surface\": \"flat\", \"measured\": [], "
            + "\"colour\": 1}]}",
        "in line 2, at blanks[0].colour: this word is not known"
    )]
    [InlineData(
        "{\"format\": \"cabida blanks\", \"version\": 1, \"blanks\": [{\"name\": \"A\", \"surface\": \"spherical\", \"measured\": []}]}",
        "not of a kind"
    )]
    [InlineData(
        "{\"format\": \"cabida blanks\", \"version\": 1, \"blanks\": [{\"surface\": \"flat\", \"measured\": []}]}",
        "something that is needed is missing"
    )]
    public void A_file_that_is_wrong_says_where(string file, string expected) =>
        BlankFile.Read(Encoding.UTF8.GetBytes(file)).Problem!.ToString().ShouldContain(expected);

    [Fact]
    public void Nothing_at_all_in_the_place_of_anything_is_refused_or_left_for_the_gate()
    {
        // The tumbler has readings, zones, a place kept clear and a face: each of all their values is left empty once.
        var tumbler = JsonNode.Parse(File.ReadAllText(Path.Combine(Root(), "demo", "blank", "02_steel-tumbler.json")))!;
        var file = new JsonObject
        {
            ["format"] = "cabida blanks",
            ["version"] = 1,
            ["blanks"] = new JsonArray(tumbler),
        }.ToJsonString();
        BlankFile.Read(Encoding.UTF8.GetBytes(file)).Ok.ShouldBeTrue();
        var (refused, left) = (0, 0);
        foreach (var path in Paths(JsonNode.Parse(file)!).ToList())
        {
            var spoiled = JsonNode.Parse(file)!;
            var at = path.SkipLast(1).Aggregate(spoiled, (node, step) => step is int i ? node[i]! : node[(string)step]!);
            if (path[^1] is int n)
            {
                at.AsArray()[n] = null;
            }
            else
            {
                at[(string)path[^1]] = null;
            }

            var read = BlankFile.Read(Encoding.UTF8.GetBytes(spoiled.ToJsonString()));
            refused += read.Ok ? 0 : 1;
            left += read.Ok && read.Value.Any(b => DocumentGate.ProblemsOf(b).Count > 0) ? 1 : 0;
        }

        refused.ShouldBeGreaterThan(100);
        left.ShouldBeGreaterThan(10);
    }

    private static IEnumerable<object[]> Paths(JsonNode node) =>
        node switch
        {
            JsonObject o => o.SelectMany(p =>
                (p.Value is null ? [] : Paths(p.Value)).Prepend([]).Select(rest => (object[])[p.Key, .. rest])
            ),
            JsonArray a => a.SelectMany((v, i) => (v is null ? [] : Paths(v)).Prepend([]).Select(rest => (object[])[i, .. rest])),
            _ => [],
        };

    private static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at!.FullName, "Cabida.slnx")))
        {
            at = at.Parent;
        }

        return at.FullName;
    }

    [GeneratedRegex("```json\n(?<json>.*?)```", RegexOptions.Singleline)]
    private static partial Regex Fence();
}

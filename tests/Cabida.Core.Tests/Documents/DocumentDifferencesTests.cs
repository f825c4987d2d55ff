using Cabida.Core.Blanks;
using Cabida.Core.Documents;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Documents;

public class DocumentDifferencesTests
{
    private static List<string> Said<T>(T before, T after, Func<string, string, string?>? names = null)
        where T : class => [.. DocumentDifferences.Of(before, after, names).Told.Select(d => $"{d.Where}: {d.Before} > {d.After}")];

    private static readonly ZoneSpec Front = new("front", "Front");

    private static MeasuredDimension Girth(params string[] read) =>
        new(DimensionKind.Girth, [new ReadingLine(MeasuringTool.SoftTape, [.. read.Select(r => new TypedLength(r))])]);

    [Fact]
    public void A_document_differs_in_nothing_from_itself_read_again()
    {
        var blank = new Blank("Mug", SurfaceKind.Straight, [Girth("254", "255")]) { Zones = [Front], Tags = ["tall"] };
        var again = new Blank("Mug", SurfaceKind.Straight, [Girth("254", "255")]) { Zones = [Front with { }], Tags = ["tall"] };
        DocumentDifferences.Of(blank, again).ShouldBe(Differences.None, new NothingTold());
    }

    [Fact]
    public void Lengths_choices_and_words_are_told_as_they_were_typed()
    {
        var film = TestFilms.Plain(0.8);
        var now = film with
        {
            ThinnestStroke = new TypedLength("1/16", LengthUnit.Inch),
            Material = FilmMaterial.HeatTransfer,
            Mirrored = true,
            Note = "Rub it down.",
        };
        Said(film, now)
            .ShouldBe(
                ["mirrored: no > yes", "thinnest stroke: 0.8 mm > 1/16 in", "note:  > Rub it down.", "material: vinyl > heat transfer"],
                ignoreOrder: true
            );
    }

    [Fact]
    public void Readings_are_told_by_dimension_and_tool_and_one_more_dimension_makes_no_difference_of_the_others()
    {
        var before = new Blank("Mug", SurfaceKind.Straight, [Girth("254", "255")]);
        var after = before with { Measured = [new MeasuredDimension(DimensionKind.Height, []), Girth("254", "256.5")] };
        Said(before, after)
            .ShouldBe(["girth, soft tape, readings: 254 mm, 255 mm > 254 mm, 256.5 mm", "height:  > there"], ignoreOrder: true);
    }

    [Fact]
    public void Items_are_known_by_their_ids_though_they_are_moved_and_renamed()
    {
        var back = new ZoneSpec("back", "Back");
        var before = new Blank("Mug", SurfaceKind.Straight, []) { Zones = [Front, back] };
        var after = before with { Zones = [back with { Facing = Facing.Back }, Front with { Name = "Wrap" }] };
        Said(before, after).ShouldBe(["Front, name: Front > Wrap", "Back, facing: front > back", "zones: in another order > as it is now"]);
        Said(before, before with { Zones = [back] }).ShouldBe(["Front: there > "]);
    }

    [Fact]
    public void Faces_are_told_by_name_where_they_have_one()
    {
        var line = TestMotifs.Line("name", "{name}", 10);
        var (before, after) = (new Motif("Crew", default, [line]), new Motif("Crew", default, [line with { TypefaceId = "b" }]));
        Said(before, after, (field, id) => field == "TypefaceId" && id == "b" ? "Quill" : null)[0]
            .ShouldEndWith("typeface: another > Quill");
        // Two that have no name are told apart all the same.
        Said(before, after)[0].ShouldEndWith("typeface: as it was > another");
    }

    [Fact]
    public void What_is_too_long_is_cut_and_what_is_too_much_is_counted()
    {
        var film = TestFilms.Plain(1) with { Note = new string('x', 500) };
        Said(TestFilms.Plain(1), film)[0].Length.ShouldBeLessThan(80);
        var many = new Blank("Mug", SurfaceKind.Straight, []) { Tags = [.. Enumerable.Range(0, 60).Select(i => $"t{i}")] };
        Said(new Blank("Mug", SurfaceKind.Straight, []), many)[0].ShouldBe("tags:  > 60 of them");
        var zones = many with { Tags = [], Zones = [.. Enumerable.Range(0, 40).Select(i => new ZoneSpec($"z{i}", $"Zone {i}"))] };
        var told = DocumentDifferences.Of(new Blank("Mug", SurfaceKind.Straight, []), zones);
        (told.Told.Count, told.Beyond).ShouldBe((12, 28));
    }

    private sealed class NothingTold : IEqualityComparer<Differences>
    {
        public bool Equals(Differences? x, Differences? y) => x?.Told.Count == y?.Told.Count && x?.Beyond == y?.Beyond;

        public int GetHashCode(Differences obj) => 0;
    }
}

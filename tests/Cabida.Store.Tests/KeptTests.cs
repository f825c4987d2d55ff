using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Store.Rows;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests;

/// <summary>What is kept beside documents: outlines of graphics and typefaces that were added.</summary>
public sealed class KeptTests : IDisposable
{
    private readonly SqliteConnection connection = new("Data Source=:memory:");
    private readonly CabidaContext db;

    public KeptTests()
    {
        connection.Open();
        db = new CabidaContext(new DbContextOptionsBuilder<CabidaContext>().UseSqlite(connection).Options);
        db.Database.Migrate();
    }

    public void Dispose()
    {
        db.Dispose();
        connection.Dispose();
    }

    [Fact]
    public async Task Outlines_come_back_with_their_curves_and_are_kept_once()
    {
        var outlines = new KeptOutlines(db, TimeProvider.System);
        List<GraphicPiece> pieces =
        [
            new(
                "#102030",
                FillRule.EvenOdd,
                [
                    new Contour(
                        new(0.1, 2),
                        [
                            new LineSegmentTo(new(3, 4)),
                            new QuadraticTo(new(5, 6), new(7, 8)),
                            new CubicTo(new(1, 1), new(2, 2.5), new(1.0 / 3, 0)),
                        ]
                    ),
                ],
                []
            ),
            new("#ffffff", FillRule.NonZero, [], [new Contour(new(0, 0), [new LineSegmentTo(new(9, 9))])]),
        ];
        var kept = await outlines.Add(pieces);
        (await outlines.Add(pieces)).Id.ShouldBe(kept.Id);
        (await db.Outlines.CountAsync()).ShouldBe(1);
        var found = outlines.Find(kept.Id).ShouldNotBeNull();
        found.Pieces.Count.ShouldBe(2);
        found.Pieces[0].Closed[0].Segments.ShouldBe(pieces[0].Closed[0].Segments);
        found.Pieces[1].Open[0].Start.ShouldBe(new PlanePoint(0, 0));
        outlines.Find("none").ShouldBeNull();
    }

    [Fact]
    public async Task A_typeface_that_is_taken_away_keeps_its_row_and_can_come_back()
    {
        var faces = new AddedTypefaces(db, TimeProvider.System);
        TypefaceRow Row() =>
            new()
            {
                Id = "mine-1",
                Name = "Mine",
                Kind = "regular",
                Revision = "1",
                Licence = "",
                Bytes = [1, 2, 3],
            };
        await faces.Add(Row());
        (await faces.Offer("mine-1", offered: false)).ShouldBeTrue();
        (await faces.All()).ShouldHaveSingleItem().TakenAwayAt.ShouldNotBeNull();
        await faces.Add(Row());
        (await faces.All()).ShouldHaveSingleItem().TakenAwayAt.ShouldBeNull();
        (await faces.Offer("other", offered: false)).ShouldBeFalse();
    }

    [Fact]
    public async Task A_motif_of_every_kind_of_part_comes_back_whole_and_its_references_are_kept()
    {
        var gap = MotifLength.Scales(3);
        var motif = new Motif(
            "All",
            RowAlignment.Left,
            [
                new LetteringPart(
                    "a",
                    PartPlace.Below,
                    gap,
                    "{name:capitals|X}",
                    "archivo",
                    LetteringSize.InkHeight,
                    new MotifLength(new TypedLength("1/2", LengthUnit.Inch), Scaling.Equal),
                    10
                )
                {
                    Pairs = [new PairNudge("A", "v", -20)],
                    Alternates = [new Alternate(AlternateScope.Place, "g", "Agnes", 1, "ss01", 2)],
                    Shape = LineShape.Arched,
                    FilmId = "navy",
                    Turn = 12.5,
                },
                new ShapePart("b", PartPlace.Anchored, gap, ShapeKind.Tag, gap, gap)
                {
                    Anchor = new Anchor("a", Stand.After, Stand.Start, gap, MotifLength.Stays(-2)),
                    Action = PartAction.Confines,
                    Ply = 3,
                },
                new GroupPart(
                    "c",
                    PartPlace.Beside,
                    gap,
                    [
                        new GraphicPart("d", PartPlace.Below, gap, "fern", GraphicSize.AsFile, gap)
                        {
                            OutlinesId = "x",
                            Dropped = [2],
                            Films = [new ColourFilm("#000000", ColourUse.Cut, "copper")],
                        },
                    ],
                    RowAlignment.Right
                )
                {
                    Repeat = new Repeat(RepeatKind.HalfDrop) { Over = RepeatOver.Wrap, Seed = 7 },
                },
                new BackingPart("e", PartPlace.Below, gap, ["a", "b"], MotifLength.Stays(2), true),
                new MatPart("f", PartPlace.Below, gap, 2),
                new RulePart("g", PartPlace.Below, gap, RuleSpan.Given, gap, gap),
            ]
        )
        {
            Ground = new Ground { BlankId = "mug", ZoneId = "left" },
            Sample = "Ọláyínká",
        };
        var library = new Library(db, TimeProvider.System);
        await library.Add(DocumentKinds.Blank, new Blank("Mug", SurfaceKind.Straight, []), "mug");
        await library.Add(DocumentKinds.Graphic, new Graphic("Fern", "x", "", true, [], [], []), "fern");
        foreach (var film in new[] { "navy", "copper" })
        {
            await library.Add(DocumentKinds.Film, FilmOf(film), film);
        }

        await library.Add(DocumentKinds.Motif, motif, "all");
        var found = (await library.Find(DocumentKinds.Motif, "all"))!.Document;
        DocumentJson.Write(found).ShouldBe(DocumentJson.Write(motif));
        (await db.References.Where(r => r.FromId == "all").Select(r => r.ToKind + " " + r.ToId).OrderBy(r => r).ToListAsync()).ShouldBe([
            "blank mug",
            "film copper",
            "film navy",
            "graphic fern",
            "typeface archivo",
        ]);
    }

    [Fact]
    public void A_motif_written_before_parts_had_actions_and_films_reads_as_it_was()
    {
        const string Old =
            """{"name":"Old","alignment":"centre","parts":[{"kind":"rule","span":"fillsRow","length":{"typed":{"text":"8","unit":"millimetre"},"scaling":"proportional"},"thickness":{"typed":{"text":"1","unit":"millimetre"},"scaling":"fixed"},"id":"r","place":"below","gap":{"typed":{"text":"4","unit":"millimetre"},"scaling":"proportional"}}]}""";
        var part = DocumentJson.Read<Motif>(Old).Parts.ShouldHaveSingleItem();
        (part.Action, part.FilmId, part.Ply, part.Turn, part.Nudge).ShouldBe((PartAction.Adds, "", 1, 0, Nudge.None));
    }

    private static Film FilmOf(string name) =>
        new(
            name,
            "#000000",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(1),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new CutSettings("", "", "", "", "")
        );
}

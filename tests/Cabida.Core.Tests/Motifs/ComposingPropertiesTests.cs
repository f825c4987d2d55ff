using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using CsCheck;

namespace Cabida.Core.Tests.Motifs;

/// <summary>What holds for any motif, however it is put together.</summary>
public class ComposingPropertiesTests
{
    private static readonly Gen<Part> Shaped = Gen.Select(
            Gen.Enum<ShapeKind>(),
            Gen.Double[4, 40],
            Gen.Double[4, 40],
            Gen.Enum<PartAction>(),
            Gen.Double[-180, 180],
            Gen.Bool,
            Gen.Int[1, 2]
        )
        .Select(
            Part (kind, w, h, action, turn, flipped, ply) =>
                Shapes.Of(kind, "", w, h) with
                {
                    Action = action,
                    Turn = turn,
                    Flipped = flipped,
                    Ply = ply,
                    Hole = MotifLength.Scales(2),
                    HoleIn = MotifLength.Scales(4),
                    Clearance = MotifLength.Scales(1),
                }
        );

    private static readonly Gen<Part> Lettered = Gen.Select(
            Gen.String[Gen.Char["Hqxoa "], 1, 8],
            Gen.Enum<LineShape>(),
            Gen.Enum<LetterJoins>(),
            Gen.Double[4, 20],
            Gen.Double[0, 0.4],
            Gen.Enum<PartAction>()
        )
        .Select(
            Part (text, shape, joins, size, grow, action) =>
                TestMotifs.Line("", text, size) with
                {
                    Shape = shape,
                    Joins = joins,
                    JoinBy = MotifLength.Scales(0.6),
                    Strengthen = MotifLength.Scales(grow),
                    ArchTop = MotifLength.Scales(2),
                    ArchBottom = MotifLength.Scales(1),
                    Circle = MotifLength.Scales(50),
                    Action = action,
                }
        );

    private static readonly Gen<Motif> Motifs = Gen.Select(Gen.OneOf(Shaped, Lettered).Array[1, 6], Gen.Enum<RowAlignment>(), Gen.Int[0, 3])
        .Select(
            (parts, alignment, kinds) =>
                new Motif(
                    "m",
                    alignment,
                    [
                        .. parts.Select(
                            (p, i) =>
                                p with
                                {
                                    Id = $"p{i}",
                                    Gap = MotifLength.Scales(2),
                                    Place =
                                        i > 0 && (kinds + i) % 3 == 0 ? PartPlace.Anchored
                                        : (kinds + i) % 3 == 1 ? PartPlace.Beside
                                        : PartPlace.Below,
                                    Anchor = new Anchor(
                                        i > 1 ? $"p{i - 1}" : Anchor.Stack,
                                        Stand.Middle,
                                        Stand.After,
                                        MotifLength.Scales(1),
                                        MotifLength.Scales(1)
                                    ),
                                }
                        ),
                    ]
                )
        );

    [Fact]
    public void Ink_is_valid_whatever_the_parts_do_to_one_another() =>
        Motifs.Sample(
            motif =>
            {
                var composition = Shapes.Compose(motif);
                return composition.FilmsOf(composition.PartsAt(1), 1).All(f => f.Ink.IsValid && !f.Ink.IsEmpty);
            },
            iter: 150
        );

    [Fact]
    public void Composing_twice_gives_the_same_to_the_last_digit_with_a_warm_cache_or_a_cold_one() =>
        Motifs.Sample(
            motif =>
            {
                var cache = new InkCache();
                IReadOnlyList<FilmInk> Films(InkCache c) => Shapes.Compose(motif, cache: c) is var x ? x.FilmsOf(x.PartsAt(1.3), 1.3) : [];
                var (first, second, cold) = (Films(cache), Films(cache), Films(new InkCache(1)));
                return first.Count == cold.Count
                    && first.Zip(second).All(p => p.First.Ink.EqualsExact(p.Second.Ink))
                    && first.Zip(cold).All(p => p.First.Ink.EqualsExact(p.Second.Ink));
            },
            iter: 80
        );

    [Fact]
    public void A_wholly_proportional_motif_only_grows_with_its_scale() =>
        Gen.Select(Motifs, Gen.Double[0.4, 3])
            .Sample(
                (motif, k) =>
                {
                    var composition = Shapes.Compose(motif);
                    var (one, scaled) = (composition.InkAt(1), composition.InkAt(k));
                    // Curves are flattened to a hundredth at both sizes, and letters kept apart are placed to that.
                    return !composition.AllScales
                        || Math.Abs(scaled.Area - (k * k * one.Area)) < (0.06 * k * (1 + k) * (one.Length + 1)) + 0.01;
                },
                iter: 120
            );

    [Fact]
    public void Fitted_ink_of_any_motif_lies_in_its_zone() =>
        Gen.Select(Motifs, Gen.Double[40, 150], Gen.Double[30, 90])
            .Sample(
                (motif, w, h) =>
                {
                    var composition = Shapes.Compose(motif, GroundShape.Plain(w, h));
                    var zone = ZoneShape.Rectangle(new Box(-w / 2, -h / 2, w / 2, h / 2), LimitKind.Edge);
                    var scale = LargestFit.Find(composition, composition.AllScales, zone);
                    return scale is not { } s
                        || Box.Of(composition.InkAt(s)) is not { } box
                        || (
                            box.MinX >= (-w / 2) - 0.001
                            && box.MaxX <= (w / 2) + 0.001
                            && box.MinY >= (-h / 2) - 0.001
                            && box.MaxY <= (h / 2) + 0.001
                        );
                },
                iter: 60
            );

    [Fact]
    public void A_piece_of_two_films_is_fitted_as_one_and_each_is_judged_by_its_own_limit()
    {
        var shape = ZoneShape.Rectangle(new Box(-50, -30, 50, 30), LimitKind.Edge);
        var zone = new Zone(shape, shape, new Dimension(Length.Mm(100), Length.Zero), new Dimension(Length.Mm(60), Length.Zero), 0, []);
        var fine = new Film(
            "Fine",
            "#000000",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.5),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        var bar = new RulePart(
            "bar",
            PartPlace.Below,
            MotifLength.Scales(2),
            RuleSpan.FillsRow,
            MotifLength.Scales(1),
            MotifLength.Stays(0.8)
        )
        {
            FilmId = "coarse",
        };
        var motif = Shapes.Motif(TestMotifs.Line("name", "{name}", 10), bar);
        var ground = new FitBasis(motif, null, null, zone, fine, null, new AtHand(new BlockFace(), new InkCache()))
        {
            Films = new Dictionary<string, Film> { ["coarse"] = fine with { Name = "Coarse", ThinnestStroke = TypedLength.Mm(1.5) } },
        };
        var fit = PieceFit.Of(new Piece("1", "HHHH"), ground);
        fit.Films.Select(f => f.Film.FilmId).ShouldBe(["", "coarse"]);
        fit.Ink.EnvelopeInternal.Width.ShouldBe(100, 1e-3);
        var findings = Checks.Of(fit, ground, new InkFactsCache()).Findings;
        findings.ShouldContain(f => f.Rule == Rule.ThinStrokes && f.Limit == 1.5);
        findings.ShouldNotContain(f => f.Limit == 0.5);
    }

    [Fact]
    public void A_motif_of_mats_alone_fits_since_the_frame_holds_it()
    {
        var shape = ZoneShape.Rectangle(new Box(-101, -126, 101, 126), LimitKind.Edge);
        var zone = new Zone(shape, shape, new Dimension(Length.Mm(202), Length.Zero), new Dimension(Length.Mm(252), Length.Zero), 0, []);
        var film = new Film(
            "Card",
            "#f0e8d0",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(1),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        var mats = new FrameMats(
            new MatSize(Length.Mm(214), Length.Mm(264)),
            new MatSize(Length.Mm(202), Length.Mm(252)),
            new MatSize(Length.Mm(211), Length.Mm(261)),
            [new Box(-80.5, 20, 80.5, 221)],
            null!,
            null
        );
        var fit = PieceFit.Of(
            new Piece("1", "x"),
            new FitBasis(
                Shapes.Motif(new MatPart("m", PartPlace.Below, MotifLength.Scales(0), 1)),
                null,
                null,
                zone,
                film,
                null,
                new AtHand(new BlockFace(), new InkCache())
            )
            {
                Mats = mats,
            }
        );
        fit.State.ShouldBe(FitState.Fits);
        fit.MayBeCut.ShouldBeTrue();
        fit.Films.ShouldHaveSingleItem().Ink.Area.ShouldBe((211 * 261) - (161 * 201), 1e-6);
    }
}

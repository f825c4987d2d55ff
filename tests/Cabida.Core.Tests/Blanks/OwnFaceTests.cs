using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using CsCheck;
using NetTopologySuite.Algorithm.Distance;
using Polygon = NetTopologySuite.Geometries.Polygon;

namespace Cabida.Core.Tests.Blanks;

/// <summary>Faces with an outline of their own: a lid, a sleeve, a front panel.</summary>
public class OwnFaceTests
{
    private static readonly FaceSpec Lid = new("lid", "Lid")
    {
        Outline = new PanelOutline { Kind = OutlineKind.Circle, Rim = TypedLength.Mm(5) },
    };

    private static readonly ZoneSpec OnLid = new("top", "On the lid") { Face = "lid", Margins = ZoneMargins.All(TypedLength.Mm(3)) };

    private static Place Below(double top) => new() { From = Datum.Top, Away = TypedLength.Mm(top) };

    private static MeasuredDimension Of(string face, DimensionKind kind, string typed, string size = "") =>
        TestBlanks.Read(kind, MeasuringTool.SteelRule, typed) with
        {
            Face = face,
            Of = size,
        };

    private static Blank MugWithLid() =>
        TestBlanks.Mug() is var mug
            ? mug with
            {
                Faces = [Lid],
                Measured = [.. mug.Measured, Of("lid", DimensionKind.Across, "84")],
                Zones = [TestBlanks.Wrap, OnLid],
            }
            : throw new InvalidOperationException();

    [Fact]
    public void A_lid_is_worked_on_within_its_rim_and_measured_from_its_own_edges()
    {
        var sheet = BlankSheet.Of(MugWithLid());
        sheet.Findings.ShouldBeEmpty();
        var size = sheet.Sizes[0];
        var (wrap, lid) = (size.ZoneOf("wrap")!, size.ZoneOf("top")!);
        // By hand: a disc of 84 less a rim of 5 all round, wider than the margins.
        lid.Zone!.Nominal.Outline.Area.ShouldBe(Math.PI * 37 * 37, 1);
        // It stands from its own edges.
        lid.Stands!.ShouldSatisfyAllConditions(
            s => s.FromTop.ShouldBe(5, 1e-3),
            s => s.FromBottom.ShouldBe(5, 1e-3),
            s => s.Across.ShouldBe(0, 1e-9)
        );
        lid.Panel!.Name.ShouldBe("Lid");
        lid.Wall.ShouldBeNull();
        // The wall is as it is without one.
        wrap.Zone!.Nominal.Outline.EqualsExact(BlankSheet.Of(TestBlanks.Mug()).Zone!.Nominal.Outline).ShouldBeTrue();
        // Its letters go on from those of the wall, and no letter stands twice.
        sheet.Rows.Select(r => r.Row.Letter).ShouldBeUnique();
        sheet.Rows.Single(r => r.Row.Face == "lid" && r.Row.Kind == DimensionKind.Across).Row.Title.ShouldBe("F, Lid, across");
        size.WorksOut.ShouldContain(w => w.Name == "Lid" && w.Value.ToString() == "84.0 mm × 84.0 mm");
        var drawn = StandingDrawing.OfFace(sheet, Lid)!;
        drawn.Dimensions.ShouldHaveSingleItem().ShouldSatisfyAllConditions(d => d.Letter.ShouldBe("F"), d => d.Millimetres.ShouldBe(84));
        drawn.Strokes.ShouldContain(s => s.Kind == StrokeKind.Zone);
    }

    [Fact]
    public void What_lies_on_a_face_is_kept_clear_there_and_nowhere_else()
    {
        var sip = new KeptClear("s", "Sip hole", ClearShape.Round)
        {
            Face = "lid",
            IsHole = true,
            Width = TypedLength.Mm(12),
            Clearance = TypedLength.Mm(2),
            Place = Below(8),
        };
        var band = new KeptClear("b", "Ridge", ClearShape.Band) { Height = TypedLength.Mm(6), Place = Below(40) };
        var plain = BlankSheet.Of(MugWithLid()).Sizes[0];
        var size = BlankSheet.Of(MugWithLid() with { KeptClear = [sip, band] }).Sizes[0];
        var (lid, before) = (size.ZoneOf("top")!.Zone!.Nominal, plain.ZoneOf("top")!.Zone!.Nominal);
        // The hole with its clearance, wholly inside: the one that drinks from it knows no ridge.
        (before.Outline.Area - lid.Outline.Area).ShouldBe(Math.PI * 8 * 8, 0.5);
        lid.Outline.NumInteriorRings.ShouldBe(1);
        BlankSheet
            .Of(MugWithLid() with { KeptClear = [sip] })
            .Zone!.Nominal.Outline.EqualsExact(plain.ZoneOf("wrap")!.Zone!.Nominal.Outline)
            .ShouldBeTrue();
        size.Places.Select(p => (p.Name, p.Face.Own)).ShouldBe([("Sip hole", "lid"), ("Ridge", "")]);
        FlatDrawing.Of(size)!.Strokes.ShouldNotContain(s => s.Kind == StrokeKind.Hole);
        StandingDrawing
            .OfFace(BlankSheet.Of(MugWithLid() with { KeptClear = [sip, band] }), Lid)!
            .Strokes.Count(s => s.Kind is StrokeKind.Hole or StrokeKind.KeptClear)
            .ShouldBe(1);

        // Off its own face it is told as off, not as lying on the wall.
        var off = BlankSheet.Of(MugWithLid() with { KeptClear = [sip with { Place = Below(200) }] });
        off.Findings.ShouldHaveSingleItem().Message.ToString().ShouldContain("off the panel");
    }

    [Fact]
    public void What_a_face_lacks_stops_nothing_but_its_own_zones()
    {
        var unread = BlankSheet.Of(MugWithLid() with { Measured = TestBlanks.Mug().Measured });
        unread.Zone.ShouldNotBeNull();
        unread
            .Findings.Select(f => (f.Stops, f.Message.ToString()))
            .ShouldBe([(true, "On the lid: Lid is not worked out yet."), (false, "Lid: Read how wide it is across its middle.")]);

        // The other way round: the lid is worked on while the mug is not measured.
        var lidOnly = BlankSheet.Of(MugWithLid() with { Measured = [Of("lid", DimensionKind.Across, "84")] });
        lidOnly.Sizes[0].ZoneOf("top")!.Zone.ShouldNotBeNull();
        lidOnly.Sizes[0].ZoneOf("wrap")!.Zone.ShouldBeNull();
        lidOnly.Findings[0].Stops.ShouldBeTrue();
        lidOnly.Findings.ShouldNotContain(f => f.Message.ToString().Contains("Only the workable area", StringComparison.Ordinal));

        BlankSheet
            .Of(MugWithLid() with { Faces = [] })
            .Findings.ShouldContain(f =>
                f.Stops && f.Message.ToString().Contains("the face it was on is not there any more", StringComparison.Ordinal)
            );
        BlankSheet
            .Of(MugWithLid() with { Faces = [Lid, Lid with { Name = "Base" }] })
            .ShouldSatisfyAllConditions(
                s =>
                    s.Findings.ShouldContain(f =>
                        f.Message.ToString().StartsWith("Base is a face by the same id", StringComparison.Ordinal)
                    ),
                s => s.Sizes[0].Faces.Count.ShouldBe(1)
            );
        var badRim = Lid with { Outline = Lid.Outline with { Rim = new TypedLength("five") } };
        BlankSheet
            .Of(MugWithLid() with { Faces = [badRim] })
            .Sizes[0]
            .ZoneOf("top")!
            .Problem!.ToString()
            .ShouldStartWith("Lid: Rim that stays clear.");
    }

    [Fact]
    public void A_face_is_worked_out_as_the_same_thing_alone_would_be()
    {
        var gen = Gen.Select(
            Gen.Enum<OutlineKind>().Where(k => k != OutlineKind.Drawn),
            Gen.Int[400, 900],
            Gen.Int[400, 900],
            Gen.Int[0, 60],
            Gen.Int[0, 90],
            Gen.Bool
        );
        gen.Sample(
            (kind, w, h, rim, margin, flat) =>
            {
                (DimensionKind, int)[] sizes =
                [
                    (DimensionKind.Width, w),
                    (DimensionKind.Height, h),
                    (DimensionKind.Across, w),
                    (DimensionKind.AcrossFlats, w),
                    (DimensionKind.CornerRadius, 80),
                ];
                MeasuredDimension[] Read(string face) =>
                    [.. sizes.Select(r => Of(face, r.Item1, (r.Item2 / 10.0).ToString(System.Globalization.CultureInfo.InvariantCulture)))];
                var outline = new PanelOutline { Kind = kind, Rim = TypedLength.Mm(rim / 10.0) };
                var zone = new ZoneSpec("z", "Z") { Margins = ZoneMargins.All(TypedLength.Mm(margin / 10.0)) };
                var hole = new KeptClear("k", "Hole", ClearShape.Round)
                {
                    IsHole = true,
                    Width = TypedLength.Mm(5),
                    Place = Below(12) with { Side = Sideways.Left, Across = TypedLength.Mm(4) },
                };
                var alone = BlankSheet
                    .Of(
                        new Blank("Alone", SurfaceKind.Flat, Read(""))
                        {
                            Outline = outline,
                            Zones = [zone],
                            KeptClear = [hole],
                        }
                    )
                    .Sizes[0];
                var host = flat
                    ? new Blank("Board", SurfaceKind.Flat, [Of("", DimensionKind.Width, "310"), Of("", DimensionKind.Height, "120")])
                    : TestBlanks.Tumbler("276", "219", "150");
                var with = BlankSheet
                    .Of(
                        host with
                        {
                            Measured = [.. host.Measured, .. Read("f")],
                            Faces = [new FaceSpec("f", "Face") { Outline = outline }],
                            Zones = [zone with { Face = "f" }],
                            KeptClear = [hole with { Face = "f" }],
                        }
                    )
                    .Sizes[0];
                var (a, b) = (alone.Zones[0], with.Zones[0]);
                if (a.Zone is null)
                {
                    b.Zone.ShouldBeNull();
                    return;
                }

                var dx = with.Faces[0].Panel!.Datums.Box.CentreX;
                Apart((Polygon)Outlines.Placed(a.Zone.Nominal.Outline, 1, dx, 0), b.Zone!.Nominal.Outline).ShouldBeLessThan(1e-6);
                Apart((Polygon)Outlines.Placed(a.Zone.Cautious.Outline, 1, dx, 0), b.Zone.Cautious.Outline).ShouldBeLessThan(1e-6);
                b.Zone.Sums.Select(s => s.ToString()).ShouldBe(a.Zone.Sums.Select(s => s.ToString()));
                foreach (var limit in Enum.GetValues<LimitKind>())
                {
                    Along(b.Zone.Nominal, limit).ShouldBe(Along(a.Zone.Nominal, limit), 1e-6);
                }

                b.Stands!.Across.ShouldBe(a.Stands!.Across, 1e-6);
                b.Stands.FromTop.ShouldBe(a.Stands.FromTop, 1e-6);
            },
            iter: 60
        );

        // Where the rim is as wide as the margin, either may leave a corner on the other's line: the outlines are the same all the same.
        static double Apart(Polygon a, Polygon b) =>
            Math.Max(DiscreteHausdorffDistance.Distance(a, b), a.SymmetricDifference(b).Area / Math.Max(1, a.Length));
        static double Along(ZoneShape zone, LimitKind limit) => zone.Edges.Where(e => e.Limit == limit).Sum(e => e.From.To(e.To));
    }

    [Fact]
    public void Nothing_is_laid_on_anything_else_however_the_wall_is_turned()
    {
        var gen = Gen.Select(Gen.Int[120, 420], Gen.Int[120, 420], Gen.Int[-300, 300], Gen.Int[20, 250].Array[1, 4], Gen.Int[0, 3]);
        gen.Sample(
            (upper, lower, across, faces, surface) =>
            {
                string Mm(double v) => v.ToString(System.Globalization.CultureInfo.InvariantCulture);
                var aside = TypedLength.Mm(Math.Min(Math.Abs(across), Math.Min(upper, lower) / 2));
                var around = new ZoneSpec("w", "W")
                {
                    Width = TypedLength.Mm(20),
                    Height = TypedLength.Mm(20),
                    Margins = ZoneMargins.All(TypedLength.Mm(0)),
                    Place = new Place { Side = across < 0 ? Sideways.Left : Sideways.Right, Across = aside },
                };
                var own = faces
                    .Select((f, i) => new FaceSpec($"f{i}", $"Face {i}") { Outline = new PanelOutline { Kind = OutlineKind.Circle } })
                    .ToList();
                var read = own.SelectMany((f, i) => new[] { "", "M" }.Select(s => Of(f.Id, DimensionKind.Across, Mm(faces[i]), s)));
                var host = surface switch
                {
                    0 => TestBlanks.Mug(),
                    1 => TestBlanks.Tumbler(Mm(upper), Mm(lower), "150"),
                    2 => new Blank(
                        "Board",
                        SurfaceKind.Flat,
                        [Of("", DimensionKind.Width, Mm(upper)), Of("", DimensionKind.Height, Mm(lower))]
                    ),
                    _ => new Blank(
                        "Shirt",
                        SurfaceKind.Garment,
                        [Of("", DimensionKind.Width, Mm(2 * upper), "M"), Of("", DimensionKind.CollarToHem, Mm(2 * lower), "M")]
                    )
                    {
                        Garment = new GarmentSpec { Sizes = ["M"] },
                    },
                };
                var size = BlankSheet
                    .Of(
                        host with
                        {
                            Measured = [.. host.Measured, .. read],
                            Faces = own,
                            Zones = [around, around with { Id = "b", Facing = Facing.Back }],
                        }
                    )
                    .Sizes[0];
                if (size is { Wall: null, Panel: null })
                {
                    return;
                }

                var boxes = size.Faces.Select(f => Box.Of(f.Panel!.Nominal)!.Value).ToList();
                boxes.AddRange(
                    new[] { size.Panel, size.Back }.OfType<Panel>().Select(p => PanelDrawing.BoxOf(PanelDrawing.Strokes(size, [p.Face])))
                );
                boxes.AddRange(size.Zones.Where(z => z.Wall is not null).Take(1).Select(z => FlatDrawing.Of(z, size).Box));
                foreach (var (a, i) in boxes.Select((b, i) => (b, i)))
                {
                    boxes
                        .Skip(i + 1)
                        .ShouldAllBe(
                            b => a.MaxX < b.MinX || b.MaxX < a.MinX || a.MaxY < b.MinY || b.MaxY < a.MinY,
                            $"{surface} {upper} {lower} {across}"
                        );
                }
            },
            iter: 120
        );
    }

    [Fact]
    public void Sleeves_are_read_size_by_size_and_pressed_by_the_same_press()
    {
        var sleeve = new FaceSpec("left", "Left sleeve");
        var shirt = new Blank(
            "Shirt",
            SurfaceKind.Garment,
            [
                .. new[] { ("S", "480", "690", "170", "200"), ("L", "540", "730", "190", "225") }.SelectMany(s =>
                    new[]
                    {
                        Of("", DimensionKind.Width, s.Item2, s.Item1),
                        Of("", DimensionKind.CollarToHem, s.Item3, s.Item1),
                        Of("left", DimensionKind.Width, s.Item4, s.Item1),
                        Of("left", DimensionKind.Height, s.Item5, s.Item1),
                    }
                ),
            ]
        )
        {
            Garment = new GarmentSpec
            {
                Sizes = ["S", "L"],
                PlatenWidth = TypedLength.Mm(150),
                PlatenHeight = TypedLength.Mm(380),
            },
            Faces = [sleeve],
            Zones = [new ZoneSpec("s", "Sleeve") { Face = "left", Margins = ZoneMargins.All(TypedLength.Mm(15)) }],
        };
        var sheet = BlankSheet.Of(shirt);
        sheet.Findings.ShouldBeEmpty();
        // 170 − 30 = 140 across goes under a press of 150; 190 − 30 = 160 does not.
        sheet
            .SizeOf("S")
            .Zones[0]
            .Zone!.Nominal.Bounds.ShouldSatisfyAllConditions(b => b.Width.ShouldBe(140, 1e-9), b => b.Height.ShouldBe(170, 1e-9));
        sheet
            .SizeOf("L")
            .Zones[0]
            .Zone!.Nominal.Bounds.ShouldSatisfyAllConditions(b => b.Width.ShouldBe(150, 1e-9), b => b.Height.ShouldBe(195, 1e-9));
        sheet.Rows.Where(r => r.Row.Of == "L").Select(r => r.Row.Letter).ShouldBeUnique();
        sheet
            .Rows.Single(r => r.Row is { Face: "left", Of: "L", Kind: DimensionKind.Width })
            .Row.Title.ShouldBe("F, Left sleeve, width of L");
    }

    [Fact]
    public void A_key_that_was_never_set_is_the_front()
    {
        default(FaceKey).ShouldBe(FaceKey.Front);
        FaceKey.Of(Facing.Back, "lid").ShouldBe(FaceKey.Of(Facing.Front, "lid"));
        FaceKey.Of(Facing.Back, "").ShouldBe(FaceKey.Back);
        new[] { FaceKey.Front, FaceKey.Back, FaceKey.Of(Facing.Front, "back") }.Select(f => f.Word).ShouldBeUnique();
    }
}

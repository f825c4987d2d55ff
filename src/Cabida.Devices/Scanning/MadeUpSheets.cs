using Cabida.Core.Geometry;
using Cabida.Core.Tracing;

namespace Cabida.Devices.Scanning;

/// <summary>The sheets in the stand-in's tray: odd shapes as a workshop would draw round them.</summary>
public static class MadeUpSheets
{
    private const double A4Width = 210;
    private const double A4Height = 297;

    /// <summary>All of them.</summary>
    public static IReadOnlyList<MadeUpSheet> All { get; } =
    [
        new(
            "tag",
            "Luggage tag, drawn round",
            A4Width,
            A4Height,
            [
                [Tag(60, 90, 90, 160)],
            ],
            DrawnAs.Pencil
        )
        {
            Darkness = 0.55,
        },
        new(
            "plate",
            "Number plate with two holes, laid on the glass",
            A4Width,
            A4Height,
            [
                [Rounded(40, 110, 130, 70, 14), Circle(55, 145, 3), Circle(155, 145, 3)],
            ],
            DrawnAs.Filled
        ),
        new(
            "bookmark",
            "Bookmark, long and thin",
            A4Width,
            A4Height,
            [
                [Rounded(92, 40, 26, 210, 4)],
            ],
            DrawnAs.Filled
        )
        {
            Darkness = 0.7,
        },
        new(
            "star",
            "Star ornament with sharp points",
            A4Width,
            A4Height,
            [
                [Star(105, 150, 5, 60, 26)],
            ],
            DrawnAs.Filled
        ),
        new(
            "leaf",
            "Leaf, drawn lightly on yellowed paper",
            A4Width,
            A4Height,
            [
                [Leaf(105, 150, 110, 58)],
            ],
            DrawnAs.Pencil
        )
        {
            Darkness = 0.24,
            LineWidth = 0.7,
            Paper = (0.95, 0.89, 0.70),
        },
        new(
            "lamp",
            "Signal lamp board, photographed askew",
            A4Width,
            A4Height,
            [
                [Lamp(105, 150)],
            ],
            DrawnAs.Filled
        )
        {
            Photographed = [new(0.17, 0.11), new(0.86, 0.16), new(0.93, 0.90), new(0.08, 0.86)],
        },
        new(
            "coaster",
            "Coaster, laid down with its shadow beside it",
            A4Width,
            A4Height,
            [
                [Rounded(60, 110, 96, 96, 18)],
            ],
            DrawnAs.Filled
        )
        {
            Shadow = 9,
        },
        new(
            "door",
            "Door sign, drawn by rule past its corners",
            A4Width,
            A4Height,
            [
                [
                    [new(45, 120), new(165, 120), new(165, 190), new(45, 190)],
                ],
            ],
            DrawnAs.Pencil
        )
        {
            Darkness = 0.5,
            RunsOver = 6,
        },
        new(
            "across",
            "Name board, photographed with its sheet lying across",
            A4Width,
            A4Height,
            [
                [Rounded(50, 60, 100, 180, 20)],
            ],
            DrawnAs.Filled
        )
        {
            Photographed = [new(0.85, 0.22), new(0.91, 0.74), new(0.07, 0.70), new(0.12, 0.25)],
        },
        new(
            "off-cut",
            "Off-cut with three holes, on its carrier",
            A4Width,
            A4Height,
            [
                [CornerMark.Outline.Select(p => new PlanePoint(p.X + 8, p.Y + 8)).ToList()],
                [OffCut(24, 58), Circle(70, 130, 18), Rounded(100, 185, 55, 30, 6), Circle(140, 105, 12)],
            ],
            DrawnAs.Filled
        )
        {
            Darkness = 0.65,
            Paper = (0.86, 0.90, 0.86),
        },
        new(
            "two-off-cuts",
            "Two off-cuts, no mark to be seen",
            A4Width,
            A4Height,
            [
                [Rounded(20, 30, 80, 110, 2)],
                [
                    [new(115, 150), new(190, 160), new(180, 270), new(120, 255)],
                ],
            ],
            DrawnAs.Filled
        ),
        new("blank", "An empty sheet", A4Width, A4Height, [], DrawnAs.Filled),
        new(
            "off",
            "A board that runs off the sheet",
            A4Width,
            A4Height,
            [
                [Rounded(120, 100, 130, 80, 10)],
            ],
            DrawnAs.Filled
        ),
        new(
            "many",
            "Fifty pebbles",
            A4Width,
            A4Height,
            [.. Enumerable.Range(0, 50).Select(i => new[] { Circle(25 + (40 * (i % 5)), 20 + (28 * (i / 5)), 6 + (i % 3)) })],
            DrawnAs.Filled
        ),
    ];

    /// <summary>What is left of a sheet once letters were cut from two of its corners.</summary>
    private static List<PlanePoint> OffCut(double x, double y) =>
        [
            new(x, y),
            new(x + 160, y),
            new(x + 160, y + 120),
            new(x + 145, y + 120),
            new(x + 145, y + 180),
            new(x + 30, y + 180),
            new(x, y + 140),
        ];

    private static List<PlanePoint> Circle(double cx, double cy, double r) =>
        [
            .. Enumerable
                .Range(0, 180)
                .Select(i => 2 * Math.PI * i / 180)
                .Select(a => new PlanePoint(cx + (r * Math.Cos(a)), cy + (r * Math.Sin(a)))),
        ];

    private static List<PlanePoint> Rounded(double x, double y, double w, double h, double r)
    {
        IEnumerable<PlanePoint> Corner(double cx, double cy, double from) =>
            Enumerable
                .Range(0, 25)
                .Select(i => from + (Math.PI / 2 * i / 24))
                .Select(a => new PlanePoint(cx + (r * Math.Cos(a)), cy + (r * Math.Sin(a))));
        return
        [
            .. Corner(x + w - r, y + r, -Math.PI / 2),
            .. Corner(x + w - r, y + h - r, 0),
            .. Corner(x + r, y + h - r, Math.PI / 2),
            .. Corner(x + r, y + r, Math.PI),
        ];
    }

    /// <summary>A tag: a rectangle with its upper corners cut off and a round foot.</summary>
    private static List<PlanePoint> Tag(double x, double y, double w, double h)
    {
        var foot = Enumerable
            .Range(0, 49)
            .Select(i => Math.PI + (Math.PI * i / 48))
            .Select(a => new PlanePoint(x + (w / 2) + (w / 2 * Math.Cos(a)), y + 30 + (30 * Math.Sin(a))));
        return [.. foot, new(x + w, y + h - 28), new(x + w - 28, y + h), new(x + 28, y + h), new(x, y + h - 28)];
    }

    private static List<PlanePoint> Star(double cx, double cy, int points, double outer, double inner) =>
        [
            .. Enumerable
                .Range(0, 2 * points)
                .Select(i => (R: i % 2 == 0 ? outer : inner, A: (Math.PI / 2) + (Math.PI * i / points)))
                .Select(p => new PlanePoint(cx + (p.R * Math.Cos(p.A)), cy + (p.R * Math.Sin(p.A)))),
        ];

    private static List<PlanePoint> Leaf(double cx, double cy, double length, double width) =>
        [
            .. Enumerable
                .Range(0, 240)
                .Select(i => 2 * Math.PI * i / 240)
                .Select(a => new PlanePoint(
                    cx + (width / 2 * Math.Sin(a) * (1 + (0.12 * Math.Cos(3 * a)))),
                    cy + (length / 2 * Math.Cos(a) * (1 + (0.05 * Math.Sin(2 * a))))
                )),
        ];

    /// <summary>A round lamp on a straight stem.</summary>
    private static List<PlanePoint> Lamp(double cx, double cy)
    {
        const double Radius = 45,
            HalfStem = 18,
            Foot = -95;
        var from = (-Math.PI / 2) + Math.Asin(HalfStem / Radius);
        var sweep = (2 * Math.PI) - (2 * Math.Asin(HalfStem / Radius));
        return
        [
            .. Enumerable
                .Range(0, 121)
                .Select(i => from + (sweep * i / 120))
                .Select(a => new PlanePoint(cx + (Radius * Math.Cos(a)), cy + 30 + (Radius * Math.Sin(a)))),
            new(cx - HalfStem, cy + Foot),
            new(cx + HalfStem, cy + Foot),
        ];
    }
}

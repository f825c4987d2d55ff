using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Lists;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Store;

namespace Cabida.Web.Runs;

/// <summary>Something a run still lacks before its pieces can be set.</summary>
/// <param name="Field">Where in the set-up: blank, motif, film, letterHeight or names.</param>
/// <param name="Message">What is lacking.</param>
internal sealed record Lack(string Field, Phrase Message);

/// <summary>Another side of a run, read.</summary>
/// <param name="Side">The side.</param>
/// <param name="Motif">Its motif.</param>
/// <param name="Laid">Its zone.</param>
/// <param name="Ground">What its pieces have in common.</param>
internal sealed record ReadSide(RunSide Side, Motif Motif, LaidZone Laid, RunGround Ground);

/// <summary>What the pieces of one size of the blank stand on.</summary>
/// <param name="Sheet">The size worked out.</param>
/// <param name="Laid">The zone of the first side.</param>
/// <param name="Ground">What its pieces have in common.</param>
/// <param name="Sides">The other sides.</param>
internal sealed record ReadSurface(SizeSheet Sheet, LaidZone Laid, RunGround Ground, IReadOnlyList<ReadSide> Sides)
{
    /// <summary>The face of its first side laid flat with all zones there, and its back where they are on both.</summary>
    public Drawing Flat() => FlatDrawing.Of(Laid, Sheet, [.. Sides.Select(s => s.Laid)]);

    /// <summary>All its sides, the first without an id.</summary>
    public IEnumerable<(string Id, LaidZone Laid, RunGround Ground)> All =>
        Sides.Select(s => (s.Side.Id, s.Laid, s.Ground)).Prepend(("", Laid, Ground));

    /// <summary>The wall as it is turned for the first side that lies on it; null where none does.</summary>
    public Wall? Wall => All.Select(s => s.Ground.Wall).FirstOrDefault(w => w is not null);

    /// <summary>
    /// From the coordinates of a side to those of the first on its surface: what shares a wall is turned to the same line.
    /// </summary>
    public Motion MotionOf(ReadSide side) => MotionOf(side, 0);

    /// <summary>The same, and a full turn to either side of what goes round.</summary>
    public IEnumerable<Motion> MotionsOf(ReadSide side) =>
        side.Ground.Wall is null ? [Motion.None] : new[] { 0, -360, 360 }.Select(d => MotionOf(side, d));

    private Motion MotionOf(ReadSide side, double further) =>
        side.Ground.Wall is { } other && Wall is { } first
            ? WallTurn.Between(other with { Turn = Angle.FromDegrees(other.Turn.Degrees + further) }, first)
            : Motion.None;
}

/// <summary>A run with what it pins, read at the pinned revisions.</summary>
/// <param name="Run">The run.</param>
/// <param name="Blank">Its blank.</param>
/// <param name="Sheet">The blank worked out.</param>
/// <param name="Motif">Its motif.</param>
/// <param name="Film">Its film.</param>
/// <param name="Cutter">Its cutter.</param>
/// <param name="Surface">What its pieces stand on; null while something is lacking.</param>
/// <param name="Lacks">What is lacking.</param>
internal sealed record ReadRun(
    Stored<Run> Run,
    Blank? Blank,
    BlankSheet? Sheet,
    Motif? Motif,
    Film? Film,
    Cutter? Cutter,
    ReadSurface? Surface,
    IReadOnlyList<Lack> Lacks
)
{
    /// <summary>What pieces of each other size stand on that rows of the list name.</summary>
    public IReadOnlyDictionary<string, ReadSurface> BySize { get; init; } = new Dictionary<string, ReadSurface>(Sizes);

    /// <summary>Sizes are the same however they are written: xl is XL.</summary>
    public static StringComparer Sizes => StringComparer.OrdinalIgnoreCase;

    /// <summary>What its pieces have in common; null while something is lacking.</summary>
    public RunGround? Ground => Surface?.Ground;

    /// <summary>What a piece stands on: a row that names a size of the blank is of that size.</summary>
    public ReadSurface SurfaceOf(Piece piece) => SurfaceOf(piece.ValueOf(NameList.Size));

    /// <summary>What pieces of a size stand on; those of no size that the blank has stand on the run's.</summary>
    public ReadSurface SurfaceOf(string size) => BySize.GetValueOrDefault(size) ?? Surface!;

    /// <summary>Tells apart grounds whose pieces could differ: by all of the run but its list and what was said of it.</summary>
    public string GroundHash { get; } =
        Convert.ToHexString(
            SHA256.HashData(
                Encoding.UTF8.GetBytes(
                    DocumentJson.Write(
                        Run.Document with
                        {
                            Name = "",
                            JobId = "",
                            Cutter = null,
                            ScissorsRoom = TypedLength.Empty,
                            NamesTyped = "",
                            Columns = [],
                            Pieces = [],
                            Away = [],
                            Shown = null,
                            MostBow = TypedLength.Empty,
                        }
                    )
                )
            ),
            0,
            12
        );
}

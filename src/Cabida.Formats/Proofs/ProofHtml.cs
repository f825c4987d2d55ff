using System.Globalization;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using Cabida.Core.Geometry;
using Cabida.Core.Proofs;
using Cabida.Formats.Svg;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Formats.Proofs;

/// <summary>
/// A proof as one HTML file that works without a network: every piece at one scale, marked right or corrected by the customer, whose answer
/// is a short text (<see cref="ProofAnswer"/>) that the page writes by itself.
/// </summary>
public static class ProofHtml
{
    /// <summary>The file.</summary>
    /// <param name="sheet">The proof.</param>
    /// <param name="run">The run, by id.</param>
    public static byte[] Write(ProofSheet sheet, string run)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        using var reader = new StreamReader(typeof(ProofHtml).Assembly.GetManifestResourceStream("proof-page.html")!);
        var page = new StringBuilder(reader.ReadToEnd());
        var asked = sheet.Pieces.Where(p => p.NotYet is null).ToList();
        // Each is put in once, what is made of what a maker typed last, so that no name is taken for a place of the page.
        foreach (
            var (place, with) in new[]
            {
                ("title", Escaped(sheet.Title)),
                ("mark", Mark(sheet.Mark)),
                ("about", Escaped($"{sheet.About}. {sheet.On}")),
                ("workshop", Escaped(string.Join(", ", new[] { sheet.Workshop, sheet.Contact }.Where(w => w.Length > 0)))),
                ("data", Data(run, asked)),
                ("pieces", string.Concat(sheet.Pieces.Select(p => Piece(p, sheet)))),
            }
        )
        {
            page.Replace($"{{{{{place}}}}}", with.Replace("{{", "{\u2060{", StringComparison.Ordinal));
        }

        return Encoding.UTF8.GetBytes(page.ToString());
    }

    private static string Escaped(string words) => HtmlEncoder.Default.Encode(words);

    private static string Data(string run, IEnumerable<ProofPiece> asked) =>
        JsonSerializer.Serialize(new { r = run, a = asked.Select(p => new[] { p.Id, Shortened(p.Seen), p.Name }) });

    private static string Shortened(string seen) => seen.Length > AnsweredPiece.SeenLetters ? seen[..AnsweredPiece.SeenLetters] : seen;

    private static string Mark(IReadOnlyList<ColouredInk> mark) =>
        Box.Around(mark.Select(m => Box.Of(m.Ink)).OfType<Box>()) is { } box
            ? $"""<svg viewBox="{View(box)}" aria-hidden="true"><g transform="scale(1 -1)">{string.Concat(mark.Select(Filled))}</g></svg>"""
            : "";

    private static string Piece(ProofPiece piece, ProofSheet sheet)
    {
        var (zone, cell) = (Box.Of(piece.Zone)!.Value, sheet.Cell);
        // About the middle of its zone, all at one scale.
        var box = new Box(
            zone.CentreX - (cell.Width / 2),
            zone.CentreY - (cell.Height / 2),
            zone.CentreX + (cell.Width / 2),
            zone.CentreY + (cell.Height / 2)
        );
        var ground = sheet.Ground.Length > 0 ? sheet.Ground : "#ffffff";
        var name = Escaped(piece.Name);
        var (id, right, other) = (Escaped(piece.Id), piece.State == "approved" ? " checked" : "", "");
        var ask = piece.NotYet is { } why
            ? $"""<p class="notyet">Not ready: nothing to say of it yet. {Escaped(why)}</p>"""
            : $"""
                <fieldset aria-label="{name}"><label><input type="radio" class="right" name="of-{id}"{right} /> right</label>
                <label><input type="radio" class="other" name="of-{id}"{other} /> something else</label></fieldset>
                <textarea rows="2" maxlength="2000" hidden aria-label="What should be different of {name}"></textarea>
                """;
        var facts = string.Join(" · ", new[] { piece.Facts, piece.Mark, piece.State }.Where(f => f.Length > 0));
        return $"""
            <article data-piece="{id}"><svg viewBox="{View(box)}" role="img" aria-label="{name}"><g transform="scale(1 -1)">
            <path class="zone" d="{Path(piece.Zone)}" fill="{Escaped(ground)}" fill-rule="evenodd" />
            {string.Concat(piece.Inks.Select(Filled))}</g></svg>
            <h2>{name}</h2><p>{Escaped(facts)}</p>{ask}</article>
            """;
    }

    private static string Filled(ColouredInk ink) => $"""<path d="{Path(ink.Ink)}" fill="{Escaped(ink.Colour)}" fill-rule="evenodd" />""";

    private static string Path(Area area) => SvgPath.Of(area, Tolerances.File);

    private static string View(Box box) =>
        string.Create(CultureInfo.InvariantCulture, $"{box.MinX:0.###} {-box.MaxY:0.###} {box.Width:0.###} {box.Height:0.###}");
}

using System.Text;
using Cabida.Core.Cutting;
using Cabida.Core.Stock;

namespace Cabida.Formats.Cutting;

/// <summary>The formats of cut files.</summary>
public enum CutFormat
{
    /// <summary>Scalable Vector Graphics.</summary>
    Svg,

    /// <summary>Drawing exchange, in the form of 2000.</summary>
    Dxf,

    /// <summary>Drawing exchange, in the form of release 12.</summary>
    DxfOld,

    /// <summary>What plotters understand.</summary>
    Hpgl,

    /// <summary>Portable Document Format.</summary>
    Pdf,
}

/// <summary>A cut file that was read back and held against what was to be written.</summary>
/// <param name="Format">Its format.</param>
/// <param name="Bytes">The file.</param>
/// <param name="Read">What it holds.</param>
/// <param name="Problem">What is not as it was to be, in words; null for a file that may be given out.</param>
public sealed record WrittenCut(CutFormat Format, byte[] Bytes, ReadCut Read, string? Problem)
{
    /// <summary>How far the outer size may be off; of HPGL its grid alone is half of that. Millimetres.</summary>
    private const double SizeOff = 0.03;
    private const double SizeOffOnGrid = 0.05;

    /// <summary>By which share the length of all lines may be off.</summary>
    private const double LengthOff = 0.001;

    /// <summary>What its kind of file is called on the web.</summary>
    public string MediaType => MediaTypeOf(Format);

    /// <summary>What a kind of file is called on the web.</summary>
    public static string MediaTypeOf(CutFormat format) =>
        format switch
        {
            CutFormat.Svg => "image/svg+xml",
            CutFormat.Dxf or CutFormat.DxfOld => "image/vnd.dxf",
            CutFormat.Hpgl => "application/vnd.hp-hpgl",
            _ => "application/pdf",
        };

    /// <summary>The ending of its name.</summary>
    public string Ending =>
        Format switch
        {
            CutFormat.Svg => ".svg",
            CutFormat.Dxf or CutFormat.DxfOld => ".dxf",
            CutFormat.Hpgl => ".plt",
            _ => ".pdf",
        };

    /// <summary>Writes a load, reads it back and measures it.</summary>
    /// <param name="drawing">The load.</param>
    /// <param name="format">The format.</param>
    /// <param name="units">What the numbers of an SVG stand for.</param>
    /// <param name="knife">What a knife asks for, written into HPGL; null leaves it to the cutter.</param>
    public static WrittenCut Of(CutDrawing drawing, CutFormat format, SvgNumbers units = SvgNumbers.Millimetres, DragKnife? knife = null)
    {
        var (bytes, read) = format switch
        {
            CutFormat.Svg => Text(CutSvg.Write(drawing, units), t => CutSvgMeasure.Of(t).Lines()),
            CutFormat.Dxf => Text(CutDxf.Write(drawing, DxfForm.R2000), CutDxfReader.Read),
            CutFormat.DxfOld => Text(CutDxf.Write(drawing, DxfForm.R12), CutDxfReader.Read),
            CutFormat.Hpgl => Text(CutHpgl.Write(drawing, knife), CutHpglReader.Read),
            CutFormat.Pdf => CutPdf.Write([drawing]) is var pdf ? (pdf, CutPdfReader.Read(pdf)[0]) : default,
            _ => throw new ArgumentOutOfRangeException(nameof(format)),
        };
        // What a knife needs makes lines longer and no longer closed: the file without it is what can be compared.
        var compared = knife is null || format != CutFormat.Hpgl ? read : CutHpglReader.Read(CutHpgl.Write(drawing));
        return new WrittenCut(format, bytes, read, WhatIsWrong(drawing, compared, format));
    }

    private static (byte[] Bytes, ReadCut Read) Text(string text, Func<string, ReadCut> read) => (Encoding.UTF8.GetBytes(text), read(text));

    /// <summary>What of a file that was read is not as it was to be, in words; null where all of it is.</summary>
    /// <param name="drawing">What was to be written.</param>
    /// <param name="read">What the file holds.</param>
    /// <param name="format">Its format.</param>
    public static string? WhatIsWrong(CutDrawing drawing, ReadCut read, CutFormat format)
    {
        ArgumentNullException.ThrowIfNull(drawing);
        ArgumentNullException.ThrowIfNull(read);
        var off = format == CutFormat.Hpgl ? SizeOffOnGrid : SizeOff;
        var meant = new ReadCut(
            drawing.Width,
            drawing.Height,
            [.. drawing.Lines.Select(l => new ReadLine("", l.Points(ReadCut.ChordError), l.IsClosed))]
        );
        if (read.Lines.Count != meant.Lines.Count || read.Outlines != meant.Outlines)
        {
            return FormattableString.Invariant($"Read back, it has {read.Outlines} outlines and {read.Lines.Count} lines instead of ")
                + FormattableString.Invariant($"{meant.Outlines} and {meant.Lines.Count}.");
        }

        if (read.Width is { } width && Math.Max(Math.Abs(width - drawing.Width), Math.Abs(read.Height!.Value - drawing.Height)) > off)
        {
            return FormattableString.Invariant(
                $"Read back, its sheet is {width:0.00} × {read.Height:0.00} mm instead of {drawing.Width:0.00} × {drawing.Height:0.00}."
            );
        }

        if (meant.Used is { } box && read.Used is { } found)
        {
            var apart = new[] { box.MinX - found.MinX, box.MaxX - found.MaxX, box.MinY - found.MinY, box.MaxY - found.MaxY }.Max(Math.Abs);
            if (apart > off)
            {
                return FormattableString.Invariant(
                    $"Read back, it measures {found.Width:0.00} × {found.Height:0.00} mm and lies {apart:0.00} mm off what was computed."
                );
            }
        }

        return Math.Abs(read.Length - meant.Length) > LengthOff * meant.Length
            ? FormattableString.Invariant($"Read back, its lines are {read.Length:0} mm long instead of {meant.Length:0}.")
            : null;
    }
}

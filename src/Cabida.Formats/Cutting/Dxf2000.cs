using Cabida.Core.Cutting;

namespace Cabida.Formats.Cutting;

/// <summary>
/// What a file of the form of 2000 must hold around its lines: tables, blocks and the root of its objects, each with a handle.
/// </summary>
internal static class Dxf2000
{
    // The handles of what others point to.
    private const string ModelRecord = "1F";
    private const string PaperRecord = "1B";
    private const string RootDictionary = "C";
    private const string GroupDictionary = "D";

    public static void Begin(DxfText text, CutDrawing drawing, IReadOnlyList<string> layers)
    {
        text.Add(0, "SECTION").Add(2, "HEADER").Add(9, "$ACADVER").Add(1, "AC1015").Add(9, "$DWGCODEPAGE").Add(3, "ANSI_1252");
        text.Add(9, "$INSUNITS").Add(70, 4).Add(9, "$MEASUREMENT").Add(70, 1);
        text.Add(9, "$EXTMIN").Add(10, 0.0).Add(20, 0.0).Add(30, 0.0);
        text.Add(9, "$EXTMAX").Add(10, drawing.Width).Add(20, drawing.Height).Add(30, 0.0);
        text.Add(9, "$HANDSEED").Add(5, "FFFFF").Add(0, "ENDSEC");
        text.Add(0, "SECTION").Add(2, "CLASSES").Add(0, "ENDSEC");
        Tables(text, drawing, layers);
        text.Add(0, "SECTION").Add(2, "BLOCKS");
        Block(text, "*Model_Space", ModelRecord, false);
        Block(text, "*Paper_Space", PaperRecord, true);
        text.Add(0, "ENDSEC").Add(0, "SECTION").Add(2, "ENTITIES");
    }

    public static void End(DxfText text)
    {
        text.Add(0, "ENDSEC").Add(0, "SECTION").Add(2, "OBJECTS");
        text.Add(0, "DICTIONARY").Add(5, RootDictionary).Add(330, "0").Add(100, "AcDbDictionary").Add(281, 1);
        text.Add(3, "ACAD_GROUP").Add(350, GroupDictionary);
        text.Add(0, "DICTIONARY").Add(5, GroupDictionary).Add(330, RootDictionary).Add(100, "AcDbDictionary").Add(281, 1);
        text.Add(0, "ENDSEC").Add(0, "EOF");
    }

    public static void Polyline(DxfText text, string layer, CutLine line, IReadOnlyList<ArcCorner> corners)
    {
        text.Add(0, "LWPOLYLINE").Add(5, text.Handle()).Add(330, ModelRecord).Add(100, "AcDbEntity").Add(8, layer);
        text.Add(100, "AcDbPolyline").Add(90, corners.Count).Add(70, line.IsClosed ? 1 : 0).Add(43, 0.0);
        foreach (var corner in corners)
        {
            text.Add(10, corner.At.X).Add(20, corner.At.Y);
            if (corner.Bulge != 0)
            {
                text.Add(42, corner.Bulge);
            }
        }
    }

    private static void Tables(DxfText text, CutDrawing drawing, IReadOnlyList<string> layers)
    {
        text.Add(0, "SECTION").Add(2, "TABLES");
        var view = Table(text, "VPORT", 1);
        Record(text, "VPORT", view, "AcDbViewportTableRecord").Add(2, "*Active").Add(70, 0);
        text.Add(10, 0.0).Add(20, 0.0).Add(11, 1.0).Add(21, 1.0).Add(12, drawing.Width / 2).Add(22, drawing.Height / 2);
        text.Add(40, drawing.Height).Add(41, 1.0).Add(0, "ENDTAB");
        var types = Table(text, "LTYPE", 3);
        foreach (var name in (string[])["ByBlock", "ByLayer", "Continuous"])
        {
            Record(text, "LTYPE", types, "AcDbLinetypeTableRecord").Add(2, name).Add(70, 0).Add(3, "").Add(72, 65).Add(73, 0).Add(40, 0.0);
        }

        text.Add(0, "ENDTAB");
        var table = Table(text, "LAYER", layers.Count + 1);
        foreach (var name in layers.Prepend("0"))
        {
            Record(text, "LAYER", table, "AcDbLayerTableRecord").Add(2, name).Add(70, 0).Add(62, 7).Add(6, "Continuous");
        }

        text.Add(0, "ENDTAB");
        var styles = Table(text, "STYLE", 1);
        Record(text, "STYLE", styles, "AcDbTextStyleTableRecord").Add(2, "Standard").Add(70, 0).Add(40, 0.0).Add(41, 1.0).Add(50, 0.0);
        text.Add(71, 0).Add(42, 1.0).Add(3, "txt").Add(4, "").Add(0, "ENDTAB");
        foreach (var empty in (string[])["VIEW", "UCS"])
        {
            Table(text, empty, 0);
            text.Add(0, "ENDTAB");
        }

        var applications = Table(text, "APPID", 1);
        Record(text, "APPID", applications, "AcDbRegAppTableRecord").Add(2, "ACAD").Add(70, 0).Add(0, "ENDTAB");
        Table(text, "DIMSTYLE", 0);
        text.Add(100, "AcDbDimStyleTable").Add(71, 0).Add(0, "ENDTAB");
        var records = Table(text, "BLOCK_RECORD", 2);
        foreach (var (name, handle) in ((string, string)[])[("*Model_Space", ModelRecord), ("*Paper_Space", PaperRecord)])
        {
            text.Add(0, "BLOCK_RECORD").Add(5, handle).Add(330, records).Add(100, "AcDbSymbolTableRecord");
            text.Add(100, "AcDbBlockTableRecord").Add(2, name).Add(340, "0");
        }

        text.Add(0, "ENDTAB").Add(0, "ENDSEC");
    }

    private static string Table(DxfText text, string name, int count)
    {
        var handle = text.Handle();
        text.Add(0, "TABLE").Add(2, name).Add(5, handle).Add(330, "0").Add(100, "AcDbSymbolTable").Add(70, count);
        return handle;
    }

    private static DxfText Record(DxfText text, string name, string table, string kind) =>
        text.Add(0, name).Add(5, text.Handle()).Add(330, table).Add(100, "AcDbSymbolTableRecord").Add(100, kind);

    private static void Block(DxfText text, string name, string record, bool paper)
    {
        text.Add(0, "BLOCK").Add(5, text.Handle()).Add(330, record).Add(100, "AcDbEntity");
        if (paper)
        {
            text.Add(67, 1);
        }

        text.Add(8, "0").Add(100, "AcDbBlockBegin").Add(2, name).Add(70, 0).Add(10, 0.0).Add(20, 0.0).Add(30, 0.0).Add(3, name).Add(1, "");
        text.Add(0, "ENDBLK").Add(5, text.Handle()).Add(330, record).Add(100, "AcDbEntity");
        if (paper)
        {
            text.Add(67, 1);
        }

        text.Add(8, "0").Add(100, "AcDbBlockEnd");
    }
}

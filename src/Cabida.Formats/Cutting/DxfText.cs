using System.Globalization;
using System.Text;

namespace Cabida.Formats.Cutting;

/// <summary>A DXF file as it is written: pairs of a code and a value, a line each; handles counted up.</summary>
internal sealed class DxfText
{
    private readonly StringBuilder text = new();
    private int handles = 0x100;

    public DxfText Add(int code, string value)
    {
        text.Append(CultureInfo.InvariantCulture, $"{code, 3}\n{value}\n");
        return this;
    }

    public DxfText Add(int code, int value) => Add(code, value.ToString(CultureInfo.InvariantCulture));

    /// <summary>Lengths to a ten-thousandth of a millimetre, which bulges need more of.</summary>
    public DxfText Add(int code, double value) =>
        Add(code, value.ToString(code == 42 ? "0.0########" : "0.0###", CultureInfo.InvariantCulture));

    /// <summary>A handle that no other thing of the file has.</summary>
    public string Handle() => (handles++).ToString("X", CultureInfo.InvariantCulture);

    public override string ToString() => text.ToString();
}

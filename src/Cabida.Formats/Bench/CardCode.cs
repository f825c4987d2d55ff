using System.Text;
using QRCoder;

namespace Cabida.Formats.Bench;

/// <summary>An address as a code that a tablet's camera reads (QR, ISO/IEC 18004), drawn as one path.</summary>
/// <param name="Modules">How many modules it is wide and high, the quiet edge included.</param>
/// <param name="Path">Its dark modules as SVG path data, a module one unit, y down.</param>
public sealed record CardCode(int Modules, string Path)
{
    /// <summary>The code of an address. A quarter of it may be soiled: the card lies on a bench.</summary>
    /// <param name="address">The address.</param>
    public static CardCode Of(string address)
    {
        ArgumentNullException.ThrowIfNull(address);
        using var data = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.Q);
        var rows = data.ModuleMatrix;
        var path = new StringBuilder();
        for (var y = 0; y < rows.Count; y++)
        {
            for (var x = 0; x < rows[y].Count; x++)
            {
                var from = x;
                while (x < rows[y].Count && rows[y][x])
                {
                    x++;
                }

                if (x > from)
                {
                    path.Append(System.Globalization.CultureInfo.InvariantCulture, $"M{from} {y}h{x - from}v1h{from - x}z");
                }
            }
        }

        return new CardCode(rows.Count, path.ToString());
    }
}

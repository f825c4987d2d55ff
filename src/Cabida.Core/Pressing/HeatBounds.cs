using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Pressing;

/// <summary>The most heat that goods and press allow.</summary>
/// <param name="Goods">What the goods are, in words.</param>
/// <param name="GoodsBear">The most that they bear; degrees Celsius; null where it is not noted.</param>
/// <param name="Press">What the press is called; empty for none.</param>
/// <param name="PressReaches">The most that it reaches; null where it is not noted.</param>
public sealed record HeatBounds(string Goods, double? GoodsBear, string Press, double? PressReaches)
{
    /// <summary>The least of both.</summary>
    public double Ceiling => Math.Min(GoodsBear ?? double.PositiveInfinity, PressReaches ?? double.PositiveInfinity);

    /// <summary>What goods of a material and a press allow.</summary>
    public static HeatBounds Of(Material material, Press? press)
    {
        ArgumentNullException.ThrowIfNull(material);
        return new HeatBounds(
            material.Name.Length > 0 ? material.Name : "the goods",
            Temperature.Read(material.StandsHeat).ValueOrDefault?.Celsius,
            press?.Name ?? "",
            press?.Reaches
        );
    }
}

using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>How a surface feels and shines, which decides what sticks to it.</summary>
public enum Finish
{
    /// <summary>Not noted.</summary>
    Unknown,

    /// <summary>Smooth and shining.</summary>
    Gloss,

    /// <summary>Smooth, half dull.</summary>
    Satin,

    /// <summary>Dull.</summary>
    Matt,

    /// <summary>Brushed metal.</summary>
    Brushed,

    /// <summary>Rough or grained.</summary>
    Textured,

    /// <summary>Woven or knitted.</summary>
    Cloth,
}

/// <summary>Whether light goes through.</summary>
public enum Opacity
{
    /// <summary>Nothing is seen through it.</summary>
    Opaque,

    /// <summary>What stands behind it is seen.</summary>
    Clear,
}

/// <summary>What a blank is made of, as far as the maker knows.</summary>
public sealed record Material
{
    /// <summary>In the maker's words: enamelled steel, clear acrylic, cotton.</summary>
    public string Name { get; init; } = "";

    /// <summary>How its surface feels.</summary>
    public Finish Finish { get; init; }

    /// <summary>Its colour as <c>#rrggbb</c>; empty when not noted.</summary>
    public string Colour { get; init; } = "";

    /// <summary>Whether it is seen through.</summary>
    public Opacity Opacity { get; init; }

    /// <summary>What will be seen through it, in words.</summary>
    public string Behind { get; init; } = "";

    /// <summary>The colour of that as <c>#rrggbb</c>; empty when not known.</summary>
    public string BehindColour { get; init; } = "";

    /// <summary>The most heat it stands, as typed; empty when not known.</summary>
    public string StandsHeat { get; init; } = "";

    /// <summary>The colour artwork is seen against; empty when not known.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string SeenAgainst => Opacity == Opacity.Clear ? BehindColour : Colour;

    /// <summary>What is wrong with what was typed of it.</summary>
    public Phrase? Problem() => Temperature.Read(StandsHeat).Problem;
}

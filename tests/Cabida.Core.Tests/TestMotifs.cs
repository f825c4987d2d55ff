using Cabida.Core.Motifs;
using Cabida.Core.Type;

namespace Cabida.Core.Tests;

internal static class TestMotifs
{
    public static LetteringPart Line(string id, string text, double capitalHeight) =>
        new(id, PartPlace.Below, MotifLength.Scales(2), text, "block", LetteringSize.CapitalHeight, MotifLength.Scales(capitalHeight), 0);

    public static Motif Single(string text) => new("m", RowAlignment.Centre, [Line("a", text, 10)]);

    public static Dictionary<string, string> Named(string name) => new() { [Fields.Name] = name };

    public static Composition Compose(Motif motif, string name = "HH") =>
        Composition.Of(motif, Named(name), new Composing(new BlockFace(), NoGraphics.Instance, GroundShape.None, new InkCache()));
}

using Cabida.Core.Type;

namespace Cabida.Core.Motifs;

/// <summary>What a motif is composed from beside itself.</summary>
/// <param name="Faces">The typefaces at hand.</param>
/// <param name="Graphics">The graphics at hand.</param>
/// <param name="Cache">Where outlines are kept.</param>
public sealed record AtHand(ITypefaces Faces, IGraphics Graphics, InkCache Cache)
{
    /// <summary>Typefaces without graphics.</summary>
    public AtHand(ITypefaces faces, InkCache cache)
        : this(faces, NoGraphics.Instance, cache) { }
}

using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>
/// What is done to a part's ink so that it can be cut, once its size is known: its letters and its graphic stay what they are. Lengths are
/// millimetres on the finished piece; empty for nothing.
/// </summary>
public sealed record InkMending
{
    /// <summary>Nothing.</summary>
    public static InkMending None { get; } = new();

    /// <summary>Separate parts of its ink with less area than a disc so large across are left out.</summary>
    public TypedLength Dots { get; init; } = TypedLength.Empty;

    /// <summary>Holes of its ink with less area than a disc so large across are filled.</summary>
    public TypedLength Counters { get; init; } = TypedLength.Empty;

    /// <summary>Tips thinner than this are rounded off where they are as wide.</summary>
    public TypedLength Tips { get; init; } = TypedLength.Empty;

    /// <summary>Whether nothing is done.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsNone => Dots.IsEmpty && Counters.IsEmpty && Tips.IsEmpty;

    /// <summary>All that other mending says, and this where it says nothing.</summary>
    public InkMending With(InkMending other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return new InkMending
        {
            Dots = other.Dots.IsEmpty ? Dots : other.Dots,
            Counters = other.Counters.IsEmpty ? Counters : other.Counters,
            Tips = other.Tips.IsEmpty ? Tips : other.Tips,
        };
    }

    /// <summary>The fields that cannot be read, each with why.</summary>
    internal IEnumerable<(string Field, Phrase Why)> Problems =>
        new[] { ("mendDots", Dots), ("mendCounters", Counters), ("mendTips", Tips) }
            .Where(f => !f.Item2.IsEmpty)
            .Select(f => (f.Item1, f.Item2.Read(LengthRange.FilmLimit).Problem))
            .Where(f => f.Problem is not null)
            .Select(f => (f.Item1, f.Problem!));
}

using Cabida.Core.Runs;

namespace Cabida.Core.Bench;

/// <summary>How large things become against what they were to be, one way: one factor, from what was measured.</summary>
/// <param name="By">So many times the size that was asked for; 1 until there are enough entries.</param>
/// <param name="Entries">How many entries it comes from; zero while there are too few.</param>
/// <param name="Spread">The standard deviation of what was measured against the factor, as a share.</param>
public sealed record SizeFactor(double By, int Entries, double Spread)
{
    /// <summary>So many entries are waited for.</summary>
    public const int Enough = 3;

    /// <summary>What is further off than this, as a share, was not this thing, or was read wrong: it is kept and not counted.</summary>
    public const double MostOff = 0.1;

    /// <summary>Whether it differs from what was asked by more than chance explains: two standard errors of the factor.</summary>
    public bool IsSure => Entries >= Enough && Math.Abs(By - 1) > 2 * Spread / Math.Sqrt(Entries);

    /// <summary>The size that is to be expected; millimetres.</summary>
    /// <param name="asked">The size it is to have.</param>
    public double Expected(double asked) => IsSure ? By * asked : asked;

    /// <summary>Whether a size that was measured is one of the thing it was measured on.</summary>
    /// <param name="asked">The size it was to have.</param>
    /// <param name="real">The size it has.</param>
    public static bool Counts(double asked, double real) => asked > 0 && real > 0 && Math.Abs((real / asked) - 1) <= MostOff;

    /// <summary>The factor that leaves the least squares, Σ asked·real / Σ asked².</summary>
    /// <param name="sizes">Sizes asked for, with those that were measured.</param>
    public static SizeFactor Of(IEnumerable<(double Asked, double Real)> sizes)
    {
        var counted = sizes.Where(s => Counts(s.Asked, s.Real)).ToList();
        if (counted.Count < Enough)
        {
            return new SizeFactor(1, 0, 0);
        }

        var by = counted.Sum(s => s.Asked * s.Real) / counted.Sum(s => s.Asked * s.Asked);
        var left = counted.Sum(s => Math.Pow((s.Real / (by * s.Asked)) - 1, 2));
        return new SizeFactor(by, counted.Count, Math.Sqrt(left / (counted.Count - 1)));
    }
}

/// <summary>What was learned of the sizes of things that a cutter cut from a film (6.18, B8).</summary>
/// <param name="Width">How wide they become.</param>
/// <param name="Height">How high.</param>
public sealed record SizesLearned(SizeFactor Width, SizeFactor Height)
{
    /// <summary>What was learned of a film from a cutter.</summary>
    /// <param name="made">What was measured.</param>
    /// <param name="cutterId">The cutter.</param>
    /// <param name="filmId">The film.</param>
    public static SizesLearned Of(IEnumerable<SizeMade> made, string cutterId, string filmId)
    {
        ArgumentNullException.ThrowIfNull(made);
        var own = made.Where(m => m.CutterId == cutterId && m.FilmId == filmId).ToList();
        return new SizesLearned(
            SizeFactor.Of(own.Select(m => (m.AskedWidth, m.Width))),
            SizeFactor.Of(own.Select(m => (m.AskedHeight, m.Height)))
        );
    }

    /// <summary>Whether anything is to be expected otherwise than it was asked for.</summary>
    public bool IsSure => Width.IsSure || Height.IsSure;
}

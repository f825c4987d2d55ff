namespace Cabida.Core.Layout;

/// <summary>Random numbers that are the same everywhere for the same seed (xorshift64*; Vigna 2016).</summary>
internal sealed class SearchRandom(int seed)
{
    private const ulong Spread = 0x9E3779B97F4A7C15;
    private const ulong Star = 2685821657736338717;
    private const double Whole = 1.0 / (1UL << 53);
    private ulong state = ((ulong)(uint)seed + 1) * Spread;

    /// <summary>From 0 to less than 1.</summary>
    public double Share()
    {
        state ^= state >> 12;
        state ^= state << 25;
        state ^= state >> 27;
        return ((state * Star) >> 11) * Whole;
    }

    /// <summary>From 0 to less than a count.</summary>
    public int Below(int count) => (int)(Share() * count);

    /// <summary>About zero, with a spread of one: the sum of twelve shares less six.</summary>
    public double Normal()
    {
        var sum = -6.0;
        for (var i = 0; i < 12; i++)
        {
            sum += Share();
        }

        return sum;
    }

    /// <summary>Mixes a list (Fisher and Yates).</summary>
    public void Shuffle(List<int> list)
    {
        for (var i = list.Count - 1; i > 0; i--)
        {
            var j = Below(i + 1);
            (list[i], list[j]) = (list[j], list[i]);
        }
    }
}

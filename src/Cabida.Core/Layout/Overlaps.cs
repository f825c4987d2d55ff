namespace Cabida.Core.Layout;

/// <summary>
/// How much every two things overlap and how far each stands out of its ground, and what both weigh: what overlaps for long comes to weigh
/// more, the deeper the faster, and less again once it does not.
/// </summary>
internal sealed class Overlaps(int count)
{
    private const double MostGrowth = 2;
    private const double LeastGrowth = 1.2;
    private const double Decay = 0.95;

    private readonly double[] amounts = new double[count * count];
    private readonly double[] groundAmounts = new double[count];
    private readonly double[] weights = new double[count * count];
    private readonly double[] groundWeights = new double[count];

    /// <summary>What the overlap of two weighs.</summary>
    public double Weight(int i, int j) => weights[(i * count) + j];

    /// <summary>What it weighs that a thing stands out.</summary>
    public double GroundWeight(int i) => groundWeights[i];

    /// <summary>Notes how much two overlap.</summary>
    public void Set(int i, int j, double amount) => (amounts[(i * count) + j], amounts[(j * count) + i]) = (amount, amount);

    /// <summary>Notes how far one stands out.</summary>
    public void SetGround(int i, double amount) => groundAmounts[i] = amount;

    /// <summary>Nothing overlaps or stands out.</summary>
    public void Clear()
    {
        Array.Clear(amounts);
        Array.Clear(groundAmounts);
    }

    /// <summary>All weighs the same.</summary>
    public void WeighAlike()
    {
        Array.Fill(weights, 1);
        Array.Fill(groundWeights, 1);
    }

    /// <summary>Whether one overlaps any other, or stands out.</summary>
    public bool Any(int i) => groundAmounts[i] > 0 || amounts.AsSpan(i * count, count).ContainsAnyExcept(0.0);

    /// <summary>All of it, nothing weighed.</summary>
    public double Total()
    {
        var total = 0.0;
        for (var i = 0; i < count; i++)
        {
            total += groundAmounts[i];
            for (var j = 0; j < i; j++)
            {
                total += amounts[(i * count) + j];
            }
        }

        return total;
    }

    /// <summary>Weighs what overlaps more, and the rest less.</summary>
    public void Weigh()
    {
        var most = Math.Max(Most(amounts), Most(groundAmounts));
        Weigh(weights, amounts, most);
        Weigh(groundWeights, groundAmounts, most);
    }

    private static double Most(double[] all)
    {
        var most = 0.0;
        foreach (var amount in all)
        {
            most = Math.Max(most, amount);
        }

        return most;
    }

    private static void Weigh(double[] weights, double[] amounts, double most)
    {
        for (var i = 0; i < weights.Length; i++)
        {
            weights[i] =
                amounts[i] > 0
                    ? weights[i] * (LeastGrowth + ((MostGrowth - LeastGrowth) * amounts[i] / most))
                    : Math.Max(1, weights[i] * Decay);
        }
    }
}

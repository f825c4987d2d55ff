namespace Cabida.Core.Steps;

/// <summary>When the workshop is open: what keeps the hands is done then, what rests does so at any time.</summary>
public sealed class OpenHours
{
    private readonly IReadOnlyList<Stretch> open;

    /// <summary>Hours as they are given.</summary>
    /// <param name="open">Stretches that follow one another without meeting; minutes.</param>
    public OpenHours(IReadOnlyList<Stretch> open)
    {
        ArgumentNullException.ThrowIfNull(open);
        this.open = open;
    }

    /// <summary>Open without end.</summary>
    public static OpenHours Always { get; } = new([new Stretch(double.NegativeInfinity, double.PositiveInfinity)]);

    /// <summary>The same hours with time running backwards.</summary>
    public OpenHours Mirrored => new([.. open.Reverse().Select(s => new Stretch(-s.To, -s.From))]);

    /// <summary>When hands are on something that is begun as soon as can be; null when there are no hours left for it.</summary>
    /// <param name="from">The earliest begin; minutes.</param>
    /// <param name="minutes">How long it takes.</param>
    public IReadOnlyList<Stretch>? Place(double from, double minutes)
    {
        var parts = new List<Stretch>();
        var left = minutes;
        for (var i = First(from); i < open.Count; i++)
        {
            var begin = Math.Max(from, open[i].From);
            var end = Math.Min(open[i].To, begin + left);
            // What takes no time is done within the hours, or at their end.
            if (end > begin || left <= 0)
            {
                parts.Add(new Stretch(begin, Math.Max(begin, end)));
                left -= end - begin;
            }

            if (left <= 1e-9)
            {
                return parts;
            }
        }

        return null;
    }

    /// <summary>The first stretch that has not ended.</summary>
    private int First(double from)
    {
        var (low, high) = (0, open.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = open[middle].To >= from ? (low, middle) : (middle + 1, high);
        }

        return low;
    }
}

using System.Numerics;
using System.Runtime.Intrinsics;

namespace Cabida.Core.Layout;

/// <summary>What lies on a load, by its boxes in rows of single precision, rounded outwards: eight are looked at together.</summary>
internal sealed class LoadMembers
{
    private const int Lanes = 8;
    private const float Rounded = 1e-3f;
    private int[] things = new int[Lanes];
    private float[] minX = Filled(Lanes);
    private float[] minY = Filled(Lanes);
    private float[] maxX = new float[Lanes];
    private float[] maxY = new float[Lanes];

    /// <summary>How many lie there.</summary>
    public int Count { get; private set; }

    /// <summary>Any of them; -1 where there is none.</summary>
    public int Any(SearchRandom random) => Count == 0 ? -1 : things[random.Below(Count)];

    /// <summary>Takes one more in.</summary>
    public void Add(int thing, PosedShape shape)
    {
        if (Count == things.Length)
        {
            var (had, has) = (things.Length, 2 * things.Length);
            Array.Resize(ref things, has);
            Array.Resize(ref minX, has);
            Array.Resize(ref minY, has);
            Array.Resize(ref maxX, has);
            Array.Resize(ref maxY, has);
            Array.Fill(minX, float.MaxValue, had, has - had);
            Array.Fill(minY, float.MaxValue, had, has - had);
        }

        things[Count] = thing;
        Set(Count++, shape);
    }

    /// <summary>Takes one out; the last comes in its place.</summary>
    public void Remove(int thing)
    {
        var at = Array.IndexOf(things, thing, 0, Count);
        var last = --Count;
        (things[at], minX[at], minY[at], maxX[at], maxY[at]) = (things[last], minX[last], minY[last], maxX[last], maxY[last]);
        (minX[last], minY[last]) = (float.MaxValue, float.MaxValue);
    }

    /// <summary>Takes its new box over.</summary>
    public void Moved(int thing, PosedShape shape) => Set(Array.IndexOf(things, thing, 0, Count), shape);

    /// <summary>Those of a row of eight whose boxes meet that of a shape; whether there is such a row.</summary>
    /// <param name="row">The row, from 0.</param>
    /// <param name="shape">The shape.</param>
    /// <param name="met">A bit for each of the row that meets it.</param>
    public bool Meeting(int row, PosedShape shape, out uint met)
    {
        var at = (nuint)(row * Lanes);
        if ((int)at >= Count)
        {
            met = 0;
            return false;
        }

        met = (
            Vector256.LessThan(Vector256.LoadUnsafe(ref minX[0], at), Vector256.Create((float)shape.MaxX))
            & Vector256.LessThan(Vector256.LoadUnsafe(ref minY[0], at), Vector256.Create((float)shape.MaxY))
            & Vector256.GreaterThan(Vector256.LoadUnsafe(ref maxX[0], at), Vector256.Create((float)shape.MinX))
            & Vector256.GreaterThan(Vector256.LoadUnsafe(ref maxY[0], at), Vector256.Create((float)shape.MinY))
        ).ExtractMostSignificantBits();
        return true;
    }

    /// <summary>The next thing of a row's bits, which is taken from them.</summary>
    public int Next(int row, ref uint met)
    {
        var bit = BitOperations.TrailingZeroCount(met);
        met &= met - 1;
        return things[(row * Lanes) + bit];
    }

    private void Set(int at, PosedShape shape) =>
        (minX[at], minY[at], maxX[at], maxY[at]) = (
            (float)shape.MinX - Rounded,
            (float)shape.MinY - Rounded,
            (float)shape.MaxX + Rounded,
            (float)shape.MaxY + Rounded
        );

    private static float[] Filled(int count)
    {
        var filled = new float[count];
        Array.Fill(filled, float.MaxValue);
        return filled;
    }
}

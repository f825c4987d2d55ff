namespace Cabida.Core.Wording;

/// <summary>
/// A value, or the reason why there is none. The core answers with it wherever the cause is something a maker
/// typed or measured; exceptions are left for mistakes in the program.
/// </summary>
/// <typeparam name="T">The kind of value.</typeparam>
public sealed class Outcome<T>
{
    private readonly T? value;

    private Outcome(T? value, Phrase? problem)
    {
        this.value = value;
        Problem = problem;
    }

    /// <summary>Why there is no value, or null when there is one.</summary>
    public Phrase? Problem { get; }

    /// <summary>Whether there is a value.</summary>
    public bool Ok => Problem is null;

    /// <summary>The value.</summary>
    /// <exception cref="InvalidOperationException">There is none; ask <see cref="Ok"/> first.</exception>
    public T Value => Problem is null ? value! : throw new InvalidOperationException(Problem.ToString());

    /// <summary>The value, or the type's default when there is none.</summary>
    public T? ValueOrDefault => value;

    /// <summary>An outcome with a value.</summary>
    public static Outcome<T> Of(T value) => new(value, null);

    /// <summary>An outcome without one.</summary>
    public static Outcome<T> Fail(Phrase problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        return new(default, problem);
    }

    /// <summary>What is worked out, or why it cannot be.</summary>
    public static Outcome<T> Try(Func<T> work)
    {
        ArgumentNullException.ThrowIfNull(work);
        try
        {
            return Of(work());
        }
        catch (NotWorkableException fault)
        {
            return Fail(fault.Reason);
        }
    }
}

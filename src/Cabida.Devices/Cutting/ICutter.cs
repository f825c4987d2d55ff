namespace Cabida.Devices.Cutting;

/// <summary>
/// A cutter that takes loads over a line, works through them and says how far it is. The stand-in and a real one are reached through this;
/// nothing else is known of either.
/// </summary>
public interface ICutter
{
    /// <summary>Tells it apart from other devices.</summary>
    string Id { get; }

    /// <summary>What it is called.</summary>
    string Name { get; }

    /// <summary>How far it is.</summary>
    /// <exception cref="CutterAwayException">It does not answer.</exception>
    Task<CutterAnswer> Look(CancellationToken stop = default);

    /// <summary>Puts a load at the end of its queue.</summary>
    /// <exception cref="CutterAwayException">It does not answer.</exception>
    /// <exception cref="CutterRefusedException">It does not take it, with the reason.</exception>
    Task<CutterAnswer> Send(CutJob job, CancellationToken stop = default);

    /// <summary>Tells it to do something.</summary>
    /// <exception cref="CutterAwayException">It does not answer.</exception>
    /// <exception cref="CutterRefusedException">It cannot do that now.</exception>
    Task<CutterAnswer> Tell(CutterOrder order, CancellationToken stop = default);

    /// <summary>What it cuts of a load, in its order: as far as it is, that is how the sheet in it looks.</summary>
    /// <exception cref="CutterAwayException">It does not answer.</exception>
    /// <exception cref="CutterRefusedException">It knows no such load.</exception>
    Task<CutSheet> Sheet(string jobId, CancellationToken stop = default);
}

/// <summary>A cutter does not answer.</summary>
public sealed class CutterAwayException(string message, Exception? inner = null) : Exception(message, inner);

/// <summary>A cutter does not do what it was asked for.</summary>
public sealed class CutterRefusedException(string message) : Exception(message)
{
    /// <summary>Whether a test cut would help.</summary>
    public bool WantsTest { get; init; }
}

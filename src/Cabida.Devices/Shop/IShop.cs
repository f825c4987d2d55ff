namespace Cabida.Devices.Shop;

/// <summary>A file of orders that lies ready.</summary>
/// <param name="Name">Its name, which says nothing of where it lies.</param>
/// <param name="Bytes">How large it is.</param>
/// <param name="At">When it was written.</param>
public sealed record OrderDrop(string Name, long Bytes, DateTime At);

/// <summary>How far a line of an order is, as the shop is told.</summary>
/// <param name="Order">The number of the order.</param>
/// <param name="Name">The piece.</param>
/// <param name="Quantity">How many are made.</param>
/// <param name="State">How far it is.</param>
public sealed record ToldPiece(string Order, string Name, int Quantity, string State);

/// <summary>A shop that leaves orders to be fetched. The stand-in and a real one are reached through this.</summary>
public interface IShop
{
    /// <summary>What it is called.</summary>
    string Name { get; }

    /// <summary>The files that lie ready, the oldest first.</summary>
    /// <exception cref="IOException">They cannot be reached.</exception>
    IReadOnlyList<OrderDrop> Ready();

    /// <summary>Reads a file.</summary>
    /// <param name="name">Its name.</param>
    /// <param name="stop">Ends it.</param>
    /// <exception cref="IOException">It cannot be read, or is not there.</exception>
    Task<byte[]> Read(string name, CancellationToken stop = default);

    /// <summary>Puts a file away that was read, so that it is not read again; nothing of it is lost.</summary>
    /// <param name="name">Its name.</param>
    /// <exception cref="IOException">It cannot be moved.</exception>
    void PutAway(string name);

    /// <summary>Tells the shop how far its pieces are.</summary>
    /// <param name="pieces">The pieces.</param>
    /// <param name="stop">Ends it.</param>
    /// <exception cref="IOException">It cannot be written.</exception>
    Task Tell(IReadOnlyList<ToldPiece> pieces, CancellationToken stop = default);
}

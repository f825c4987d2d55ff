namespace Cabida.Trust.Tests.Doors;

/// <summary>One server for all that only look at its door.</summary>
public sealed class DoorServer : IAsyncLifetime
{
    public string Data { get; } = Served.FreshFolder();

    public Served Served { get; private set; } = null!;

    public async Task InitializeAsync() => Served = await Served.Start(Data, more: ["--Demo", "true"]);

    public Task DisposeAsync()
    {
        Served.Dispose();
        Directory.Delete(Data, recursive: true);
        return Task.CompletedTask;
    }
}

namespace Cabida.Web.Safekeeping;

/// <summary>
/// Has the application end and begin anew in the same process, as when another library takes the place of the one that is open: nothing
/// that was kept in memory goes along.
/// </summary>
internal sealed class Restarting(IHostApplicationLifetime life)
{
    /// <summary>Whether it is to begin anew once it has ended.</summary>
    public bool IsWanted { get; private set; }

    /// <summary>Ends it, and begins anew.</summary>
    public void Ask()
    {
        IsWanted = true;
        life.StopApplication();
    }
}

namespace Cabida.Store.Rows;

/// <summary>A piece of long work: what it is about, how far it has come, and how it ended. It is taken up again after a restart.</summary>
public sealed class WorkRow
{
    /// <summary>Counts up, so that work is done in the order it was asked for.</summary>
    public long Id { get; set; }

    /// <summary>What kind of work it is.</summary>
    public required string Kind { get; set; }

    /// <summary>What it is about, as the id of a run.</summary>
    public required string Subject { get; set; }

    /// <summary>Of which revision of that.</summary>
    public int Revision { get; set; }

    /// <summary>How much is done.</summary>
    public int Done { get; set; }

    /// <summary>Of how much.</summary>
    public int Of { get; set; }

    /// <summary>How it stands.</summary>
    public WorkState State { get; set; }

    /// <summary>How often it was begun; work that was begun and never ended took the application down with it.</summary>
    public int Starts { get; set; }

    /// <summary>Why it failed; empty otherwise.</summary>
    public string Problem { get; set; } = "";

    /// <summary>When it was asked for, in UTC.</summary>
    public DateTime AskedAt { get; set; }

    /// <summary>When it was last reported on, in UTC.</summary>
    public DateTime ChangedAt { get; set; }
}

/// <summary>How a piece of long work stands.</summary>
public enum WorkState
{
    /// <summary>Asked for.</summary>
    Waiting,

    /// <summary>Being done; found so after a restart it is taken up again.</summary>
    Running,

    /// <summary>Done.</summary>
    Done,

    /// <summary>Stopped by the maker.</summary>
    Stopped,

    /// <summary>Ended by a fault.</summary>
    Failed,
}

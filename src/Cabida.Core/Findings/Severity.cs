namespace Cabida.Core.Findings;

/// <summary>How serious a finding is.</summary>
public enum Severity
{
    /// <summary>Nothing may be made until it is mended, or what is made would be wrong.</summary>
    Stop,

    /// <summary>It can be made, but wants looking at.</summary>
    Look,

    /// <summary>It is only told.</summary>
    Told,
}

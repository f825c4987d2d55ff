namespace Cabida.Core.Findings;

/// <summary>How serious a finding is.</summary>
public enum Severity
{
    /// <summary>The piece would be wrong.</summary>
    Stop,

    /// <summary>The piece can be made, but wants looking at.</summary>
    Look,
}

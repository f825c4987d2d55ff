using Cabida.Core.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>How a piece stands to its zone.</summary>
public enum FitState
{
    /// <summary>Inside the cautious zone.</summary>
    Fits,

    /// <summary>Inside the nominal zone only.</summary>
    Snug,

    /// <summary>Outside it.</summary>
    Over,

    /// <summary>There is no ink to judge.</summary>
    NotSet,
}

/// <summary>Rooms → state.</summary>
public static class FitStates
{
    /// <summary>The state of ink with these rooms.</summary>
    public static FitState Of(Rooms cautious, Rooms nominal)
    {
        ArgumentNullException.ThrowIfNull(cautious);
        ArgumentNullException.ThrowIfNull(nominal);
        return cautious.Least >= -Tolerances.Fit ? FitState.Fits
            : nominal.Least >= -Tolerances.Fit ? FitState.Snug
            : FitState.Over;
    }
}

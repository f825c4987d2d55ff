using Cabida.Core.Runs;
using Cabida.Core.Steps;

namespace Cabida.Web.Making;

/// <summary>A piece of a run as its making needs it.</summary>
/// <param name="Id">The piece.</param>
/// <param name="Name">Its name.</param>
/// <param name="Copies">How many are made.</param>
/// <param name="Things">How many things are cut for one of it: films and sides.</param>
/// <param name="IsApproved">Whether the customer approved it as it is.</param>
internal sealed record MadePiece(string Id, string Name, int Copies, int Things, bool IsApproved);

/// <summary>What of a run its making follows from, kept so that a list of many jobs works nothing out.</summary>
/// <param name="Facts">What its steps follow from; null while its set-up lacks something.</param>
/// <param name="Own">Its own steps.</param>
/// <param name="Pieces">Its pieces.</param>
/// <param name="IsAbout">Whether loads and minutes are estimated without its plan.</param>
/// <param name="IsShown">Whether a proof of it was shown to the customer.</param>
internal sealed record RunMaking(
    StepFacts? Facts,
    IReadOnlyList<MakingStep> Own,
    IReadOnlyList<MadePiece> Pieces,
    bool IsAbout,
    bool IsShown
)
{
    /// <summary>Of a run that cannot be read: nothing is known of it.</summary>
    public static RunMaking Unknown { get; } = new(null, [], [], true, false);
}

using Cabida.Core.Documents;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Inks;
using Cabida.Web.Runs;

namespace Cabida.Web.Past;

/// <summary>What a document was.</summary>
/// <param name="Name">What it is called now, or was called last.</param>
/// <param name="Revision">Where it stands; also of one that was removed.</param>
/// <param name="IsGone">Whether it was removed.</param>
/// <param name="States">Its states, the newest first.</param>
internal sealed record PastView(string Name, int Revision, bool IsGone, IReadOnlyList<PastState> States);

/// <summary>Lines of a picture.</summary>
/// <param name="Path">As path data; millimetres, y up.</param>
/// <param name="Kind">What they stand for, as on the board; empty for a plain area.</param>
/// <param name="Colour">The colour of an area; empty for one that has none of its own.</param>
internal sealed record PastPath(string Path, string Kind, string Colour);

/// <summary>A document as it was, as a drawing.</summary>
/// <param name="MinX">The left of its box.</param>
/// <param name="MinY">The foot of its box.</param>
/// <param name="MaxX">The right of its box.</param>
/// <param name="MaxY">The head of its box.</param>
/// <param name="Paths">Lines under the ink.</param>
/// <param name="Inks">Ink of films.</param>
/// <param name="Goods">What it is seen against.</param>
internal sealed record PastPicture(
    double MinX,
    double MinY,
    double MaxX,
    double MaxY,
    IReadOnlyList<PastPath> Paths,
    IReadOnlyList<InkView> Inks,
    GoodsView Goods
);

/// <summary>A state that a document was in, beside others.</summary>
/// <param name="Revision">Its revision.</param>
/// <param name="Since">The revision it is held against.</param>
/// <param name="Differences">What is different in it from that one.</param>
/// <param name="ToNow">What is different now from it; none where the document is not there now.</param>
/// <param name="Picture">It as a drawing, where there is one of its kind.</param>
/// <param name="Before">The state it is held against as a drawing.</param>
/// <param name="Problem">Why it cannot be shown; null where it can.</param>
internal sealed record PastStateView(
    int Revision,
    int Since,
    Differences Differences,
    Differences ToNow,
    PastPicture? Picture,
    PastPicture? Before,
    Phrase? Problem
);

/// <summary>What came of bringing something back.</summary>
/// <param name="Revision">Where it stands now.</param>
internal sealed record BroughtBack(int Revision);

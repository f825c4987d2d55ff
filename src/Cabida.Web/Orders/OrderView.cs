using Cabida.Core.Findings;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Web.Orders;

/// <summary>A line of an order, read.</summary>
/// <param name="OfferId">The offer that is meant; empty where that is not known.</param>
/// <param name="Offer">Its name.</param>
/// <param name="Copies">How many are made.</param>
/// <param name="Fields">The fields that belong on it.</param>
/// <param name="Notes">What was noticed.</param>
/// <param name="MayBeTaken">Whether it can be taken as it stands.</param>
internal sealed record OrderLineView(
    string OfferId,
    string Offer,
    int Copies,
    IReadOnlyList<string> Fields,
    IReadOnlyList<Finding> Notes,
    bool MayBeTaken
);

/// <summary>What changed of a line since it was taken.</summary>
/// <param name="Was">What was taken; null for a line that came since.</param>
/// <param name="Is">What it says now; null for one that is not ordered any more.</param>
/// <param name="Stage">How far what was taken is; taken also where that is not known.</param>
/// <param name="Problem">Why it cannot be taken in by itself.</param>
internal sealed record CorrectionView(Phrase? Was, Phrase? Is, PieceStage Stage, Phrase? Problem);

/// <summary>An order as its page shows it.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="ChangedAt">When it was changed.</param>
/// <param name="Order">The order.</param>
/// <param name="State">How it stands.</param>
/// <param name="Due">The day it is wanted, as <c>yyyy-MM-dd</c>; empty where that is not known.</param>
/// <param name="Lines">Its lines, read.</param>
/// <param name="Takeable">How many of them can be taken.</param>
/// <param name="Pieces">How many pieces those make.</param>
/// <param name="Notes">What was noticed of all of it.</param>
/// <param name="Heads">What changed of it beside its lines since it was taken.</param>
/// <param name="Corrections">What changed of its lines.</param>
/// <param name="JobId">The job that it became; empty before, and when that is gone.</param>
internal sealed record OrderView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Order Order,
    OrderState State,
    string Due,
    IReadOnlyList<OrderLineView> Lines,
    int Takeable,
    int Pieces,
    IReadOnlyList<Finding> Notes,
    IReadOnlyList<Phrase> Heads,
    IReadOnlyList<CorrectionView> Corrections,
    string JobId
);

/// <summary>An order among others.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="Number">Its number.</param>
/// <param name="Customer">Who orders.</param>
/// <param name="Due">The day it is wanted, as <c>yyyy-MM-dd</c>; empty where that is not known.</param>
/// <param name="From">Where it came from.</param>
/// <param name="On">When.</param>
/// <param name="State">How it stands.</param>
/// <param name="Lines">How many lines it has.</param>
/// <param name="Takeable">How many of them can be taken.</param>
/// <param name="Pieces">How many pieces those make.</param>
/// <param name="Offers">What is ordered.</param>
/// <param name="Trouble">What stops its first line that cannot be taken; null where all can.</param>
/// <param name="Changes">How many lines changed since it was taken.</param>
/// <param name="JobId">The job that it became; empty before.</param>
internal sealed record OrderCard(
    string Id,
    int Revision,
    string Number,
    string Customer,
    string Due,
    string From,
    string On,
    OrderState State,
    int Lines,
    int Takeable,
    int Pieces,
    IReadOnlyList<string> Offers,
    Phrase? Trouble,
    int Changes,
    string JobId
);

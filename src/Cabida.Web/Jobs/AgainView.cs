using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Web.Jobs;

/// <summary>What a run is made of.</summary>
internal enum MadeOf
{
    /// <summary>Its blank.</summary>
    Blank,

    /// <summary>A motif.</summary>
    Motif,

    /// <summary>A film.</summary>
    Film,

    /// <summary>Its cutter.</summary>
    Cutter,
}

/// <summary>Something that a run is made of and that was changed since the run took it.</summary>
/// <param name="What">What it is.</param>
/// <param name="Id">Which.</param>
/// <param name="Name">What it is called now.</param>
/// <param name="Differences">How it differs from what the run took.</param>
internal sealed record ChangedThing(MadeOf What, string Id, string Name, Differences Differences);

/// <summary>A run of an old job, as it would be taken up again.</summary>
/// <param name="Id">The run.</param>
/// <param name="Name">What it is called.</param>
/// <param name="About">What on what.</param>
/// <param name="Typed">Its list last time.</param>
/// <param name="Heading">The line that names the columns of its list; empty where a line is a name.</param>
/// <param name="Columns">What the columns of its list are; empty for what is left out, none while a line is a name.</param>
/// <param name="Made">How many were made.</param>
/// <param name="SetByHand">For how many names something was set by hand.</param>
/// <param name="Agreed">The price that was agreed for one, as typed; empty where none was.</param>
/// <param name="Changed">What was changed since.</param>
/// <param name="Lacks">What it needs that is not here any more.</param>
internal sealed record AgainRun(
    string Id,
    string Name,
    string About,
    string Typed,
    string Heading,
    IReadOnlyList<string> Columns,
    int Made,
    int SetByHand,
    string Agreed,
    IReadOnlyList<ChangedThing> Changed,
    IReadOnlyList<Phrase> Lacks
);

/// <summary>An old job, as it would be taken up again.</summary>
/// <param name="Job">The job as it was.</param>
/// <param name="Name">What the new one would be called.</param>
/// <param name="Runs">Its runs.</param>
internal sealed record AgainView(Job Job, string Name, IReadOnlyList<AgainRun> Runs);

/// <summary>A run that is taken up again.</summary>
/// <param name="RunId">The run of last time.</param>
/// <param name="Names">The names of this time, as a list is typed.</param>
/// <param name="AsItWas">What is used as it was then, by id; all else as it is now.</param>
internal sealed record RunTakenAgain(
    string RunId,
    [property: MaxLength(RunList.MostTyped)] string Names,
    [property: MaxLength(100)] IReadOnlyList<string> AsItWas
);

/// <summary>A job that is taken up again.</summary>
/// <param name="Name">What the new one is called.</param>
/// <param name="Customer">For whom it is.</param>
/// <param name="Due">When it is due, as <c>yyyy-MM-dd</c>; empty without a day.</param>
/// <param name="Runs">Those of its runs that are made again.</param>
internal sealed record JobTakenAgain(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    [property: MaxLength(DocumentGate.LongestName)] string Customer,
    [property: MaxLength(20)] string Due,
    [property: MaxLength(200)] IReadOnlyList<RunTakenAgain> Runs
);

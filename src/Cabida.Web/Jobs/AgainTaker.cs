using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Runs;

namespace Cabida.Web.Jobs;

/// <summary>Takes an old job up again with other names, as one change.</summary>
internal sealed class AgainTaker(Cabida.Store.Library library, PinsNow pins, IViews<Run, RunView> runs)
{
    /// <summary>The new job, or why there is none.</summary>
    /// <param name="jobId">The old job.</param>
    /// <param name="wanted">The new one.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Outcome<string>> Take(string jobId, JobTakenAgain wanted, CancellationToken stop)
    {
        if (await library.Find(DocumentKinds.Job, jobId, stop) is not { } old)
        {
            return Outcome<string>.Fail(Phrase.Say($"This job is not here any more."));
        }

        if (wanted.Runs.Count == 0)
        {
            return Outcome<string>.Fail(Phrase.Say($"Nothing of it is taken up: tick a run."));
        }

        var fresh = Cabida.Store.Library.FreshId();
        var unit = new UnitOfWork($"Take up {old.Document.Name} again");
        unit.Put(DocumentKinds.Job, fresh, new Job(wanted.Name.Trim(), wanted.Customer, wanted.Due, old.Document.Note));
        foreach (var one in wanted.Runs.DistinctBy(r => r.RunId))
        {
            if (await library.Find(DocumentKinds.Run, one.RunId, stop) is not { } was || was.Document.SetUp.JobId != jobId)
            {
                return Outcome<string>.Fail(Phrase.Say($"A run of this job is not here any more. Look at it once more."));
            }

            var stays = one.AsItWas.ToHashSet(StringComparer.Ordinal);
            var again = RunAgain.Of(was.Document, fresh);
            again = again with { SetUp = await pins.Of(again.SetUp, p => stays.Contains(p.Id), stop) };
            // As if its page had sent the list.
            var typed = again with { List = again.List with { NamesTyped = one.Names } };
            unit.Put(DocumentKinds.Run, Cabida.Store.Library.FreshId(), await runs.Tidy(typed, again, stop));
        }

        var made = await library.Make(unit, stop);
        return made.Refused is null
            ? Outcome<string>.Of(fresh)
            : Outcome<string>.Fail(
                Phrase.Say(
                    $"What it is made of is not in the library any more: {string.Join(", ", (made.Missing ?? []).Select(m => m.Name))}."
                )
            );
    }
}

using Cabida.Core.Documents;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Past;

/// <summary>The past of documents of one kind, whichever it is.</summary>
internal interface IPastOf
{
    /// <summary>The kind.</summary>
    DocumentKind Kind { get; }

    /// <summary>
    /// A state of a document held against an earlier one, and the document as it is now against it; null where it never was.
    /// </summary>
    Task<PastStateView?> State(string id, int revision, int since, CancellationToken stop);

    /// <summary>
    /// What is different in an archive from a document as it is here; null where one of both cannot be read or is not there.
    /// </summary>
    Task<Differences?> AgainstArchive(Archive archive, string id, CancellationToken stop);

    /// <summary>Has a document be again as it was.</summary>
    Task<Written<object>> BringBack(string id, int revision, int madeFrom, CancellationToken stop);
}

/// <inheritdoc/>
internal sealed class PastOf<T, TView>(
    DocumentKind<T> kind,
    Cabida.Store.Library library,
    IViews<T, TView> views,
    PastPictures pictures,
    KnownNames known,
    Listings listings
) : IPastOf
    where T : class
{
    public DocumentKind Kind => kind;

    public async Task<PastStateView?> State(string id, int revision, int since, CancellationToken stop)
    {
        try
        {
            if (await library.At(kind, id, revision, stop) is not { } then)
            {
                return null;
            }

            var before = since > 0 ? await Before(id, since, stop) : null;
            var now = await library.Find(kind, id, stop);
            var names = await known.Read(stop);
            return new PastStateView(
                revision,
                since,
                before is null ? Differences.None : DocumentDifferences.Of(before, then, names),
                now is null ? Differences.None : DocumentDifferences.Of(then, now.Document, names),
                await PictureOf(id, revision, then, stop),
                before is null ? null : await PictureOf(id, since, before, stop),
                null
            );
        }
        catch (NotWorkableException unread)
        {
            return new PastStateView(revision, since, Differences.None, Differences.None, null, null, unread.Reason);
        }
    }

    public async Task<Differences?> AgainstArchive(Archive archive, string id, CancellationToken stop)
    {
        try
        {
            return await library.Find(kind, id, stop) is { } here && archive.Read(kind, id) is { } there
                ? DocumentDifferences.Of(here.Document, there, await known.Read(stop))
                : null;
        }
        catch (NotWorkableException)
        {
            return null;
        }
    }

    public async Task<Written<object>> BringBack(string id, int revision, int madeFrom, CancellationToken stop)
    {
        var written = await library.BringBack(kind, id, revision, madeFrom, s => views.Proven(s, stop), stop);
        return new Written<object>(null, written.Refused, written.UsedBy, written.Changed, written.Revision) { Lacking = written.Lacking };
    }

    /// <summary>An earlier state; null where it was not there then, or cannot be read any more.</summary>
    private async Task<T?> Before(string id, int revision, CancellationToken stop)
    {
        try
        {
            return await library.At(kind, id, revision, stop);
        }
        catch (NotWorkableException)
        {
            return null;
        }
    }

    /// <summary>A drawing; one that cannot be made takes nothing with it.</summary>
    private async Task<PastPicture?> PictureOf(string id, int revision, T document, CancellationToken stop) =>
        (await listings.Try(async () => new Drawn(await pictures.Of(new Stored<T>(id, revision, default, default, document), stop)), stop))
            .ValueOrDefault
            ?.Picture;

    private sealed record Drawn(PastPicture? Picture);
}

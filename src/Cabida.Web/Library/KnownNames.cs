using Cabida.Core.Type;
using Cabida.Store;

namespace Cabida.Web.Library;

/// <summary>What things are called that documents name by their ids, within one request.</summary>
internal sealed class KnownNames(LibraryIndex index, ITypefaces faces)
{
    /// <summary>The fields of documents that hold an id, and of what.</summary>
    private static readonly Dictionary<string, DocumentKind> Fields = new(StringComparer.Ordinal)
    {
        ["BlankId"] = DocumentKinds.Blank,
        ["CutterId"] = DocumentKinds.Cutter,
        ["FilmId"] = DocumentKinds.Film,
        ["GraphicId"] = DocumentKinds.Graphic,
        ["JobId"] = DocumentKinds.Job,
        ["MarkId"] = DocumentKinds.Graphic,
        ["MotifId"] = DocumentKinds.Motif,
        ["OfferId"] = DocumentKinds.Offer,
        ["PressId"] = DocumentKinds.Press,
        ["RunId"] = DocumentKinds.Run,
    };

    private Dictionary<(string Kind, string Id), string>? names;

    /// <summary>A field and the id it holds → what that is called; null where it is not known.</summary>
    public async Task<Func<string, string, string?>> Read(CancellationToken stop)
    {
        if (names is null)
        {
            names = [];
            foreach (var kind in Fields.Values.Distinct())
            {
                foreach (var heading in await index.Headings(kind, stop))
                {
                    names[(kind.Kind, heading.Id)] = heading.Name;
                }
            }
        }

        return (field, id) =>
            field == "TypefaceId" ? faces.Find(id)?.Info.Name
            : Fields.TryGetValue(field, out var kind) ? names.GetValueOrDefault((kind.Kind, id))
            : null;
    }
}

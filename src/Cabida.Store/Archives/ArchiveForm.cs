using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Cabida.Store;

/// <summary>What an archive says of itself, in <c>manifest.json</c>; the form is described in docs/archive.md.</summary>
/// <param name="Format">Always <see cref="ArchiveForm.Name"/>.</param>
/// <param name="Version">The version of the archive's form.</param>
/// <param name="Form">The form of the library (<see cref="LibraryForm"/>).</param>
/// <param name="LastChange">When the library was changed last, in UTC; null where it never was.</param>
/// <param name="Entries">All other files in it.</param>
public sealed record ArchiveManifest(string Format, int Version, int Form, DateTime? LastChange, IReadOnlyList<ArchiveEntry> Entries);

/// <summary>A file of an archive.</summary>
/// <param name="Path">Its name in the zip.</param>
/// <param name="Bytes">Its length, unpacked.</param>
/// <param name="Sha256">The SHA-256 of it, unpacked, in hexadecimal.</param>
/// <param name="About">What is known of it beside its bytes, by kind of file.</param>
public sealed record ArchiveEntry(string Path, long Bytes, string Sha256, ArchiveAbout About);

/// <summary>What is known of a file beside its bytes.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[JsonDerivedType(typeof(DocumentAbout), "document")]
[JsonDerivedType(typeof(HistoryAbout), "history")]
[JsonDerivedType(typeof(ChangesAbout), "changes")]
[JsonDerivedType(typeof(PictureAbout), "picture")]
[JsonDerivedType(typeof(TypefaceAbout), "typeface")]
[JsonDerivedType(typeof(OutlinesAbout), "outlines")]
[JsonDerivedType(typeof(LayoutAbout), "layout")]
[JsonDerivedType(typeof(CutFileAbout), "cutFile")]
public abstract record ArchiveAbout;

/// <summary>A document, or a part of one, as it stands.</summary>
public sealed record DocumentAbout(string Kind, string Id, string Name, int Revision, int Form, DateTime CreatedAt, DateTime ChangedAt)
    : ArchiveAbout;

/// <summary>Every state that a document, or a part of one, was in.</summary>
public sealed record HistoryAbout(string Kind, string Id, int States) : ArchiveAbout;

/// <summary>Every change.</summary>
public sealed record ChangesAbout(int Changes) : ArchiveAbout;

/// <summary>A picture or scan.</summary>
public sealed record PictureAbout(string Id, string MediaType, int Width, int Height, double? DotsPerInch, bool Proven, DateTime AddedAt)
    : ArchiveAbout;

/// <summary>A typeface that was added.</summary>
public sealed record TypefaceAbout(
    string Id,
    string Name,
    string Kind,
    string Revision,
    int FaceIndex,
    string Licence,
    DateTime AddedAt,
    DateTime? TakenAwayAt
) : ArchiveAbout;

/// <summary>Outlines of a graphic.</summary>
public sealed record OutlinesAbout(string Id, int Form, DateTime AddedAt) : ArchiveAbout;

/// <summary>How a plan came to lie.</summary>
public sealed record LayoutAbout(string PlanId, string Key, DateTime FoundAt) : ArchiveAbout;

/// <summary>A file of a released load.</summary>
public sealed record CutFileAbout(string Id, DateTime AddedAt) : ArchiveAbout;

/// <summary>A change, a line of <c>changes.ndjson</c>.</summary>
/// <param name="Id">Counts up.</param>
/// <param name="At">When, in UTC.</param>
/// <param name="Words">What was done.</param>
public sealed record ArchivedChange(long Id, DateTime At, string Words);

/// <summary>A state of a document, a line of a history.</summary>
/// <param name="Revision">Its revision.</param>
/// <param name="Replaced">The revision whose state it replaced.</param>
/// <param name="Restored">The revision whose state it brought back.</param>
/// <param name="Form">The form it is written in.</param>
/// <param name="Change">The change it belongs to.</param>
/// <param name="Text">The document's JSON; null where it was removed.</param>
public sealed record ArchivedState(int Revision, int? Replaced, int? Restored, int Form, long Change, string? Text);

/// <summary>Names and numbers of the archive's form.</summary>
public static class ArchiveForm
{
    /// <summary>What an archive calls itself.</summary>
    public const string Name = "cabida archive";

    /// <summary>The version that is written; older ones are read.</summary>
    public const int Version = 1;

    /// <summary>The file that tells of all others.</summary>
    public const string Manifest = "manifest.json";

    /// <summary>The file of all changes.</summary>
    public const string Changes = "changes.ndjson";

    internal static JsonSerializerOptions Json { get; } =
        new(JsonSerializerDefaults.Web)
        {
            Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
            RespectNullableAnnotations = true,
            RespectRequiredConstructorParameters = true,
            UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
            AllowOutOfOrderMetadataProperties = true,
            DefaultIgnoreCondition = JsonIgnoreCondition.Never,
        };
}

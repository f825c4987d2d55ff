namespace Cabida.Store;

/// <summary>A reference from one document to another.</summary>
/// <param name="Kind">What is referred to.</param>
/// <param name="Id">Which one.</param>
/// <param name="Revision">The revision of it that is pinned; null for it as it stands.</param>
public readonly record struct Reference(string Kind, string Id, int? Revision = null);

/// <summary>A reference to something that is not there.</summary>
/// <param name="To">What was referred to.</param>
/// <param name="Name">What it was called when it was there last; empty where it never was.</param>
public sealed record Dangling(Reference To, string Name);

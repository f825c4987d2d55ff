namespace Cabida.Core.Blanks;

/// <summary>Which face of a thing: its front (of a wall, all round it), its back, or one with an outline of its own.</summary>
public readonly record struct FaceKey
{
    private readonly string? own;

    private FaceKey(Facing facing, string? own) => (Facing, this.own) = (facing, own);

    /// <summary>Of the thing itself: front or back.</summary>
    public Facing Facing { get; }

    /// <summary>The id of a face of its own; empty for the thing itself.</summary>
    public string Own => own ?? "";

    /// <summary>The front.</summary>
    public static FaceKey Front => new(Facing.Front, null);

    /// <summary>The back.</summary>
    public static FaceKey Back => new(Facing.Back, null);

    /// <summary>A face by what a document says: one of its own has neither front nor back.</summary>
    public static FaceKey Of(Facing facing, string own) => string.IsNullOrEmpty(own) ? new(facing, null) : new(Facing.Front, own);

    /// <summary>Whether it is a face with an outline of its own.</summary>
    public bool IsOwn => own is not null;

    /// <summary>A word that tells it apart from the others of its blank.</summary>
    public string Word =>
        IsOwn ? $"own {Own}"
        : Facing == Facing.Back ? "back"
        : "front";
}

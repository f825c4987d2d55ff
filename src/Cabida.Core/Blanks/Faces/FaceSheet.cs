namespace Cabida.Core.Blanks;

/// <summary>A face with an outline of its own, as far as it was read.</summary>
/// <param name="Spec">What was typed of it.</param>
/// <param name="Panel">It laid flat; null while too little was read.</param>
public sealed record FaceSheet(FaceSpec Spec, Panel? Panel);

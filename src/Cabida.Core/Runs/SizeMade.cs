using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;

namespace Cabida.Core.Runs;

/// <summary>How large something became that was made; millimetres.</summary>
/// <param name="Of">Tells apart what it was: measured again, it replaces what was measured.</param>
/// <param name="Said">What it was, in words.</param>
/// <param name="CutterId">The cutter that cut it.</param>
/// <param name="FilmId">The film it is of.</param>
/// <param name="AskedWidth">The width it was to have.</param>
/// <param name="AskedHeight">The height, likewise.</param>
/// <param name="Width">The width it has; 0 where it was not measured.</param>
/// <param name="Height">The height, likewise.</param>
public sealed record SizeMade(
    [property: MaxLength(2 * DocumentGate.LongestName)] string Of,
    [property: MaxLength(DocumentGate.LongestName)] string Said,
    [property: MaxLength(DocumentGate.LongestName)] string CutterId,
    [property: MaxLength(DocumentGate.LongestName)] string FilmId,
    [property: Range(0, 1e6)] double AskedWidth,
    [property: Range(0, 1e6)] double AskedHeight,
    [property: Range(0, 1e6)] double Width,
    [property: Range(0, 1e6)] double Height
);

using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Stock;

/// <summary>A cutter, by what it really reaches.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="ReachWidth">How wide it cuts on a mat.</param>
/// <param name="ReachLength">How long it cuts on a mat.</param>
/// <param name="Note">Anything worth remembering.</param>
public sealed record Cutter(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    TypedLength ReachWidth,
    TypedLength ReachLength,
    string Note = ""
);

using Cabida.Core.Measures;
using Cabida.Core.Wording;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Lengths;

/// <summary>What sizes a length may have.</summary>
internal enum RangeName
{
    Object,
    Margin,
    Artwork,
    Offset,
}

/// <summary>What a typed length was understood as.</summary>
/// <param name="Millimetres">The length; null when it cannot be used.</param>
/// <param name="Problem">Why it cannot.</param>
internal sealed record LengthEcho(double? Millimetres, Phrase? Problem)
{
    public static LengthEcho Of(TypedLength typed, LengthRange range)
    {
        var read = typed.Read(range);
        return new LengthEcho(read.ValueOrDefault?.Value.Millimetres, read.Problem);
    }
}

/// <summary>What a typed length means.</summary>
internal sealed record LengthQuestion(TypedLength Typed, RangeName Range);

internal static class LengthEndpoints
{
    public static void MapLengths(this RouteGroupBuilder api) =>
        api.MapPost("/lengths", Ok<LengthEcho> (LengthQuestion asked) => TypedResults.Ok(
                    LengthEcho.Of(
                        asked.Typed,
                        asked.Range switch
                        {
                            RangeName.Object => LengthRange.Object,
                            RangeName.Margin => LengthRange.Margin,
                            RangeName.Offset => LengthRange.Offset,
                            _ => LengthRange.Artwork,
                        }
                    )
                ))
            .WithName("ReadLength");
}

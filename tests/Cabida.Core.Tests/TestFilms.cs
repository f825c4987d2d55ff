using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests;

/// <summary>Films for tests.</summary>
internal static class TestFilms
{
    /// <summary>A plain vinyl of 300 × 300 that weeds cleanly from a stroke.</summary>
    public static Film Plain(double stroke, FilmPurpose purpose = FilmPurpose.Stays) =>
        new(
            "Film",
            "#000000",
            purpose,
            false,
            TypedLength.Mm(stroke),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new CutSettings("", "", "", "", "")
        );
}

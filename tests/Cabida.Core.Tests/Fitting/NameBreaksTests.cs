using Cabida.Core.Fitting;

namespace Cabida.Core.Tests.Fitting;

public class NameBreaksTests
{
    [Theory]
    [InlineData("Anna Maria-Luise", "Anna/Maria-Luise", "Anna Maria-/Luise")]
    [InlineData("Bram")]
    [InlineData("- Bram -")]
    [InlineData("Jo–Ann  Lee", "Jo–/Ann  Lee", "Jo–Ann/Lee", "Jo–Ann/Lee")]
    public void A_name_may_be_broken_after_spaces_and_hyphens_with_letters_on_both_sides(string name, params string[] ways) =>
        NameBreaks.Of(name).Select(b => $"{b.First}/{b.Second}").ShouldBe(ways);
}

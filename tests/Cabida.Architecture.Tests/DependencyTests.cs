using System.Reflection;
using NetArchTest.Rules;

namespace Cabida.Architecture.Tests;

public class DependencyTests
{
    private static readonly Assembly Core = typeof(Core.Measures.Length).Assembly;
    private static readonly Assembly[] Outer =
    [
        typeof(Typography.ShippedTypefaces).Assembly,
        typeof(Formats.Svg.CutSvg).Assembly,
        typeof(Store.CabidaContext).Assembly,
        typeof(Devices.Scanning.IScanner).Assembly,
    ];

    [Fact]
    public void Core_references_NetTopologySuite_alone()
    {
        var foreign = Core.GetReferencedAssemblies()
            .Select(a => a.Name!)
            .Where(n => !n.StartsWith("System", StringComparison.Ordinal) && n != "netstandard");
        foreign.ShouldBe(["NetTopologySuite"]);
    }

    [Fact]
    public void Nothing_references_Web_and_the_outer_projects_know_only_Core()
    {
        foreach (var assembly in Outer)
        {
            assembly
                .GetReferencedAssemblies()
                .Select(a => a.Name!)
                .Where(n => n.StartsWith("Cabida", StringComparison.Ordinal))
                .ShouldBe(["Cabida.Core"]);
        }

        Core.GetReferencedAssemblies().ShouldNotContain(a => a.Name!.StartsWith("Cabida", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(
        "Cabida.Core.Geometry",
        "Cabida.Core.Type",
        "Cabida.Core.Motifs",
        "Cabida.Core.Blanks",
        "Cabida.Core.Fitting",
        "Cabida.Core.Loads"
    )]
    [InlineData("Cabida.Core.Measures", "Cabida.Core.Geometry", "Cabida.Core.Motifs", "Cabida.Core.Blanks", "Cabida.Core.Fitting")]
    [InlineData("Cabida.Core.Motifs", "Cabida.Core.Blanks", "Cabida.Core.Fitting", "Cabida.Core.Runs", "Cabida.Core.Loads")]
    [InlineData("Cabida.Core.Tracing", "Cabida.Core.Blanks", "Cabida.Core.Motifs", "Cabida.Core.Fitting", "Cabida.Core.Drawings")]
    [InlineData(
        "Cabida.Core.Blanks",
        "Cabida.Core.Tracing",
        "Cabida.Core.Motifs",
        "Cabida.Core.Fitting",
        "Cabida.Core.Runs",
        "Cabida.Core.Loads"
    )]
    public void Earlier_steps_do_not_know_later_ones(string step, params string[] later)
    {
        var broken = Types.InAssembly(Core).That().ResideInNamespace(step).ShouldNot().HaveDependencyOnAny(later).GetResult();
        (broken.FailingTypeNames ?? []).ShouldBeEmpty();
    }

    [Fact]
    public void The_computation_does_no_input_or_output() =>
        (
            Types
                .InAssembly(Core)
                .ShouldNot()
                .HaveDependencyOnAny("System.IO", "System.Net", "Microsoft.EntityFrameworkCore", "Microsoft.AspNetCore")
                .GetResult()
                .FailingTypeNames
            ?? []
        ).ShouldBeEmpty();

    [Fact]
    public void Nothing_keeps_the_failure_of_one_who_asked_for_all_who_ask_after_them() =>
        Outer
            .Append(Core)
            .Append(typeof(Program).Assembly)
            .SelectMany(a => a.GetTypes())
            .SelectMany(t =>
                t.GetFields(
                    BindingFlags.Instance | BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic | BindingFlags.DeclaredOnly
                )
            )
            .Where(f => f.FieldType.ToString().Contains("System.Lazy", StringComparison.Ordinal))
            .Select(f => $"{f.DeclaringType}.{f.Name} is to be a Once")
            .ShouldBeEmpty();

    [Fact]
    public void No_folder_is_a_place_for_leftovers() =>
        Outer
            .Append(Core)
            .Append(typeof(Program).Assembly)
            .SelectMany(a => a.GetTypes())
            .Select(t => t.Namespace ?? "")
            .ShouldNotContain(n =>
                n.EndsWith(".Utils", StringComparison.Ordinal)
                || n.EndsWith(".Common", StringComparison.Ordinal)
                || n.EndsWith(".Helpers", StringComparison.Ordinal)
            );
}

using System.Reflection;
using NetArchTest.Rules;

namespace Cabida.Architecture.Tests;

public class DependencyTests
{
    private static readonly Assembly Core = typeof(Core.Measures.Length).Assembly;
    private static readonly Assembly[] Outer =
    [
        typeof(Typography.ShippedTypefaces).Assembly,
        typeof(Formats.Cutting.CutSvg).Assembly,
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

    [Fact]
    public void The_product_knows_a_stand_in_only_by_its_line() =>
        typeof(Program).Assembly.GetReferencedAssemblies().ShouldNotContain(a => a.Name == "Cabida.StandIns");

    /// <summary>
    /// The folders of Core in the order of the work: each knows only those before it. Words and measures are one: a sentence holds
    /// lengths, and a length that cannot be read says why.
    /// </summary>
    private static readonly string[][] Order =
    [
        ["Wording", "Measures"],
        ["Geometry"],
        ["Findings"],
        ["Documents"],
        ["Tracing"],
        ["Blanks"],
        ["Drawings"],
        ["Stock"],
        ["Type"],
        ["Motifs"],
        ["Ties"],
        ["Waste"],
        ["Runs"],
        ["Lists"],
        ["Proofs"],
        ["Fitting"],
        ["Checking"],
        ["Layout"],
        ["Loads"],
        ["Cutting"],
        ["Pieces"],
        ["Plans"],
        ["Remedies"],
        ["Pressing"],
        ["Steps"],
        ["Costs"],
        ["Bench"],
        ["Orders"],
    ];

    [Fact]
    public void Each_folder_of_Core_knows_only_those_before_it()
    {
        var folders = Core.GetTypes().Select(FolderOf).OfType<string>().Distinct(StringComparer.Ordinal);
        folders.ShouldBe(Order.SelectMany(f => f), ignoreOrder: true);
        for (var i = 0; i < Order.Length; i++)
        {
            var later = Order.Skip(i + 1).SelectMany(f => f).Select(f => $"Cabida.Core.{f}").ToArray();
            foreach (var folder in later.Length > 0 ? Order[i] : [])
            {
                var broken = Types
                    .InAssembly(Core)
                    .That()
                    .ResideInNamespace($"Cabida.Core.{folder}")
                    .ShouldNot()
                    .HaveDependencyOnAny(later);
                (broken.GetResult().FailingTypeNames ?? []).ShouldBeEmpty(folder);
            }
        }
    }

    private static string? FolderOf(Type type) =>
        type.Namespace is { } n && n.StartsWith("Cabida.Core.", StringComparison.Ordinal) ? n.Split('.')[2] : null;

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

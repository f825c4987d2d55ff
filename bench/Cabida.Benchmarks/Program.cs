using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using Cabida.Benchmarks;

const int Iterations = 15;

if (args is ["tracing"])
{
    Tracing.Report();
}
else if (args is ["accuracy"])
{
    TracingAccuracy.Report();
}
else if (args is ["cutting"])
{
    BeforeCutting.Report();
}
else if (args is ["layout", ..])
{
    LayoutWork.Report(args.Length > 1 ? double.Parse(args[1], System.Globalization.CultureInfo.InvariantCulture) : 30);
}
else if (args is ["files"])
{
    CutFilesWork.Report();
}
else if (args is ["large"])
{
    LargeScan.Report();
}
else if (args is ["blanks"])
{
    BlankWork.Report();
}
else if (args is ["lists"])
{
    Lists.Report();
}
else if (args is ["composing"])
{
    ComposingWork.Report();
}
else if (args is ["saves"])
{
    await SaveWork.Report();
}
else if (args is ["plans"])
{
    PlanWork.Report();
}
else if (args is ["graphics"])
{
    GraphicWork.Report();
}
else
{
    // In this process: what is compared is work of milliseconds, and both sides run under the same conditions.
    var config = DefaultConfig.Instance.AddJob(Job.Default.WithToolchain(InProcessEmitToolchain.Instance).WithIterationCount(Iterations));
    BenchmarkRunner.Run<OneNameBenchmark>(config, args);
}

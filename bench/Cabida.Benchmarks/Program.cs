using BenchmarkDotNet.Running;
using Cabida.Benchmarks;

if (args is ["growth"])
{
    ListGrowth.Report();
}
else
{
    BenchmarkSwitcher.FromAssembly(typeof(OneNameBenchmark).Assembly).Run(args);
}

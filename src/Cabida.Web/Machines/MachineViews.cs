using Cabida.Core.Measures;
using Cabida.Devices.Cutting;

namespace Cabida.Web.Machines;

/// <summary>A cutter that loads can be sent to.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
internal sealed record MachineName(string Id, string Name);

/// <summary>How far a cutter is.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Problem">Why it does not answer; empty where it does.</param>
/// <param name="Answer">What it said, now or last; null where it never answered.</param>
/// <param name="Unfinished">Loads that it was seen to cut and does not know any more: how far they were.</param>
internal sealed record MachineView(string Id, string Name, string Problem, CutterAnswer? Answer, IReadOnlyList<JobInCutter> Unfinished);

/// <summary>A released load to be cut.</summary>
/// <param name="Load">Which one.</param>
/// <param name="Format">As what it is sent: <c>svg</c> or <c>hpgl</c>; empty for what suits the cutter.</param>
/// <param name="IsTest">Only a test cut of it.</param>
/// <param name="WithoutTest">Though no test cut was made.</param>
/// <param name="From">The line to begin with, from 0.</param>
/// <param name="Until">How far up the film in it reaches, as typed; empty for as far as the stock did.</param>
internal sealed record CutWanted(string Load, string Format, bool IsTest, bool WithoutTest, int From, TypedLength Until);

/// <summary>Something that a cutter is to do.</summary>
/// <param name="Command">What.</param>
/// <param name="JobId">About which load.</param>
/// <param name="Until">How far up film that was put in reaches, as typed; empty for as far as the load wants.</param>
internal sealed record OrderWanted(CutterCommand Command, string JobId, TypedLength Until);

using Cabida.Core.Geometry;
using Cabida.Core.Stock;

namespace Cabida.Devices.Cutting;

/// <summary>The film that lies in the cutter.</summary>
/// <param name="Film">Which film: for this a test cut holds.</param>
/// <param name="Sheet">Which piece of it: another has to be put in first.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Material">What it is.</param>
/// <param name="Thickness">How thick it is, in millimetres; null for what is usual of its material.</param>
/// <param name="CarrierThickness">How thick the carrier under it is; null for none.</param>
/// <param name="Until">How far it reaches up the carrier, in millimetres from the foot of the reach.</param>
public sealed record FilmIn(
    string Film,
    string Sheet,
    string Name,
    FilmMaterial Material,
    double? Thickness,
    double? CarrierThickness,
    double Until
);

/// <summary>A load as it is sent.</summary>
/// <param name="Id">Tells it apart; sent twice it is cut once.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Format">What its file is: <c>svg</c> or <c>hpgl</c>.</param>
/// <param name="Content">The file.</param>
/// <param name="ReachWidth">How wide is reached on the carrier; millimetres.</param>
/// <param name="ReachLength">How long.</param>
/// <param name="Film">What lies in the cutter.</param>
/// <param name="Settings">How it is cut, as the maker typed it.</param>
public sealed record CutJob(
    string Id,
    string Name,
    string Format,
    string Content,
    double ReachWidth,
    double ReachLength,
    FilmIn Film,
    CutSettings Settings
)
{
    /// <summary>Whether it is a test cut, after which loads of this film with these settings are taken.</summary>
    public bool IsTest { get; init; }

    /// <summary>Whether it is cut though no test was.</summary>
    public bool WithoutTest { get; init; }

    /// <summary>The line to begin with, from 0: those before it are cut already.</summary>
    public int From { get; init; }
}

/// <summary>What a cutter is doing.</summary>
public enum CutterState
{
    /// <summary>Nothing.</summary>
    Idle,

    /// <summary>It cuts.</summary>
    Cutting,

    /// <summary>It was told to pause; its blade is lifted.</summary>
    Paused,

    /// <summary>The film ended under it.</summary>
    OutOfFilm,

    /// <summary>The next load wants another film.</summary>
    WaitsForFilm,

    /// <summary>It warned, and waits to be told to cut all the same.</summary>
    Held,
}

/// <summary>What becomes of a load in a cutter.</summary>
public enum CutJobState
{
    /// <summary>It is in the queue.</summary>
    Queued,

    /// <summary>It is the one that is cut.</summary>
    First,

    /// <summary>It is cut.</summary>
    Done,

    /// <summary>It was taken back.</summary>
    TakenBack,
}

/// <summary>What a cutter warns of.</summary>
public enum CutterWarningKind
{
    /// <summary>Lines that leave its reach; they are not cut.</summary>
    OutsideReach,

    /// <summary>It does not come through the film.</summary>
    NotThrough,

    /// <summary>It cuts right through what lies under the film.</summary>
    RightThrough,

    /// <summary>From these settings it cannot tell how deep it cuts.</summary>
    DepthUnknown,
}

/// <summary>A warning.</summary>
/// <param name="Kind">Of what.</param>
/// <param name="Count">How many lines it is about; 0 for all.</param>
/// <param name="Millimetres">By how much: how far outside, or how deep it cuts.</param>
public sealed record CutterWarning(CutterWarningKind Kind, int Count, double Millimetres)
{
    /// <summary>Whether a load waits until it is told to be cut all the same.</summary>
    public bool Holds => Kind != CutterWarningKind.DepthUnknown;
}

/// <summary>How deep a cutter cuts; millimetres.</summary>
/// <param name="Depth">How deep.</param>
/// <param name="Film">How thick the film is.</param>
/// <param name="Backing">How thick what lies under it is: its own backing, or the carrier.</param>
public sealed record CutDepth(double Depth, double Film, double Backing);

/// <summary>A load in a cutter.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Film">The name of its film.</param>
/// <param name="Format">As what it was sent: its lines are counted in the order of that.</param>
/// <param name="IsTest">Whether it is a test cut.</param>
/// <param name="State">What becomes of it.</param>
/// <param name="Lines">How many lines it has.</param>
/// <param name="Cut">How many of them are cut.</param>
/// <param name="Share">How much of the next one is.</param>
/// <param name="Seconds">For how long it was cut.</param>
/// <param name="SecondsLeft">How much longer it takes.</param>
/// <param name="Width">How wide all is that it cuts; millimetres.</param>
/// <param name="Height">How high.</param>
/// <param name="Depth">How deep it cuts; null where it cannot tell.</param>
/// <param name="Warnings">What it warns of.</param>
public sealed record JobInCutter(
    string Id,
    string Name,
    string Film,
    string Format,
    bool IsTest,
    CutJobState State,
    int Lines,
    int Cut,
    double Share,
    double Seconds,
    double SecondsLeft,
    double Width,
    double Height,
    CutDepth? Depth,
    IReadOnlyList<CutterWarning> Warnings
);

/// <summary>How far a cutter is.</summary>
/// <param name="State">What it is doing.</param>
/// <param name="Film">The name of the film in it; empty for none.</param>
/// <param name="IsDown">Whether its blade is down.</param>
/// <param name="At">Where its blade is; millimetres from the loading corner.</param>
/// <param name="TimesAsFast">How many times as fast as in life it goes; 1 for a real one.</param>
/// <param name="Jobs">Its loads, the one that is cut and the queue in their order, then what is done.</param>
public sealed record CutterAnswer(
    CutterState State,
    string Film,
    bool IsDown,
    PlanePoint At,
    double TimesAsFast,
    IReadOnlyList<JobInCutter> Jobs
);

/// <summary>A line as it is cut.</summary>
/// <param name="Points">Its points, x and y in turn; millimetres from the loading corner, y up.</param>
/// <param name="IsReached">Whether the blade comes there at all.</param>
public sealed record CutStroke(IReadOnlyList<double> Points, bool IsReached);

/// <summary>What is cut of a load, in its order.</summary>
/// <param name="JobId">Which load.</param>
/// <param name="Strokes">Its lines.</param>
public sealed record CutSheet(string JobId, IReadOnlyList<CutStroke> Strokes);

/// <summary>What a cutter can be told.</summary>
public enum CutterCommand
{
    /// <summary>Lift the blade and wait.</summary>
    Pause,

    /// <summary>Go on where it was left.</summary>
    GoOn,

    /// <summary>The film that is wanted lies in it now.</summary>
    FilmIsIn,

    /// <summary>Cut in spite of the warnings.</summary>
    AllTheSame,

    /// <summary>Do not cut this load any further.</summary>
    TakeBack,
}

/// <summary>Something that a cutter is told.</summary>
/// <param name="Command">What.</param>
/// <param name="JobId">About which load.</param>
/// <param name="Until">How far film that was put in reaches, in millimetres; null for as far as the load said.</param>
public sealed record CutterOrder(CutterCommand Command, string JobId, double? Until = null);

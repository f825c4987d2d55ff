using System.Text.Json;
using Cabida.Store;
using Cabida.Web.Serving;

namespace Cabida.Web.Safekeeping;

/// <summary>What belongs to this machine and not to the library: it goes into no copy, and comes back with none.</summary>
internal sealed record MachineState
{
    /// <summary>
    /// Tells apart the lines along which the library went on: it is another once an earlier copy was brought back, since its revisions
    /// count on from there.
    /// </summary>
    public string Line { get; init; } = "";

    /// <summary>Where copies go as well; empty for nowhere.</summary>
    public string SecondFolder { get; init; } = "";
}

/// <summary>Keeps it as a small file beside the library.</summary>
internal sealed partial class MachineFile(DataFolder folder, ILogger<MachineFile> log)
{
    private static readonly JsonSerializerOptions Written = new(JsonSerializerDefaults.Web) { WriteIndented = true };
    private readonly Lock gate = new();
    private MachineState? current;

    /// <summary>As it is.</summary>
    public MachineState Current
    {
        get
        {
            lock (gate)
            {
                return current ??= Read();
            }
        }
    }

    /// <summary>Changes it; what was changed is kept when this comes back.</summary>
    public MachineState Change(Func<MachineState, MachineState> change)
    {
        lock (gate)
        {
            var next = change(current ?? Read());
            Durable.Write(folder.Machine, JsonSerializer.SerializeToUtf8Bytes(next, Written));
            return current = next;
        }
    }

    /// <summary>A line that none went along yet.</summary>
    public static string FreshLine() => Guid.NewGuid().ToString("N")[..12];

    private MachineState Read()
    {
        if (!File.Exists(folder.Machine))
        {
            return new MachineState();
        }

        try
        {
            return JsonSerializer.Deserialize<MachineState>(File.ReadAllBytes(folder.Machine), Written) ?? new MachineState();
        }
        catch (JsonException fault)
        {
            // It is small and can be set again; what was there is kept for whoever wants to look.
            Unreadable(log, fault);
            File.Move(folder.Machine, folder.Machine + ".unreadable", overwrite: true);
            return new MachineState();
        }
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "The settings of this machine could not be read and are begun anew")]
    private static partial void Unreadable(ILogger log, Exception fault);
}

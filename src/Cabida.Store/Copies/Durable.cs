using System.Runtime.InteropServices;

namespace Cabida.Store;

/// <summary>Files that are there, whole, once a call has come back: also after the power has gone.</summary>
public static class Durable
{
    /// <summary>Writes a file anew: there is the old one or the new one, and never a part of it.</summary>
    public static void Write(string path, ReadOnlySpan<byte> bytes)
    {
        var part = path + PartEnding;
        using (var file = new FileStream(part, FileMode.Create, FileAccess.Write, FileShare.None))
        {
            file.Write(bytes);
            file.Flush(flushToDisk: true);
        }

        Rename(part, path);
    }

    /// <summary>What a file is called while it is written.</summary>
    public const string PartEnding = ".part";

    /// <summary>Copies a file, so that its name only ever means the whole of it.</summary>
    public static void Copy(string from, string to)
    {
        var part = to + PartEnding;
        using (var source = new FileStream(from, FileMode.Open, FileAccess.Read, FileShare.Read))
        using (var target = new FileStream(part, FileMode.Create, FileAccess.Write, FileShare.None))
        {
            source.CopyTo(target);
            target.Flush(flushToDisk: true);
        }

        Rename(part, to);
    }

    /// <summary>Gives a file another name, in place of whatever has it.</summary>
    public static void Rename(string from, string to)
    {
        File.Move(from, to, overwrite: true);
        FlushFolderOf(to);
        if (Path.GetDirectoryName(Path.GetFullPath(from)) != Path.GetDirectoryName(Path.GetFullPath(to)))
        {
            FlushFolderOf(from);
        }
    }

    /// <summary>Flushes a file that was written by another.</summary>
    public static void Flush(string path)
    {
        using var file = new FileStream(path, FileMode.Open, FileAccess.ReadWrite, FileShare.ReadWrite);
        file.Flush(flushToDisk: true);
    }

    /// <summary>
    /// Flushes the folder of a file: a new name is kept by its folder (fsync(2)). The framework opens no folders, so the system is asked;
    /// a file system that flushes none says so, and there is nothing more to do then.
    /// </summary>
    private static void FlushFolderOf(string path)
    {
        var folder = Open(Path.GetDirectoryName(Path.GetFullPath(path))!, 0);
        if (folder >= 0)
        {
            _ = Fsync(folder);
            _ = Close(folder);
        }
    }

    [DllImport("libc", EntryPoint = "open", CharSet = CharSet.Ansi, BestFitMapping = false, ThrowOnUnmappableChar = true)]
    [DefaultDllImportSearchPaths(DllImportSearchPath.SafeDirectories)]
    private static extern int Open([MarshalAs(UnmanagedType.LPUTF8Str)] string path, int flags);

    [DllImport("libc", EntryPoint = "fsync")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.SafeDirectories)]
    private static extern int Fsync(int file);

    [DllImport("libc", EntryPoint = "close")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.SafeDirectories)]
    private static extern int Close(int file);
}

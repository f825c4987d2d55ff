namespace Cabida.Store;

/// <summary>Lines of JSON, each a value of its own.</summary>
internal static class NdJson
{
    /// <summary>The lines of a file, those without anything left out.</summary>
    public static IEnumerable<ReadOnlyMemory<byte>> Lines(byte[] file)
    {
        for (var at = 0; at < file.Length; )
        {
            var end = Array.IndexOf(file, (byte)'\n', at);
            end = end < 0 ? file.Length : end;
            if (end > at)
            {
                yield return file.AsMemory(at, end - at);
            }

            at = end + 1;
        }
    }
}

using System.Text;
using System.Xml;
using Cabida.Core.Wording;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>The first pass: bytes → elements. Nothing outside the file is ever fetched, and no entity is expanded.</summary>
internal static class SvgParse
{
    /// <summary>Groups nested deeper are refused.</summary>
    public const int Deepest = 256;

    private const int MostElements = 400_000;

    public static Outcome<SvgNode> Read(string name, byte[] file)
    {
        if (Declares(file, "<!ENTITY"))
        {
            return Outcome<SvgNode>.Fail(
                Phrase.Say($"{name:strong} declares entities, which a drawing needs none of. Save it as plain SVG.")
            );
        }

        var settings = new XmlReaderSettings
        {
            DtdProcessing = DtdProcessing.Ignore,
            XmlResolver = null,
            IgnoreComments = true,
            IgnoreProcessingInstructions = true,
        };
        SvgNode? root = null;
        SvgNode? at = null;
        var elements = 0;
        try
        {
            using var reader = XmlReader.Create(new MemoryStream(file), settings);
            while (reader.Read())
            {
                switch (reader.NodeType)
                {
                    case XmlNodeType.Element:
                        var node = new SvgNode(reader.LocalName, at, (at?.Depth ?? 0) + 1) { Index = at?.Children.Count ?? 0 };
                        if (node.Depth > Deepest || ++elements > MostElements)
                        {
                            return Outcome<SvgNode>.Fail(
                                node.Depth > Deepest
                                    ? Phrase.Say(
                                        $"{name:strong} nests its groups deeper than {Deepest}. Ungroup it, and bring it in again."
                                    )
                                    : Phrase.Say(
                                        $"{name:strong} has more than {MostElements:#,0} elements. Simplify it, and bring it in again."
                                    )
                            );
                        }

                        var empty = reader.IsEmptyElement;
                        for (var more = reader.MoveToFirstAttribute(); more; more = reader.MoveToNextAttribute())
                        {
                            node.Attributes[reader.LocalName] = reader.Value;
                        }

                        at?.Children.Add(node);
                        root ??= node;
                        at = empty ? at : node;
                        break;
                    case XmlNodeType.EndElement:
                        at = at?.Parent;
                        break;
                    case XmlNodeType.Text or XmlNodeType.CDATA when at?.Name == "style":
                        at.Text += reader.Value;
                        break;
                    default:
                        break;
                }
            }
        }
        catch (XmlException e)
        {
            return Outcome<SvgNode>.Fail(Phrase.Say($"{name:strong} is damaged in line {e.LineNumber}."));
        }

        return root is { Name: "svg" }
            ? Outcome<SvgNode>.Of(root)
            : Outcome<SvgNode>.Fail(Phrase.Say($"{name:strong} holds no SVG drawing."));
    }

    private static bool Declares(byte[] file, string what) =>
        file.AsSpan().IndexOf(Encoding.ASCII.GetBytes(what)) >= 0
        || file.AsSpan().IndexOf(Encoding.Unicode.GetBytes(what)) >= 0
        || file.AsSpan().IndexOf(Encoding.BigEndianUnicode.GetBytes(what)) >= 0;
}

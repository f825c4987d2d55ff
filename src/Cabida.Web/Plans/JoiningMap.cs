using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Plans;
using Cabida.Formats.Svg;

namespace Cabida.Web.Plans;

/// <summary>A joint of a map.</summary>
/// <param name="IsUpright">Whether it runs up and down.</param>
/// <param name="At">Where; millimetres.</param>
internal sealed record JoiningLine(bool IsUpright, double At);

/// <summary>A section of a map.</summary>
/// <param name="Number">From 1, from the lower left as it is cut.</param>
/// <param name="Box">The box of its ink.</param>
/// <param name="Marks">The middles of its marks.</param>
internal sealed record JoiningSection(int Number, Box Box, IReadOnlyList<PlanePoint> Marks);

/// <summary>
/// The map by which sections of a thing are laid together again, as it reads on the goods: mirrored things are turned back. Millimetres,
/// y up.
/// </summary>
/// <param name="Item">The whole thing; of copies, the first.</param>
/// <param name="Name">Its name.</param>
/// <param name="InkPath">Its ink.</param>
/// <param name="Box">The box of that.</param>
/// <param name="Joints">Its joints.</param>
/// <param name="Sections">Its sections.</param>
/// <param name="Lap">How far sections are lapped at joints through ink; 0 where they are butted.</param>
internal sealed record JoiningMap(
    ItemId Item,
    string Name,
    string InkPath,
    Box Box,
    IReadOnlyList<JoiningLine> Joints,
    IReadOnlyList<JoiningSection> Sections,
    double Lap
)
{
    public static JoiningMap Of(PartedThing parted)
    {
        var (thing, parting) = (parted.Thing, parted.Parting);
        var back = thing.IsMirrored ? Motion.Flip : Motion.None;
        return new JoiningMap(
            thing.Id with
            {
                Copy = 1,
            },
            thing.Name,
            SvgPath.Of(Outlines.Moved(thing.Ink, back), Tolerances.File),
            back.Of(thing.Box),
            [.. parting.Joints.Select(j => new JoiningLine(j.IsUpright, j.IsUpright && thing.IsMirrored ? -j.At : j.At))],
            [.. parting.Sections.Select(s => new JoiningSection(s.Number, back.Of(Box.Of(s.Ink)!.Value), [.. s.Marks.Select(back.Of)]))],
            parting.Joints.Any(j => j.Crosses > 0) ? parted.Lap : 0
        );
    }
}

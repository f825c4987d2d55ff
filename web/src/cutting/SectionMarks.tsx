import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';
import { Mark } from './Mark';

/** Sections of something that was parted: their numbers, and the crosses by which they are laid together. */
export function SectionMarks({ sections, scale }: { sections: readonly Schemas['JoiningSection'][]; scale: Scale }) {
  return sections.map((s) => (
    <g key={s.number}>
      <text
        className="section-number"
        x={scale.x((s.box.minX + s.box.maxX) / 2)}
        y={scale.y((s.box.minY + s.box.maxY) / 2)}
        textAnchor="middle"
        dy="0.35em"
      >
        {s.number}
      </text>
      {s.marks.map((m, i) => (
        <Mark key={i} at={m} scale={scale} />
      ))}
    </g>
  ));
}

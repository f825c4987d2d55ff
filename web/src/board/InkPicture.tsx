import type { CSSProperties } from 'react';
import type { Schemas } from '../api/client';
import { Ink } from './Ink';

interface Props {
  label: string;
  box: Pick<Schemas['Box'], 'minX' | 'minY' | 'maxX' | 'maxY'>;
  /** Room around the box as a share of its larger side. */
  around?: number;
  paths?: readonly { d: string; className?: string; fill?: string }[];
  inks?: readonly Schemas['InkView'][];
  className?: string;
  /** The colour it is seen against, where it is known. */
  goods?: string;
}

/** Paths in millimetres (y up), as large as the place allows. */
export function InkPicture({ label, box, around = 0.04, paths = [], inks = [], className, goods }: Props) {
  const [w, h] = [box.maxX - box.minX, box.maxY - box.minY];
  const room = around * Math.max(w, h);
  return (
    <svg
      className={className ?? 'ink-picture'}
      viewBox={`${box.minX - room} ${-box.maxY - room} ${w + 2 * room} ${h + 2 * room}`}
      style={goods ? ({ '--goods': goods } as CSSProperties) : undefined}
      role="img"
      aria-label={label}
      preserveAspectRatio="xMidYMid meet"
    >
      <g transform="scale(1 -1)">
        {paths.map((p, i) => (
          <path key={i} d={p.d} className={p.className} fill={p.fill} fillRule="evenodd" vectorEffect="non-scaling-stroke" />
        ))}
        <Ink inks={inks} />
      </g>
    </svg>
  );
}

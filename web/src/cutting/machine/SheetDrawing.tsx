import { useMemo } from 'react';
import type { Schemas } from '../../api/client';
import type { Scale } from '../../board/scale';

interface Props {
  sheet: Schemas['CutSheet'];
  job: Schemas['JobInCutter'];
  answer: Schemas['CutterAnswer'];
  scale: Scale;
}

/** The sheet in the cutter: what is cut as a strong line, what it never reaches dashed, and where the blade stands. */
export function SheetDrawing({ sheet, job, answer, scale }: Props) {
  const cut = useMemo(
    () =>
      sheet.strokes
        .slice(0, job.cut)
        .filter((s) => s.isReached)
        .map((s) => pathOf(s.points))
        .join(''),
    [sheet, job.cut],
  );
  const never = useMemo(
    () =>
      sheet.strokes
        .filter((s) => !s.isReached)
        .map((s) => pathOf(s.points))
        .join(''),
    [sheet],
  );
  const being = sheet.strokes[job.cut];
  return (
    <g className="cut-sheet" aria-hidden="true">
      <g transform={scale.transform}>
        <path d={cut} className="is-cut" />
        {being?.isReached && job.share > 0 && (
          <path d={pathOf(being.points)} className="is-cut" pathLength={1} strokeDasharray={`${job.share} 1`} />
        )}
        <path d={never} className="never-cut" />
      </g>
      {job.state === 'first' && (
        <circle
          cx={scale.x(answer.at.x)}
          cy={scale.y(answer.at.y)}
          r={answer.isDown ? 4 : 6}
          className={answer.isDown ? 'blade down' : 'blade'}
        />
      )}
    </g>
  );
}

function pathOf(points: readonly number[]): string {
  let d = '';
  for (let i = 0; i + 1 < points.length; i += 2) d += `${i === 0 ? 'M' : 'L'}${points[i]} ${points[i + 1]}`;
  return d;
}

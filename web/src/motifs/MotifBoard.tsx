import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Board } from '../board/Board';
import { DimensionMark } from '../board/DimensionMark';
import { Ink } from '../board/Ink';
import type { Scale } from '../board/scale';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { LetterMarks } from './LetterMarks';
import { PartArea } from './PartArea';
import { PartHandle } from './PartHandle';
import { flat, nameOf, type Motif } from './parts';

interface Props {
  view: Schemas['MotifView'];
  /** Whether that is a preview, of which it is not known yet how large the ground would take it. */
  previewing?: boolean;
  motif: Motif;
  /** The ink of what would stand elsewhere after the change that is pointed at. */
  ghost?: string;
  chosen?: string;
  onChoose: (id: string) => void;
  onNudge: (id: string, dx: number, dy: number) => void;
  onLetter: (partId: string, index: number) => void;
}

const AROUND = 3;

/** The ink of a motif on its ground, at the size typed, with its dimensions; the part at hand is framed and can be moved. */
export function MotifBoard({ view, previewing, motif, ghost, chosen, onChoose, onNudge, onLetter }: Props) {
  const { units } = useUnits();
  const [outline, setOutline] = useState(false);
  const [letters, setLetters] = useState(false);
  const fit = useQuery({
    queryKey: ['motif', view.id, 'fit', view.revision],
    queryFn: ({ signal }) => answer(api.GET('/api/motifs/{id}/fit', { params: { path: { id: view.id } }, signal })),
    enabled: !!view.ground.box,
    staleTime: Infinity,
  });
  const { inkBox: ink, ground } = view;
  const part = view.parts.find((p) => p.partId === chosen);
  const drawing = ground.drawing ?? (ink ? paper(ink) : undefined);
  const named = flat(motif.parts).map((p) => p.part);
  const nameFor = (id: string) => {
    const p = named.find((x) => x.id === id);
    return p ? nameOf(p) : '';
  };
  return (
    <section className="card sheet" aria-label="Ink">
      <div className="views" role="group" aria-label="Board shows">
        <button type="button" className={outline ? 'view here' : 'view'} aria-pressed={outline} onClick={() => setOutline(!outline)}>
          Outline
        </button>
        <button type="button" className={letters ? 'view here' : 'view'} aria-pressed={letters} onClick={() => setLetters(!letters)}>
          Letter by letter
        </button>
        <span className="soft views-note">
          {ground.drawing ? `On ${ground.name}, at the sizes typed` : 'At the sizes typed'}, with “{view.sample}”
        </span>
      </div>
      {drawing ? (
        <Board
          label={`Ink of ${motif.name}${ground.drawing ? ` on ${ground.name}` : ''}`}
          drawing={drawing}
          goods={ground.drawing ? ground.goods : undefined}
          dimensions={false}
          usable
          pad={{ top: 40, right: 84, bottom: 54, left: 40 }}
        >
          {(scale) => (
            <>
              <g transform={scale.transform}>
                <Ink inks={view.inks} outline={outline} piece={view.sample} />
                {ghost && <path d={ghost} className="ghost" vectorEffect="non-scaling-stroke" data-ghost="" />}
              </g>
              {ink && (
                <Dimensions
                  ink={ink}
                  around={drawing.box}
                  scale={scale}
                  words={[figure(ink.maxX - ink.minX, units), figure(ink.maxY - ink.minY, units)]}
                />
              )}
              {letters ? (
                <LetterMarks parts={view.parts} scale={scale} onLetter={onLetter} />
              ) : (
                view.parts
                  .filter((p) => p.partId !== chosen)
                  .map((p) => (
                    <PartArea
                      key={p.partId}
                      name={nameFor(p.partId)}
                      box={p.box}
                      path={p.path}
                      scale={scale}
                      onChoose={() => onChoose(p.partId)}
                    />
                  ))
              )}
              {!letters && part && (
                <PartHandle
                  key={`${part.partId} ${part.box.minX} ${part.box.minY}`}
                  name={nameFor(part.partId)}
                  box={part.box}
                  path={part.path}
                  scale={scale}
                  onMove={(dx, dy) => onNudge(part.partId, dx, dy)}
                />
              )}
            </>
          )}
        </Board>
      ) : (
        <p className="empty">No ink yet: give a line some words, or add a shape.</p>
      )}
      <p className="sums">
        {ground.problem && (
          <span className="echo problem">
            <Words of={ground.problem} />
          </span>
        )}
        {part && (
          <span>
            {nameFor(part.partId)}: {figure(part.box.maxX - part.box.minX, units)} × {figure(part.box.maxY - part.box.minY, units)}
            {part.capitalHeight > 0 && `, capitals ${figure(part.capitalHeight, units)}`}
          </span>
        )}
        {!previewing && typeof fit.data?.fitsAt === 'number' && (
          <span>the ground would take it at {(fit.data.fitsAt * 100).toFixed(0)} %</span>
        )}
        {part && !letters && <span>Drag it, or move it with the arrow keys.</span>}
      </p>
    </section>
  );
}

/** Without a ground the ink stands on a plain sheet with a middle line each way. */
function paper(ink: Schemas['Box']): Schemas['DrawingView'] {
  const [l, r, b, t] = [ink.minX - AROUND, ink.maxX + AROUND, ink.minY - AROUND, ink.maxY + AROUND];
  const [x, y] = [(l + r) / 2, (b + t) / 2];
  return {
    box: ink,
    guessed: false,
    isWindow: false,
    dimensions: [],
    callouts: [],
    strokes: [{ kind: 'centre', path: `M${l} ${y}L${r} ${y}M${x} ${b}L${x} ${t}`, label: null, labelAt: null }],
  };
}

/** Figures stand outside the ground, on free sheet. */
function Dimensions({ ink, around, scale, words }: { ink: Schemas['Box']; around: Schemas['Box']; scale: Scale; words: [string, string] }) {
  const [l, r, t, b] = [scale.x(ink.minX), scale.x(ink.maxX), scale.y(ink.maxY), scale.y(ink.minY)];
  const [below, beside] = [Math.max(b, scale.y(around.minY)) + 26, Math.max(r, scale.x(around.maxX)) + 32];
  return (
    <>
      <DimensionMark
        extend={[
          { x: l, y: below - 20 },
          { x: r, y: below - 20 },
        ]}
        line={[
          { x: l, y: below },
          { x: r, y: below },
        ]}
        text={words[0]}
      />
      <DimensionMark
        extend={[
          { x: beside - 24, y: t },
          { x: beside - 24, y: b },
        ]}
        line={[
          { x: beside, y: t },
          { x: beside, y: b },
        ]}
        text={words[1]}
      />
    </>
  );
}

import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Dropdown } from 'react-bootstrap';
import { answer, api, type Schemas } from '../api/client';
import { useTypefaceNames } from '../typefaces/useTypefaceNames';
import { GraphicDialog } from './GraphicDialog';
import { PartRow } from './PartRow';
import type { Section } from './sections';
import { changed, copied, ends, flat, freshId, grouped, moved, type Group, type Motif, type Part } from './parts';

interface Props {
  view: Schemas['MotifView'];
  motif: Motif;
  edit: (change: (motif: Motif) => Motif) => void;
  chosen?: string;
  onChoose: (id?: string) => void;
  onTry: (partId: string) => void;
  onLetter: (partId: string, index: number) => void;
  onMend: (remedyId: string) => void;
}

/** The parts of a motif as rows, first at the top; the open one shows its fields. */
export function Schedule({ view, motif, edit, chosen, onChoose, onTry, onLetter, onMend }: Props) {
  const typefaces = useTypefaceNames();
  const films = useQuery({ queryKey: ['films'], queryFn: () => answer(api.GET('/api/films')), select: (l) => l.cards });
  const fresh = useQuery({ queryKey: ['fresh-parts'], queryFn: () => answer(api.GET('/api/motifs/fresh-parts')), staleTime: Infinity });
  const [section, setSection] = useState<Section>('words');
  const [graphics, setGraphics] = useState(false);
  const [marked, setMarked] = useState<readonly string[]>([]);
  const parts = (change: (p: readonly Part[]) => Part[]) => edit((m) => ({ ...m, parts: change(m.parts) }));
  const add = (part: Part) => {
    const id = freshId(motif.parts);
    parts((all) => [...all, { ...part, id }]);
    onChoose(id);
  };
  // The lowest first, so that what comes after stands on the top one.
  const addMats = () => {
    const mat = fresh.data?.find((f) => f.part.kind === 'mat')?.part;
    if (mat?.kind !== 'mat') return;
    parts((all) =>
      Array.from({ length: view.ground.mats }, (_, i) => view.ground.mats - i).reduce<Part[]>(
        (now, index) => [...now, { ...mat, id: freshId(now), index, ply: index }],
        [...all],
      ),
    );
  };
  const group = fresh.data?.find((f) => f.part.kind === 'group')?.part as Group | undefined;
  const live = marked.filter((id) => flat(motif.parts).some((p) => p.part.id === id));
  return (
    <section className="card" aria-label="Parts">
      <h2>
        Parts<span className="hint">in order; ↔ follows the fit, ■ stays as typed, ≡ is equal across the set</span>
      </h2>
      {flat(motif.parts).map(({ part, depth }) => (
        <PartRow
          key={part.id}
          part={part}
          depth={depth}
          motif={motif}
          {...ends(motif.parts, part.id)}
          open={chosen === part.id}
          marked={live.includes(part.id)}
          typefaces={typefaces}
          films={films.data ?? []}
          set={view.parts}
          problems={view.problems.filter((p) => p.part === part.id)}
          notes={view.notes.filter((n) => n.part === part.id)}
          onOpen={() => onChoose(part.id)}
          onMark={(on) => setMarked(on ? [...live, part.id] : live.filter((id) => id !== part.id))}
          onChange={(next) => parts((all) => changed(all, part.id, () => next))}
          onMove={(by) => parts((all) => moved(all, part.id, by))}
          onCopy={() => parts((all) => changed(all, part.id, (p) => [p, copied(all, p)]))}
          onRemove={() => parts((all) => changed(all, part.id, () => null))}
          onTry={() => onTry(part.id)}
          onLetter={(index) => onLetter(part.id, index)}
          onMend={onMend}
          section={section}
          onSection={setSection}
        />
      ))}
      {motif.parts.length === 0 && <p className="soft">Nothing in it yet. Add a line of lettering, or a shape.</p>}
      <div className="add-part">
        {fresh.data
          ?.filter((f) => f.part.kind === 'lettering')
          .map((f) => (
            <button key={f.name} type="button" className="btn btn-sm btn-line" onClick={() => add(f.part)}>
              Add {f.name}
            </button>
          ))}
        <Dropdown>
          <Dropdown.Toggle size="sm" variant="line">
            Add something else
          </Dropdown.Toggle>
          <Dropdown.Menu>
            {view.ground.mats > 0 && (
              <Dropdown.Item as="button" type="button" onClick={addMats}>
                the {view.ground.mats} mats of the frame
              </Dropdown.Item>
            )}
            {fresh.data
              ?.filter((f) => !['lettering', 'group', 'graphic'].includes(f.part.kind))
              .map((f) => (
                <Dropdown.Item key={f.name} as="button" type="button" onClick={() => add(f.part)}>
                  {f.name}
                </Dropdown.Item>
              ))}
          </Dropdown.Menu>
        </Dropdown>
        <button type="button" className="btn btn-sm btn-line" onClick={() => setGraphics(true)}>
          Add a graphic
        </button>
        {live.length > 0 && group && (
          <button
            type="button"
            className="btn btn-sm btn-line"
            onClick={() => {
              parts((all) => grouped(all, live, group));
              setMarked([]);
            }}
          >
            {live.length === 1 ? 'Make a group of the marked part' : `Group the ${live.length} marked`}
          </button>
        )}
      </div>
      {graphics && (
        <GraphicDialog
          onClose={() => setGraphics(false)}
          onChoose={(g) => {
            const blank = fresh.data?.find((f) => f.part.kind === 'graphic')?.part;
            if (blank?.kind === 'graphic')
              add({
                ...blank,
                graphicId: g.id,
                outlinesId: g.graphic.outlinesId,
                fileScale: g.graphic.scale,
                size: {
                  typed: { text: String(Math.round(g.graphic.width * g.graphic.scale * 100) / 100), unit: 'millimetre' },
                  scaling: 'proportional',
                },
              });
            setGraphics(false);
          }}
        />
      )}
    </section>
  );
}

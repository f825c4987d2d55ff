import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { mended, removalOf } from '../api/documents';
import { useRemoval } from '../api/useRemoval';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { Words } from '../units/Words';
import { FormsDialog } from './FormsDialog';
import { GraphicChecks, mendGraphic } from './GraphicChecks';
import { GhostContext, useMotifGhost } from './ghost';
import { GroundCard } from './GroundCard';
import { MotifBoard } from './MotifBoard';
import { changed, flat, type Motif, type Part } from './parts';
import { Schedule } from './Schedule';
import { useMotif, type MotifDocument } from './useMotif';
import { useNudges } from './useNudges';

/** A motif: its ink on its ground and its parts side by side. */
export function MotifPage() {
  const { id = '' } = useParams();
  return <Composing key={id} id={id} />;
}

function Composing({ id }: { id: string }) {
  const motif = useMotif(id);
  if (!motif.view || !motif.document) return <Waiting error={motif.error} undo={motif.undo} />;
  const lines = flat(motif.document.parts)
    .map((p) => p.part)
    .filter((p) => p.kind === 'lettering');
  return <Composed id={id} motif={motif} atHand={(lines.find((p) => p.text.includes('{name')) ?? lines[0])?.id} />;
}

/** The page once the motif is there; the line with the name is at hand until another part is, or none. */
function Composed({ id, motif, atHand }: { id: string; motif: MotifDocument; atHand?: string }) {
  const go = useNavigate();
  const [chosen, setChosen] = useState(atHand);
  const [letter, setLetter] = useState<{ partId: string; index: number }>();
  const nudge = useNudges();
  const [pointed, setPointed] = useState<{ by: string; change: (m: Motif) => Motif }>();
  const { view, document, edit } = motif;
  const seen = useMotifGhost(id, view?.revision, pointed && document && pointed.change(document));
  if (!view || !document) return null;
  const onPart = (partId: string, to: (p: Part) => Part) => edit((m) => ({ ...m, parts: changed(m.parts, partId, to) }));
  const whole = [
    ...view.problems.filter(
      (p) => p.part === '' && !p.fields.some((f) => ['name', 'groundWidth', 'groundHeight', 'groundMargin'].includes(f)),
    ),
    ...view.notes.filter((n) => n.part === '' || n.severity === 'stop'),
  ];
  return (
    <div className="page fill">
      <TitleRow
        title={
          <Form.Control
            className="title-field"
            aria-label="Name of the motif"
            value={document.name}
            isInvalid={view.problems.some((p) => p.fields.includes('name'))}
            onChange={(e) => edit((m) => ({ ...m, name: e.target.value }))}
          />
        }
        about={view.usedBy.length ? `used by ${view.usedBy.join(', ')}` : 'not used yet'}
        undo={motif.undo}
        redo={motif.redo}
        past={`/past/motif/${id}`}
      >
        <Copy id={id} />
        <Remove id={id} name={document.name} inUse={view.usedBy.length > 0} settled={motif.settled} />
      </TitleRow>
      <Conflict words={motif.conflict} takeTheirs={motif.takeTheirs} keepMine={motif.keepMine} />
      <GhostContext value={{ seen, by: pointed?.by, point: (by, change) => setPointed(change && { by, change }) }}>
        <div className="measure-layout">
          <MotifBoard
            view={view}
            previewing={motif.previewing}
            motif={document}
            ghost={seen?.path}
            chosen={chosen}
            onChoose={setChosen}
            onNudge={(partId, x, y) => {
              const read = view.parts.find((p) => p.partId === partId)?.nudged ?? { x: 0, y: 0 };
              onPart(partId, (p) => nudge(p, read, { x, y }));
            }}
            onLetter={(partId, index) => setLetter({ partId, index })}
          />
          <div className="column">
            <Schedule
              view={view}
              motif={document}
              edit={edit}
              chosen={chosen}
              onChoose={(p) => setChosen(p === chosen ? undefined : p)}
              onTry={(partId) => void go(`/motifs/${id}/try/${partId}`)}
              onLetter={(partId, index) => setLetter({ partId, index })}
              onMend={(remedy) => void motif.order(mended('motifs', id, [remedy]))}
            />
            <GroundCard view={view} motif={document} edit={edit} />
            <GraphicChecks id={id} revision={view.revision} onMend={(remedy) => void motif.order(mendGraphic(id, remedy))} />
            {whole.length > 0 && <ToLookAt notes={whole} />}
          </div>
        </div>
      </GhostContext>
      {letter && (
        <FormsDialog
          id={id}
          partId={letter.partId}
          index={letter.index}
          onClose={() => setLetter(undefined)}
          onChange={(to) => onPart(letter.partId, to)}
        />
      )}
    </div>
  );
}

function ToLookAt({ notes }: { notes: readonly Schemas['Finding'][] }) {
  return (
    <section className="card" aria-label="To look at" aria-live="polite">
      <h2>To look at</h2>
      {notes.map((n, i) => (
        <p key={i} className={`finding ${n.severity}`}>
          <Words of={n.message} />
        </p>
      ))}
    </section>
  );
}

function Copy({ id }: { id: string }) {
  const go = useNavigate();
  const cache = useQueryClient();
  const copy = useMutation({
    mutationFn: () => answer(api.POST('/api/motifs/{id}/copy', { params: { path: { id } } })),
    onSuccess: (m) => {
      void cache.invalidateQueries({ queryKey: ['motifs'] });
      void go(`/motifs/${m.id}`);
    },
  });
  return (
    <button type="button" className="btn btn-sm btn-line" disabled={copy.isPending} onClick={() => copy.mutate()}>
      Copy
    </button>
  );
}

function Remove({ id, name, inUse, settled }: { id: string; name: string; inUse: boolean; settled: () => Promise<number> }) {
  const go = useNavigate();
  const remove = useRemoval({
    name,
    settled,
    ...removalOf('motifs', id),
    onGone: () => void go('/motifs'),
  });
  return (
    <button
      type="button"
      className="btn btn-sm btn-line"
      disabled={inUse}
      title={inUse ? 'Runs use it' : undefined}
      onClick={() => remove.mutate()}
    >
      Remove
    </button>
  );
}

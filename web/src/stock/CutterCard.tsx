import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { documentSource, removalOf } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { Conflict } from '../frame/TitleRow';
import { UsualLength } from '../units/UsualLength';

type Cutter = Schemas['Cutter'];

/** A cutter by what it really reaches. */
export function CutterCard({ id }: { id: string }) {
  const {
    view,
    document: cutter,
    edit,
    conflict,
    takeTheirs,
    keepMine,
    undo,
    settled,
  } = useDocument(documentSource('cutters', id, { key: ['cutter', id], of: (v) => v.cutter, touches: [['cutters']], previews: true }));
  const remove = useRemoval({
    name: cutter?.name ?? '',
    settled,
    ...removalOf('cutters', id),
  });
  if (!view || !cutter) return null;
  const set = (change: Partial<Cutter>) => edit((c) => ({ ...c, ...change }));
  const length = (field: 'reachWidth' | 'reachLength', label: string) => (
    <UsualLength
      label={label}
      value={cutter[field]}
      problem={view.problems.find((p) => p.fields.includes(field))?.message}
      onChange={(v) => set({ [field]: v })}
    />
  );
  return (
    <section className="slip stock-card" aria-label={cutter.name}>
      <Conflict words={conflict} takeTheirs={takeTheirs} keepMine={keepMine} />
      <div className="stock-name">
        <Form.Control
          size="sm"
          aria-label="Name"
          value={cutter.name}
          isInvalid={!cutter.name.trim()}
          onChange={(e) => set({ name: e.target.value })}
        />
        <button type="button" className="quiet" onClick={undo}>
          Undo
        </button>
        <button
          type="button"
          className="quiet"
          disabled={view.usedBy.length > 0}
          title={view.usedBy.length ? `Used by ${view.usedBy.join(', ')}` : undefined}
          aria-label={`Remove ${cutter.name}`}
          onClick={() => remove.mutate()}
        >
          ✕
        </button>
      </div>
      <div className="stock-fields">
        {length('reachWidth', 'Reaches across')}
        {length('reachLength', 'Reaches along')}
      </div>
      <Form.Control
        as="textarea"
        rows={2}
        size="sm"
        aria-label={`Note on ${cutter.name}`}
        placeholder="A note to yourself"
        value={cutter.note}
        onChange={(e) => set({ note: e.target.value })}
      />
    </section>
  );
}

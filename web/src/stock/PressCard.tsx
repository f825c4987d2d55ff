import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { documentSource, removalOf } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { Choice } from '../fields/Choice';
import { Conflict } from '../frame/TitleRow';
import { StockHead } from './StockHead';
import { UsualLength } from '../units/UsualLength';
import { Words } from '../units/Words';

type Press = Schemas['Press'];

/** A press: how large its platen is, how hot it gets, and how far what it shows is from what it is. */
export function PressCard({ id }: { id: string }) {
  const {
    view,
    document: press,
    edit,
    conflict,
    takeTheirs,
    keepMine,
    undo,
    settled,
  } = useDocument(
    documentSource('presses', id, { key: ['press', id], of: (v) => v.press, touches: [['presses'], ['bench']], previews: true }),
  );
  const remove = useRemoval({ name: press?.name ?? '', settled, ...removalOf('presses', id) });
  if (!view || !press) return null;
  const set = (change: Partial<Press>) => edit((p) => ({ ...p, ...change }));
  const problem = (field: string) => view.problems.find((p) => p.fields.includes(field))?.message;
  const length = (field: 'platenWidth' | 'platenHeight' | 'overlap', label: string, usual?: string) => (
    <UsualLength label={label} value={press[field]} usual={usual} problem={problem(field)} onChange={(v) => set({ [field]: v })} />
  );
  const heat = (field: 'hottest' | 'shows' | 'measured', label: string) => (
    <label>
      {label}
      <Form.Control
        size="sm"
        maxLength={20}
        value={press[field]}
        placeholder="not noted"
        isInvalid={!!problem(field)}
        onChange={(e) => set({ [field]: e.target.value })}
      />
      {problem(field) && (
        <span className="echo problem">
          <Words of={problem(field) ?? { parts: [] }} />
        </span>
      )}
    </label>
  );
  return (
    <section className="slip stock-card" aria-label={press.name}>
      <Conflict words={conflict} takeTheirs={takeTheirs} keepMine={keepMine} />
      <StockHead
        label="Name of the press"
        name={press.name}
        onName={(name) => set({ name })}
        undo={undo}
        past={`/past/press/${id}`}
        usedBy={view.usedBy}
        remove={() => remove.mutate()}
      />
      <div className="stock-fields">
        <Choice
          label="It is"
          value={press.shape}
          of={[
            ['flat', 'flat'],
            ['round', 'a sleeve'],
          ]}
          onChange={(shape) => set({ shape })}
        />
        {length('platenWidth', press.shape === 'round' ? 'Goes round' : 'Platen wide')}
        {length('platenHeight', press.shape === 'round' ? 'Sleeve high' : 'Platen high')}
        {length('overlap', 'Positions overlap', '20 mm')}
        {heat('hottest', 'Set to at most, °C')}
        {heat('shows', 'When it showed, °C')}
        {heat('measured', 'it really was, °C')}
      </div>
      {view.offBy !== 0 && view.problems.length === 0 && (
        <p className="soft small" role="status">
          It is {Math.abs(view.offBy).toFixed(0)} °C {view.offBy < 0 ? 'cooler' : 'hotter'} than it shows: for 155 °C set it to{' '}
          <b>{(155 - view.offBy).toFixed(0)} °C</b>. Cards say what to set.
        </p>
      )}
      <Form.Control
        as="textarea"
        rows={2}
        size="sm"
        aria-label={`Note on ${press.name}`}
        placeholder="A note to yourself"
        value={press.note}
        onChange={(e) => set({ note: e.target.value })}
      />
    </section>
  );
}

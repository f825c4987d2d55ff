import { useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';
import { minutesSaid } from '../making/minutes';

type Step = Schemas['MakingStep'];

/** What steps can be. */
export const KINDS: readonly (readonly [Schemas['StepKind'], string])[] = [
  ['cut', 'cut'],
  ['weed', 'weed'],
  ['clean', 'clean'],
  ['lay', 'lay'],
  ['press', 'press'],
  ['paint', 'paint'],
  ['pullOff', 'pull off'],
  ['glue', 'glue'],
  ['varnish', 'varnish'],
  ['assemble', 'assemble'],
  ['pack', 'pack'],
  ['other', 'something else'],
];

interface Props {
  step: Step;
  /** What follows from it; nothing before it was answered. */
  view?: Schemas['StepView'];
  problem: (field: string) => Schemas['Phrase'] | undefined;
  onChange: (change: Partial<Step>) => void;
  onMove: (by: 1 | -1) => void;
  onRemove?: () => void;
  onTick: (isDone: boolean, took: string) => void;
  isFirst: boolean;
  isLast: boolean;
}

/** A step: what it is, how long it takes, and whether it is done. */
export function StepRow({ step, view, problem, onChange, onMove, onRemove, onTick, isFirst, isLast }: Props) {
  const called = step.name.trim() || (KINDS.find(([k]) => k === step.kind)?.[1] ?? '');
  const { isOpen, doneOn, took: noted } = view ?? { isOpen: true, doneOn: '', took: '' };
  const [took, setTook] = useState<string>();
  const time = (field: 'perPiece' | 'perBatch' | 'wait', label: string) => {
    const wrong = problem(field);
    return (
      <td>
        <Form.Control
          size="sm"
          maxLength={20}
          aria-label={`${label}, ${called}`}
          value={step[field]}
          placeholder={view?.usual[field]}
          isInvalid={!!wrong}
          onChange={(e) => onChange({ [field]: e.target.value })}
        />
        {wrong && (
          <span className="echo problem">
            <Words of={wrong} />
          </span>
        )}
      </td>
    );
  };
  const note = () => {
    if (took !== undefined && took !== noted) onTick(true, took);
    setTook(undefined);
  };
  return (
    <tr className={isOpen ? '' : 'done'}>
      <td>
        <Form.Check
          type="checkbox"
          aria-label={`${called} is done`}
          checked={!isOpen}
          disabled={!isOpen && doneOn === ''}
          title={!isOpen && doneOn === '' ? 'All its pieces are past it' : undefined}
          onChange={(e) => onTick(e.target.checked, noted)}
        />
      </td>
      <td className="step-name">
        <Form.Select
          size="sm"
          aria-label={`What ${called} is`}
          value={step.kind}
          onChange={(e) => onChange({ kind: e.target.value as Step['kind'] })}
        >
          {KINDS.map(([kind, words]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </Form.Select>
        <Form.Control
          size="sm"
          aria-label={`Name of ${called}`}
          placeholder={KINDS.find(([k]) => k === step.kind)?.[1]}
          value={step.name}
          onChange={(e) => onChange({ name: e.target.value })}
        />
      </td>
      {time('perPiece', 'Each piece')}
      {time('perBatch', 'Once')}
      {time('wait', 'Then rests')}
      <td className="end">{view ? minutesSaid(view.hands) : '…'}</td>
      <td>
        <Form.Control
          size="sm"
          maxLength={20}
          aria-label={`It took, ${called}`}
          placeholder="–"
          value={took ?? noted}
          onChange={(e) => setTook(e.target.value)}
          onBlur={note}
          onKeyDown={(e) => e.key === 'Enter' && note()}
        />
        {view && view.pace.entries > 0 && (
          <span className="soft small" title={`From ${view.pace.entries} times that it was timed`}>
            × {view.pace.by.toFixed(2)} of usual
          </span>
        )}
      </td>
      <td className="step-deeds">
        <button type="button" className="quiet" aria-label={`${called} earlier`} disabled={isFirst} onClick={() => onMove(-1)}>
          ↑
        </button>
        <button type="button" className="quiet" aria-label={`${called} later`} disabled={isLast} onClick={() => onMove(1)}>
          ↓
        </button>
        <button type="button" className="quiet" aria-label={`Remove ${called}`} disabled={!onRemove} onClick={onRemove}>
          ✕
        </button>
      </td>
    </tr>
  );
}

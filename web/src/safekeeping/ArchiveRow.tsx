import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answer, api } from '../api/client';
import { DifferencesList } from '../past/Differences';
import { momentSaid } from '../past/moments';
import { Words } from '../units/Words';
import { STANDING, type Archived } from './choosing';

interface Props {
  archive: string;
  of: Archived;
  isChosen: boolean;
  takes: boolean;
  onChoose: () => void;
  onTakes: (takes: boolean) => void;
}

/** A document of an archive: whether it is wanted, and which of two that differ it is to be. */
export function ArchiveRow({ archive, of, isChosen, takes, onChoose, onTakes }: Props) {
  const [shown, setShown] = useState(false);
  const name = of.name || 'Without a name';
  const differences = useQuery({
    enabled: shown,
    queryKey: ['archive', archive, of.kind, of.id],
    queryFn: () =>
      answer(api.GET('/api/archives/{id}/{kind}/{document}', { params: { path: { id: archive, kind: of.kind, document: of.id } } })),
  });
  return (
    <li className="archive-row">
      <Form.Check
        id={`${of.kind} ${of.id}`}
        label={name}
        checked={isChosen}
        disabled={of.problem !== null || of.standing === 'same'}
        onChange={onChoose}
      />
      <span className={of.standing === 'differs' ? 'look' : 'soft'}>{STANDING[of.standing]}</span>
      <span className="soft small">
        {momentSaid(of.changedAt)}
        {of.hereChangedAt && of.standing === 'differs' && `, here ${momentSaid(of.hereChangedAt)}`}
      </span>
      {of.standing === 'differs' && (
        <span className="deeds">
          {isChosen && (
            <Form.Select
              size="sm"
              aria-label={`Which ${name}`}
              value={takes ? 'there' : 'here'}
              onChange={(e) => onTakes(e.target.value === 'there')}
            >
              <option value="here">keep the one here</option>
              <option value="there">take the archive’s</option>
            </Form.Select>
          )}
          <button type="button" className="quiet" aria-expanded={shown} onClick={() => setShown(!shown)}>
            What differs
          </button>
        </span>
      )}
      {of.problem && (
        <p className="echo problem">
          <Words of={of.problem} />
        </p>
      )}
      {shown && differences.data && (
        <div className="told">
          <DifferencesList of={differences.data} none="Nothing that can be told." />
        </div>
      )}
    </li>
  );
}

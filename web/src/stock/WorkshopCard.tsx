import { useQuery } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { answer, api } from '../api/client';
import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { Conflict } from '../frame/TitleRow';
import { Words } from '../units/Words';
import { RatesFields } from './RatesFields';
import { WorkHours } from './WorkHours';

/** The maker's own: name, how to be reached, and the mark that stands on proofs. */
export function WorkshopCard() {
  const graphics = useQuery({ queryKey: ['graphics'], queryFn: () => answer(api.GET('/api/graphics')), select: (l) => l.cards });
  const own = useDocument({
    ...documentSource('workshops', 'workshop', {
      key: ['workshop'],
      of: (v) => v.workshop,
      touches: [['proof'], ['day'], ['cost'], ['quotation']],
    }),
    load: () => answer(api.GET('/api/workshops')),
  });
  const { document, edit } = own;
  if (!document) return null;
  const addressProblem = own.view?.problems.find((p) => p.fields.includes('address'))?.message;
  return (
    <section className="card workshop" aria-label="The workshop">
      <Conflict words={own.conflict} takeTheirs={own.takeTheirs} keepMine={own.keepMine} />
      <label>
        Name
        <Form.Control
          size="sm"
          aria-label="Name of the workshop"
          value={document.name}
          onChange={(e) => edit((w) => ({ ...w, name: e.target.value }))}
        />
      </label>
      <label>
        How to reach it
        <Form.Control
          size="sm"
          aria-label="How to reach the workshop"
          value={document.contact}
          onChange={(e) => edit((w) => ({ ...w, contact: e.target.value }))}
        />
      </label>
      <label>
        Mark
        <Form.Select
          size="sm"
          aria-label="Mark of the workshop"
          value={document.markId}
          onChange={(e) => edit((w) => ({ ...w, markId: e.target.value }))}
        >
          <option value="">none</option>
          {graphics.data?.map((g) => (
            <option key={g.id} value={g.id}>
              {g.graphic.name}
            </option>
          ))}
        </Form.Select>
      </label>
      <label>
        Address for the bench’s tablet
        <Form.Control
          size="sm"
          maxLength={300}
          placeholder="http://bench.local:5080"
          value={document.address}
          isInvalid={!!addressProblem}
          onChange={(e) => edit((w) => ({ ...w, address: e.target.value }))}
        />
        {addressProblem && (
          <span className="echo problem">
            <Words of={addressProblem} />
          </span>
        )}
      </label>
      {own.view && <RatesFields rates={document.rates} problems={own.view.problems} onChange={(rates) => edit((w) => ({ ...w, rates }))} />}
      {own.view && <WorkHours view={own.view} hours={document.hours} onChange={(hours) => edit((w) => ({ ...w, hours }))} />}
      <p className="soft small">
        Name, mark and how to reach it stand on proofs; a mark is one of the graphics that were brought into a motif. The address is how a
        tablet in the workshop reaches Cabida: the code on a bench card leads there.
      </p>
    </section>
  );
}

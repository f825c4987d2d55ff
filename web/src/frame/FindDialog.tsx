import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form, Modal } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';

const PLACE: Record<string, (id: string) => string> = {
  job: (id) => `/jobs/${id}`,
  run: (id) => `/runs/${id}/fit`,
  blank: (id) => `/shelf/${id}`,
  motif: (id) => `/motifs/${id}`,
  film: () => '/stock',
  cutter: () => '/stock',
  press: () => '/stock',
  offer: (id) => `/jobs/offers/${id}`,
  order: (id) => `/jobs/orders/${id}`,
};

/** Finds anything by its name. */
export function FindDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [words, setWords] = useState('');
  const go = useNavigate();
  const { data } = useQuery({
    queryKey: ['find', words],
    enabled: open,
    queryFn: () => answer(api.GET('/api/find', { params: { query: { words } } })),
  });
  return (
    <Modal show={open} onHide={onClose} aria-labelledby="find-title">
      <Modal.Header closeButton>
        <Modal.Title id="find-title">Find</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <Form.Control
          autoFocus
          aria-label="Part of a name"
          placeholder="Part of a name"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
        <ul className="found">
          {data?.map((f) => (
            <li key={f.kind + f.id}>
              <button
                type="button"
                onClick={() => {
                  onClose();
                  void go(PLACE[f.kind]?.(f.id) ?? '/jobs');
                }}
              >
                {f.name}
                <span>{f.kind}</span>
              </button>
            </li>
          ))}
        </ul>
        {data?.length === 0 && <p className="soft">Nothing is called that.</p>}
      </Modal.Body>
    </Modal>
  );
}

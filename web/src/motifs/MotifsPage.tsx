import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { InkPicture } from '../board/InkPicture';
import { BrokenCards } from '../frame/BrokenCards';
import { TitleRow, Waiting } from '../frame/TitleRow';

/** Every motif, drawn in ink with a sample name. */
export function MotifsPage() {
  const { data, error } = useQuery({ queryKey: ['motifs'], queryFn: () => answer(api.GET('/api/motifs')) });
  if (!data) return <Waiting error={error} />;
  return (
    <div className="page">
      <TitleRow title="Motifs" about={`${data.cards.length} ${data.cards.length === 1 ? 'motif' : 'motifs'}, shown with a sample name`} />
      {data.cards.length + data.broken.length === 0 && (
        <p className="empty">No motif yet. A motif is artwork that stays lettering: a name that changes, and whatever stands around it.</p>
      )}
      <BrokenCards kind="motifs" of={data.broken} />
      <div className="cards">
        {data.cards.map((m) => (
          <Link key={m.id} to={`/motifs/${m.id}`} className="slip motif-slip">
            {m.inkBox ? <InkPicture label={m.name} box={m.inkBox} inks={m.inks} /> : <span className="soft">no ink</span>}
            <strong>{m.name || 'Without a name'}</strong>
            <span className="soft">
              {m.fields.length ? `changes: ${m.fields.join(', ')}` : 'nothing in it changes'}
              {m.usedBy.length > 0 && ` · used by ${m.usedBy.join(', ')}`}
            </span>
          </Link>
        ))}
        <NewMotif />
      </div>
    </div>
  );
}

function NewMotif() {
  const [name, setName] = useState('');
  const go = useNavigate();
  const cache = useQueryClient();
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/motifs', { body: { name: name.trim() } })),
    onSuccess: (m) => {
      void cache.invalidateQueries({ queryKey: ['motifs'] });
      void go(`/motifs/${m.id}`);
    },
  });
  return (
    <Form
      className="new-card"
      onSubmit={(e) => {
        e.preventDefault();
        if (name.trim()) add.mutate();
      }}
    >
      <strong>Compose a motif</strong>
      <Form.Control
        size="sm"
        aria-label="Name of the motif"
        placeholder="What is it called?"
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Button type="submit" size="sm" variant="main" disabled={!name.trim() || add.isPending}>
        Start with a name
      </Button>
      {add.error && <p className="echo problem">{add.error.message}</p>}
    </Form>
  );
}

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { Words } from '../units/Words';
import { ShelfPicture } from './ShelfPicture';

export const SURFACES: Record<Schemas['SurfaceKind'], string> = { straight: 'Straight', tapered: 'Tapered' };

/** Every blank, drawn to one common scale. */
export function ShelfPage() {
  const { data, error } = useQuery({ queryKey: ['blanks'], queryFn: () => answer(api.GET('/api/blanks')) });
  const [surface, setSurface] = useState<Schemas['SurfaceKind']>();
  if (!data) return <Waiting error={error} />;
  const shown = data.filter((b) => !surface || b.surface === surface);
  const tallest = Math.max(1, ...data.map((b) => b.standing.box.maxY - b.standing.box.minY));
  return (
    <div className="page">
      <TitleRow title="Shelf" about={`${data.length} ${data.length === 1 ? 'blank' : 'blanks'}, drawn to one scale`}>
        <div className="filter" role="group" aria-label="Surface">
          {[undefined, 'straight' as const, 'tapered' as const].map((s) => (
            <button key={s ?? 'all'} type="button" className={surface === s ? 'quiet here' : 'quiet'} aria-pressed={surface === s} onClick={() => setSurface(s)}>{s ? SURFACES[s] : 'All'}</button>
          ))}
        </div>
      </TitleRow>
      {data.length === 0 && (
        <p className="empty">Nothing measured yet. A blank is a mug, a tumbler or a glass as you buy it: measure it once, and every run can use it.</p>
      )}
      <div className="shelf">
        {shown.map((b) => (
          <Link key={b.id} to={`/shelf/${b.id}`} className="shelf-blank">
            <ShelfPicture drawing={b.standing} tallest={tallest} />
            <strong>{b.name || 'Without a name'}</strong>
            <span><Words of={b.size} /></span>
            <span className="soft">
              {SURFACES[b.surface].toLowerCase()}{b.usedBy.length > 0 && `, used by ${b.usedBy.length} ${b.usedBy.length === 1 ? 'run' : 'runs'}`}
              {b.findings > 0 && <em className="look"> ▲ {b.findings} to look at</em>}
            </span>
          </Link>
        ))}
        <NewBlank />
      </div>
    </div>
  );
}

function NewBlank() {
  const [name, setName] = useState('');
  const [surface, setSurface] = useState<Schemas['SurfaceKind']>('straight');
  const go = useNavigate();
  const cache = useQueryClient();
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/blanks', { body: { name: name.trim(), surface } })),
    onSuccess: (blank) => {
      void cache.invalidateQueries({ queryKey: ['blanks'] });
      void go(`/shelf/${blank.id}`);
    },
  });
  return (
    <Form className="new-card" onSubmit={(e) => { e.preventDefault(); if (name.trim()) add.mutate(); }}>
      <strong>Measure a blank</strong>
      <Form.Control size="sm" aria-label="Name of the blank" placeholder="What is it called?" value={name} onChange={(e) => setName(e.target.value)} />
      <Form.Select size="sm" aria-label="Surface" value={surface} onChange={(e) => setSurface(e.target.value as Schemas['SurfaceKind'])}>
        <option value="straight">straight wall: mug, glass</option>
        <option value="tapered">tapered wall: tumbler, cone</option>
      </Form.Select>
      <Button type="submit" size="sm" variant="main" disabled={!name.trim() || add.isPending}>Start measuring</Button>
      {add.error && <p className="echo problem">{add.error.message}</p>}
    </Form>
  );
}

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answer, api } from '../api/client';
import { BrokenCards } from '../frame/BrokenCards';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { CutterCard } from './CutterCard';
import { FilmRack } from './FilmRack';
import { PressCard } from './PressCard';
import { Typefaces } from './Typefaces';
import { WorkshopCard } from './WorkshopCard';

/** Films as a rack, cutters, presses and typefaces. */
export function StockPage() {
  const films = useQuery({ queryKey: ['films'], queryFn: () => answer(api.GET('/api/films')) });
  const stock = useQuery({ queryKey: ['stock'], queryFn: () => answer(api.GET('/api/stock')) });
  const cutters = useQuery({ queryKey: ['cutters'], queryFn: () => answer(api.GET('/api/cutters')) });
  const presses = useQuery({ queryKey: ['presses'], queryFn: () => answer(api.GET('/api/presses')) });
  const cache = useQueryClient();
  const addFilm = useMutation({
    mutationFn: (name: string) => answer(api.POST('/api/films', { body: { name } })),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['films'] }),
  });
  const addCutter = useMutation({
    mutationFn: (name: string) => answer(api.POST('/api/cutters', { body: { name } })),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['cutters'] }),
  });
  const addPress = useMutation({
    mutationFn: (name: string) => answer(api.POST('/api/presses', { body: { name } })),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['presses'] }),
  });
  if (!films.data || !cutters.data || !stock.data || !presses.data)
    return <Waiting error={films.error ?? cutters.error ?? stock.error ?? presses.error} />;
  return (
    <div className="page">
      <TitleRow title="Stock" about="What you cut, what you cut it with, and what you letter in" />
      <h2 className="section">Films</h2>
      <BrokenCards kind="films" of={films.data.broken} />
      <FilmRack films={films.data.cards} stock={stock.data.cards} />
      <NewStock what="film" hint="A film is whatever is cut: vinyl, flex, card." add={(name) => addFilm.mutate(name)} />
      <h2 className="section">Cutters</h2>
      <BrokenCards kind="cutters" of={cutters.data.broken} />
      <div className="stock-cards wide">
        {cutters.data.cards.map((c) => (
          <CutterCard key={c.id} view={c} />
        ))}
        <NewStock what="cutter" hint="Measure what it really reaches: less than its mat." add={(name) => addCutter.mutate(name)} />
      </div>
      <h2 className="section">Presses</h2>
      <BrokenCards kind="presses" of={presses.data.broken} />
      <div className="stock-cards wide">
        {presses.data.cards.map((p) => (
          <PressCard key={p.id} id={p.id} />
        ))}
        <NewStock what="press" hint="Measure its platen, and once how hot it really is." add={(name) => addPress.mutate(name)} />
      </div>
      <h2 className="section">The workshop</h2>
      <WorkshopCard />
      <h2 className="section">Typefaces</h2>
      <Typefaces />
    </div>
  );
}

function NewStock({ what, hint, add }: { what: string; hint: string; add: (name: string) => void }) {
  const [name, setName] = useState('');
  return (
    <Form
      className="new-card new-stock"
      onSubmit={(e) => {
        e.preventDefault();
        if (name.trim()) {
          add(name.trim());
          setName('');
        }
      }}
    >
      <strong>Add a {what}</strong>
      <span className="soft small">{hint}</span>
      <Form.Control
        size="sm"
        aria-label={`Name of the ${what}`}
        placeholder="What is it called?"
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Button type="submit" size="sm" variant="main" disabled={!name.trim()}>
        Add
      </Button>
    </Form>
  );
}

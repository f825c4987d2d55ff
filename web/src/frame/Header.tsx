import { useState } from 'react';
import { ButtonGroup, Button, Form } from 'react-bootstrap';
import { NavLink, useLocation } from 'react-router';
import type { Units } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { FindDialog } from './FindDialog';
import { KeysDialog } from './KeysDialog';
import { SavedNote } from '../api/saving';
import { ThemeSwitch } from './ThemeSwitch';
import { useKeys } from './useKeys';

const PLACES = [
  ['/jobs', 'Jobs'],
  ['/shelf', 'Shelf'],
  ['/motifs', 'Motifs'],
  ['/stock', 'Stock'],
  ['/cutting', 'Cutting'],
] as const;

export function Header() {
  const [open, setOpen] = useState<'find' | 'keys'>();
  const inRun = useLocation().pathname.startsWith('/runs/');
  useKeys({
    '?': () => setOpen('keys'),
    'ctrl+f': () => setOpen('find'),
  });
  return (
    <header className="frame">
      <NavLink to="/jobs" className="maker-mark" aria-label="Cabida, to the jobs">
        <svg viewBox="0 0 32 24" width="30" height="23" fill="none" strokeWidth="2.6" aria-hidden="true">
          <path d="M8 2H2.5V22H8M24 2H29.5V22H24" stroke="currentColor" />
          <path d="M7.5 12H24.5M10.5 15L14 9M18 15L21.5 9" className="mark-span" strokeWidth="2.2" />
        </svg>
        Cabida
      </NavLink>
      <nav aria-label="Places">
        {PLACES.map(([to, name]) => (
          <NavLink key={to} to={to} className={({ isActive }) => (isActive || (to === '/jobs' && inRun) ? 'place here' : 'place')}>
            {name}
          </NavLink>
        ))}
      </nav>
      <SavedNote />
      <UnitSwitch />
      <ThemeSwitch />
      <NavLink to="/safekeeping" className={({ isActive }) => (isActive ? 'quiet here' : 'quiet')}>
        Safekeeping
      </NavLink>
      <button type="button" className="quiet" onClick={() => setOpen('find')}>
        Find
      </button>
      <button type="button" className="quiet" aria-label="Keys of this view" onClick={() => setOpen('keys')}>
        ?
      </button>
      <FindDialog open={open === 'find'} onClose={() => setOpen(undefined)} />
      <KeysDialog open={open === 'keys'} onClose={() => setOpen(undefined)} />
    </header>
  );
}

function UnitSwitch() {
  const { units, choose } = useUnits();
  return (
    <div className="unit-switch">
      <ButtonGroup size="sm" aria-label="Unit">
        {(['mm', 'in'] as const).map((unit) => (
          <Button
            key={unit}
            variant="unit"
            active={units.unit === unit}
            aria-pressed={units.unit === unit}
            onClick={() => choose({ ...units, unit })}
          >
            {unit}
          </Button>
        ))}
      </ButtonGroup>
      {units.unit === 'in' && (
        <Form.Select
          size="sm"
          aria-label="Inches shown as"
          value={units.fraction}
          onChange={(e) => choose({ ...units, fraction: Number(e.target.value) as Units['fraction'] })}
        >
          <option value={0}>decimal</option>
          <option value={8}>1/8</option>
          <option value={16}>1/16</option>
          <option value={32}>1/32</option>
        </Form.Select>
      )}
    </div>
  );
}

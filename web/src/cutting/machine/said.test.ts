import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { USUAL as UNITS } from '../../units/units';
import { depthSaid, farSaid, sizeSaid, stateSaid, warningSaid } from './said';
import { jobsOf } from './useMachine';

const job = (change: Partial<Schemas['JobInCutter']> = {}): Schemas['JobInCutter'] => ({
  id: 'load.cut1',
  name: 'Crew, load 1 of 2',
  film: 'Navy vinyl',
  format: 'hpgl',
  isTest: false,
  state: 'first',
  lines: 120,
  cut: 34,
  share: 0.5,
  seconds: 60,
  secondsLeft: 150,
  width: 280,
  height: 140,
  depth: { depth: 0.1, film: 0.08, backing: 0.12 },
  warnings: [],
  ...change,
});

const view = (state: Schemas['CutterState'], jobs: Schemas['JobInCutter'][], problem = ''): Schemas['MachineView'] => ({
  id: 'stand-in',
  name: 'Cutter stand-in',
  problem,
  answer: { state, film: 'Navy vinyl', isDown: true, at: { x: 0, y: 0 }, timesAsFast: 1, jobs },
  unfinished: [],
});

describe('what a cutter is said to do', () => {
  it('tells its state, and nothing of what it said before once it is away', () => {
    expect(stateSaid(view('cutting', [job()]))).toBe('Cutting, blade down');
    expect(stateSaid(view('waitsForFilm', [job({ film: 'Copper vinyl' })]))).toBe('Waits for Copper vinyl to be put in');
    expect(stateSaid(view('cutting', [job()], 'It is away.'))).toBe('Not there');
    expect(farSaid(job())).toBe('34 of 120 lines, 2.5 min left');
    expect(farSaid(job({ state: 'queued' }))).toBe('Waits in the queue, 2.5 min to cut');
  });

  it('tells how deep it cuts from the film to what lies under it', () => {
    expect(depthSaid(job(), UNITS)).toContain('holds');
    expect(depthSaid(job({ depth: { depth: 0.07, film: 0.08, backing: 0.12 } }), UNITS)).toContain('not through the film of 0.08');
    expect(depthSaid(job({ depth: { depth: 0.2, film: 0.08, backing: 0.12 } }), UNITS)).toContain('right through');
    expect(depthSaid(job({ depth: null }), UNITS)).toContain('cannot tell');
    expect(warningSaid({ kind: 'outsideReach', count: 1, millimetres: 18 }, UNITS)).toContain('1 line leaves what it reaches');
  });

  it('warns of another size, but not of the swing of a knife', () => {
    expect(sizeSaid(job(), { width: 279, height: 139.6 }, UNITS)).toBeUndefined();
    expect(sizeSaid(job({ width: 74.1, height: 37 }), { width: 280, height: 140 }, UNITS)).toContain(
      'takes the numbers for something else',
    );
  });

  it('knows the jobs of a load from those of others, and a test cut from a load', () => {
    const jobs = [
      job({ id: 'other.cut1' }),
      job({ id: 'load.cut2', state: 'queued' }),
      job({ id: 'load.test', isTest: true, state: 'done' }),
      job({ id: 'load.cut1', state: 'done' }),
      job({ id: 'loads.cut1', state: 'done' }),
    ];
    const own = jobsOf('load', view('cutting', jobs));
    expect([own.now?.id, own.done?.id, own.test?.id, own.left]).toEqual(['load.cut2', 'load.cut1', 'load.test', undefined]);
  });
});

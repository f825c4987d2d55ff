import type { Schemas } from '../../api/client';
import { length, type Units } from '../../units/units';
import { minutesSaid } from '../../weeding/said';

type Job = Schemas['JobInCutter'];

/** What a cutter is doing, in words. */
export function stateSaid({ answer, problem }: Schemas['MachineView']): string {
  if (problem || !answer) return 'Not there';
  const first = answer.jobs.find((j) => j.state === 'first');
  switch (answer.state) {
    case 'cutting':
      return `Cutting, blade ${answer.isDown ? 'down' : 'up'}`;
    case 'paused':
      return 'Paused, blade lifted';
    case 'outOfFilm':
      return 'Out of film, blade lifted';
    case 'waitsForFilm':
      return `Waits for ${first?.film ?? 'film'} to be put in`;
    case 'held':
      return 'Waits for your word';
    default:
      return answer.film ? `Idle, ${answer.film} in it` : 'Idle, empty';
  }
}

/** How far a load is. */
export const farSaid = (job: Job) =>
  job.state === 'queued'
    ? `Waits in the queue, ${minutesSaid(job.secondsLeft / 60)} to cut`
    : `${job.cut} of ${job.lines} lines, ${minutesSaid(job.secondsLeft / 60)} left`;

/** How deep a test cut came. */
export function depthSaid({ depth }: Job, units: Units): string {
  if (!depth) return 'It cannot tell how deep it cuts: give the pressure in g or N, and the passes as a number.';
  const [cut, film, backing] = [depth.depth, depth.film, depth.backing].map((mm) => length(mm, units, 2));
  if (depth.depth < depth.film) return `${cut} deep: not through the film of ${film}. More pressure, or another pass.`;
  return depth.depth >= depth.film + depth.backing
    ? `${cut} deep: through the film of ${film} and right through what lies under it, ${backing}. Less pressure, or a shorter blade.`
    : `${cut} deep: through the film of ${film}; what lies under it, ${backing}, holds.`;
}

/** A warning in words. */
export function warningSaid({ kind, count, millimetres }: Schemas['CutterWarning'], units: Units): string {
  switch (kind) {
    case 'outsideReach':
      return count === 1
        ? `1 line leaves what it reaches, by ${length(millimetres, units)}. It does not cut it.`
        : `${count} lines leave what it reaches, by up to ${length(millimetres, units)}. It does not cut them.`;
    case 'notThrough':
      return `At ${length(millimetres, units, 2)} deep it does not come through the film.`;
    case 'rightThrough':
      return `At ${length(millimetres, units, 2)} deep it cuts right through what lies under the film.`;
    default:
      return 'It cannot tell from these settings how deep it cuts.';
  }
}

/** What is wrong with the size of what it cuts, if it is another than the file’s; a knife’s swing is let pass. */
export function sizeSaid(job: Job, file: { width: number; height: number }, units: Units): string | undefined {
  const knife = 1.2;
  const isOff = (a: number, b: number) => Math.abs(a - b) > Math.max(knife, 0.01 * b);
  const size = (of: { width: number; height: number }) => `${length(of.width, units)} × ${length(of.height, units)}`;
  return isOff(job.width, file.width) || isOff(job.height, file.height)
    ? `It makes it ${size(job)}; the file measures ${size(file)}. ` +
        'Its program takes the numbers for something else: see the cutter’s test square.'
    : undefined;
}

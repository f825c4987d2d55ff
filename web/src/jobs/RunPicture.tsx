import type { Schemas } from '../api/client';
import { InkPicture } from '../board/InkPicture';

/** The first piece of a run on its blank, laid flat. */
export function RunPicture({ run }: { run: Schemas['RunCard'] }) {
  if (!run.first || !run.ground) return <span className="run-picture blank" aria-hidden="true" />;
  return (
    <InkPicture
      className={run.ground.goods.isDark ? 'run-picture on-dark' : 'run-picture'}
      goods={run.ground.goods.colour}
      label={`${run.first.name}, laid flat`}
      box={run.ground}
      paths={[
        { d: run.ground.edge, className: 'stroke-edge with-ground' },
        { d: run.ground.zone, className: 'stroke-zone' },
      ]}
      inks={run.first.inks}
    />
  );
}

import { needsSaid, useReadiness } from './readiness';

/** What a run still needs, in a few words; its slip leads there. */
export function RunNeeds({ id }: { id: string }) {
  const of = useReadiness(id);
  return <>{of ? needsSaid(of) : 'being looked at …'}</>;
}

import { useState } from 'react';
import type { Schemas } from '../api/client';
import { CostTab } from '../costs/CostTab';
import { Tabs } from '../frame/Tabs';
import { BenchView } from './BenchView';
import { CareTab } from './CareTab';
import { StepsTab } from './StepsTab';
import { TemplateTab } from './TemplateTab';

const TABS = [
  ['card', 'Card'],
  ['steps', 'Steps and pieces'],
  ['template', 'Template'],
  ['care', 'Care note'],
  ['cost', 'Cost'],
] as const;

type SetUp = Schemas['RunSetUp'];

interface Props {
  id: string;
  job: Schemas['Job'];
  setUp: SetUp;
  revision: number;
  pieces: readonly Schemas['Piece'][];
  /** Changes what the run is set up with. */
  onSetUp: (change: Partial<SetUp>) => void;
}

/** The bench of a run: its card, its steps and how far its pieces are. */
export function BenchPage({ id, job, setUp, revision, pieces, onSetUp }: Props) {
  const [here, choose] = useState<(typeof TABS)[number][0]>('card');
  return (
    <Tabs label="Of the bench" tabs={TABS} here={here} onHere={choose} className="no-print">
      {here === 'card' && <BenchView id={id} job={job} jobId={setUp.jobId} name={setUp.name} onPress={(pressId) => onSetUp({ pressId })} />}
      {here === 'steps' && <StepsTab id={id} own={setUp.steps} onSteps={(change) => onSetUp({ steps: change(setUp.steps) })} />}
      {here === 'template' && <TemplateTab id={id} pieces={pieces} sides={1 + setUp.sides.length} />}
      {here === 'care' && (
        <CareTab id={id} care={setUp.care} revision={revision} first={pieces[0]?.name ?? ''} onCare={(care) => onSetUp({ care })} />
      )}
      {here === 'cost' && <CostTab id={id} jobId={setUp.jobId} price={setUp.price} onPrice={(price) => onSetUp({ price })} />}
    </Tabs>
  );
}

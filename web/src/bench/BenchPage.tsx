import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Tabs } from '../frame/Tabs';
import { BenchView } from './BenchView';
import { StepsTab, type EditSteps } from './StepsTab';

const TABS = [
  ['card', 'Card'],
  ['steps', 'Steps and pieces'],
] as const;

interface Props {
  id: string;
  job: Schemas['Job'];
  name: string;
  /** Has the run pressed by another press. */
  onPress: (pressId: string) => void;
  /** Changes the steps of the run. */
  onSteps: EditSteps;
}

/** The bench of a run: its card, its steps and how far its pieces are. */
export function BenchPage({ id, job, name, onPress, onSteps }: Props) {
  const [here, choose] = useState<(typeof TABS)[number][0]>('card');
  return (
    <Tabs label="Of the bench" tabs={TABS} here={here} onHere={choose} className="no-print">
      {here === 'card' && <BenchView id={id} job={job} name={name} onPress={onPress} />}
      {here === 'steps' && <StepsTab id={id} onSteps={onSteps} />}
    </Tabs>
  );
}

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useSafekeepingDeeds, type Safekeeping } from './useSafekeeping';

/** Where every copy goes as well: best a disk that can be carried away. */
export function SecondFolderCard({ view }: { view: Safekeeping }) {
  const { choose } = useSafekeepingDeeds();
  const [typed, setTyped] = useState<string>();
  const folder = typed ?? view.secondFolder;
  const problem = choose.error?.message ?? view.secondProblem;
  return (
    <section className="card" aria-label="A second place">
      <h2>A second place</h2>
      <p className="soft">
        A disk that dies takes the copies beside the library with it. Name a folder on another disk, a stick or a share; every copy goes
        there too, by the same rule.
      </p>
      <Form
        className="second-folder"
        onSubmit={(e) => {
          e.preventDefault();
          choose.mutate(folder, { onSuccess: () => setTyped(undefined) });
        }}
      >
        <Form.Control
          size="sm"
          aria-label="Folder for copies"
          placeholder="/media/stick/cabida"
          value={folder}
          isInvalid={problem.length > 0}
          onChange={(e) => setTyped(e.target.value)}
        />
        <Button type="submit" size="sm" variant="main" disabled={choose.isPending || folder === view.secondFolder}>
          {folder.trim() === '' && view.secondFolder ? 'Only here from now on' : 'Copy there too'}
        </Button>
      </Form>
      {problem && <p className="echo problem">{problem}</p>}
      {!problem && view.secondFolder && typed === undefined && <p className="echo">Copies go there.</p>}
    </section>
  );
}

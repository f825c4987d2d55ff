import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { STAGES, StageBar } from '../making/StageBar';

type Stage = Schemas['PieceStage'];

interface Props {
  pieces: readonly Schemas['StagedPiece'][];
  onTick: (pieces: string[], stage: Stage, isBack: boolean) => void;
}

/** How far each piece is, ticked one by one or all at once. */
export function PiecesCard({ pieces, onTick }: Props) {
  const behind = (stage: Stage) => pieces.filter((p) => at(p.stage) < at(stage)).map((p) => p.id);
  return (
    <section className="card" aria-label="Pieces">
      <h2>Pieces</h2>
      <StageBar pieces={pieces} />
      <div className="deeds">
        {(['weeded', 'pressed', 'packed'] as const).map((stage) => (
          <button
            key={stage}
            type="button"
            className="btn btn-sm btn-line"
            disabled={behind(stage).length === 0}
            onClick={() => onTick(behind(stage), stage, false)}
          >
            All {STAGES[stage]}
          </button>
        ))}
      </div>
      <table className="figures stages">
        <tbody>
          {pieces.map((p) => (
            <tr key={p.id}>
              <th scope="row">
                {p.name || '–'}
                {p.copies > 1 && <span className="hint"> × {p.copies}</span>}
              </th>
              <td>
                <Form.Select
                  size="sm"
                  aria-label={`How far ${p.name} is`}
                  value={p.stage}
                  onChange={(e) => onTick([p.id], e.target.value as Stage, at(e.target.value as Stage) < at(p.stage))}
                >
                  {Object.entries(STAGES).map(([stage, words]) => (
                    <option key={stage} value={stage}>
                      {words}
                    </option>
                  ))}
                </Form.Select>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const at = (stage: Stage) => Object.keys(STAGES).indexOf(stage);

import { Modal } from 'react-bootstrap';
import { useLocation } from 'react-router';

const EVERYWHERE = [
  ['?', 'these keys'],
  ['Ctrl F', 'find by name'],
  ['Ctrl Z', 'undo the last change here'],
  ['Ctrl Shift Z', 'redo it'],
  ['Tab', 'to the next field'],
];
const FIT = [
  ['← →', 'the piece before, the piece after'],
  ['Home End', 'the first piece, the last piece'],
  ['N', 'the next piece with a finding'],
  ['O', 'outline or film colour'],
  ['D', 'dimensions on or off'],
  ['T', 'true size, or as large as the frame'],
  ['B', 'the next view of the board'],
  ['S', 'this piece or the set'],
  ['W', 'the piece as waste, and back'],
  ['[ ]', 'turn the blank, when it is seen as a body'],
];
const MOTIF = [
  ['← → ↑ ↓', 'nudge the framed part by 0.1 mm, with Shift by 1 mm'],
  ['Enter', 'open a row, or the forms of a letter'],
];
const READINGS = [['Enter', 'a further reading in this row']];

/** The keys of the view at hand. */
export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const path = useLocation().pathname;
  const own = path.endsWith('/fit') ? FIT : path.startsWith('/shelf/') ? READINGS : path.startsWith('/motifs/') ? MOTIF : [];
  return (
    <Modal show={open} onHide={onClose} aria-labelledby="keys-title" size="sm">
      <Modal.Header closeButton>
        <Modal.Title id="keys-title">Keys of this view</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <dl className="keys">
          {[...own, ...EVERYWHERE].map(([key, what]) => (
            <div key={key}>
              <dt>{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </Modal.Body>
    </Modal>
  );
}

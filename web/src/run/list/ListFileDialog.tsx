import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { sendFile, type Schemas } from '../../api/client';
import { Choice } from '../../fields/Choice';
import { Words } from '../../units/Words';
import { Columns } from './ColumnsRow';

interface Props {
  id: string;
  file: File;
  view: Schemas['RunView'];
  onClose: () => void;
  onTake: (taken: { namesTyped: string; columns: string[]; hasHeading: boolean }) => void;
}

type Reading = Schemas['ListFileReading'];

const SEPARATORS = [
  ['', 'none: a line is a name'],
  [',', 'comma'],
  [';', 'semicolon'],
  ['\t', 'tab'],
  ['|', 'upright bar'],
] as const;

/**
 * A list file is looked at before it is taken: how it is read, what its columns are, the first of its rows. The list stays as it was until
 * then.
 */
export function ListFileDialog({ id, file, view, onClose, onTake }: Props) {
  const [reading, setReading] = useState<Reading>({ sheet: '', separator: '', encoding: '' });
  const [said, setSaid] = useState<{ columns: string[]; hasHeading: boolean }>();
  const query = new URLSearchParams({ name: file.name, ...reading });
  const { data, error } = useQuery({
    queryKey: ['list-file', id, file.name, file.size, file.lastModified, reading],
    queryFn: () => sendFile<Schemas['ListFileView']>(`/api/runs/${id}/list-file?${query}`, file),
    retry: false,
    placeholderData: (before) => before,
  });
  const columns = said ?? (data ? { columns: [...data.columns.fields], hasHeading: data.columns.hasHeading } : undefined);
  const again = (change: Partial<Reading>) => {
    setSaid(undefined);
    setReading({ ...reading, ...change });
  };
  const nameless = columns && columns.columns.length > 0 && !columns.columns.includes('name');
  return (
    <Modal show onHide={onClose} size="lg" aria-labelledby="list-file-title">
      <Modal.Header closeButton>
        <Modal.Title id="list-file-title">The list in {file.name}</Modal.Title>
      </Modal.Header>
      <Modal.Body className="list-file">
        {error && (
          <p className="finding stop" role="alert">
            {error.message} The list of the run is as it was.
          </p>
        )}
        {data && columns && (
          <>
            <div className="part-fields">
              {data.sheets.length > 1 && (
                <Choice
                  label="Sheet"
                  value={data.reading.sheet}
                  of={data.sheets.map((s) => [s, s] as const)}
                  onChange={(sheet) => again({ sheet })}
                />
              )}
              {data.encodings.length > 0 && (
                <Choice
                  label="Cells are parted by"
                  value={data.reading.separator}
                  of={
                    SEPARATORS.some(([s]) => s === data.reading.separator)
                      ? SEPARATORS
                      : [...SEPARATORS, [data.reading.separator, data.reading.separator] as const]
                  }
                  onChange={(separator) => again({ separator: separator || '\u0001' })}
                />
              )}
              {data.encodings.length > 0 && (
                <Choice
                  label="Letters are stored as"
                  value={data.reading.encoding}
                  of={data.encodings.map((e) => [e, e] as const)}
                  onChange={(encoding) => again({ encoding })}
                />
              )}
            </div>
            {data.notes.map((n, i) => (
              <p key={i} className="finding">
                <Words of={n} />
              </p>
            ))}
            {columns.columns.length > 0 && (
              <Columns
                columns={columns.columns}
                head={data.head}
                fields={view.list.fields}
                heading={columns.hasHeading}
                onChange={(c, hasHeading) => setSaid({ columns: c, hasHeading })}
              />
            )}
            {nameless && <p className="finding stop">Say which column is the name.</p>}
            <div className="list-head">
              <table aria-label="First rows">
                <tbody>
                  {data.head.map((row, i) => (
                    <tr key={i} className={i === 0 && columns.hasHeading ? 'heading' : ''}>
                      {row.map((c, j) => (
                        <td key={j} className={columns.columns[j] === '' && columns.columns.length > 0 ? 'soft' : ''}>
                          {c}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <p className="soft small">
              {data.rows} {data.rows === 1 ? 'row' : 'rows'} in all
              {data.rows > data.head.length ? `, of which the first ${data.head.length} are shown` : ''}. They replace the list there is;
              names that are in both keep their pieces. Undo brings it back.
            </p>
          </>
        )}
        {!data && !error && (
          <p className="soft" role="status">
            Reading {file.name} …
          </p>
        )}
      </Modal.Body>
      <Modal.Footer>
        <Form.Text className="me-auto" />
        <Button size="sm" variant="line" onClick={onClose}>
          Leave it
        </Button>
        <Button
          size="sm"
          variant="main"
          disabled={!data || !columns || !!nameless}
          onClick={() => data && columns && onTake({ namesTyped: data.typed, ...columns })}
        >
          Take this list
        </Button>
      </Modal.Footer>
    </Modal>
  );
}

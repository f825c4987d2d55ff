import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answer, api, type Schemas } from '../../api/client';
import { mended } from '../../api/documents';
import { Words } from '../../units/Words';
import type { NamesList, RunDocument } from '../useRun';
import { ColumnsRow } from './ColumnsRow';
import { ListFileDialog } from './ListFileDialog';
import { ListNotes } from './ListNotes';

interface Props {
  id: string;
  run: RunDocument;
  view: Schemas['RunView'];
  document: NamesList;
  lack?: Schemas['Phrase'];
}

/** The names of a run: typed, pasted with their columns, or brought in from a file. What was typed stays as it is. */
export function ListCard({ id, run, view, document, lack }: Props) {
  const [file, setFile] = useState<File>();
  const { list } = view;
  const able = useQuery({
    queryKey: ['run', id, 'able-typefaces', view.revision],
    enabled: list.missing.length > 0,
    queryFn: () => answer(api.GET('/api/runs/{id}/able-typefaces', { params: { path: { id } } })),
    placeholderData: keepPreviousData,
  });
  const made = list.made === list.pieces ? '' : ` · ${list.made} made`;
  return (
    <section className="card names" aria-label="Names">
      <h2>
        Names
        <span className="hint">
          one a line, typed or pasted · {list.pieces} {list.pieces === 1 ? 'piece' : 'pieces'}
          {made}
        </span>
      </h2>
      {document.columns.length > 0 && <ColumnsRow view={view} run={document} edit={run.editList} />}
      <Form.Control
        as="textarea"
        aria-label="Names, one a line"
        spellCheck={false}
        placeholder={'One name a line.\nPaste rows of a spreadsheet as they are: their columns become fields.'}
        value={document.namesTyped}
        onChange={(e) => run.editList((r) => ({ ...r, namesTyped: e.target.value }))}
      />
      <div className="list-deeds">
        <label className="btn btn-sm btn-line">
          Bring in a file
          <input
            type="file"
            className="visually-hidden"
            aria-label="List file"
            accept=".csv,.txt,.tsv,.xlsx,.xls"
            onChange={(e) => {
              setFile(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
        <span className="soft small">CSV or spreadsheet</span>
      </div>
      <ListNotes list={list} able={able.data} onMend={(remedies) => void run.order(mended('runs', id, remedies))} />
      {lack && (
        <p className="finding" role="status">
          <Words of={lack} />
        </p>
      )}
      {file && (
        <ListFileDialog
          id={id}
          file={file}
          view={view}
          onClose={() => setFile(undefined)}
          onTake={(taken) => {
            run.editList((r) => ({ ...r, ...taken }));
            setFile(undefined);
          }}
        />
      )}
    </section>
  );
}

import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Problem } from '../api/client';
import { useKeys } from './useKeys';

interface Props {
  title: ReactNode;
  about?: ReactNode;
  children?: ReactNode;
  undo?: () => void;
  redo?: () => void;
  /** Where it is told what the thing of this page was. */
  past?: string;
}

/** The title of a page, what it is about, undo and redo, and what can be done with it. */
export function TitleRow({ title, about, children, undo, redo, past }: Props) {
  useKeys(undo && redo ? { 'ctrl+z': undo, 'ctrl+shift+z': redo, 'ctrl+y': redo } : {});
  return (
    <div className="title-row">
      <h1>{title}</h1>
      <div className="about">{about}</div>
      {undo && redo && (
        <div className="undo">
          <button type="button" className="quiet" onClick={undo}>
            Undo
          </button>
          <button type="button" className="quiet" onClick={redo}>
            Redo
          </button>
          {past && (
            <Link to={past} className="quiet" title="What it was, when, and the way back">
              Past
            </Link>
          )}
        </div>
      )}
      {children}
    </div>
  );
}

/** Told when the same thing was changed in another window. */
export function Conflict({ words, takeTheirs, keepMine }: { words?: string; takeTheirs: () => void; keepMine: () => void }) {
  if (!words) return null;
  return (
    <div className="conflict" role="alert">
      {words}
      <button type="button" className="btn btn-sm btn-line" onClick={takeTheirs}>
        Show that
      </button>
      <button type="button" className="btn btn-sm btn-line" onClick={keepMine}>
        Keep what is here
      </button>
    </div>
  );
}

/** Shown while something is on its way, or why it did not come. */
export function Waiting({ error, undo }: { error: Error | null; undo?: () => void }) {
  if (!error)
    return (
      <div className="page waiting">
        <p className="soft">One moment …</p>
      </div>
    );
  const broken = error instanceof Problem && error.status === 422;
  return (
    <div className="page waiting">
      <h1>{broken ? 'It cannot be worked out' : 'Not to be had'}</h1>
      <p>{error.message}</p>
      {broken && undo && (
        <p>
          <button type="button" className="btn btn-sm btn-line" onClick={undo}>
            Undo the last change
          </button>
        </p>
      )}
    </div>
  );
}

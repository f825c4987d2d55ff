import { ACTIONS, type Part } from './parts';

/** Drawn signs of what a part does: a block that is joined, cut out, stood clear of, or kept within; sheets for backings and mats. */
export function ActionSign({ part }: { part: Part }) {
  const sheets = part.kind === 'backing' || part.kind === 'mat';
  return (
    <svg className="part-sign" viewBox="0 0 16 16" role="img" aria-label={sheets ? part.kind : ACTIONS[part.action]}>
      {sheets ? (
        <path d="M2 5h9v9H2zM5 2h9v9" className="line" />
      ) : part.action === 'adds' ? (
        <path d="M2 8h6V3h6v10H2z" className="solid" />
      ) : part.action === 'cutsThrough' ? (
        <path d="M1.5 1.5h13v13h-13zM5 5v6h6V5z" className="solid" fillRule="evenodd" />
      ) : part.action === 'clearsAround' ? (
        <>
          <path d="M1.5 1.5h13v13h-13zM4 4v8h8V4z" className="solid" fillRule="evenodd" />
          <path d="M6 6h4v4H6z" className="solid" />
        </>
      ) : (
        <>
          <path d="M2 2h12v12H2z" className="line dashed" />
          <path d="M5 5h6v6H5z" className="solid" />
        </>
      )}
    </svg>
  );
}

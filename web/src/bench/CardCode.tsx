import type { Schemas } from '../api/client';

/** What opens the card on the bench's tablet: a code for its camera, with the address it stands for. */
export function CardCode({ code }: { code: Schemas['BenchCode'] }) {
  const size = code.code.modules;
  return (
    <figure className="card-code" title={code.address}>
      <svg viewBox={`0 0 ${size} ${size}`} role="img" aria-label={`Code that opens ${code.address}`} shapeRendering="crispEdges">
        <rect width={size} height={size} fill="#fff" />
        <path d={code.code.path} fill="#000" />
      </svg>
      <figcaption>{code.isHere ? 'opens on this computer only: note its address in the stock' : 'opens this card'}</figcaption>
    </figure>
  );
}

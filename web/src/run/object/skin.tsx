import { renderToStaticMarkup } from 'react-dom/server.browser';
import type { Schemas } from '../../api/client';
import { Ink } from '../../board/Ink';

/** The longer side of the painted skin, in pixels: about fifteen to the millimetre of a mug. */
const LONG = 4096;

/**
 * The skin of a body unrolled, x round it with the front in the middle: painted in the goods' colour at once, and with the ink as soon as
 * that is drawn.
 */
export function skin(
  body: Pick<Schemas['RoundObject'], 'skinWidth' | 'skinHeight'>,
  inks: readonly Schemas['InkView'][],
  goods: string,
  onDrawn: () => void,
): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  const k = LONG / Math.max(body.skinWidth, body.skinHeight);
  canvas.width = Math.round(body.skinWidth * k);
  canvas.height = Math.round(body.skinHeight * k);
  const pen = canvas.getContext('2d');
  if (!pen) return canvas;
  pen.fillStyle = goods || '#f2f0ea';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  const image = new Image();
  image.onload = () => {
    pen.drawImage(image, 0, 0, canvas.width, canvas.height);
    onDrawn();
  };
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(skinSvg(body, inks, canvas.width, canvas.height))}`;
  return canvas;
}

/** The ink on the skin as the flat drawing fills it, patterns too. */
export function skinSvg(
  body: Pick<Schemas['RoundObject'], 'skinWidth' | 'skinHeight'>,
  inks: readonly Schemas['InkView'][],
  width: number,
  height: number,
): string {
  return renderToStaticMarkup(
    <svg
      xmlns="http://www.w3.org/2000/svg"
      width={width}
      height={height}
      viewBox={`${-body.skinWidth / 2} ${-body.skinHeight} ${body.skinWidth} ${body.skinHeight}`}
      preserveAspectRatio="none"
    >
      <g transform="scale(1 -1)">
        <Ink inks={inks} />
      </g>
    </svg>,
  );
}

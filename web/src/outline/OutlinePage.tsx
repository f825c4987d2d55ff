import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { useBlank } from '../shelf/BlankPage';
import { FoundCard } from './FoundCard';
import { PictureBoard } from './PictureBoard';
import { ScannerTray } from './ScannerTray';
import { nextStep, ready, unsaid, type Request } from './trace';
import { TraceFields } from './TraceFields';

/** Follows the outline of an odd shape on a scan or picture and gives it to a blank. */
export function OutlinePage() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const faceId = search.get('face');
  const go = useNavigate();
  const blank = useBlank(id);
  const [picture, setPicture] = useState<Schemas['PictureView']>();
  const [request, setRequest] = useState<Request>();
  const [picked, setPicked] = useState<number>();
  const [erasing, setErasing] = useState(false);
  const change = (to: Partial<Request>) => {
    setRequest((r) => (r ? { ...r, ...to } : r));
    setPicked(undefined);
  };
  const take = (p: Schemas['PictureView']) => {
    setPicture(p);
    setRequest(unsaid(p));
    setPicked(undefined);
    setErasing(false);
  };
  const sheet = useQuery({
    queryKey: ['sheet', picture?.id],
    queryFn: ({ signal }) => answer(api.POST('/api/pictures/{id}/sheet', { params: { path: { id: picture?.id ?? '' } }, signal })),
    enabled: !!picture && request?.by === 'sheet' && request.points.length === 0,
    retry: false,
    staleTime: Infinity,
  });
  // What was found by itself stands until a mark is moved or taken away.
  const corners = sheet.data?.corners;
  const marks = request?.by === 'sheet' && request.points.length === 0 && corners?.length === 4 ? corners : request?.points;
  const asked = request && { ...request, points: [...(marks ?? [])] };
  const able = !!picture && !!asked && ready(asked);
  const { data, error, isFetching } = useQuery({
    queryKey: ['outlines', picture?.id, asked],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/pictures/{id}/outlines', { params: { path: { id: picture?.id ?? '' } }, body: asked as Request, signal })),
    enabled: able,
    placeholderData: (before) => before,
    retry: false,
    staleTime: Infinity,
  });
  if (!blank.view || !blank.document) return <Waiting error={blank.error} />;
  const face = blank.document.faces.find((f) => f.id === faceId);
  const found = able && !error ? data : undefined;
  const chosen = picked ?? found?.outlines.findIndex((o) => !o.problem) ?? -1;
  const outline = found?.outlines[chosen];
  const use = () => {
    if (!outline || !found || !picture) return;
    const drawn = { rings: outline.rings, source: found.source, uncertainty: found.uncertainty, pictureId: picture.id };
    const follow = (before: Schemas['PanelOutline']): Schemas['PanelOutline'] => ({ ...before, kind: 'drawn', drawn });
    blank.edit((b) =>
      faceId
        ? { ...b, faces: b.faces.map((f) => (f.id === faceId ? { ...f, outline: follow(f.outline) } : f)) }
        : { ...b, outline: follow(b.outline) },
    );
    void go(`/shelf/${id}`);
  };
  return (
    <div className="page fill">
      <TitleRow
        title={`Outline of ${blank.document.name}${face ? `, ${face.name}` : ''}`}
        about="from a scan or picture of the paper it was drawn on"
      >
        <div className="deeds">
          <button type="button" className="btn btn-sm btn-line" onClick={() => void go(`/shelf/${id}`)}>
            Back to the blank
          </button>
          <button type="button" className="btn btn-sm btn-main" disabled={!outline || !!outline.problem || isFetching} onClick={use}>
            Use this outline
          </button>
        </div>
      </TitleRow>
      <div className="measure-layout outline-layout">
        <section className="card sheet" aria-label="Picture followed">
          <div className="views" role="group" aria-label="On the picture">
            <button type="button" className={erasing ? 'view' : 'view here'} aria-pressed={!erasing} onClick={() => setErasing(false)}>
              Choose and mark
            </button>
            <button
              type="button"
              className={erasing ? 'view here' : 'view'}
              aria-pressed={erasing}
              disabled={!picture}
              onClick={() => setErasing(true)}
            >
              Cut stray bits away
            </button>
            {!!request?.erased.length && (
              <button type="button" className="quiet" onClick={() => change({ erased: request.erased.slice(0, -1) })}>
                Put the last one back
              </button>
            )}
          </div>
          {picture && asked ? (
            <PictureBoard
              picture={picture}
              request={asked}
              outlines={found?.outlines ?? []}
              chosen={chosen}
              erasing={erasing}
              onChoose={setPicked}
              onChange={change}
            />
          ) : (
            <div className="empty picture-empty">
              <p>
                Draw round the object on white paper, then scan it, or photograph the whole sheet from above. The outline is found, brought
                to size and smoothed; holes are kept.
              </p>
              <p>To try it, scan a sheet from the tray at the right.</p>
            </div>
          )}
        </section>
        <div className="column">
          <ScannerTray has={!!picture} onPicture={take} />
          {asked && (
            <TraceFields request={asked} used={found?.contrast} found={asked.by === 'sheet' && marks === corners} onChange={change} />
          )}
          {asked && (
            <FoundCard
              found={found}
              looking={isFetching || sheet.isFetching}
              error={error}
              next={sheet.isFetching ? '' : nextStep(asked)}
              chosen={chosen}
              onChoose={setPicked}
            />
          )}
        </div>
      </div>
    </div>
  );
}

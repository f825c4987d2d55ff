import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form, Modal } from 'react-bootstrap';
import { answer, api, sendFile, type Schemas } from '../api/client';
import { InkPicture } from '../board/InkPicture';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { GraphicFacts } from './GraphicFacts';
import { PictureTracing } from './PictureTracing';

type View = Schemas['GraphicView'];

/** The graphics at hand; more are brought in from drawing files and pictures. One is chosen to become a part. */
export function GraphicDialog({ onChoose, onClose }: { onChoose: (graphic: View) => void; onClose: () => void }) {
  const cache = useQueryClient();
  const { units } = useUnits();
  const all = useQuery({ queryKey: ['graphics'], queryFn: () => answer(api.GET('/api/graphics')), select: (l) => l.cards });
  const [chosen, setChosen] = useState<string>();
  const [picture, setPicture] = useState<{ id: string; name: string }>();
  const came = (g: View) => {
    void cache.invalidateQueries({ queryKey: ['graphics'] });
    setPicture(undefined);
    setChosen(g.id);
  };
  const add = useMutation({
    mutationFn: async (file: File) => {
      if (!/\.(png|jpe?g)$/i.test(file.name))
        return came(await sendFile<View>(`/api/graphics?name=${encodeURIComponent(file.name)}`, file));
      const kept = await sendFile<Schemas['PictureView']>('/api/pictures', file);
      setPicture({ id: kept.id, name: file.name });
    },
  });
  return (
    <Modal show onHide={onClose} size="lg" aria-labelledby="graphics-title">
      <Modal.Header closeButton>
        <Modal.Title id="graphics-title">Graphics</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {picture ? (
          <PictureTracing picture={picture} onDone={came} onBack={() => setPicture(undefined)} />
        ) : (
          <div className="graphic-choice">
            <div className="graphic-list">
              {all.data?.map((g) => (
                <button
                  key={g.id}
                  type="button"
                  className={g.id === chosen ? 'letter-form here' : 'letter-form'}
                  aria-pressed={g.id === chosen}
                  onClick={() => setChosen(g.id)}
                >
                  <Picture graphic={g} />
                  <span>{g.graphic.name}</span>
                  <span className="soft">{length(g.graphic.width * g.graphic.scale, units)} wide</span>
                </button>
              ))}
              <label className="new-card">
                <strong>Bring one in</strong>
                <span className="soft small">A drawing (SVG, DXF), or a picture (PNG, JPEG) to be traced.</span>
                <Form.Control
                  type="file"
                  size="sm"
                  aria-label="Graphic file"
                  accept=".svg,.dxf,.png,.jpg,.jpeg"
                  disabled={add.isPending}
                  onChange={(e) => {
                    const file = (e.target as HTMLInputElement).files?.[0];
                    if (file) add.mutate(file);
                  }}
                />
                {add.error && (
                  <span className="echo problem" role="alert">
                    {add.error.message}
                  </span>
                )}
              </label>
            </div>
            {chosen ? (
              <GraphicFacts key={chosen} id={chosen} onUse={onChoose} />
            ) : (
              <p className="soft">Choose a graphic, or bring one in. Its size, where it comes from and on what terms are kept with it.</p>
            )}
          </div>
        )}
      </Modal.Body>
    </Modal>
  );
}

function Picture({ graphic }: { graphic: Schemas['GraphicCard'] }) {
  return graphic.box ? (
    <InkPicture
      label={graphic.graphic.name}
      box={graphic.box}
      paths={graphic.paths.flatMap((p) => [
        { d: p.path, className: 'piece-ink', fill: p.colour },
        { d: p.lines, className: 'piece-lines' },
      ])}
    />
  ) : null;
}

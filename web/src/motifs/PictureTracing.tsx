import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answer, api, type Schemas } from '../api/client';
import { Words } from '../units/Words';
import { Check, Choice, NumberField } from '../fields/Choice';

/** A picture beside what tracing makes of it, live: by a threshold, or into a few flat colours. */
export function PictureTracing({
  picture,
  onDone,
  onBack,
}: {
  picture: { id: string; name: string };
  onDone: (graphic: Schemas['GraphicView']) => void;
  onBack: () => void;
}) {
  const [how, setHow] = useState({ colours: 1, threshold: 0.5, withoutBackground: true, specks: 12 });
  // Until something else is chosen, a picture on a clear ground is followed by what is there, white or not.
  const [chosen, setChosen] = useState<'dark' | 'colours' | 'there'>();
  const clear = useQuery({
    queryKey: ['trace-clear', picture.id],
    queryFn: async ({ signal }) =>
      (
        await answer(
          api.POST('/api/graphics/trace-preview', { body: { pictureId: picture.id, name: picture.name, ...how, byOpacity: true }, signal }),
        )
      ).hasClear,
    staleTime: Infinity,
  });
  const follow = chosen ?? (clear.data ? 'there' : 'dark');
  const body = { pictureId: picture.id, name: picture.name, ...how, byOpacity: follow === 'there' };
  const { data } = useQuery({
    queryKey: ['trace-preview', body],
    queryFn: ({ signal }) => answer(api.POST('/api/graphics/trace-preview', { body, signal })),
    placeholderData: (before) => before,
    enabled: chosen !== undefined || clear.data !== undefined,
    staleTime: Infinity,
  });
  const add = useMutation({ mutationFn: () => answer(api.POST('/api/graphics/from-picture', { body })), onSuccess: onDone });
  const set = (to: Partial<typeof how>) => setHow({ ...how, ...to });
  return (
    <div className="picture-tracing">
      <div className="part-fields">
        <Choice
          label="Follow"
          value={follow}
          of={[...(clear.data ? [['there', 'what is not clear'] as const] : []), ['dark', 'what is dark'], ['colours', 'flat colours']]}
          onChange={(v) => {
            setChosen(v);
            set({ colours: v === 'colours' ? 3 : 1 });
          }}
        />
        {how.colours === 1 ? (
          <label className="threshold">
            {follow === 'there' ? 'More opaque than' : 'Darker than'} {Math.round(how.threshold * 100)} %
            <Form.Range
              min={2}
              max={98}
              value={Math.round(how.threshold * 100)}
              onChange={(e) => set({ threshold: Number(e.target.value) / 100 })}
            />
          </label>
        ) : (
          <>
            <NumberField
              label="Colours"
              min={2}
              max={8}
              value={how.colours}
              onChange={(colours) => set({ colours: Math.min(8, Math.max(2, Math.round(colours))) })}
            />
            <Check
              label="Without the background"
              value={how.withoutBackground}
              onChange={(withoutBackground) => set({ withoutBackground })}
            />
          </>
        )}
        <NumberField
          label="Drop specks under, pixels"
          min={1}
          step={4}
          value={how.specks}
          onChange={(specks) => set({ specks: Math.max(1, specks) })}
        />
      </div>
      <div className="tracing-pair">
        <img
          className={data?.hasClear ? 'on-clear' : undefined}
          src={`/api/pictures/${picture.id}?width=600`}
          alt={`The picture ${picture.name}`}
        />
        {data && !data.problem && (
          <svg
            className={data.hasClear ? 'on-clear' : undefined}
            viewBox={`0 0 ${data.width} ${data.height}`}
            role="img"
            aria-label="What is followed"
          >
            {data.pieces.map((p) => (
              <path key={p.index} d={p.path} fill={p.colour} fillRule="evenodd" />
            ))}
          </svg>
        )}
        {data?.problem && (
          <p className="finding stop">
            <Words of={data.problem} />
          </p>
        )}
      </div>
      {add.error && (
        <p className="finding stop" role="alert">
          {add.error.message}
        </p>
      )}
      <p className="graphic-deeds">
        <button
          type="button"
          className="btn btn-sm btn-main"
          disabled={add.isPending || !data || !!data.problem}
          onClick={() => add.mutate()}
        >
          Keep it as a graphic
        </button>
        <button type="button" className="quiet" onClick={onBack}>
          Back
        </button>
      </p>
    </div>
  );
}

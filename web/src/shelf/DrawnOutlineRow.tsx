import { useMutation } from '@tanstack/react-query';
import { useRef } from 'react';
import { Link } from 'react-router';
import { sendFile, type Schemas } from '../api/client';

interface Props {
  id: string;
  face?: { id: string; name: string };
  drawn: Schemas['DrawnOutline'] | null;
  onDrawn: (drawn: Schemas['DrawnOutline']) => void;
}

/** Where an odd outline comes from: a scan or picture, or a drawing file. */
export function DrawnOutlineRow({ id, face, drawn, onDrawn }: Props) {
  const file = useRef<HTMLInputElement>(null);
  const read = useMutation({
    mutationFn: (chosen: File) => sendFile<Schemas['DrawnOutline']>(`/api/outlines?name=${encodeURIComponent(chosen.name)}`, chosen),
    onSuccess: onDrawn,
  });
  return (
    <>
      <p className="soft small">
        {drawn
          ? `From ${drawn.source}, ${drawn.rings.length > 1 ? `with ${drawn.rings.length - 1} ${drawn.rings.length === 2 ? 'hole' : 'holes'}` : 'without holes'}.`
          : 'Draw round the object on paper and scan it, or bring a drawing file.'}
      </p>
      <div className="deeds">
        <Link to={`/shelf/${id}/outline${face ? `?face=${encodeURIComponent(face.id)}` : ''}`} className="btn btn-sm btn-main">
          {drawn?.pictureId ? 'Follow it again' : 'From a scan or picture'}
        </Link>
        <button type="button" className="btn btn-sm btn-line" onClick={() => file.current?.click()}>
          From an SVG or DXF file
        </button>
        <input
          ref={file}
          type="file"
          accept=".svg,.dxf"
          aria-label={face ? `Drawing file of ${face.name}` : 'Drawing file'}
          className="visually-hidden"
          tabIndex={-1}
          onChange={(e) => {
            const f = e.target.files?.[0];
            if (f) read.mutate(f);
            e.target.value = '';
          }}
        />
      </div>
      {read.error && <p className="finding stop">{read.error.message}</p>}
    </>
  );
}

import { useMutation, useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Form } from 'react-bootstrap';
import { answer, api, type Schemas } from '../api/client';
import { sendPicture } from '../shelf/pictures';

/** Where the picture comes from: a file, or a scanner. */
export function ScannerTray({ has, onPicture }: { has: boolean; onPicture: (picture: Schemas['PictureView']) => void }) {
  const file = useRef<HTMLInputElement>(null);
  const { data: scanner } = useQuery({ queryKey: ['scanner'], queryFn: () => answer(api.GET('/api/scanner')) });
  const [sheet, setSheet] = useState('');
  const [dots, setDots] = useState(300);
  const [crooked, setCrooked] = useState('1.5');
  const send = useMutation({ mutationFn: sendPicture, onSuccess: onPicture });
  const scan = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/scanner/scan', {
          body: { sheetId: sheet || scanner?.tray[0]?.id || '', dotsPerInch: dots, skew: Number(crooked) || 0, noise: 1.2, shading: 18 },
        }),
      ),
    onSuccess: onPicture,
  });
  const error = send.error ?? scan.error;
  return (
    <section className="card" aria-label="Picture">
      <h2>
        Picture
        <button type="button" className="btn btn-sm btn-line" disabled={send.isPending} onClick={() => file.current?.click()}>
          {has ? 'Another file' : 'Choose a file'}
        </button>
      </h2>
      <input
        ref={file}
        type="file"
        accept="image/png,image/jpeg"
        aria-label="Scan or picture"
        className="visually-hidden"
        tabIndex={-1}
        onChange={(e) => {
          const f = e.target.files?.[0];
          if (f) send.mutate(f);
          e.target.value = '';
        }}
      />
      {scanner && (
        <div className="scanner-fields">
          <label>
            From the {scanner.name.toLowerCase()}
            <Form.Select
              size="sm"
              aria-label="Sheet in the tray"
              value={sheet || scanner.tray[0]?.id}
              onChange={(e) => setSheet(e.target.value)}
            >
              {scanner.tray.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </Form.Select>
          </label>
          <label>
            Dots an inch
            <Form.Select size="sm" aria-label="Scan at" value={dots} onChange={(e) => setDots(Number(e.target.value))}>
              {scanner.resolutions.map((r) => (
                <option key={r} value={r}>
                  {r}
                </option>
              ))}
            </Form.Select>
          </label>
          <label>
            Crooked by °
            <Form.Control size="sm" aria-label="Crooked by" value={crooked} onChange={(e) => setCrooked(e.target.value)} />
          </label>
          <button type="button" className="btn btn-sm btn-line" disabled={scan.isPending} onClick={() => scan.mutate()}>
            {scan.isPending ? 'Scanning …' : 'Scan'}
          </button>
        </div>
      )}
      {send.isPending && (
        <p className="soft" role="status">
          Bringing it in …
        </p>
      )}
      {error && <p className="finding stop">{error.message}</p>}
    </section>
  );
}

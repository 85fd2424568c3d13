import { useMutation } from '@tanstack/react-query';
import { Checkbox } from 'antd';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { api, type Spell } from '../api/client';
import { useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { written as position } from '../format/position';
import { clock, dayOfYear } from '../format/time';
import { ChooseFile } from '../file/ChooseFile';
import { back as say } from '../words/back';

type Catch = Spell['catches'][number];
type Photo = NonNullable<Catch['photos']>[number];

const picture = (p: Photo, thumb = false) => `/api/v1/photos/${p.id}${thumb ? '?thumb=true' : ''}`;

/** The photos of a catch, each small until it is touched. */
export function Photos({ c, zone }: { c: Catch; zone: string }) {
  const photos = c.photos ?? [];
  if (photos.length === 0) return null;
  return (
    <span className="photos">
      {photos.map((p, i) => (
        <Shown
          key={p.id}
          p={p}
          zone={zone}
          says={say.photos.of(c.target_in_sentence, i + 1, photos.length)}
        />
      ))}
    </span>
  );
}

function Shown({ p, zone, says }: { p: Photo; zone: string; says: string }) {
  const sheet = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  const invalidate = useInvalidate();
  const remove = useMutation({
    mutationFn: () => api.deletePhoto(p.id),
    onSuccess: () => invalidate('log'),
  });
  return (
    <>
      <button
        className="photo-thumb"
        onClick={() => {
          setOpen(true);
          sheet.current?.showModal();
        }}
      >
        <img src={picture(p, true)} alt={says} width={60} height={45} />
      </button>
      <dialog ref={sheet} className="photo-sheet" aria-label={says} onClose={() => setOpen(false)}>
        {open && <img src={picture(p)} alt={says} width={p.width} height={p.height} />}
        <p className="quiet small">
          {p.taken_at
            ? say.photos.taken(
                `${dayOfYear(p.taken_at, zone)} ${clock(p.taken_at, zone)}`,
                p.lat !== undefined && p.lon !== undefined ? position({ lat: p.lat, lon: p.lon }) : '',
                p.heading_deg !== undefined ? p.heading_deg.toFixed(0) : '',
              )
            : say.photos.nothingKept}
        </p>
        <Fault of={[remove]} />
        <div className="log-acts">
          <button className="act" onClick={() => sheet.current?.close()}>
            {say.photos.close}
          </button>
          <button className="plain" disabled={remove.isPending} onClick={() => remove.mutate()}>
            {say.photos.remove}
          </button>
        </div>
      </dialog>
    </>
  );
}

/** A photo is chosen; what the camera wrote beside it is kept only if one says so. */
export function AddPhoto({ c }: { c: Catch }) {
  const invalidate = useInvalidate();
  const [keep, setKeep] = useState(false);
  const send = useMutation({
    mutationFn: (f: File) => api.putPhoto(v7(), c.id, keep, f),
    onSuccess: () => invalidate('log'),
  });
  return (
    <div className="photo-add">
      <ChooseFile
        says={send.isPending ? say.photos.sending : say.photos.add}
        accept="image/jpeg,image/png"
        onFile={(f) => send.mutate(f)}
        {...(send.error ? { fault: send.error.message } : {})}
      />
      <Checkbox checked={keep} onChange={(e) => setKeep(e.target.checked)}>
        {say.photos.keep}
      </Checkbox>
    </div>
  );
}

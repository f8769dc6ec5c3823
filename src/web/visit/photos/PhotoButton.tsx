/** A photo from the camera or a file: stored at once, turned upright by the server, and filed at this step. */
import { useState } from 'react';
import { Camera } from 'lucide-react';
import type { Entry } from '../../../core/logbook/entry';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { TakePhoto } from '../../forms/TakePhoto';
import { WriterField } from '../../forms/WriterField';
import { ApiError } from '../../forms/ApiError';
import { PhotoForm } from './PhotoForm';
import { photosOf } from '../../../record/photos';
import { Picture } from '../../paper/Picture';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

export function PhotoButton() {
  const { record } = useVisit();
  const [open, setOpen] = useState(false);
  const count = photosOf(record.entries).length;
  return (
    <>
      <Button className="max-lg:px-3" onClick={() => setOpen(true)}>
        <Camera aria-hidden="true" size={20} /> <span className="max-lg:sr-only">Photo</span>
        {count > 0 && <span className="font-normal">{count}</span>}
      </Button>
      {open && <PhotoDialog onClose={() => setOpen(false)} />}
    </>
  );
}

function PhotoDialog({ onClose }: { onClose: () => void }) {
  const { record, step, newEntry } = useVisit();
  const deed = useVisitWrite('photo');
  const [marking, setMarking] = useState<Entry | null>(null);
  const photos = photosOf(record.entries);
  // Filed as soon as it is stored: marks and caption come after, and a reload between loses nothing.
  const keep = async (file: string) => {
    const entry = newEntry('photo', { tool: 'picture', step, file, attachments: [file] });
    if (await deed.save([entry], 'Photo: in the logbook.')) setMarking(entry);
  };
  if (marking) {
    return (
      <Dialog title="Photo" onClose={() => setMarking(null)}>
        <PhotoForm earlier={marking} photos={photos} onDone={() => setMarking(null)} />
      </Dialog>
    );
  }
  return (
    <Dialog title="Photos" subtitle="Of this visit" onClose={onClose}>
      <TakePhoto main words="Take or choose a photo" onStored={(file) => void keep(file)} />
      <div className="mt-3">
        <WriterField />
        <ApiError error={deed.error} />
      </div>
      {photos.length === 0 && (
        <p className="py-4 text-soft">None yet. Pictures are the proof that words are not.</p>
      )}
      <ul className="mt-4 grid gap-4 sm:grid-cols-2">
        {photos.map(({ entry, note }) => (
          <li key={entry.id}>
            <button
              type="button"
              className="block w-full cursor-pointer text-left"
              onClick={() => setMarking(entry)}
            >
              <Picture
                file={note.file}
                marks={note.marks ?? []}
                words={note.caption ?? 'photo without a caption'}
              />
              <span>
                {note.pair && <span className="font-semibold">{note.pair} · </span>}
                {note.caption ?? 'no caption'}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

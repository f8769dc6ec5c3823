/** Takes or chooses a picture, and keeps it at once: turned upright and made smaller by the server. */
import { useRef, useState } from 'react';
import { Camera } from 'lucide-react';
import { useStorePhoto } from '../data/api/queries';
import { Button } from '../parts/Button';
import { ApiError } from './ApiError';

const MOST_BYTES = 25 * 1024 * 1024;

export function TakePhoto({
  words,
  main = false,
  onStored,
}: {
  words: string;
  main?: boolean;
  onStored: (file: string) => void;
}) {
  const store = useStorePhoto();
  const input = useRef<HTMLInputElement>(null);
  const [tooLarge, setTooLarge] = useState(false);
  const take = (file: File | undefined) => {
    if (!file) return;
    setTooLarge(file.size > MOST_BYTES);
    if (file.size > MOST_BYTES) return;
    store.mutate(file, { onSuccess: (stored) => onStored(stored.file) });
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        className="sr-only"
        aria-label={words}
        onChange={(event) => {
          take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <Button
        {...(main ? { weight: 'main', className: 'w-full' } : {})}
        disabled={store.isPending}
        onClick={() => input.current?.click()}
      >
        <Camera aria-hidden="true" size={20} /> {store.isPending ? 'Storing…' : words}
      </Button>
      <ApiError error={store.error} />
      {tooLarge && (
        <p role="alert" className="mt-2 font-semibold text-brick">
          This file is larger than 25 MB; nothing was sent. Take it again at a smaller size.
        </p>
      )}
    </>
  );
}

import { useEffect, useRef, useState } from 'react';
import type { Clip } from '@/core/content/clip';
import { FileDrop } from '@/ui/widgets/fields/FileDrop';
import { usePress } from '@/ui/widgets/press/press';
import { CLIP_FILES, takeClip } from './clipFile';

interface Props {
  /** A file that was pasted or dropped elsewhere. */
  readonly file?: File | null;
  readonly onTaken: (clip: Clip) => void;
}

/** Takes a sound or film in: what is wrong with a file, or with storing it, is said beside it. */
export function ClipChooser({ file = null, onTaken }: Props) {
  const chosen = useRef<File | null>(file);
  const [refused, setRefused] = useState<string | null>(null);
  const press = usePress(async () => {
    if (!chosen.current) return;
    const taken = await takeClip(chosen.current);
    setRefused(taken.ok ? null : taken.error);
    if (taken.ok) onTaken(taken.clip);
  });
  const { start } = press;
  useEffect(() => {
    if (!file) return;
    chosen.current = file;
    start();
  }, [file, start]);
  const trouble = press.error ?? refused;
  return (
    <>
      <FileDrop
        label="Sound or video file"
        accept={CLIP_FILES}
        onFiles={([one]) => {
          if (!one) return;
          chosen.current = one;
          setRefused(null);
          start();
        }}
      />
      {press.busy && (
        <p role="status" className="caption mt-1">
          Saving the file…
        </p>
      )}
      {trouble && (
        <p role="alert" className="mt-2 border-l-2 border-saffron bg-wash px-3 py-2">
          {trouble}{' '}
          {press.error && (
            <button type="button" className="link-text cursor-pointer" onClick={start}>
              Try again
            </button>
          )}
        </p>
      )}
    </>
  );
}

import { useState } from 'react';
import type { Clip } from '@/core/content/clip';
import { useText, useTold } from '../../told/useTold';
import { useStored } from './Picture';

const isFilm = (type: string): boolean => type.startsWith('video/');

interface Props {
  readonly clip: Clip;
  /** False where its name stands beside it already. */
  readonly captioned?: boolean;
}

/** A sound or a film with its name, to be played; what is said or shown in it can be read. */
export function ClipView({ clip, captioned = true }: Props) {
  const address = useStored(clip.hash);
  const [broken, setBroken] = useState(false);
  const { title, type, words } = clip;
  const { media } = useTold();
  const text = useText();
  const name = title || (isFilm(type) ? media.video : media.sound);
  return (
    <figure className="my-2">
      {broken || !address ? (
        <p className="border border-line bg-hair px-2 py-1 text-[14px] text-soft">
          {broken ? media.cannotPlay(name) : `${name} …`}
        </p>
      ) : isFilm(type) ? (
        <video
          controls
          preload="metadata"
          className="max-h-[50vh] w-full bg-ink print:hidden"
          aria-label={name}
          src={address}
          onError={() => setBroken(true)}
        />
      ) : (
        <audio
          controls
          preload="metadata"
          className="w-full print:hidden"
          aria-label={name}
          src={address}
          onError={() => setBroken(true)}
        />
      )}
      <figcaption className="caption">
        {captioned && <span {...text}>{title}</span>}
        {words !== '' && (
          <details>
            <summary className="cursor-pointer">{isFilm(type) ? media.saidAndShown : media.saidIn}</summary>
            <p {...text} className="text-[14px] whitespace-pre-line">
              {words}
            </p>
          </details>
        )}
      </figcaption>
    </figure>
  );
}

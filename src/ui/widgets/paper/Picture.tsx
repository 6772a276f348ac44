import { createContext, useContext, useEffect, useState } from 'react';
import { useText, useTold } from '../../told/useTold';
import type { Picture as PictureData } from '@/core/content/picture';

/** Where pictures come from: the teacher's store, or the student's port. */
export type PictureLoader = (hash: string) => Promise<Blob | null>;
export const PictureSource = createContext<PictureLoader | null>(null);

/** Addresses that are there at once: where nothing is loaded afterwards. */
export const StoredAt = createContext<ReadonlyMap<string, string> | null>(null);

const addresses = new Map<string, Promise<string | null>>();

/** An address in this page for a picture; made once, for as long as the page lives. */
function addressOf(hash: string, load: PictureLoader): Promise<string | null> {
  const known = addresses.get(hash);
  if (known) return known;
  const made = load(hash).then(
    (blob) => {
      if (!blob) addresses.delete(hash);
      return blob && URL.createObjectURL(blob);
    },
    () => {
      // Its description stands in its place; it is asked for again when it is drawn again.
      addresses.delete(hash);
      return null;
    },
  );
  addresses.set(hash, made);
  return made;
}

/** The address in this page of something that is stored by its hash; null until it is there. */
export function useStored(hash: string): string | null {
  const load = useContext(PictureSource);
  const ready = useContext(StoredAt)?.get(hash) ?? null;
  const [address, setAddress] = useState<string | null>(null);
  useEffect(() => {
    if (!load) return;
    let current = true;
    addressOf(hash, load).then(
      (found) => current && setAddress(found),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [hash, load]);
  return ready ?? address;
}

/** On a phone a picture is as wide as on a paper of this many pixels, where there is room: its words stay legible. */
const NARROW = 440 / 100;

/** A picture as it appears on the paper; until it has loaded, its description takes its place. */
export function Picture({
  picture,
  small = false,
  seen = false,
  fills = false,
}: {
  readonly picture: PictureData;
  /** As large as a mark beside words. */
  readonly small?: boolean;
  /** As large as one must be to see what it shows. */
  readonly seen?: boolean;
  /** As wide as what it stands in, without room around it. */
  readonly fills?: boolean;
}) {
  const { hash, alt, width, height, share } = picture;
  const address = useStored(hash);
  const told = useTold();
  const text = useText();
  const style = small
    ? { height: 40, width: 'auto', maxWidth: 96 }
    : seen
      ? { height: 'auto', width: 'auto', maxHeight: 120, maxWidth: 'min(180px, 100%)' }
      : {
          width: fills ? '100%' : `max(${share}%, min(100%, ${Math.max(150, share * NARROW)}px))`,
          aspectRatio: `${width} / ${height}`,
        };
  if (!address) {
    return (
      <span
        className={`${fills ? '' : 'my-1'} inline-block border border-line bg-hair px-2 py-1 text-[13px] text-soft`}
        style={small ? {} : style}
      >
        {alt || told.media.picture}
      </span>
    );
  }
  return (
    <img
      src={address}
      alt={alt}
      lang={text.lang}
      width={width}
      height={height}
      className={`${fills ? '' : 'my-1'} block h-auto`}
      style={style}
      draggable={false}
    />
  );
}

import { CLIP_TYPES, LARGEST_CLIP, type Clip } from '@/core/content/clip';
import { keepPicture } from '@/store/quiz/pictures';
import { megabytes } from '../../words/figures';

/** What the field for a sound or film takes. */
export const CLIP_FILES = CLIP_TYPES.join(',');

/** Whether a file is some sound or film: also of a kind that is then refused with a word. */
export const isClipFile = (file: Blob): boolean =>
  /^(?:audio|video)\//.test(file.type) || file.type === 'application/ogg';

/** Names that some computers give to the types that are known. */
const SAME: Readonly<Record<string, Clip['type']>> = {
  'audio/mp3': 'audio/mpeg',
  'audio/x-wav': 'audio/wav',
  'audio/wave': 'audio/wav',
  'audio/x-m4a': 'audio/mp4',
  'application/ogg': 'audio/ogg',
};

type ClipResult = { readonly ok: true; readonly clip: Clip } | { readonly ok: false; readonly error: string };

const isKnown = (type: string): type is Clip['type'] => (CLIP_TYPES as readonly string[]).includes(type);

/**
 * Takes a sound or film in as it is, stored once by the SHA-256 of its bytes: of a kind that browsers play, and at most
 * 20 MB. Fails where it cannot be stored.
 */
export async function takeClip(file: File): Promise<ClipResult> {
  const type = SAME[file.type] ?? file.type;
  if (!isKnown(type))
    return { ok: false, error: 'This file type is not supported. Use MP3, WAV, OGG, M4A, MP4 or WebM.' };
  if (file.size === 0) return { ok: false, error: 'The file is empty.' };
  if (file.size > LARGEST_CLIP)
    return {
      ok: false,
      error: `The file is ${megabytes(file.size)}; the most is ${megabytes(LARGEST_CLIP)}. Use a shorter or smaller one.`,
    };
  const bytes = new Uint8Array(await file.arrayBuffer());
  const [{ sha256 }, { bytesToHex }] = await Promise.all([
    import('@noble/hashes/sha2.js'),
    import('@noble/hashes/utils.js'),
  ]);
  const hash = bytesToHex(sha256(bytes));
  await keepPicture(hash, new Blob([bytes], { type }));
  const title = file.name.replace(/\.[a-z0-9]{1,5}$/i, '').slice(0, 300);
  return { ok: true, clip: { hash, type, bytes: file.size, title, words: '' } };
}

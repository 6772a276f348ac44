import type { Picture } from '@/core/content/picture';
import { keepPicture } from '@/store/quiz/pictures';

/** Longest side of a stored picture, in pixels. */
const LONGEST = 1600;
const LARGEST = 30_000_000;
/** Drawings stay sharp as PNG up to this size in bytes; larger ones are compressed. */
const SHARP = 300_000;
const TYPES = new Set(['image/png', 'image/jpeg', 'image/webp', 'image/gif', 'image/bmp', 'image/avif']);

type PictureResult =
  | { readonly ok: true; readonly picture: Pick<Picture, 'hash' | 'width' | 'height'> }
  | { readonly ok: false; readonly error: string };

export const PICTURE_TYPES = [...TYPES].join(',');
export const isPictureFile = (file: Blob): boolean => file.type.startsWith('image/');

async function drawn(bitmap: ImageBitmap): Promise<{ blob: Blob; width: number; height: number }> {
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const width = Math.max(1, Math.round(bitmap.width * scale));
  const height = Math.max(1, Math.round(bitmap.height * scale));
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, width, height);
  const sharp = await canvas.convertToBlob({ type: 'image/png' });
  const blob = sharp.size <= SHARP ? sharp : await canvas.convertToBlob({ type: 'image/webp', quality: 0.9 });
  return { blob, width, height };
}

/**
 * Takes a picture file in: drawn anew at no more than 1600 pixels, which leaves out everything hidden in the file
 * (place, camera), and stored once by the SHA-256 of its bytes.
 */
export async function takePicture(file: Blob): Promise<PictureResult> {
  if (!TYPES.has(file.type))
    return { ok: false, error: 'This file type is not supported. Use PNG, JPEG, WebP or GIF.' };
  if (file.size > LARGEST) return { ok: false, error: 'The picture is larger than 30 MB.' };
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    return { ok: false, error: 'The picture is damaged and cannot be read.' };
  }
  const { blob, width, height } = await drawn(bitmap);
  bitmap.close();
  const [{ sha256 }, { bytesToHex }] = await Promise.all([
    import('@noble/hashes/sha2.js'),
    import('@noble/hashes/utils.js'),
  ]);
  const hash = bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer())));
  await keepPicture(hash, blob);
  return { ok: true, picture: { hash, width, height } };
}

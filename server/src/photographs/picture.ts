import sharp from 'sharp';
import { ProblemError } from '../http/problems.js';

/** A picture as it is kept: upright, without what the camera wrote into it, and a small one for lists. */
export interface Picture {
  readonly image: Buffer;
  readonly small: Buffer;
  readonly width: number;
  readonly height: number;
}

/** The longer side at most, and that of the small one, pixels. */
const LONGEST = 2000;
const SMALL = 320;
/** What no camera on a bench takes would only fill the memory, pixels. */
const MOST_PIXELS = 100_000_000;
const FORMATS = new Set(['jpeg', 'png', 'webp', 'heif']);

/** Throws cannot-be for what is no picture, or one that is cut off. */
export async function pictureFrom(bytes: Buffer): Promise<Picture> {
  try {
    const read = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const { format } = await read.metadata();
    if (!FORMATS.has(format)) throw new RangeError(format);
    const upright = read.rotate();
    const { data: image, info } = await upright
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    const small = await sharp(image).resize(SMALL, SMALL, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 72 }).toBuffer();
    return { image, small, width: info.width, height: info.height };
  } catch {
    throw new ProblemError('cannot-be', { errors: [{ pointer: '/image', detail: 'is not a readable picture. Use JPEG, PNG or WebP' }] });
  }
}

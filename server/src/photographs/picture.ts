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
/** What reading one may take, bytes; and ms. */
const MOST_MEMORY = 100_000_000;
const LONGEST_SECONDS = 3;
/** What a reader takes besides its pixels, bytes. */
const BESIDES = 25_000_000;

/** How many bytes a pixel takes while it is read: a picture that comes line by line hardly any, one that is laid in turn by turn is held whole. Measured with sharp 0.35. */
const HELD: Readonly<Record<string, { readonly plain: number; readonly inTurns: number }>> = {
  jpeg: { plain: 0.3, inTurns: 3.4 },
  png: { plain: 0.9, inTurns: 5.2 },
  webp: { plain: 0.8, inTurns: 0.8 },
  heif: { plain: 5, inTurns: 5 },
};

sharp.cache(false);
sharp.concurrency(1);

const TOO_MANY = 'has more pixels than can be read at once. Save it smaller, or as a plain JPEG';

/** The one that is read now: others wait for it. */
let before: Promise<unknown> = Promise.resolve();
let waiting = 0;

/** How many pictures are being read or wait for that. */
export const picturesWaiting = (): number => waiting;

/** A picture out of the bytes of its file, one after another. Throws cannot-be for what is no picture, is cut off, or would take more memory than there is for one. */
export function pictureFrom(bytes: Buffer): Promise<Picture> {
  waiting += 1;
  const mine = before.then(() => read(bytes)).finally(() => (waiting -= 1));
  before = mine.catch(() => undefined);
  return mine;
}

async function read(bytes: Buffer): Promise<Picture> {
  try {
    const file = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true }).timeout({ seconds: LONGEST_SECONDS });
    const { format, width, height, isProgressive } = await file.metadata();
    const held = HELD[format];
    if (!held) throw new RangeError(format);
    if (BESIDES + width * height * (isProgressive ? held.inTurns : held.plain) > MOST_MEMORY)
      throw new ProblemError('cannot-be', { errors: [{ pointer: '/image', detail: TOO_MANY }] });
    const upright = file.rotate();
    const { data: image, info } = await upright
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    const small = await sharp(image).resize(SMALL, SMALL, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 72 }).toBuffer();
    return { image, small, width: info.width, height: info.height };
  } catch (error) {
    if (error instanceof ProblemError) throw error;
    throw new ProblemError('cannot-be', { errors: [{ pointer: '/image', detail: 'is not a readable picture. Use JPEG, PNG or WebP' }] });
  }
}

/** The longer side of a picture that is sent, pixels. */
const LONGEST = 2000;

/** A picture's file as base64 of a JPEG of at most 2000 pixels: what a telephone takes is larger than anybody looks at. Throws RangeError for what is no picture. */
export async function smallerPicture(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new RangeError('That is no picture that this browser can read: JPEG, PNG or WebP');
  });
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.toDataURL('image/jpeg', 0.85).replace(/^data:[^,]*,/, '');
}

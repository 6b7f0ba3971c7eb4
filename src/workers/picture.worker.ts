import { evenLight, greyOf, sheetIn, straightened, withoutRules } from '../core';
import { answerWith } from './answered';

export interface ToPrepare {
  picture: Blob;
  /** How many times larger it is read than it is; 1: as it is. */
  scale: number;
}

export interface Prepared {
  /** The sheet from straight above, as it is shown. */
  shown: Blob;
  /** The same for a reader of print: grey, evenly lit, without rules. */
  print: Blob;
  width: number;
  height: number;
  /** By how much it is enlarged in fact. */
  scale: number;
}

const longSide = 3600;
const shownWidth = 1100;

/** A photo or a screenshot as a reader of print likes it. */
onmessage = ({ data }: MessageEvent<ToPrepare>) =>
  answerWith<Prepared>(async () => {
    const sheet = await sheetOf(await createImageBitmap(data.picture));
    const scale = Math.min(data.scale, longSide / Math.max(sheet.width, sheet.height));
    const [width, height] = [Math.round(sheet.width * scale), Math.round(sheet.height * scale)];
    const image = drawn(sheet, width, height);
    const { at } = withoutRules(evenLight(greyOf(image.pixels.data, width, height)));
    // Red, green, blue and opaque in one number: a photo has ten million of them.
    const pixels = new Uint32Array(image.pixels.data.buffer);
    for (let i = 0; i < pixels.length; i++) pixels[i] = 0xff000000 + Math.round(at[i]!) * 0x010101;
    image.context.putImageData(image.pixels, 0, 0);
    const shown = drawn(
      sheet,
      Math.min(shownWidth, sheet.width),
      Math.round((sheet.height * Math.min(shownWidth, sheet.width)) / sheet.width),
    );
    return {
      print: await image.canvas.convertToBlob({ type: 'image/png' }),
      shown: await shown.canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 }),
      width,
      height,
      scale,
    };
  });

/** The sheet that a photo shows, straight; the whole picture where it shows none. */
async function sheetOf(picture: ImageBitmap): Promise<ImageBitmap> {
  const scale = Math.min(1, longSide / Math.max(picture.width, picture.height));
  const { pixels } = drawn(picture, Math.round(picture.width * scale), Math.round(picture.height * scale));
  const corners = sheetIn(greyOf(pixels.data, pixels.width, pixels.height));
  if (!corners) return picture;
  const { rgba, width, height } = straightened(pixels.data, pixels.width, pixels.height, corners);
  return createImageBitmap(new ImageData(rgba, width, height));
}

function drawn(picture: ImageBitmap, width: number, height: number) {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.imageSmoothingQuality = 'high';
  context.drawImage(picture, 0, 0, width, height);
  return { canvas, context, pixels: context.getImageData(0, 0, width, height) };
}

import { expose } from 'comlink';
import type { Point } from '#core/document';
import { measurePigment, pickAt, readCard, type CardReading, type Measuring, type Picture, type Rgb } from '#core/tint';
import { cutOff, drawn, sized, type Sized } from './picture-file';

export type PhotoOpened = Sized;

/** Longer pictures are drawn smaller: patches are read as means. */
const LONGEST = 2400;

let picture: Picture | undefined;

const work = {
  /** Reads a picture and keeps it in the place of the one before; nothing is ever sent anywhere. */
  async open(file: Blob, name: string): Promise<PhotoOpened> {
    const size = await sized(file, name);
    if (!size.ok) return size;
    const canvas = await drawn(file, { longest: LONGEST });
    if (!canvas) return { ok: false, says: cutOff(name) };
    const { width, height } = canvas;
    picture = { width, height, data: canvas.getContext('2d')!.getImageData(0, 0, width, height, { colorSpace: 'srgb' }).data };
    return { ok: true, width, height };
  },
  /** Mean colour round a place, linear sRGB. @param at px of the picture as it was opened */
  pick(at: Point, radius: number): Rgb | undefined {
    return picture && pickAt(picture, at, radius);
  },
  /** The card by its corners, and the pigment of its smear. @param film mm @param load fraction of A + B */
  measure(corners: Point[], film: number, load: number): { card: CardReading; pigment?: Measuring } {
    if (!picture) return { card: { ok: false, says: 'Choose a picture first.' } };
    const card = readCard(picture, corners);
    return card.ok ? { card, pigment: measurePigment(card.patches, film, load) } : { card };
  },
};
export type PhotoWorkOf = typeof work;

expose(work);

import { expose } from 'comlink';
import type { Outline } from '#core/document';
import { outlineFrom, readSvg, type SvgDrawing } from '#core/formats';

/** What the screen is told of a drawing; its rings stay here. */
export type SvgSummary = Omit<SvgDrawing, 'rings'> & { closed: number };
export type SvgOpened = { ok: true; drawing: SvgSummary } | { ok: false; says: string };

let drawing: SvgDrawing | undefined;

const work = {
  /** Reads a file and keeps it. */
  open(text: string): SvgOpened {
    const reading = readSvg(text);
    drawing = reading.ok ? reading.drawing : undefined;
    if (!reading.ok) return reading;
    const { rings, ...rest } = reading.drawing;
    return { ok: true, drawing: { ...rest, closed: rings.length } };
  },
  /** The outline of the kept drawing, `width` mm wide. @throws where nothing was opened */
  outline(width: number, which: 'all' | 'largest'): Outline {
    if (!drawing) throw new Error('Open a drawing first.');
    return outlineFrom(drawing, width, which);
  },
};
export type SvgWork = typeof work;

expose(work);

import { expose } from 'comlink';
import type { Outline } from '#core/document';
import { fits, outlineFrom, readSvg, type SvgDrawing } from '#core/formats';
import { CutError } from '#core/geometry';

/** What the screen is told of a drawing; its rings stay here. */
export type SvgSummary = Omit<SvgDrawing, 'rings'> & { closed: number };
export type SvgOutlined = { ok: true; outline: Outline } | { ok: false; says: string };
export type SvgOpened = { ok: true; drawing: SvgSummary } | { ok: false; says: string };

let drawing: SvgDrawing | undefined;

const work = {
  /** Reads a file and keeps it. */
  open(text: string): SvgOpened {
    const reading = readSvg(text);
    drawing = reading.ok ? reading.drawing : undefined;
    if (!reading.ok) return reading;
    const { rings, own, notes, ...rest } = reading.drawing;
    const summary = { ...rest, closed: rings.length };
    if (!own) return { ok: true, drawing: { ...summary, notes } };
    if (fits(own)) return { ok: true, drawing: { ...summary, notes, own } };
    const left = 'The sea in this file is not one that Nerite wrote, so only its outline is taken.';
    return { ok: true, drawing: { ...summary, notes: [...notes, left] } };
  },
  /** The outline of the kept drawing, `width` mm wide. @throws where nothing was opened */
  outline(width: number, which: 'all' | 'largest'): SvgOutlined {
    if (!drawing) throw new Error('Open a drawing first.');
    try {
      return { ok: true, outline: outlineFrom(drawing, width, which) };
    } catch (error) {
      if (error instanceof CutError)
        return {
          ok: false,
          says: 'This outline crosses itself too often to be a board. Simplify it in your drawing program and save it again.',
        };
      return { ok: false, says: 'Nothing is left of this outline at that width. Give a larger one.' };
    }
  },
};
export type SvgWork = typeof work;

expose(work);

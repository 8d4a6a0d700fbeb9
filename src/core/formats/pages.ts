import type { Bounds } from '#core/geometry';

/** Sheets of paper, mm, upright. */
export const papers = {
  A4: { width: 210, height: 297 },
  A3: { width: 297, height: 420 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
export type Paper = keyof typeof papers;

/** White rim that any printer leaves, mm. */
export const MARGIN = 12;
/** How much neighbouring pages show of each other, mm, to glue on. */
export const OVERLAP = 10;
/** Room round the board, mm, so that its outline is drawn whole. */
const ROUND = 2;
/** Height at the foot of each page for its number and the check bar, mm. */
const FOOT = 16;

/** One page of a template: where on the board it begins, and what it shows, mm. */
export interface TemplatePage {
  row: number;
  column: number;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Where pages of `page` that overlap begin along a length, no more of them than the board and the room round it need. */
function along(length: number, page: number): number[] {
  const whole = length + 2 * ROUND;
  const n = whole <= page ? 1 : Math.ceil((whole - OVERLAP) / (page - OVERLAP));
  return Array.from({ length: n }, (_, i) => i * (page - OVERLAP) - ROUND);
}

/** All pages of a template and the paper they are on, mm, as it is turned. */
export interface TemplateLayout {
  pages: TemplatePage[];
  landscape: boolean;
  paperWidth: number;
  paperHeight: number;
}

/** What a page is called: its row as a letter, its column as a number, A1 at the far left. */
export const pageName = ({ row, column }: Pick<TemplatePage, 'row' | 'column'>): string => `${String.fromCharCode(65 + row)}${column + 1}`;

/** The pages of a 1 : 1 template, row by row, on whichever way of the paper takes fewer. */
export function templatePages({ width, height }: Bounds, paper: Paper): TemplateLayout {
  const { width: w, height: h } = papers[paper];
  const lay = (paperWidth: number, paperHeight: number, landscape: boolean) => {
    const [pw, ph] = [paperWidth - 2 * MARGIN, paperHeight - 2 * MARGIN - FOOT];
    const pages = along(height, ph).flatMap((y, row) =>
      along(width, pw).map((x, column) => ({ row, column, x, y, width: pw, height: ph })),
    );
    return { pages, landscape, paperWidth, paperHeight };
  };
  const [upright, across] = [lay(w, h, false), lay(h, w, true)];
  return across.pages.length < upright.pages.length ? across : upright;
}

import type { Colourant, Learned, Method, Resin } from '#core/document';
import { figureName, learnedOf, withFigure, type Lesson, type Standing } from '#core/learn';
import { editAll, LOG, type Target } from './edits';

const GONE = 'What this figure belongs to is not on the shelf any more; another window may have removed it.';

/** What of the studio a figure stands in. */
function targetOf(figure: Lesson['figure'], of: string | undefined, value: number): Target {
  const standing = (change: Partial<Standing>): Standing => ({ method: {} as Method, resins: [], colourants: [], ...change });
  const change = (own: Standing): object => {
    const taken = withFigure(figure, of, value, own);
    if (!taken) throw new Error(GONE);
    return taken.row;
  };
  const probe = withFigure(
    figure,
    of,
    value,
    standing({ resins: [{ id: of } as Resin], colourants: [{ id: of, absorb: [0, 0, 0], scatter: [0, 0, 0] } as unknown as Colourant] }),
  );
  const found = (row: object | null): object => {
    if (!row) throw new Error(GONE);
    return row;
  };
  switch (probe?.table) {
    case 'resins':
      return { table: 'resins', id: of!, change: (row) => change(standing({ resins: [found(row) as Resin] })) };
    case 'colourants':
      return { table: 'colourants', id: of!, change: (row) => change(standing({ colourants: [found(row) as Colourant] })) };
    default:
      return { table: 'kept', id: 'method', change: (row) => change(standing({ method: found(row) as Method })) };
  }
}

/** Takes a figure over from the studio's own pours: it stands where it always stood, and where it came from beside it. One edit of the log. */
export function takeLesson(lesson: Lesson, name: string): Promise<void> {
  const id = `learned-${crypto.randomUUID()}`;
  return editAll(LOG, `Take over: ${name}`, [
    targetOf(lesson.figure, lesson.of, lesson.proposed),
    { table: 'learned', id, change: () => learnedOf(lesson, id, new Date().toISOString()) },
  ]);
}

/** Goes back to what a figure was before it was taken over. */
export function giveBack(learned: Learned): Promise<void> {
  // a colourant’s strength is a factor of what is stored
  const value = learned.figure === 'strength' ? 1 / learned.value : learned.was;
  return editAll(LOG, `Give back: ${figureName(learned.figure)}`, [
    targetOf(learned.figure, learned.of, value),
    { table: 'learned', id: learned.id, change: () => null },
  ]);
}

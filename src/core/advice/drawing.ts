import { plain } from '#core/units';
import type { Finding, Rule } from './finding';

/** White planned for a minute at which it is not ready, or no longer. */
export const whiteOffWindow: Rule = ({ plan }) =>
  plan.pours.flatMap(({ steps, batches }, pour) =>
    steps.flatMap((step, i): Finding[] => {
      if (step.kind !== 'white') return [];
      const { white, stirred } = batches[step.batch]!.windows;
      const at = step.at - step.mixedAt;
      const where = { pour, coatId: step.wave.id };
      // when the coats before it in this batch leave the hands free
      const free = (steps[i - 1]?.at ?? 0) - step.mixedAt;
      if (white.until <= white.from)
        return [
          {
            code: 'white-off-window',
            severity: 'warn',
            where,
            says: 'This batch has no window for white here.',
            why: `It is past working before it is stirred, ${plain(stirred, 0)} min.`,
            fix: 'Cool the room, or take a slower resin.',
          },
        ];
      const window = `${plain(white.from, 0)}–${plain(white.until, 0)} min`;
      const says = `White is planned at ${plain(at, 0)} min; its window is ${window}.`;
      if (at < white.from)
        return [
          {
            code: 'white-off-window',
            severity: 'warn',
            where,
            says,
            why: 'Fresh white blurs to a pale wash.',
            fix: `Let it rest until ${plain(Math.ceil(white.from), 0)} min.`,
          },
        ];
      if (at > white.until)
        return [
          {
            code: 'white-off-window',
            severity: 'warn',
            where,
            says,
            why: 'By then it is too stiff to open under heat.',
            fix:
              free <= white.until
                ? `Plan it by ${plain(Math.floor(white.until), 0)} min.`
                : 'The coats before it take too long: put them in a pour of their own, or lay fewer cups.',
          },
        ];
      return [];
    }),
  );

/** Curves that cross, and a sea or beach that is not on the board: areas still add up, but are not what was meant. */
export const drawingAstray: Rule = ({ plan }) => {
  const found: Finding[] = [];
  if (plan.cut.crossed)
    found.push({
      code: 'edges-crossed',
      severity: 'warn',
      where: {},
      says: 'A tint edge crosses its neighbour on the land side.',
      why: 'There the paler tint has no room and its cup comes out short.',
      fix: 'Drag it back to the sea side.',
    });
  for (const { coat, name, cups } of plan.coats)
    if (!cups.length)
      found.push({
        code: 'nothing-to-cover',
        severity: 'warn',
        where: { coatId: coat.id },
        says: `${name} covers nothing.`,
        why: 'The shoreline leaves no room for it on the board.',
        fix: 'Drag the shoreline back onto the board, or take the coat off.',
      });
  return found;
};

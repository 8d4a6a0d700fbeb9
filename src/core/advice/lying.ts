import { coatName } from '#core/coat';
import type { Finding, Rule } from './finding';

/** A coat that is said to be on the board already, over one that is still to be poured. */
export const liesOverOpen: Rule = ({ plan: { piece } }) => {
  const open = piece.coats.findIndex((coat) => !coat.lies);
  const over = open < 0 ? undefined : piece.coats.slice(open).find((coat) => coat.lies);
  if (!over) return [];
  const found: Finding = {
    code: 'lies-over-open',
    severity: 'stop',
    where: { coatId: over.id },
    says: `${coatName(over)} is said to be on the board already, and ${coatName(piece.coats[open]!)} below it is not.`,
    why: 'Nothing can be poured under what lies.',
    fix: 'Put it back below, or say of both whether they are on the board.',
  };
  return [found];
};

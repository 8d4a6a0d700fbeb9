import type { Piece, Resin } from '#core/document';
import type { Writes } from '#core/units';

/** A card for whoever a piece goes to: what it is, and how to keep it. */
export interface CareCard {
  does: string[];
  cautions: string[];
}

/** A clear top lies over all pigment, which food may come near to. */
const clearOnTop = ({ coats }: Piece): boolean => coats.at(-1)?.kind === 'top' || coats.at(-1)?.kind === 'clear';

/**
 * What goes with a piece. It never promises that anything is safe: what its makers state decides.
 * @param fullCure when its last film is fully hard, in words; undefined where that is past or not known
 */
export function careCard(piece: Piece, resins: readonly Resin[], write: Writes, fullCure?: string): CareCard {
  const used = resins.filter((r) => piece.coats.some((c) => c.resinId === r.id));
  const named = used.map((r) => r.name).join(' and ');
  const food = piece.use !== 'wall';
  return {
    does: [
      'Dust it with a soft cloth; wipe it with water and a drop of washing-up liquid, and dry it.',
      'No solvents, no scouring pads, no dishwasher.',
      'Keep it out of strong sun: resin yellows with the years, and sooner there.',
      ...(piece.use === 'wall'
        ? [`Hang it on a fixing made for its weight${piece.weighs === undefined ? '' : `, ${write.heavy(piece.weighs * 1000)}`}.`]
        : []),
      ...(food ? ['Wash it by hand. Put nothing hot on it before asking; a mark from a hot cup stays.'] : []),
      ...(fullCure ? [`It goes on hardening until ${fullCure}. Until then put nothing on it and wrap it in nothing that sticks.`] : []),
    ],
    cautions: [
      ...(food
        ? [
            'Pigments and additives void what a maker states about food. Do not cut on it, and lay no raw or unwrapped food on it.',
            ...(clearOnTop(piece) ? [] : ['No clear coat lies over its colours: keep food off it altogether.']),
          ]
        : []),
      `Heat softens it: keep it below what its maker states for ${named || 'its resin'}.`,
      'Sanding or drilling it makes harmful dust: leave that to someone with a mask and extraction.',
    ],
  };
}

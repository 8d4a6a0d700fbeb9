import type { Piece } from '#core/document';
import type { CoatPlan } from './coats';
import { cup, type Cup } from './cups';
import type { Means, PiecePlan } from './piece';
import { mixed, type Mixed } from './split';
import { inOrder } from './steps';
import { strainsOf, type Strain } from './strain';

/** A pour of one piece, to be poured with others. */
export interface Chosen {
  plan: PiecePlan;
  pour: number;
}

/** What a cup that serves several pieces brings to each of them, ml that must leave it. */
export interface Share {
  piece: Piece;
  ml: number;
}

/** Several pieces poured in one session, out of the same batches. */
export interface Together extends Mixed {
  chosen: Chosen[];
  /** For each cup, by its key, the pieces it serves. */
  shares: Map<string, Share[]>;
}

/** What two cups must have in common to be one. */
const sameness = (resinId: string, { made: { coat, part, tint, sand, additive } }: Cup): string =>
  JSON.stringify([resinId, tint?.recipe ?? `${coat.kind}/${part}`, sand ?? null, additive ?? null]);

/** Between a cup's name and its piece's. */
const OF = ' · ';

/** Coats of a piece that can stand beside those of another: ids and names carry the piece's. */
function ofPiece({ coat: plain, ...rest }: CoatPlan, piece: Piece): CoatPlan {
  const coat = { ...plain, id: `${piece.id}/${plain.id}` };
  const named = (name: string): string => name + OF + piece.name;
  return {
    ...rest,
    coat,
    name: named(rest.name),
    cups: rest.cups.map((c) => ({
      ...c,
      key: `${piece.id}/${c.key}`,
      coatId: coat.id,
      name: named(c.name),
      made: { ...c.made, coat, name: named(c.made.name) },
    })),
  };
}

/** Like cups of all pieces made one, under the key of the first. */
function joinedCups(coats: CoatPlan[], { resins, colourants, method }: Means): CoatPlan[] {
  const groups = new Map<string, Cup[]>();
  for (const { coat, cups } of coats)
    for (const c of cups) groups.set(sameness(coat.resinId, c), [...(groups.get(sameness(coat.resinId, c)) ?? []), c]);
  const joined = new Map<string, Cup>();
  for (const { coat } of coats)
    for (const [same, like] of groups) {
      const { made } = like[0]!;
      if (joined.has(same) || like.length === 1 || made.coat.id !== coat.id) continue;
      const total = (of: (need: Cup['made']['need']) => number): number => like.reduce((sum, c) => sum + of(c.made.need), 0);
      const need = {
        area: total((n) => n.area),
        laid: total((n) => n.laid),
        runsOver: total((n) => n.runsOver),
        drips: total((n) => n.drips),
      };
      const name = made.name.slice(0, made.name.lastIndexOf(OF));
      const resin = resins.find((r) => r.id === coat.resinId)!;
      joined.set(same, cup({ resin, colourants, method }, { ...made, name, need }));
    }
  return coats.map((plan) => ({ ...plan, cups: plan.cups.map((own) => joined.get(sameness(plan.coat.resinId, own)) ?? own) }));
}

/** Coats of some pieces in the order they are laid: all films first, piece by piece, then the waves. */
function inTurn(pieces: CoatPlan[][]): CoatPlan[] {
  const all = pieces.flat();
  const isWave = (c: CoatPlan): boolean => c.coat.kind === 'wave';
  return [...all.filter((c) => !isWave(c)), ...all.filter(isWave)];
}

/** Coats that begin a mixing of their own, whatever was mixed before. */
const begun = (coats: CoatPlan[]): CoatPlan[] =>
  coats.map((c, i) =>
    coats.findIndex((k) => k.coat.resinId === c.coat.resinId) === i ? { ...c, coat: { ...c.coat, ownBatch: true } } : c,
  );

/** Pieces that can share a mixing without straining it, in turn; one that strains by itself stands alone. */
function companies(pieces: CoatPlan[][], means: Means): CoatPlan[][][] {
  if (means.method.batches !== 'split when needed') return [pieces];
  const fits = (group: CoatPlan[][]): boolean => {
    const coats = joinedCups(inTurn(group), means);
    return mixed(coats, means.resins, means).batches.every((b) => !b.because);
  };
  return pieces.reduce<CoatPlan[][][]>((groups, piece) => {
    const last = groups.at(-1);
    if (last && fits([...last, piece])) last.push(piece);
    else groups.push([piece]);
    return groups;
  }, []);
}

/** What one mixing for all would strain. */
function strainOf(coats: CoatPlan[], means: Means): Strain | undefined {
  const { batches, steps } = mixed(coats, means.resins, { ...means, method: { ...means.method, batches: 'one a resin' } });
  return batches.flatMap((batch, i) => strainsOf(batch, i, steps, means))[0];
}

/**
 * Pours of several pieces in one session: all films first, piece by piece, then the waves, so that the wait for one
 * board's white is the work on the next. Cups of the same tint are filled as one. Where that would strain the mix, the
 * pieces are taken in companies, each with mixings of its own.
 */
export function planTogether(chosen: Chosen[], means: Means): Together {
  const [only] = chosen;
  const lone = chosen.length === 1 ? only!.plan.pours[only!.pour] : undefined;
  if (lone) {
    const { piece } = only!.plan;
    const shares = new Map(lone.batches.flatMap((b) => b.cups.map((c): [string, Share[]] => [c.key, [{ piece, ml: c.needed }]])));
    return { chosen, shares, batches: lone.batches, steps: lone.steps, laid: lone.coats };
  }
  const pieces = chosen.map(({ plan, pour }) => inOrder(plan.pours[pour]?.coats ?? []).map((c) => ofPiece(c, plan.piece)));
  const groups = companies(pieces, means).map(inTurn);
  const joined = groups.map((group, i) => joinedCups(i === 0 ? group : begun(group), means));
  const because = groups.length > 1 ? strainOf(joinedCups(inTurn(pieces), means), means) : undefined;
  const { batches, steps, laid } = mixed(joined.flat(), means.resins, means);

  const shares = new Map<string, Share[]>();
  const add = (key: string, coat: CoatPlan, ml: number): void => {
    const { piece } = chosen.find((c) => coat.coat.id.startsWith(`${c.plan.piece.id}/`))!.plan;
    shares.set(key, [...(shares.get(key) ?? []), { piece, ml }]);
  };
  // what a shared cup brings to each piece is that piece's own need; portions of a cup are what they are
  const own = groups.flat();
  joined.flat().forEach((coat, i) =>
    coat.cups.forEach((c, k) => {
      const portions = laid[i]!.cups.filter((l) => l.made.portion && l.key.startsWith(`${c.key}~`));
      for (const filled of portions.length ? portions : [c]) add(filled.key, coat, own[i]!.cups[k]!.needed / (portions.length || 1));
    }),
  );
  return { chosen, shares, steps, laid, batches: batches.map((b) => (because ? { ...b, because } : b)) };
}

import type { Resin } from '#core/document';
import { letDownsOf, type LetDowns } from '#core/mix';
import type { CoatPlan } from './coats';
import type { Bench } from './means';
import { cup, needTogether, numbered, type Cup, type Serve } from '#core/coat';

/** Between a cup's name and its piece's. */
const OF = ' · ';

/** A cup with the coat it belongs to, and what it must have in common with others to be one with them. */
interface Own {
  cup: Cup;
  resin: Resin;
  alike: string;
}

/** Clear that is laid or dipped from by the spoon: lines and dips come out of one cup. */
const isHeldBack = ({ id }: Cup): boolean => id.role === 'line' || id.role === 'dressing';
/** Clear films that dips can be taken from where nothing is held back. */
const isClearFilm = ({ id }: Cup): boolean => ['clear', 'top', 'seal', 'bed', 'holes', 'gravel'].includes(id.role);

/**
 * What makes cups one: whites and held-back clear of a mixing, of one piece or of several; films of the same kind and
 * recipe, each piece's first with the others' first, since a film is laid at once.
 */
function ownCups(coats: CoatPlan[], resins: Resin[]): Own[] {
  const films = new Map<string, number>();
  // the films of one piece are each its own: only those of several can be filled as one
  const lone = coats.every((c) => c.piece.id === coats[0]!.piece.id);
  return coats.flatMap(({ piece, coat, cups }, i) => {
    const resin = resins.find((r) => r.id === coat.resinId)!;
    // a coat mixed on its own shares nothing with what was mixed before
    const run = coats.slice(0, i + 1).filter((c) => c.coat.resinId === coat.resinId && c.coat.ownBatch).length;
    return cups.map((own): Own => {
      const { tint, sand, additive, id } = own.made;
      if (isHeldBack(own)) return { cup: own, resin, alike: JSON.stringify([resin.id, run, 'held back']) };
      if (lone && id.role !== 'white') return { cup: own, resin, alike: own.key };
      const made = [resin.id, run, id.role, tint?.recipe ?? id.tint ?? null, sand ?? null, additive ?? null];
      if (id.role === 'white') return { cup: own, resin, alike: JSON.stringify(made) };
      const film = JSON.stringify([...made, piece.id]);
      const nth = films.get(film) ?? 0;
      films.set(film, nth + 1);
      return { cup: own, resin, alike: JSON.stringify([...made, nth]) };
    });
  });
}

/** Where dips have no held-back clear of their mixing to come from, they come from the first clear film of it. */
function hosted(own: Own[]): Own[] {
  return own.map((dip) => {
    if (dip.cup.id.role !== 'dressing') return dip;
    const lines = own.some((o) => o.alike === dip.alike && o.cup.id.role === 'line');
    const host = lines ? undefined : own.find((o) => o.resin.id === dip.resin.id && isClearFilm(o.cup));
    return host ? { ...dip, alike: host.alike } : dip;
  });
}

/** Several cups made one, under the identity of the first that is laid and not dipped from. */
function oneOf(like: Own[], bench: Pick<Bench, 'method' | 'colourants' | 'scaleStep'>): Cup {
  const host = like.find((o) => o.cup.id.role !== 'dressing') ?? like[0]!;
  const needed = like.reduce((sum, o) => sum + o.cup.needed, 0);
  const serves = like.flatMap((o) => o.cup.serves.map((s): Serve => ({ ...s, share: (s.share * o.cup.needed) / needed })));
  return cup({ resin: host.resin, ...bench }, { ...host.cup.made, need: needTogether(like.map((o) => o.cup.made.need)), serves });
}

/** Cups by names that are told apart: with their piece where several are poured, and numbered where they are still alike. */
function named(cups: Cup[], severalPieces: boolean): Map<string, string> {
  const plain = cups.map(({ name, serves }) => {
    const pieces = new Set(serves.map((s) => s.piece.id));
    return severalPieces && pieces.size === 1 ? name + OF + serves[0]!.piece.name : name;
  });
  const names = numbered(plain);
  return new Map(cups.map((c, i) => [c.key, names[i]!]));
}

/**
 * Coats with the cups they really share: one white for all waves of a mixing, one clear for lines and dips, like tints of
 * several pieces, and let-downs the cups have in common.
 * @param resins whose times are ages of a film
 */
export function joinCups(coats: CoatPlan[], resins: Resin[], bench: Omit<Bench, 'letDowns'>): { coats: CoatPlan[]; bench: Bench } {
  const own = hosted(ownCups(coats, resins));
  const groups = new Map<string, Own[]>();
  for (const o of own) groups.set(o.alike, [...(groups.get(o.alike) ?? []), o]);
  const { method, colourants, scaleStep } = bench;
  const joined = new Map<Own, { cup: Cup; resin: Resin }>();
  for (const like of groups.values()) {
    const one = like.length === 1 ? like[0]!.cup : oneOf(like, { method, colourants, scaleStep });
    for (const o of like) joined.set(o, { cup: one, resin: like[0]!.resin });
  }
  const all = [...new Map([...joined.values()].map((j) => [j.cup.key, j])).values()];
  const letDowns: LetDowns = method.fewDrops === 'whole drops' ? new Map() : letDownsOf(wantsOf(all, bench), scaleStep);
  const shared: Bench = { ...bench, letDowns };
  const names = named(
    all.map((j) => j.cup),
    new Set(coats.map((c) => c.piece.id)).size > 1,
  );
  const final = new Map(
    all.map(({ cup: plain, resin }) => {
      const name = names.get(plain.key)!;
      const made = { ...plain.made, name };
      // a cup that took one of the shared let-downs by itself would take it again
      const kept = plain.doses.every((d) => d.letDown === undefined || letDowns.get(d.colourantId)?.includes(d.letDown));
      return [plain.key, kept ? { ...plain, name, made } : cup({ resin, ...shared }, made)] as const;
    }),
  );
  let next = 0;
  return {
    bench: shared,
    coats: coats.map((plan) => {
      const cups = plan.cups.map(() => final.get(joined.get(own[next++]!)!.cup.key)!);
      return { ...plan, cups: [...new Set(cups)] };
    }),
  };
}

const wantsOf = (cups: { cup: Cup }[], { colourants }: Pick<Bench, 'colourants'>) =>
  cups.flatMap(({ cup: { made, parts } }) =>
    (made.tint?.recipe ?? []).flatMap((part) => {
      const colourant = colourants.find((c) => c.id === part.colourantId);
      return colourant ? [{ part, colourant, resinG: parts.aG + parts.bG }] : [];
    }),
  );

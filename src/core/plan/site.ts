import { overOf } from '#core/craft';
import type { Coat, Method, Piece, WaveCoat } from '#core/document';
import { coatRegions, type CoatRegions, type Cut } from '#core/geometry';

/** A piece with its board cut by its sea: what heights, amounts and colours are reckoned from. */
export interface Site {
  /** With its coats in the order they are laid. */
  piece: Piece;
  /** Its coats pour by pour, as they are laid. */
  pours: Coat[][];
  cut: Cut;
  method: Method;
  /** The part of the board each coat goes over, by its id. */
  regions: Map<string, CoatRegions>;
}

/** A wave's width of bare gap that white fills, where it is laid so. */
export const gapWidth = (wave: WaveCoat): number => (wave.under === 'gap' ? wave.lineWidth * (wave.lines ?? 1) : 0);

/** Coats in the sessions they are poured in: a coat joins the one below it where it says so; the lowest joins none. */
export const groupCoats = (coats: Coat[]): Coat[][] =>
  coats.reduce<Coat[][]>((groups, coat) => {
    const last = groups.at(-1);
    if (last && coat.samePour) last.push(coat);
    else groups.push([coat]);
    return groups;
  }, []);

/** The coats of a pour in the order they are laid: where the deep goes first, the sea comes before its own beach. */
function inOrder(coats: Coat[]): Coat[] {
  const sea = coats.findIndex((c) => c.kind === 'sea' && c.order === 'deep first');
  const beach = coats.findIndex((c) => c.kind === 'sand');
  if (sea < 0 || beach < 0 || beach > sea) return coats;
  return coats.map((c, i) => (i === sea ? coats[beach]! : i === beach ? coats[sea]! : c));
}

/** Coats of the pour a coat belongs to. */
export const pourOf = ({ pours }: Pick<Site, 'pours'>, coat: Coat): Coat[] => pours.find((pour) => pour.includes(coat)) ?? [];

/** The wave that fills a gap left in a sea: the first one after it in the same pour. */
function gapOf(pour: Coat[], coat: Coat): { along: string | undefined; width: number } | undefined {
  if (coat.kind !== 'sea') return undefined;
  const wave = pour.slice(pour.indexOf(coat) + 1).find((c) => c.kind === 'wave' && c.under === 'gap');
  return wave?.kind === 'wave' ? { along: wave.along, width: gapWidth(wave) } : undefined;
}

/** A piece as it is laid: its pours, and the part of the board each coat goes over. */
export function siteOf(piece: Piece, cut: Cut, method: Method): Site {
  const pours = groupCoats(piece.coats).map(inOrder);
  const regions = new Map(
    pours.flatMap((pour) =>
      pour.map((coat) => [
        coat.id,
        coatRegions(piece.shape, piece.holes, piece.sea, cut, overOf(coat), { inset: coat.inset, gap: gapOf(pour, coat) }),
      ]),
    ),
  );
  return { piece: { ...piece, coats: pours.flat() }, pours, cut, method, regions };
}

import { edgeOf } from '#core/craft';
import { holesOf, type DressingKind, type Piece, type Supply, type ToldSupply } from '#core/document';
import { looseGrams, type PiecePlan } from '#core/plan';

/** A coat of primer brushed on, mm of wet film. */
const PRIMER_FILM = 0.15;
const dressings: Record<DressingKind, Supply> = {
  shell: 'shells',
  stone: 'stones',
  crystal: 'crystals',
  glass: 'glass pieces',
  creature: 'creatures',
};
const primers: Partial<Record<Piece['surface']['primer'], Supply>> = { gesso: 'gesso', paint: 'paint', 'clear sealer': 'sealer' };

/** What the boards of a piece take beside its pours: primer, tape or film, loose sand and gravel, dressings; all like boards together. */
export function boardSupplies(plan: PiecePlan): ToldSupply[] {
  const { piece, area, rim } = plan;
  const { surface } = piece;
  // what lies on it already took its primer
  const begun = piece.coats.some((coat) => coat.lies);
  const primer = begun ? undefined : primers[surface.primer];
  const loose = looseGrams(plan);
  const taped =
    piece.edge === 'taped' || piece.edge === 'dammed' || piece.coats.some((coat) => ['taped', 'dammed'].includes(edgeOf(piece, coat)));
  const holes = holesOf(piece).filter((h) => !h.filled && h.taped);
  const tape =
    (taped ? rim : 0) +
    (surface.underside === 'tape' || surface.underside === 'film' ? rim : 0) +
    holes.reduce((sum, h) => sum + 2 * h.diameter, 0);
  const counts = new Map<Supply, number>();
  for (const d of piece.dressings ?? []) counts.set(dressings[d.kind], (counts.get(dressings[d.kind]) ?? 0) + 1);
  const takes = (supply: Supply, amount: number, unit: ToldSupply['unit']): ToldSupply[] =>
    amount > 0 ? [{ piece: piece.id, supply, amount: amount * piece.count, unit }] : [];
  const brushed = piece.coats.flatMap((coat) => (coat.brushed && !coat.lies ? [coat.brushed.kind] : []));
  const brushes = (supply: 'paint' | 'sealer', is: (kind: (typeof brushed)[0]) => boolean): ToldSupply[] =>
    takes(supply, (brushed.filter(is).length * area * PRIMER_FILM) / 1000, 'ml');
  return [
    ...brushes('sealer', (kind) => kind === 'sealer'),
    ...brushes('paint', (kind) => kind !== 'sealer'),
    ...(primer ? takes(primer, (surface.primerCoats * area * PRIMER_FILM) / 1000, 'ml') : []),
    ...takes('tape', tape / 1000, 'm'),
    ...(surface.underside === 'film' ? takes('film', plan.bounds.width / 1000, 'm') : []),
    ...takes('sand', loose.dry, 'g'),
    ...takes('gravel', loose.gravel, 'g'),
    ...[...counts].flatMap(([supply, count]) => takes(supply, count, 'pieces')),
  ];
}

import { vesselFor } from '#core/mix';
import type { Vessel } from '#core/document';
import { sharesOf, type Together } from '#core/plan';
import { writeDose, contentsOf, writeGrains } from '#core/pour';
import { inUnit, mass, volume, type Writes } from '#core/units';
import { writeCsv } from './csv';

/**
 * The cups of a session as CSV, a line for each, in the order they are filled, in the studio's units; by marked cups no
 * weights.
 */
export function writeCups({ batches }: Pick<Together, 'batches'>, vessels: Vessel[], write: Writes): string {
  const rows = batches.flatMap((batch, i) => batch.cups.map((cup) => ({ batch, number: i + 1, cup })));
  const round = (value: number, digits = 2): number => Number(value.toFixed(digits));
  const { volume: filled, weight } = write.units;
  const inVolume = (ml: number): number => round(inUnit(volume, ml, filled), filled === 'ml' ? 2 : 3);
  const inWeight = (g: number): number => round(inUnit(mass, g, weight), weight === 'g' ? 2 : 3);
  return writeCsv<(typeof rows)[0]>(
    [
      { head: 'batch', cell: (r) => r.number },
      { head: 'resin', cell: (r) => r.batch.resin.name },
      { head: 'cup', cell: (r) => r.cup.name },
      {
        head: 'pieces',
        cell: (r) =>
          sharesOf(r.cup)
            .map((s) => s.piece.name)
            .join(' + '),
      },
      { head: filled, cell: (r) => inVolume(r.cup.ml) },
      { head: `A ${filled}`, cell: (r) => inVolume(r.cup.parts.aMl) },
      { head: `B ${filled}`, cell: (r) => inVolume(r.cup.parts.bMl) },
      ...(write.byScale
        ? [
            { head: `A ${weight}`, cell: (r: (typeof rows)[0]) => inWeight(r.cup.parts.aG) },
            { head: `B ${weight}`, cell: (r: (typeof rows)[0]) => inWeight(r.cup.parts.bG) },
          ]
        : []),
      {
        head: 'colourants',
        cell: (r) => r.cup.doses.map((d) => writeDose(d, write)).join(' + '),
      },
      { head: 'sand or gravel', cell: (r) => (r.cup.sandG > 0 ? writeGrains(contentsOf(r.cup), write) : undefined) },
      { head: 'colourant %', cell: (r) => round(r.cup.load * 100, 3) },
      { head: 'limit %', cell: (r) => round(r.cup.limit * 100, 3) },
      { head: 'vessel', cell: (r) => vesselFor(r.cup.ml + r.cup.sandG / 2.65, vessels)?.name },
    ],
    rows,
  );
}

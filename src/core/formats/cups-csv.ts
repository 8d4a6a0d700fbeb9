import { vesselFor } from '#core/mix';
import type { Vessel } from '#core/document';
import { sharesOf, type Together } from '#core/plan';
import { writeDose } from '#core/pour';
import { writeCsv } from './csv';

/** The cups of a session as CSV, a line for each, in the order they are filled. */
export function writeCups({ batches }: Pick<Together, 'batches'>, vessels: Vessel[]): string {
  const rows = batches.flatMap((batch, i) => batch.cups.map((cup) => ({ batch, number: i + 1, cup })));
  const round = (value: number, digits = 2): number => Number(value.toFixed(digits));
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
      { head: 'ml', cell: (r) => round(r.cup.ml) },
      { head: 'A ml', cell: (r) => round(r.cup.parts.aMl) },
      { head: 'B ml', cell: (r) => round(r.cup.parts.bMl) },
      { head: 'A g', cell: (r) => round(r.cup.parts.aG) },
      { head: 'B g', cell: (r) => round(r.cup.parts.bG) },
      {
        head: 'colourants',
        cell: (r) => r.cup.doses.map((d) => `${d.name} ${writeDose(d)}`).join(' + '),
      },
      { head: 'sand g', cell: (r) => (r.cup.sandG > 0 ? round(r.cup.sandG, 0) : undefined) },
      { head: 'load %', cell: (r) => round(r.cup.load * 100, 3) },
      { head: 'limit %', cell: (r) => round(r.cup.limit * 100, 3) },
      { head: 'vessel', cell: (r) => vesselFor(r.cup.ml + r.cup.sandG / 2.65, vessels)?.name },
    ],
    rows,
  );
}

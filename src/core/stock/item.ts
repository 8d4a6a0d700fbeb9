import type { Colourant, Resin, Stock, StockOf, StockUnit } from '#core/document';

/** Some of one thing, in the unit it is taken in: resins and colourants in g, a supply in its own. */
export interface Taken {
  of: StockOf;
  amount: number;
  unit: StockUnit;
}

/** What tells a thing from another, whatever container it is in. */
export function itemKey(of: StockOf): string {
  switch (of.kind) {
    case 'resin':
      return `resin/${of.resinId}/${of.part}`;
    case 'colourant':
      return `colourant/${of.colourantId}`;
    case 'supply':
      return `supply/${of.supply}`;
  }
}

export interface Materials {
  resins: Resin[];
  colourants: Colourant[];
}

/** What a thing is called: "Slow coating A", "White paste", "sand". */
export function itemName(of: StockOf, { resins, colourants }: Materials): string {
  switch (of.kind) {
    case 'resin':
      return `${resins.find((r) => r.id === of.resinId)?.name ?? of.resinId} ${of.part}`;
    case 'colourant':
      return colourants.find((c) => c.id === of.colourantId)?.name ?? of.colourantId;
    case 'supply':
      return of.supply;
  }
}

/** Density of what a container holds, g/ml: its own, else its material's; 1 where none is known. */
export function densityOf({ of, density }: Pick<Stock, 'of' | 'density'>, { resins, colourants }: Materials): number {
  if (density !== undefined) return density;
  if (of.kind === 'colourant') return colourants.find((c) => c.id === of.colourantId)?.density ?? 1;
  if (of.kind === 'supply') return 1;
  const resin = resins.find((r) => r.id === of.resinId);
  return (of.part === 'A' ? resin?.densityA : resin?.densityB) ?? 1;
}

/** An amount in another unit; undefined where one cannot become the other, as metres cannot become grams. */
export function turned(amount: number, from: StockUnit, to: StockUnit, density: number): number | undefined {
  if (from === to) return amount;
  if (from === 'g' && to === 'ml') return amount / density;
  if (from === 'ml' && to === 'g') return amount * density;
  return undefined;
}

/** Amounts of the same thing in the same unit made one, in the order they first come. */
export function summed(list: Taken[]): Taken[] {
  const sums = new Map<string, Taken>();
  for (const taken of list) {
    if (taken.amount <= 0) continue;
    const key = `${itemKey(taken.of)} ${taken.unit}`;
    const known = sums.get(key);
    sums.set(key, known ? { ...known, amount: known.amount + taken.amount } : taken);
  }
  return [...sums.values()];
}

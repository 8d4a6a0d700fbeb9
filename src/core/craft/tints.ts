import type { Colourant, Tint } from '#core/document';

/**
 * A slope of five, deep to shore: even steps of lightness at 2 mm over a white ground, turning to turquoise inshore. The shore
 * is turquoise alone: so pale a cup takes less blue than can be counted.
 */
export const startingTints: Tint[] = [
  ['Deep', 0.002239, 0.000249],
  ['Offshore', 0.001218, 0.000406],
  ['Mid', 0.000624, 0.000416],
  ['Shallow', 0.000267, 0.000327],
  ['Shore', 0, 0.00033],
].map(([name, blue, turquoise]) => ({
  name: name as string,
  recipe: [
    { colourantId: 'phthalo-blue', load: blue as number },
    { colourantId: 'turquoise', load: turquoise as number },
  ].filter((part) => part.load > 0),
}));

/** Only parts whose colourant is on the shelf. */
export const onShelf = (tint: Tint, colourants: Colourant[]): Tint => ({
  ...tint,
  recipe: tint.recipe.filter((part) => colourants.some((c) => c.id === part.colourantId)),
});

/** White that laces: 6 % of paste, or all the resin's maker allows. */
export const startingWhite = (loadLimit: number): Tint => ({
  name: 'White',
  recipe: [{ colourantId: 'white-paste', load: Math.min(0.06, loadLimit) }],
});

/** A beach without sand: tan, with white enough to cover. */
export const startingBeach: Tint = {
  name: 'Beach tint',
  recipe: [
    { colourantId: 'tan', load: 0.003 },
    { colourantId: 'white-paste', load: 0.03 },
  ],
};

/** What the resin of a sand beach is tinted with, to begin with. */
export const tintedSand: Tint = { name: 'Tinted sand', recipe: [{ colourantId: 'tan', load: 0.004 }] };

/** A white base: half of what its maker allows at the most, so that a colour can still be added. */
export const startingBase = (loadLimit: number): Tint => ({
  name: 'Base',
  recipe: [{ colourantId: 'white-paste', load: Math.min(0.03, loadLimit / 2) }],
});

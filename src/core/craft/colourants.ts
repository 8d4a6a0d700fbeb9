import type { Colourant } from '#core/document';

export type ColourantKind = Colourant['kind'];

/** What a kind of colourant is, how big its drop is, and what is said when it is taken up. */
export interface KindFacts {
  form: 'liquid' | 'paste' | 'powder' | 'flake';
  base: 'resin' | 'water' | 'solvent' | 'dry';
  /** ml; left out for what is weighed or dipped. */
  dropMl?: number;
  /** g/ml */
  density: number;
  /** Share of a spoonful that is powder and not air; left out for what is poured. */
  packed?: number;
  caution: string;
}

/** Drop volume goes as surface tension over density, so it is the kind's until drops are counted to a gram. */
export const colourantKinds: Record<ColourantKind, KindFacts> = {
  'liquid pigment': { form: 'liquid', base: 'resin', dropMl: 0.025, density: 1.1, caution: 'Shake it; pigment settles.' },
  'alcohol ink': {
    form: 'liquid',
    base: 'solvent',
    dropMl: 0.02,
    density: 0.85,
    caution: 'Flammable until it has gone off: no flame or hot nozzle near.',
  },
  'water-based': { form: 'liquid', base: 'water', dropMl: 0.05, density: 1.05, caution: 'Water clouds resin and slows it: a little only.' },
  paste: { form: 'paste', base: 'resin', density: 1.7, caution: 'Work it into a spoonful first, or it stays in threads.' },
  'mica powder': {
    form: 'powder',
    base: 'dry',
    density: 2.8,
    packed: 0.15,
    caution: 'Settles: stir before use. A fine-particle mask while it is dry.',
  },
  'metal flake': {
    form: 'flake',
    base: 'dry',
    density: 2.6,
    packed: 0.08,
    caution: 'Sinks in thin resin: lay it as the resin thickens. A fine-particle mask while it is dry.',
  },
  'dry pigment': {
    form: 'powder',
    base: 'dry',
    density: 2,
    packed: 0.3,
    caution: 'Settles: stir before use. A fine-particle mask while it is dry.',
  },
};

/** What a colourant weighs as it lies in a spoon, g/ml: a powder is mostly air. */
export const spoonDensity = ({ kind, density }: Pick<Colourant, 'kind' | 'density'>): number =>
  density * (colourantKinds[kind].packed ?? 1);

/** The least of what the resin's and the colourant's makers allow, as the load of one colourant. */
export const ownLimit = (colourant: Pick<Colourant, 'limit'>, resinLimit: number): number =>
  Math.min(resinLimit, colourant.limit ?? Infinity);

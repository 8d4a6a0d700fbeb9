import type { Drying, Method, Pricing, Settings } from '#core/document';

/** What a hand can mix, fill and lay. */
const startingMeasures = {
  smallestMix: 60,
  mostMixings: 4,
  smallestCup: 10,
  smallestWhite: 15,
  whiteFactor: 1.5,
  layMlPerMin: 100,
} satisfies Partial<Method>;

/** Habits a studio starts with; each is the ordinary figure of the trade and can be changed. */
export const startingMethod: Method = {
  spare: 0.05,
  sideFilm: 0.2,
  dripPerM: 6,
  cupStays: 1,
  cupShare: 0.02,
  foamFilm: 0.25,
  foamOpen: 0.35,
  activationEa: 55,
  activationEmu: 50,
  thickening: 8,
  whitePaste: 1.2,
  whiteReady: 1.8,
  whiteLimit: 7,
  colourMinPerCup: 1,
  layMinPerCup: 1,
  heatMinPerPass: 2,
  heldBack: 0.03,
  runOff: 'lost',
  batches: 'split when needed',
  ...startingMeasures,
};

/** Hours that preparation takes, waits included, until the studio gives its own. */
const startingDrying: Drying = {
  sand: 0.5,
  scuff: 0.25,
  gesso: 1,
  paint: 2,
  sealer: 3,
  relief: 48,
  foil: 2,
  painted: 6,
  glue: 2,
  doubling: 24,
  mask: 0.25,
};

/** Minutes of hands in each step of preparation; the rest of its hours is waiting. */
export const handsOn: Drying = {
  sand: 25,
  scuff: 15,
  gesso: 10,
  paint: 10,
  sealer: 10,
  relief: 30,
  foil: 40,
  painted: 60,
  glue: 15,
  doubling: 20,
  mask: 15,
};

/** Face of the board that the studio's hours are for, mm², and the least a further small one takes of them. */
const PANEL = 120_000;
const LEAST = 0.15;

/**
 * Hands on several boards alike, in those on one: the bench is set up once, and a coaster beside it takes little of what a
 * panel does. Four coasters take 1.45 times one, four panels four times.
 * @param areaMm2 face of one
 */
export const handsOnSeveral = (count: number, areaMm2: number): number => 1 + (count - 1) * Math.min(1, Math.max(LEAST, areaMm2 / PANEL));

/** The hours a studio's preparation takes. */
export const dryingOf = (method: Method): Drying => ({ ...startingDrying, ...method.drying });

/** What a price starts from until the studio gives its own. */
export const startingPricing: Pricing = { currency: 'EUR', hourRate: 25, overhead: 0.15, margin: 0.2, setUpMin: 20, cleanUpMin: 20 };

/** How a studio prices: its own figures, or those it starts from. */
export const pricingOf = (settings: Pick<Settings, 'pricing'>): Pricing => settings.pricing ?? startingPricing;

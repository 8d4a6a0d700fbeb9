import type { Drying, Method, Pricing, Resin, Room, Settings, Vessel } from './schema';

/** What a hand can mix, fill and lay; studios from before there were such habits start with these too. */
export const startingMeasures = {
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
export const startingDrying: Drying = {
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

/** The hours a studio's preparation takes. */
export const dryingOf = (method: Method): Drying => ({ ...startingDrying, ...method.drying });

export const startingRoom: Room = { id: 'room', name: 'the room', dayC: 21, nightC: 17, dayHour: 14, nightHour: 4 };

export const startingSettings: Settings = {
  length: 'mm',
  volume: 'ml',
  temperature: '°C',
  measure: 'scale',
  scaleStep: 0.1,
  roomId: startingRoom.id,
};

/** What a price starts from until the studio gives its own. */
export const startingPricing: Pricing = { currency: 'EUR', hourRate: 25, overhead: 0.15, margin: 0.2, setUpMin: 20, cleanUpMin: 20 };

export const pricingOf = (settings: Pick<Settings, 'pricing'>): Pricing => settings.pricing ?? startingPricing;

/** Cups a studio starts with: plain ones with lines, until its own are on the shelf. */
export const startingVessels: Vessel[] = [
  { id: 'cup-30', name: '30 ml cup', use: 'cup', holds: 30, count: 20, step: 2.5 },
  { id: 'cup-100', name: '100 ml cup', use: 'cup', holds: 100, count: 10, step: 5 },
  { id: 'cup-300', name: '300 ml cup', use: 'cup', holds: 300, count: 6, step: 10 },
  { id: 'cup-600', name: '600 ml cup', use: 'cup', holds: 600, count: 3, step: 20 },
];

export const vesselsOf = ({ vessels }: { vessels?: Vessel[] | undefined }): Vessel[] => vessels ?? startingVessels;

/** A resin of ordinary figures, for a studio that starts empty; the artist's own data sheet replaces it. */
export const startingResin: Resin = {
  id: 'coating-resin',
  name: 'Coating resin',
  ratio: { a: 1, b: 1, by: 'volume' },
  densityA: 1.15,
  densityB: 0.98,
  refC: 23,
  lowestC: 15,
  viscosity: 0.9,
  stirMin: 4,
  workingMin: 45,
  gelMin: 240,
  recoatFromH: 6,
  bondUntilH: 24,
  handleH: 24,
  fullCureH: 72,
  loadLimit: 0.06,
  loadLimitBy: 'weight',
};

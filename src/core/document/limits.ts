import type { Range } from '#core/units';

/** What the document accepts: the bounds of the schema and of every field that feeds it, in internal units. */
export const limits = {
  /** Side or diameter of a piece, mm. */
  side: { min: 20, max: 3000 },
  /** Thickness of a board, mm. */
  thickness: { min: 1, max: 100 },
  /** Rounding of a corner, mm. */
  corner: { min: 0, max: 1500 },
  /** How far the rim of a slice strays, a share of its radius. */
  uneven: { min: 0, max: 0.15 },
  /** A hole across, mm. */
  hole: { min: 1, max: 500 },
  /** Shaft and hole of a clock, mm. */
  shaft: { min: 1, max: 100 },
  /** What a hanger carries, kg. */
  hanger: { min: 0.1, max: 200 },
  /** A dressing across and high, mm. */
  dressing: { min: 1, max: 300 },
  dressingHeight: { min: 0, max: 100 },
  /** A place on the drawing, mm. */
  place: { min: -6000, max: 6000 },
  /** A band or strip from the shore, mm. */
  strip: { min: 0, max: 3000 },
  /** A coat kept back from the rim, mm. */
  inset: { min: 0, max: 200 },
  /** Texture under the resin, mm. */
  relief: { min: 0.1, max: 30 },
  /** Between pieces in a row, mm. */
  gap: { min: 0, max: 500 },
  /** How far sand thins out, mm. */
  taper: { min: 0, max: 300 },
  /** Height of a tray's wall above its floor, mm. */
  wall: { min: 1, max: 100 },
  /** Film of one coat, mm. */
  film: { min: 0.1, max: 50 },
  /** Air the resin cures in, °C. */
  room: { min: 5, max: 40 },
  /** Like pieces poured together. */
  count: { min: 1, max: 50 },
  /** Colourant as a fraction of A + B by weight. */
  load: { min: 0, max: 0.3 },
  /** Minutes after mixing. */
  minute: { min: 0, max: 600 },
  /** One step of preparation with its wait, min. */
  preparation: { min: 0, max: 24000 },
  /** Reach of the foam, mm. */
  reach: { min: 0, max: 300 },
  /** Reading step of a scale, g. */
  scaleStep: { min: 0.001, max: 10 },
  /** Spare share of a coat. */
  spare: { min: 0, max: 0.5 },
  /** Density, g/ml. */
  density: { min: 0.5, max: 3 },
  /** What a cup or a mould holds, ml. */
  vessel: { min: 1, max: 20000 },
  /** Additive in a cup of white, drops. */
  additiveDrops: { min: 0, max: 20 },
  /** Margin, as a share of the cost. */
  margin: { min: 0, max: 5 },
  /** OKLab lightness. */
  lightness: { min: 0.02, max: 0.98 },
  /** Turn of the hue along a slope, degrees. */
  turn: { min: 0, max: 180 },
  /** Cups of a slope; a sea has as many parts at most. */
  slopeCups: { min: 2, max: 8 },
  /** What drips off a metre of open edge, ml. */
  drip: { min: 0, max: 60 },
  /** Mix a data sheet's times are stated for, g; 0 for a film. */
  statedMass: { min: 0, max: 5000 },
  /** Least that is mixed at once, g. */
  smallestMix: { min: 0, max: 1000 },
  /** Mixings of one session. */
  mixings: { min: 1, max: 40 },
  /** Least in a cup, ml. */
  smallestCup: { min: 0, max: 200 },
  /** White mixed for each of white needed. */
  whiteFactor: { min: 1, max: 5 },
  /** How fast a cup is laid, ml a minute. */
  layRate: { min: 5, max: 5000 },
  /** One part of a ratio as a maker states it: 1 : 1 to 100 : 2. */
  part: { min: 0.1, max: 100 },
  /** Density of a resin's part, g/ml: filled ones reach 2. */
  resinDensity: { min: 0.5, max: 3 },
  /** Viscosity of the fresh mix, Pa·s: water is 0.001, honey 10. */
  viscosity: { min: 0.02, max: 100 },
  /** Stirring, min. */
  stir: { min: 0.1, max: 30 },
  /** Working and gel time, min: what sets within a minute cannot be poured. */
  working: { min: 1, max: 600 },
  gel: { min: 1, max: 6000 },
  /** Recoat, bond and handling times, h; ultraviolet cures are not what is planned here. */
  recoat: { min: 0.1, max: 240 },
  bond: { min: 0.2, max: 480 },
  handle: { min: 0.2, max: 480 },
  fullCure: { min: 1, max: 2000 },
  /** A maker's most of colourant over A + B. */
  mostLoad: { min: 0.001, max: 0.3 },
  /** Density of a colourant, g/ml: flakes of metal reach 5. */
  colourantDensity: { min: 0.5, max: 5 },
  /** A drop, ml: 0.02 to 0.07 out of any bottle; a pipette's squirt is more. */
  drop: { min: 0.001, max: 1 },
  /** Foam where it is open, mm. */
  foamFilm: { min: 0.01, max: 5 },
  /** Activation energies of cure and of flow, kJ/mol: epoxies cure at 40 to 70. */
  activation: { min: 5, max: 150 },
  /** How much thicker a mix is at the end of its working time. */
  thickening: { min: 1.1, max: 100 },
  /** Thickness at which white is ready, and past use, Pa·s. */
  whiteReady: { min: 0.05, max: 100 },
  whiteLimit: { min: 0.1, max: 1000 },
  /** A line of white or clear, mm across and high. */
  lineWidth: { min: 0.5, max: 60 },
  lineHeight: { min: 0.1, max: 10 },
  /** The part of a board from its deep side, a share of it. */
  deepShare: { min: 0.01, max: 1 },
  /** Where a strip or a band of gravel ends, mm from the shore. */
  stripEnd: { min: 0.5, max: 3000 },
  gravelEnd: { min: 0.5, max: 1000 },
  /** A mark on a cup, ml, and how high it stands, mm; the step of its printed lines, ml. */
  markMl: { min: 0.1, max: 20000 },
  markMm: { min: 0.1, max: 500 },
  lines: { min: 0.1, max: 1000 },
  /** A cup of a slope, ml. */
  slopeCup: { min: 0.1, max: 20000 },
  /** A container when full, in its unit. */
  container: { min: 0.001, max: 1e6 },
  /** Where a band of gravel or dry sand begins, mm from the shore. */
  gravelFrom: { min: 0, max: 1000 },
  /** Sand for each of resin by weight: above that it no longer wets through. */
  sandPerResin: { min: 0, max: 3 },
  /** Parts of sky and land, each with its own coat. */
  areas: { min: 0, max: 6 },
  /** Colours a ground is graded in. */
  colours: { min: 1, max: 6 },
  /** Points of a curve of the drawing. */
  curve: { min: 2, max: 60 },
  /** What a thermometer may show, °C: a closed van reaches 60. */
  reading: { min: -30, max: 70 },
  /** Relative humidity. */
  humidity: { min: 0.05, max: 1 },
  /** A place to cure, mm. */
  placeSide: { min: 50, max: 5000 },
  /** Warmed bottles, °C: water no hotter than a bath. */
  bottles: { min: 5, max: 60 },
  /** Most film of one pour, mm. */
  mostFilm: { min: 0.5, max: 100 },
  /** A rehearsal: white of one board, ml; unevenness of a line by hand; a line moved out to sea or up the beach, mm. */
  rehearsedMl: { min: 0, max: 2000 },
  rough: { min: 0, max: 0.6 },
  lineOff: { min: -100, max: 300 },
  /** A tool off the film, mm, its angle to the board, degrees, and its fan beside the middle. */
  toolDistance: { min: 15, max: 400 },
  toolAngle: { min: 5, max: 85 },
  toolFan: { min: 0.3, max: 2 },
  /** A stroke of air, s, the points of its path, strokes of a pass, and the wait before one, s. */
  strokeSeconds: { min: 0.05, max: 300 },
  strokePoints: { min: 2, max: 80 },
  strokes: { min: 1, max: 240 },
  passWait: { min: 0, max: 7200 },
  /** What a studio sets of its rehearsals: how hard air moves white, cells born, Pa/mm², how fast they grow, mm·Pa, and their least wall, mm. */
  foamDrag: { min: 0.05, max: 2 },
  foamBorn: { min: 0.0002, max: 0.05 },
  foamGrow: { min: 0.001, max: 0.2 },
  foamWall: { min: 0.04, max: 0.6 },
  /** A pass of heat over one place, s, and its skin, °C. */
  heatSeconds: { min: 0, max: 120 },
  heatC: { min: 20, max: 200 },
  /** How far a wave may move by morning, mm. */
  drift: { min: 0.5, max: 100 },
  /** Feet below a board, and how far it hangs, degrees. */
  feet: { min: 1, max: 8 },
  tilt: { min: -10, max: 10 },
  /** A bead of mix on a tilted tile: mm² of cross-section, degrees, mm run in so many s. */
  bead: { min: 1, max: 500 },
  beadAngle: { min: 2, max: 90 },
  beadRun: { min: 1, max: 1000 },
  beadSeconds: { min: 5, max: 600 },
  /** Pieces poured in one session. */
  together: { min: 2, max: 12 },
  /** How much a promise weighs beside others. */
  priority: { min: 1, max: 5 },
  /** A photograph that is kept: its sides, px, and its picture, bytes. */
  photoSide: { min: 1, max: 20000 },
  photoBytes: { min: 1, max: 60_000_000 },
  /** How far foam is measured to have gone, mm. */
  reading95: { min: 0, max: 3000 },
  /** What a piece was sold for. */
  price: { min: 0, max: 10_000_000 },
  /** What a finished piece weighs, kg. */
  weighs: { min: 0.001, max: 500 },
  /** How far waves go beside what the model says: measured over computed. */
  drifts: { min: 0.1, max: 10 },
} satisfies Record<string, Range>;

import type { Material, Primer } from '#core/document';

/** What a board is made of, as preparation, weight and stiffness see it. Ordinary figures; a board of one's own is weighed. */
export interface MaterialFacts {
  label: string;
  /** g/ml */
  density: number;
  /** Young's modulus along the board, GPa; 0 where it does not stand by itself. */
  stiffness: number;
  /** Soaks resin up and lets air out of itself. */
  thirsty: boolean;
  /** Burns or scorches under a torch. */
  scorches: boolean;
  /** Shiny as it comes: resin needs it scuffed. */
  glossy: boolean;
}

const wood = { thirsty: true, scorches: true, glossy: false };

export const materials: Record<Material, MaterialFacts> = {
  'raw wood': { label: 'Raw wood', density: 0.6, stiffness: 9, ...wood },
  'thin ply': { label: 'Thin ply, to be doubled', density: 0.62, stiffness: 7, ...wood },
  ply: { label: 'Ply', density: 0.65, stiffness: 8, ...wood },
  'varnished wood': { label: 'Ready-varnished wood', density: 0.62, stiffness: 9, thirsty: false, scorches: true, glossy: true },
  canvas: { label: 'Stretched canvas', density: 0.45, stiffness: 0, thirsty: true, scorches: true, glossy: false },
  mdf: { label: 'MDF', density: 0.75, stiffness: 3, ...wood },
  slate: { label: 'Slate', density: 2.8, stiffness: 50, thirsty: false, scorches: false, glossy: false },
  ceramic: { label: 'Ceramic', density: 2.2, stiffness: 40, thirsty: false, scorches: false, glossy: true },
  glass: { label: 'Glass', density: 2.5, stiffness: 70, thirsty: false, scorches: false, glossy: true },
  plastic: { label: 'Plastic', density: 1.2, stiffness: 3, thirsty: false, scorches: true, glossy: true },
  'cured resin': { label: 'Cured resin', density: 1.15, stiffness: 2.5, thirsty: false, scorches: true, glossy: true },
};

/** What a board is usually given before resin: gesso where it soaks, a scuff where it shines. */
export const usualPrimer = (material: Material): Primer =>
  materials[material].thirsty ? 'gesso' : materials[material].glossy ? 'scuff only' : 'none';

/** What one coat of primer leaves, mm; a scuff leaves nothing. */
export const primerFilm: Record<Primer, number> = { none: 0, gesso: 0.1, paint: 0.06, 'clear sealer': 0.04, 'scuff only': 0 };

/** Densities of what is set on a board, g/ml: bulk of dry sand and gravel, and of dressings by kind. */
export const bulk = { sand: 1.6, gravel: 1.5, packed: 0.6 } as const;
/** Gravel lies one stone deep, mm. */
export const GRAVEL_DEPTH = 4;
/** g/ml of each. */
export const dressingDensity = { shell: 1.2, stone: 2.6, crystal: 2.6, glass: 2.5, creature: 1.1 } as const;
/** A grain of sand, g/ml, and across, mm. */
export const SAND_DENSITY = 2.65;
export const GRAIN = 0.5;

import type { Beach, Laid, Method, SeaCoat, WaveCoat } from '#core/document';

/**
 * Where good artists disagree. Every way is supported; the first is where a coat starts, with the reason shown to the
 * artist. What a way changes is in the plan of its coat.
 */
export interface School<T extends string> {
  question: string;
  ways: readonly { value: T; label: string; does: string }[];
  /** Why the first is the default. */
  why: string;
}

export const under: School<NonNullable<WaveCoat['under']>> = {
  question: 'under the white',
  ways: [
    { value: 'barrier', label: 'clear barrier', does: 'A clear line first, the white on it.' },
    { value: 'gap', label: 'bare gap, filled by white', does: 'The tint stops short of the line, and white fills its film.' },
    { value: 'none', label: 'white straight on tint', does: 'No clear is held back.' },
    { value: 'white first', label: 'white first, clear over it', does: 'The clear is laid after the white.' },
  ],
  why: 'A barrier keeps white from going blue, and lets it float and thin out.',
};

export const lace: School<NonNullable<WaveCoat['lace']>> = {
  question: 'lace',
  ways: [
    { value: 'some', label: 'some', does: 'As much of the foam opens as in your settings.' },
    { value: 'open', label: 'open', does: 'Half of the foam opens: less white in the cup, and a third pass.' },
    { value: 'bright', label: 'bright line', does: 'A tenth of the foam opens: more white, one pass.' },
  ],
  why: 'Some lace shows the sea through and still reads as a wave.',
};

export const lines: School<'fine' | 'bold'> = {
  question: 'white line',
  ways: [
    {
      value: 'fine',
      label: 'several fine, uneven',
      does: 'Three lines, 5 mm wide and 1.5 mm high; two for open lace, four for a bright line.',
    },
    { value: 'bold', label: 'one bold', does: 'One line, 10 mm wide and 2.5 mm high.' },
  ],
  why: 'Fine and uneven hides less sea and opens more.',
};

export const heat: School<NonNullable<WaveCoat['heat']>> = {
  question: 'heat',
  ways: [
    { value: 'hot air', label: 'hot air', does: 'Low for bubbles, then higher for the wave.' },
    { value: 'torch then air', label: 'torch, then air', does: 'A flick of flame opens more; its cautions come with it.' },
    { value: 'air then torch', label: 'air, then torch', does: 'The flame comes last, over what the air has moved.' },
    { value: 'hair dryer', label: 'hair dryer', does: 'Gentler and wider; it moves less.' },
  ],
  why: 'Hot air moves white without flame near wipes and wood.',
};

export const additive: School<NonNullable<WaveCoat['additive']>> = {
  question: 'cell additive',
  ways: [
    { value: 'none', label: 'none', does: 'Cells come from thin white and heat.' },
    { value: 'silicone', label: 'silicone', does: 'The next coat needs this one degreased and sealed.' },
    { value: 'other', label: 'other', does: 'By its maker’s word.' },
  ],
  why: 'Nothing that creeps is left for the next coat to draw back from.',
};

export const beach: School<Beach | 'bare'> = {
  question: 'beach',
  ways: [
    { value: 'in resin', label: 'sand stirred into resin', does: 'Sand takes room: the cup holds less resin than the beach.' },
    { value: 'pressed in', label: 'dry sand pressed into wet clear', does: 'Clear for the pores, and the rest is dry sand by weight.' },
    { value: 'gravel', label: 'gravel stirred into resin', does: 'One stone deep; what runs between the stones is in the cup.' },
    { value: 'tint', label: 'a sand-coloured tint', does: 'A film without sand, thinner toward the water.' },
    { value: 'bare', label: 'bare: nothing but clear over it', does: 'The board or its paint is the beach; no coat is laid on it.' },
  ],
  why: 'Sand in resin lies where it is put, and none flies when it is heated.',
};

export const additiveInto: School<NonNullable<WaveCoat['additiveInto']>> = {
  question: 'it goes into',
  ways: [
    { value: 'the white', label: 'the white', does: 'Into all of its white, just before it is laid.' },
    { value: 'half of the white', label: 'half of the white', does: 'Half is poured off and takes it; cells open beside plain foam.' },
    { value: 'every cup', label: 'every cup of the pour', does: 'Tints too: as many drops into each.' },
  ],
  why: 'Only what is to open needs it.',
};

/** How a beach feels under a finger, by how much sand its resin takes. */
export const texture: School<'smooth' | 'soft' | 'sandy' | 'coarse'> = {
  question: 'texture',
  ways: [
    { value: 'sandy', label: 'sandy', does: 'One and a half times the resin by weight: grains stand, and all are wet.' },
    { value: 'smooth', label: 'smooth', does: 'Half the resin by weight: it levels, and shines.' },
    { value: 'soft', label: 'soft', does: 'As much sand as resin: it lies where it is put, and still closes.' },
    { value: 'coarse', label: 'coarse', does: 'More than twice the resin: dry to the touch, and it must be pressed.' },
  ],
  why: 'Sandy reads as a beach and holds together without a second wetting.',
};
type Texture = (typeof texture.ways)[number]['value'];

/** Sand by weight for each weight of resin. */
export const texturePerResin: Record<Texture, number> = { smooth: 0.5, soft: 1, sandy: 1.5, coarse: 2.2 };

/** The texture nearest to a share of sand. */
export const textureOf = (perResin: number): Texture =>
  texture.ways
    .map((way) => way.value)
    .reduce((best, t) => (Math.abs(texturePerResin[t] - perResin) < Math.abs(texturePerResin[best] - perResin) ? t : best));

export const runOff: School<NonNullable<Method['runOff']>> = {
  question: 'run-off',
  ways: [
    { value: 'lost', label: 'lost', does: 'What drips is in every amount, and is gone.' },
    { value: 'caught', label: 'caught and used', does: 'What drips is caught on film and goes into moulds or the next base.' },
    {
      value: 'painted up',
      label: 'painted up the sides',
      does: 'What drips is painted up the sides as it thickens, so it covers them too.',
    },
  ],
  why: 'Lost is the safe figure; catch it, and less is bought.',
};

export const batching: School<NonNullable<Method['batches']>> = {
  question: 'batches',
  ways: [
    {
      value: 'split when needed',
      label: 'split when needed',
      does: 'One mixing, unless that would do harm: a cup that heats itself past use, or work that outlasts the mix.',
    },
    { value: 'one a resin', label: 'always one', does: 'One mixing for each resin of a pour, and the warnings that go with it.' },
  ],
  why: 'A large mix heats itself in the cup and can run away.',
};

export const fewDrops: School<NonNullable<Method['fewDrops']>> = {
  question: 'too few drops to count',
  ways: [
    {
      value: 'thinned',
      label: 'thin the colourant first',
      does: 'One part of it in four to forty-nine of clear, and more drops of that.',
    },
    { value: 'whole drops', label: 'whole drops only', does: 'Nothing is thinned; a cup that comes out too strong or too weak says so.' },
  ],
  why: 'A small cup wants half a drop, and half a drop cannot be counted.',
};

export const order: School<'deep to shore' | NonNullable<SeaCoat['order']>> = {
  question: 'order of tints',
  ways: [
    { value: 'deep to shore', label: 'deep to shore', does: 'From the far side toward the beach.' },
    { value: 'deep first', label: 'deep first, before the beach', does: 'The sea before the sand of the same pour.' },
    { value: 'shore first', label: 'shore first', does: 'From the beach outward.' },
    { value: 'after the white', label: 'after the white', does: 'The white first, then the tints up to it, and the heat last.' },
  ],
  why: 'Pale over the edge of dark blends; dark over pale muddies it.',
};

export const laying: School<Laid> = {
  question: 'how it is laid',
  ways: [
    { value: 'poured', label: 'poured, levels itself', does: 'Low places fill first, and it takes about twice as much.' },
    { value: 'spread', label: 'spread by hand', does: 'Follows what is below, and is about half as thick.' },
  ],
  why: 'A sea, a base and a clear are poured; a glaze, a seal and sand are spread.',
};

import { awaitedBy, isJoined, coatName } from '#core/coat';
import { materials, torched } from '#core/craft';
import { drawsBackBelow, RECEDING } from '#core/level';
import { isLine } from '#core/document';
import { partsOf } from '#core/geometry';
import { mixedDensity } from '#core/mix';
import { whiteAmounts } from '#core/plan';
import { lightnessOf, solidsShare } from '#core/tint';
import { writeShare } from '#core/units';
import type { Finding, Rule } from './finding';

/** Rules about one coat and what lies below and above it. */

/** Silicone left on a film draws the next one back. */
export const siliconeBeforeCoat: Rule = ({ plan, write }) =>
  plan.piece.coats.flatMap((coat, i, all): Finding[] => {
    const next = all[i + 1];
    if (coat.kind !== 'wave' || coat.additive !== 'silicone' || !next || next.kind === 'seal' || next.brushed?.kind === 'sealer') return [];
    const density = mixedDensity(plan.means.resins.find((r) => r.id === next.resinId)!);
    const back = drawsBackBelow(density, RECEDING['grease or silicone']);
    return [
      {
        code: 'silicone-before-coat',
        severity: 'stop',
        where: { coatId: next.id },
        says: `${coatName(next)} goes over a wave with silicone.`,
        why: `On silicone a film under ${write.fine(back)} draws back into pits.`,
        fix: 'Degrease, then lay a coat of seal between, or leave silicone out.',
      },
    ];
  });

/** Flame beside wood, or over a taped or filmed back. */
export const torchBesideWood: Rule = ({ plan }) => {
  const { edge, surface, coats } = plan.piece;
  const coat = coats.find(torched);
  if (!coat || !materials[surface.material].scorches || (edge !== 'wall' && surface.material !== 'canvas')) return [];
  return [
    {
      code: 'torch-beside-wood',
      severity: 'stop',
      where: { coatId: coat.id },
      says:
        edge === 'wall'
          ? `A torch beside a wall of ${materials[surface.material].label.toLowerCase().split(',')[0]}.`
          : 'A torch over canvas.',
      why: 'It scorches and can catch before the film has moved.',
      fix: 'Take hot air here. With a torch: wipes and inks away, an extinguisher near, never held still.',
    },
  ];
};

/** Pigment left open: the last coat stops short of the rim, or of part of what is coloured. */
export const coatsShortOfEdge: Rule = ({ plan, write }) => {
  const last = plan.coats.at(-1);
  if (!last || (last.coat.kind !== 'top' && last.coat.kind !== 'clear')) return [];
  const covered = partsOf(last.regions).reduce((sum, r) => sum + r.area, 0);
  const left = plan.cut.cover.area - covered;
  if (left < 0.005 * plan.cut.cover.area) return [];
  return [
    {
      code: 'coat-short-of-edge',
      severity: 'warn',
      where: { coatId: last.coat.id },
      says: `${last.name} leaves ${write.area(left)} of what is below it open${last.coat.inset ? `, ${write.fine(last.coat.inset)} all round the rim` : ''}.`,
      why: 'There it shows a step, and the coats below are what is touched and washed.',
      fix: 'Take it over the whole of what is coated, to the edge.',
    },
  ];
};

/** Sand that ends as a step above the sea that should run over it. */
export const sandOverFilm: Rule = ({ plan, write }) => {
  const sand = plan.coats.find((c) => c.coat.kind === 'sand');
  const sea = plan.coats.find((c) => c.coat.kind === 'sea');
  if (!sand || !sea || sand.coat.kind !== 'sand' || sand.coat.taper || !sand.cups.length || sand.film <= sea.film) return [];
  return [
    {
      code: 'sand-over-film',
      severity: 'warn',
      where: { coatId: sand.coat.id },
      says: `${sand.name} ends as a step ${write.fine(sand.film - sea.film)} over the sea.`,
      why: 'The wave stops at it, and loose grains at the edge fly when they are heated.',
      fix: 'Thin it out toward the water, so that the sea runs over it.',
    },
  ];
};

/** Solids past this share of a mix no longer wet through, and it cannot be laid. */
const PACKED = 0.6;

/** More sand, powder and pigment in a cup than its resin wets. */
export const solidsPacked: Rule = ({ plan }) =>
  plan.coats.flatMap(({ coat, cups }): Finding[] => {
    const density = mixedDensity(plan.means.resins.find((r) => r.id === coat.resinId)!);
    return cups.flatMap((cup): Finding[] => {
      const sand = cup.made.sand && !cup.made.sand.pressed ? 1 - cup.made.sand.resinShare : 0;
      const pigment = solidsShare(cup.made.tint?.recipe ?? [], plan.means.colourants, density);
      const solids = 1 - (1 - sand) * (1 - pigment);
      if (solids < PACKED) return [];
      return [
        {
          code: 'solids-packed',
          severity: 'stop',
          where: { coatId: coat.id, cup: cup.key },
          says: `${cup.name} is ${writeShare(solids)} grains, and resin wets up to ${writeShare(PACKED)}.`,
          why: 'Dry grains stay loose and soft, and never hold.',
          fix: sand > 0 ? 'Take less sand to its resin, or press the rest in dry.' : 'Take less of its powder, or a stronger colourant.',
        },
      ];
    });
  });

/** A film spread thinner than what stays spread on its ground. */
export const filmDrawsBack: Rule = ({ plan, write }) =>
  plan.coats.flatMap(({ coat, name, film, number }): Finding[] => {
    if (isLine(coat) || coat.kind === 'top' || isJoined(plan.piece.coats, coat)) return [];
    const density = mixedDensity(plan.means.resins.find((r) => r.id === coat.resinId)!);
    const onCoat = number > 1;
    const primed = drawsBackBelow(density, RECEDING['primed, scuffed or wet']);
    const glossy = drawsBackBelow(density, RECEDING['glossy cured coat']);
    if (film < primed)
      return [
        {
          code: 'film-draws-back',
          severity: 'warn',
          where: { coatId: coat.id },
          says: `${name} of ${write.fine(film, 2)} does not stay spread; from ${write.fine(primed, 2)} it does.`,
          why: 'Surface tension pulls a thinner film back into islands.',
          fix: `Lay ${write.fine(Math.ceil(primed * 10) / 10)} or more.`,
        },
      ];
    if (!onCoat || film >= glossy) return [];
    return [
      {
        code: 'film-needs-scuff',
        severity: 'note',
        where: { coatId: coat.id },
        says: `${name} of ${write.fine(film, 2)} stays spread on a scuffed coat; on a glossy one it takes ${write.fine(glossy, 2)}.`,
        why: 'A hard gloss lets a thin film draw back.',
        fix: `Scuff and wipe first, or lay ${write.fine(Math.ceil(glossy * 10) / 10)}.`,
      },
    ];
  });

/** Lightness from which lacing still reads as white through what is over it, OKLab. */
const READS = 0.6;

/** A glaze so dark that the lacing below it goes under. */
export const glazeHidesLacing: Rule = ({ plan }) =>
  plan.piece.coats.flatMap((glaze, i): Finding[] => {
    if (glaze.kind !== 'glaze') return [];
    const below = plan.piece.coats.slice(0, i).filter((c) => c.kind === 'wave');
    const hidden = below.some((wave) => {
      const foam = plan.colours.foams.find((f) => f.coatId === wave.id);
      const white = foam?.parts[1];
      return white !== undefined && lightnessOf(white) < READS;
    });
    if (!hidden) return [];
    return [
      {
        code: 'glaze-hides-lacing',
        severity: 'warn',
        where: { coatId: glaze.id },
        says: 'This glaze is so dark that the lacing below it goes under.',
        why: 'White seen through it comes out as a mid blue, and no longer reads as foam.',
        fix: 'Thin the glaze with clear, lay it thinner, or keep it to the deep side.',
      },
    ];
  });

/** White by reach and by line may differ this many times before one of them must be wrong. */
const APART = 2;

/** White for the reach and white in the drawn line that tell different stories. */
export const whiteTwoWays: Rule = ({ plan, write }) =>
  plan.piece.coats.flatMap((coat): Finding[] => {
    if (coat.kind !== 'wave') return [];
    const { byReach, byLine } = whiteAmounts(plan, coat);
    if (byReach <= 0 || byLine <= 0 || Math.max(byReach / byLine, byLine / byReach) <= APART) return [];
    return [
      {
        code: 'white-two-ways',
        severity: 'warn',
        where: { coatId: coat.id },
        says: `The reach takes ${write.volume(byReach)} of white; the drawn line holds ${write.volume(byLine)}.`,
        why:
          byLine > byReach
            ? 'So much white on the line hides the sea it is pushed over.'
            : 'So thin a line runs out before it reaches that far.',
        fix: byLine > byReach ? 'Lay fewer or thinner lines, or plan a longer reach.' : 'Lay another line, or plan a shorter reach.',
      },
    ];
  });

/** A coat joined to the pour below it that is also to wait for something. */
export const waitsInSamePour: Rule = ({ plan }) =>
  plan.piece.coats.flatMap((coat): Finding[] =>
    isJoined(plan.piece.coats, coat) && awaitedBy(plan.piece.coats, coat)
      ? [
          {
            code: 'waits-in-same-pour',
            severity: 'warn',
            where: { coatId: coat.id },
            says: 'This coat is in the same pour as the one below it, and is also to wait.',
            why: 'Both cannot be so.',
            fix: 'Begin a pour of its own with it, or let it wait for nothing.',
          },
        ]
      : [],
  );

/** Something that dries brushed on a film that is still wet. */
export const brushedOnWet: Rule = ({ plan }) =>
  plan.piece.coats.flatMap((coat): Finding[] =>
    coat.brushed && isJoined(plan.piece.coats, coat)
      ? [
          {
            code: 'brushed-on-wet',
            severity: 'stop',
            where: { coatId: coat.id },
            says: `${coatName(coat)} is poured with the coat below it, and ${coat.brushed.kind} is to be brushed on between.`,
            why: 'Nothing that dries can be brushed on wet resin.',
            fix: 'Begin a pour of its own with it, or leave the brushing out.',
          },
        ]
      : [],
  );

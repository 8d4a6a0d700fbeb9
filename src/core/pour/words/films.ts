import { kinds, type FilmWords } from '#core/coat';
import { bulk } from '#core/craft';
import type { Told, ToldStep, ToldThinned } from '#core/document';
import { writeDuration, type Writes } from '#core/units';
import { boardsIn, cupOf, looseOf, type Amount, type Said } from './said';

/** What is mixed, and what is laid as a film. */

const places = {
  whole: 'the whole board',
  sea: 'the sea',
  beach: 'the beach',
  area: 'its part',
  deep: 'the deep side',
  strip: 'its strip off the shore',
};

/** A and B of a batch brought together, its cups filled and coloured. */
export function mixed(step: ToldStep, told: Told, write: Writes): Said {
  // by scale the volume stands beside the weight; by marked cups no weight is asked for
  const part = (name: string, g: number, ml: number): Amount =>
    write.byScale ? { name, amount: write.weight(g), holds: write.volume(ml) } : { name, amount: write.volume(ml) };
  const number = step.id.batch ?? step.batch;
  const batch = told.batches[number];
  const cups = told.cups.filter((c) => c.batch === number);
  const several = told.batches.length > 1;
  const coloured = cups.some((c) => c.doses.length || c.additive || (c.sandG > 0 && !c.pressed));
  return {
    says: `${several ? `Batch ${number + 1} of ${told.batches.length}: bring` : 'Bring'} A and B together, and press as they meet.`,
    detail: [
      batch?.bottlesC !== undefined &&
        `The bottles are at ${write.temperature(batch.bottlesC, 0)}, ${batch.bottlesC > told.roomC ? 'out of warm water' : 'from a cool floor'}: wipe them dry first.`,
      batch?.wide && 'Mix in a wide tub, no deeper than two fingers.',
      `Then stir slowly for ${writeDuration(batch?.stirMin ?? 0)}, walls and floor and paddle too, until no streak is left.`,
      cups.length > 1
        ? `Fill the ${cups.length} cups at once${coloured ? ', then colour them' : ''}.`
        : coloured
          ? 'Colour it in its own cup.'
          : 'It is poured from this cup.',
    ],
    amounts: batch ? [part('A', batch.aG, batch.aMl), part('B', batch.bG, batch.bMl)] : [],
    does: 'A and B are together',
    short: several ? `Mix batch ${number + 1}` : 'Bring A and B together',
    done: several ? `Batch ${number + 1}, A and B together` : 'A and B together',
  };
}

/** Colourants thinned before the cups are coloured: said in full once, since every cup that takes one only names it. */
export function thinned({ batch, thin = [] }: ToldStep, told: Told, write: Writes): Said {
  const [first] = thin;
  const one = thin.length === 1 && first ? `${first.name}, 1 part in ${first.letDown} of clear` : undefined;
  const takers = (t: ToldThinned): string =>
    told.cups
      .filter((c) => c.batch === batch && c.doses.some((d) => d.colourantId === t.colourantId && d.letDown === t.letDown))
      .map((c) => c.name)
      .join(', ');
  return {
    says: one ? `Thin ${one}.` : 'Thin what the cups want too little of.',
    detail: ['In small cups, with some of the clear you mixed; stir until each is one colour.'],
    amounts: thin.map((t) => ({
      name: `${t.name}, 1 part in ${t.letDown} of clear`,
      amount: `${t.count === undefined ? write.weight(t.grams, 2) : `${t.count} drop${t.count === 1 ? '' : 's'}`} in ${write.volume(t.clearMl)}`,
      holds: `for ${takers(t)}`,
    })),
    does: thin.length > 1 ? 'They are thinned' : 'It is thinned',
    short: one ? `Thin ${one}` : `Thin ${thin.length} colourants in clear`,
    done: one ? `${one}, thinned` : `${thin.length} colourants thinned`,
  };
}

/** A film laid out of a cup. */
export function poured(step: ToldStep, told: Told, write: Writes): Said {
  const { id, over = 'whole', into, gap, loose, coat, area } = step;
  const name = (step.uses[0] && cupOf(told, step.uses[0])?.name) ?? 'the cup';
  const says = (): string => {
    if (id.role === 'gravel') return 'Stir the gravel into its clear, and edge the beach with it.';
    if (id.role === 'holes') return 'Fill the holes with clear.';
    const beforeTints = told.steps.some((s) => s.at >= step.at && s.id.does === 'pour' && s.id.role === 'tint' && s.id.piece === id.piece);
    const used = step.uses[0] && cupOf(told, step.uses[0]);
    const holds: FilmWords['holds'] = used && used.sandG > 0 ? (used.gravel ? 'gravel' : 'sand') : undefined;
    const words = {
      role: id.role ?? 'clear',
      name,
      over,
      place: over === 'area' && step.place ? `the ${step.place}` : places[over],
      into,
      several: id.tint !== undefined,
      loose: loose ?? false,
      holds,
      beforeTints,
    };
    return kinds[coat?.kind ?? 'clear'].says(words);
  };
  const figures =
    area && coat ? `${write.area(area)}${boardsIn(step.boards) > 1 ? ' a board' : ''}, ${write.fine(coat.film)} of film.` : undefined;
  return {
    says: says(),
    detail: [
      gap !== undefined && `Stop ${write.length(gap)} short of the line of the wave: it stays bare for the white.`,
      id.role !== 'gravel' && id.role !== 'holes' && figures,
      loose ? 'No heat on it: dry sand comes next.' : id.role !== 'holes' && 'A quick low heat pass takes the bubbles.',
    ],
    ...(id.role === 'gravel' && { amounts: [looseOf('Gravel', step, write, bulk.gravel)] }),
    does: id.role === 'holes' ? 'Filled' : 'Laid',
    short: id.role === 'holes' ? 'Fill the holes' : `Lay ${name}`,
    done: id.role === 'holes' ? 'Holes filled' : `${name} laid`,
  };
}

/** Dry sand pressed into the clear that was laid for it. */
export const pressed = (step: ToldStep, write: Writes): Said => ({
  says: 'Press dry sand into the wet clear.',
  detail: [
    'Strew it evenly, then press it flat, until no clear shines between the grains.',
    'No heat until clear has come up through it: dry sand flies.',
  ],
  amounts: [looseOf('Dry sand', step, write)],
  does: 'Sand is pressed in',
  short: 'Press in dry sand',
  done: 'Dry sand pressed in',
});

/** Dry sand that stays pale. */
export const strewn = (step: ToldStep, write: Writes): Said => ({
  says: 'Strew dry sand on the high part of the beach.',
  detail: ['It stays pale for as long as it stays dry: no heat near it, and no clear over it.'],
  amounts: [looseOf('Dry sand', step, write)],
  does: 'Sand is strewn',
  short: 'Strew dry sand',
  done: 'Dry sand strewn',
});

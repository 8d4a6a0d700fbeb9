import { coatName } from '#core/coat';
import { colourantKinds, edgeOf, torched } from '#core/craft';
import { tintsOf, type Coat, type Piece, type Pour, type Told } from '#core/document';
import { sayBetween, sayWork, workBefore, workBetween } from '#core/prepare';
import { writeSand } from '#core/pour';
import type { Writes } from '#core/units';

/** One thing that must be so before A and B meet. */
export interface ReadyItem {
  /** The same however often it is asked for; what was seen to is recorded by it. */
  item: string;
  /** The board it is of; the bench where it is left out. */
  piece?: string;
  says: string;
  /** What goes with it, in figures or in words. */
  detail?: string;
}

type Asked = Pick<Pour, 'of' | 'planned' | 'roomC'>;

const dry = (coat: Coat, { planned }: Asked): boolean =>
  tintsOf(coat).some((tint) =>
    tint.recipe.some((part) => {
      const colourant = planned.colourants.find((c) => c.id === part.colourantId);
      return colourant !== undefined && colourantKinds[colourant.kind].base === 'dry';
    }),
  );

const list = (parts: string[]): string => (parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`);

/** What a board must be before this pour: primed and dry, or clean over what lies on it. */
function surfaceOf(piece: Piece, coats: Coat[], { planned }: Asked, write: Writes): ReadyItem[] {
  const first = piece.coats.find((c) => !c.lies);
  const fresh = first !== undefined && coats.includes(first);
  const works = workBefore(piece, planned.method).filter((w) => w.key !== 'set up');
  const brushed = workBetween(piece, planned.method).filter((b) => coats.some((c) => c.id === b.coat.id));
  const own = (item: string): string => `${item} ${piece.id}`;
  return [
    fresh
      ? {
          item: own('prepared'),
          piece: piece.name,
          says: 'It is prepared, and dry to the touch.',
          detail: works.map((w) => sayWork(w, piece, write).does).join(' '),
        }
      : {
          item: own('clean'),
          piece: piece.name,
          says: 'What lies on it is set, wiped, and free of dust and hairs.',
          detail: 'Past its recoat window it is scuffed first, or this coat peels.',
        },
    ...brushed.map((b) => ({
      item: own(`${'repair' in b ? 'repaired' : 'brushed'} ${b.coat.id}`),
      piece: piece.name,
      says: 'repair' in b ? 'What went wrong below is put right.' : 'What was brushed on is dry through.',
      detail: sayBetween(b, coatName(b.coat)).does,
    })),
  ];
}

/** How a board lies, and what keeps the resin on it. */
function boardItems(piece: Piece, coats: Coat[], { planned }: Asked): ReadyItem[] {
  const own = (item: string): string => `${item} ${piece.id}`;
  const edges = new Set(coats.map((c) => edgeOf(piece, c)));
  const stands = piece.stands;
  const covered = (planned.room.places ?? []).filter((p) => p.covered);
  const guards: [boolean, string, string][] = [
    [edges.has('taped'), 'The tape is on all round, pressed down.', 'Run a nail along it: resin creeps under what lifts.'],
    [edges.has('dammed'), 'The dam stands, sealed at its foot.', `Higher than the film, all round.`],
    [edges.has('wall'), 'The foot of the wall has no gap.', 'A fingertip finds what the eye does not.'],
    [edges.has('run over'), 'Drips have somewhere to fall.', 'A sheet below, and feet well in from the edge.'],
  ];
  return [
    {
      item: own('level'),
      piece: piece.name,
      says: `It lies level on ${stands ? `its ${stands.feet} feet` : 'its feet'}, air beneath, both ways.`,
      detail: stands ? 'Read the bubble once more now that it is where it stays.' : 'Lay a level along it and across it.',
    },
    ...guards.filter(([is]) => is).map(([, says, detail], i) => ({ item: own(`edge ${i}`), piece: piece.name, says, detail })),
    {
      item: own('place'),
      piece: piece.name,
      says: 'Its place to cure and its cover are free.',
      detail: covered.length ? `Covered: ${covered.map((p) => p.name).join(', ')}.` : 'A lid or a box that touches nothing.',
    },
    ...(piece.dressings?.length
      ? [
          {
            item: own('dressings'),
            piece: piece.name,
            says: 'What is set on it lies at hand, clean and dry.',
            detail: `${piece.dressings.length * piece.count} in all${piece.count > 1 ? `, ${piece.dressings.length} a board` : ''}.`,
          },
        ]
      : []),
  ];
}

/** Cups by what is filled into each, for those who mark them with water first. */
function cupItems(told: Told, write: Writes): ReadyItem[] {
  const mixing = told.batches.map((b) => write.volume(b.ml));
  const cups = told.cups.map((c) => `${c.name} ${write.volume(c.ml)}`);
  const sand = told.cups.reduce((sum, c) => sum + (c.gravel ? 0 : c.sandG), 0);
  const thin = told.steps.flatMap((s) => s.thin ?? []).length;
  return [
    {
      item: 'cups',
      says: write.byScale ? 'Cups stand in order, dry, named on tape.' : 'Cups are marked with water, dried, and named.',
      detail: `${list(cups)}${told.cups.length > told.batches.length ? `; to mix in: ${list(mixing)}` : ''}.`,
    },
    ...(thin
      ? [{ item: 'thinning', says: `${thin === 1 ? 'A small cup stands' : `${thin} small cups stand`} ready for thinning colour.` }]
      : []),
    ...(sand > 0 ? [{ item: 'sand', says: 'Sand is dry and measured out.', detail: `${writeSand(sand, write)} in all.` }] : []),
  ];
}

/** The room, the bottles, the tools and what is worn. */
function benchItems(asked: Asked, coats: Coat[], write: Writes): ReadyItem[] {
  const { planned, roomC } = asked;
  const { method } = planned;
  const resins = planned.resins.filter((r) => coats.some((c) => c.resinId === r.id));
  const lowest = Math.max(...resins.map((r) => r.lowestC));
  const waves = coats.filter((c) => c.kind === 'wave');
  const dryer = waves.length > 0 && waves.every((c) => c.heat === 'hair dryer');
  const flame = coats.some(torched);
  const powder = coats.some((c) => dry(c, asked) || c.kind === 'sand');
  return [
    {
      item: 'room',
      says: `The room is at ${write.temperature(roomC)}, and stays there. A window is open or the extraction on.`,
      detail:
        roomC < lowest
          ? `${write.temperature(lowest)} is the least this resin hardens at.`
          : 'No draught over the boards: dust comes with it.',
    },
    {
      item: 'bottles',
      says:
        method.bottlesC === undefined
          ? 'The bottles are as warm as the room, and there is enough in them.'
          : `The bottles are at ${write.temperature(method.bottlesC, 0)}, wiped dry, and there is enough in them.`,
      detail: resins.map((r) => r.name).join(', '),
    },
    {
      item: 'tools',
      says: `${flame ? 'Heat tool, torch and extinguisher' : dryer ? 'Hair dryer' : 'Heat tool'}, sticks and a scraper lie in reach.`,
      detail: `Blow the ${dryer ? 'dryer' : 'tool'} out away from the boards first; wipes and solvents are put away.`,
    },
    {
      item: 'gloves',
      says: `Two pairs of nitrile gloves, sleeves, eyes${powder ? ', and a fine-particle mask for what is dry' : ''}.`,
      detail: 'With two pairs one can be stripped. The product’s safety sheet decides on a respirator.',
    },
  ];
}

/**
 * What must be so before A and B of a pour meet, each from the pieces' own plans: the bench first, then board by board, the
 * cups last.
 */
export function readyItems(asked: Asked, told: Told, write: Writes): ReadyItem[] {
  const laid = asked.of.flatMap(({ pieceId, coatIds }) => {
    const piece = asked.planned.pieces.find((p) => p.id === pieceId);
    return piece ? [{ piece, coats: piece.coats.filter((c) => coatIds.includes(c.id)) }] : [];
  });
  return [
    ...benchItems(
      asked,
      laid.flatMap((l) => l.coats),
      write,
    ),
    ...laid.flatMap(({ piece, coats }) => [...surfaceOf(piece, coats, asked, write), ...boardItems(piece, coats, asked)]),
    ...cupItems(told, write),
  ];
}

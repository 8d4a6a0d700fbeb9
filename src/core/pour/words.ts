import { cupKey, type Told, type ToldBoards, type ToldCup, type ToldStep, type ToldUse } from '#core/document';
import { fixed, plain, writeArea, writeDuration, writeLength, writeVolume, type LengthUnit, type VolumeUnit } from '#core/units';
import { writeContents } from './contents';

/** The units a studio reads. */
export interface Units {
  length: LengthUnit;
  volume: VolumeUnit;
}

/** One thing of a step by name, how much of it, and what one board gets where there are several. */
export interface Amount {
  name: string;
  amount: string;
  each?: string;
  /** What is in the cup beside resin. */
  holds?: string;
  colour?: string;
}

/** What a step asks of the hands: one sentence to read at arm's length, what goes with it, and what it is called. */
export interface Words {
  says: string;
  detail: string;
  amounts: Amount[];
  /** What its button is called. */
  does: string;
  /** In a few words, for what comes next. */
  short: string;
  /** In the log, once it is done. */
  done: string;
}

type Said = Omit<Words, 'amounts' | 'detail'> & { detail: (string | false | undefined)[]; amounts?: Amount[] };

const grams = (g: number): string => `${plain(g, g < 10 ? 1 : 0)} g`;
const cupOf = (told: Told, use: ToldUse): ToldCup | undefined => told.cups.find((c) => cupKey(c.id) === cupKey(use.cup));
const boardsIn = (boards: Pick<ToldBoards, 'count'>[]): number => boards.reduce((sum, b) => sum + b.count, 0);

/** What one board gets of something measured, where there are several boards. */
function each(boards: Pick<ToldBoards, 'count' | 'name'>[], share: (i: number) => string): string | undefined {
  if (boardsIn(boards) < 2) return undefined;
  return boards.map((b, i) => (boards.length > 1 ? `${b.name} ${share(i)}` : `${share(i)} a board`)).join(', ');
}

/** Less than this is not measured but dipped, ml. */
const DIP = 1;

function amountOf(use: ToldUse, { id }: ToldStep, told: Told, { volume }: Units): Amount[] {
  const cup = cupOf(told, use);
  if (use.ml <= 0 || !cup) return [];
  if (id.does === 'dress' && use.ml < DIP) return [{ name: cup.name, amount: 'a dip' }];
  const share = each(use.boards, (i) => writeVolume(use.boards[i]!.ml, volume));
  const holds = writeContents(cup).join(', ');
  return [
    {
      name: cup.name,
      amount: writeVolume(use.ml, volume),
      ...(share && { each: share }),
      ...(holds && { holds }),
      ...(cup.colour && { colour: cup.colour }),
    },
  ];
}

function looseOf(name: string, { grams: g = 0, boards }: ToldStep): Amount {
  const count = boardsIn(boards);
  return { name, amount: grams(g), ...(count > 1 && { each: `${grams(g / count)} a board` }) };
}

/** Where a wave is laid. */
function along({ wave }: ToldStep): string {
  switch (wave?.along) {
    case 'sea':
      return `along ${wave.line ?? 'its line'}, out at sea`;
    case 'mid-board':
      return `along ${wave.line ?? 'its line'}, across the board`;
    case 'island':
      return 'along every shore, the island’s too';
    default:
      return 'along the shore';
  }
}

/** The side a wave is pushed from. */
const from = ({ wave }: ToldStep): string =>
  wave?.along === 'sea' || wave?.along === 'mid-board'
    ? 'from the side it comes from'
    : wave?.beach
      ? 'from the beach side'
      : 'from the land side';

const places = { whole: 'the whole board', sea: 'the sea', beach: 'the beach', deep: 'the deep side', strip: 'its strip off the shore' };

function mixed(step: ToldStep, told: Told, { volume }: Units): Said {
  const number = step.id.batch ?? step.batch;
  const batch = told.batches[number];
  const cups = told.cups.filter((c) => c.batch === number);
  const several = told.batches.length > 1;
  const coloured = cups.some((c) => c.doses.length || c.additive || (c.sandG > 0 && !c.pressed));
  return {
    says: `${several ? `Batch ${number + 1} of ${told.batches.length}: bring` : 'Bring'} A and B together, and press as they meet.`,
    detail: [
      `Then stir slowly for ${writeDuration(batch?.stirMin ?? 0)}, walls and floor and paddle too, until no streak is left.`,
      cups.length > 1
        ? `Fill the ${cups.length} cups at once${coloured ? ', then colour them' : ''}.`
        : coloured
          ? 'Colour it in its own cup.'
          : 'It is poured from this cup.',
    ],
    amounts: batch
      ? [
          { name: 'A', amount: `${fixed(batch.aG, 1)} g`, holds: writeVolume(batch.aMl, volume) },
          { name: 'B', amount: `${fixed(batch.bG, 1)} g`, holds: writeVolume(batch.bMl, volume) },
        ]
      : [],
    does: 'A and B are together',
    short: several ? `Mix batch ${number + 1}` : 'Bring A and B together',
    done: several ? `Batch ${number + 1}, A and B together` : 'A and B together',
  };
}

/** A film laid out of a cup. */
function poured(step: ToldStep, told: Told, units: Units): Said {
  const { id, over = 'whole', into, gap, loose, coat, area } = step;
  const name = (step.uses[0] && cupOf(told, step.uses[0])?.name) ?? 'the cup';
  const before = told.steps.some((s) => s.at >= step.at && s.id.does === 'pour' && s.id.role === 'tint' && s.id.piece === id.piece);
  const says = (): string => {
    switch (id.role) {
      case 'sand':
        if (over !== 'beach') return `Lay ${loose ? 'the clear for the sand' : 'the sand'} over ${places[over]}.`;
        return loose ? 'Lay the clear for the beach, thinner toward the water.' : 'Lay the beach, thinner toward the water.';
      case 'gravel':
        return 'Stir the gravel into its clear, and edge the beach with it.';
      case 'bed':
        return `Wet ${places[over]} with clear, thin and even, before the tints.`;
      case 'tint':
        return `Lay ${name}${into === undefined ? '' : `, and draw it into ${into}`}.`;
      case 'seal':
        return `Seal ${places[over]} with a thin film of clear.`;
      case 'base':
        return `Lay ${name} over ${places[over]}.`;
      case 'glaze':
        return `Glaze ${places[over]} with ${name}.`;
      case 'top':
        return 'Pour the clear top, and let it level.';
      case 'holes':
        return 'Fill the holes with clear.';
      default:
        return before ? `Flood ${places[over]} with clear before the tints.` : `Flood ${places[over]} with clear, and let it level.`;
    }
  };
  const figures =
    area && coat
      ? `${writeArea(area, units.length)}${boardsIn(step.boards) > 1 ? ' a board' : ''}, ${fixed(coat.film, 1)} mm of film.`
      : undefined;
  return {
    says: says(),
    detail: [
      gap !== undefined && `Stop ${writeLength(gap, units.length)} short of the line of the wave: it stays bare for the white.`,
      id.role !== 'gravel' && id.role !== 'holes' && figures,
      loose ? 'No heat on it: dry sand comes next.' : id.role !== 'holes' && 'A quick low heat pass takes the bubbles.',
    ],
    ...(id.role === 'gravel' && { amounts: [looseOf('Gravel', step)] }),
    does: id.role === 'holes' ? 'Filled' : 'Laid',
    short: id.role === 'holes' ? 'Fill the holes' : `Lay ${name}`,
    done: id.role === 'holes' ? 'Holes filled' : `${name} laid`,
  };
}

function whiteLaid(step: ToldStep): Said {
  const { lines = 1, lineWidth = 0, under } = step.wave ?? {};
  const where = along(step);
  const drawn = lines > 1 ? `${lines} fine lines, thin and uneven` : 'one line, thin and uneven';
  const says = {
    barrier: `Lay the white on the clear line, ${where}.`,
    gap: `Fill the bare gap with white, ${where}.`,
    none: `Lay the white straight on the tint, ${where}.`,
    'white first': `Lay the white ${where}; the clear comes over it.`,
  }[under ?? 'barrier'];
  const onShore = step.wave?.along === 'shore' || step.wave?.along === 'island';
  return {
    says,
    detail: [
      under === 'gap' ? 'It spreads into the width that was left bare.' : `In ${drawn}, about ${plain(lineWidth, 1)} mm wide.`,
      onShore ? 'Start seaward of where it should end.' : 'Start short of where it should end: it creeps.',
    ],
    does: 'White is laid',
    short: 'Lay the white',
    done: 'White laid',
  };
}

function clearLine(step: ToldStep): Said {
  const over = step.wave?.under === 'white first';
  return {
    says: over ? `Lay the clear over the white, ${along(step)}.` : `Lay the clear line ${along(step)}.`,
    detail: [over ? 'A thread that covers it and no more.' : 'The white goes on it at once, so that it floats and stays white.'],
    does: over ? 'Clear is over it' : 'Clear line is laid',
    short: over ? 'Clear over the white' : 'Lay the clear line',
    done: over ? 'Clear laid over the white' : 'Clear line laid',
  };
}

function heated(step: ToldStep): Said {
  const { pass = 1 } = step.id;
  const onShore = step.wave?.along === 'shore' || step.wave?.along === 'island';
  const tool =
    step.wave?.heat === 'hair dryer'
      ? `Hair dryer ${from(step)}, low and wide: it moves less than hot air.`
      : `Hot air ${from(step)}, tool low and nearly flat.`;
  return {
    says: `Heat pass ${pass} of ${step.passes ?? pass}: push the white ${onShore ? 'to sea' : 'off its line'}.`,
    detail: [
      tool,
      'Warm a short length, push, move on.',
      pass < (step.passes ?? pass)
        ? 'Look before the next pass: every one lowers contrast.'
        : 'Stop while it still looks unfinished: cells go on opening.',
      step.loose && 'Keep it off sand that is still dry.',
    ],
    does: 'Pass done',
    short: `Heat pass ${pass}`,
    done: `Heat pass ${pass}`,
  };
}

const kinds = { shell: 'shell', stone: 'stone', crystal: 'crystal', glass: 'piece of glass', creature: 'creature' };
const kindsMany = { shell: 'shells', stone: 'stones', crystal: 'crystals', glass: 'pieces of glass', creature: 'creatures' };

function dressed({ id, count = 1, boards, uses }: ToldStep): Said {
  const kind = id.dressing ?? 'shell';
  const one = boardsIn(boards);
  const a = count / one;
  const what = a === 1 ? `the ${kinds[kind]}` : `the ${plain(a, 0)} ${kindsMany[kind]}`;
  return {
    says: `${kind === 'creature' ? 'Stick on' : 'Set'} ${what}${one > 1 ? ' on each board' : ''}.`,
    detail: [
      uses.length > 0 &&
        (kind === 'creature'
          ? 'With a dab of clear under it, and none over it yet.'
          : 'Dip the underside in clear first, and do not push it down.'),
      kind !== 'creature' && 'The film must hold it: if it sinks, wait.',
    ],
    does: a === 1 ? 'It is set' : 'They are set',
    short: `Set ${what}`,
    done: `${a === 1 ? `The ${kinds[kind]}` : `${plain(a, 0)} ${kindsMany[kind]}`} set`,
  };
}

function added({ additive, uses }: ToldStep, told: Told): Said {
  const { name = 'cell additive', drops = 1, part } = additive ?? {};
  const cup = (uses[0] && cupOf(told, uses[0])?.name) ?? 'White';
  const count = `${drops} drop${drops === 1 ? '' : 's'} of ${name}`;
  return {
    says: part === 'half' ? `Pour off half of ${cup}, and put ${count} into that half.` : `Put ${count} into ${cup}.`,
    detail: [part === 'half' && 'The other half stays without.', 'Stir it twice, slowly, and no more.'],
    amounts: [{ name: name[0]!.toUpperCase() + name.slice(1), amount: `${drops} drop${drops === 1 ? '' : 's'}` }],
    does: 'It is in',
    short: `${count} into ${cup}`,
    done: `${count} into ${cup}`,
  };
}

function saidOf(step: ToldStep, told: Told, units: Units): Said {
  switch (step.id.does) {
    case 'mix':
      return mixed(step, told, units);
    case 'pour':
      return poured(step, told, units);
    case 'press':
      return {
        says: 'Press dry sand into the wet clear.',
        detail: [
          'Strew it evenly, then press it flat, until no clear shines between the grains.',
          'No heat until clear has come up through it: dry sand flies.',
        ],
        amounts: [looseOf('Dry sand', step)],
        does: 'Sand is pressed in',
        short: 'Press in dry sand',
        done: 'Dry sand pressed in',
      };
    case 'strew':
      return {
        says: 'Strew dry sand on the high part of the beach.',
        detail: ['It stays pale for as long as it stays dry: no heat near it, and no clear over it.'],
        amounts: [looseOf('Dry sand', step)],
        does: 'Sand is strewn',
        short: 'Strew dry sand',
        done: 'Dry sand strewn',
      };
    case 'additive':
      return added(step, told);
    case 'line':
      return clearLine(step);
    case 'white':
      return whiteLaid(step);
    case 'rest':
      return {
        says: `Let the white rest for ${writeDuration(step.minutes ?? 0)}.`,
        detail: ['It gains body on the board, and its edges hold when the heat comes.'],
        does: 'It has rested',
        short: `White rests ${writeDuration(step.minutes ?? 0)}`,
        done: 'White rested',
      };
    case 'flick': {
      const last = step.wave?.heat === 'air then torch';
      return {
        says: 'Flick the torch over the white, high and moving.',
        detail: [
          last ? 'Over what the air has moved: it opens the last cells.' : 'It opens the first cells; the air moves them next.',
          'Never held still.',
          step.loose && 'Keep it off sand that is still dry.',
        ],
        does: 'Flame is off',
        short: 'Flick the torch',
        done: 'Torch flicked over it',
      };
    }
    case 'heat':
      return heated(step);
    case 'dress':
      return dressed(step);
    case 'sides':
      return {
        says: 'Brush what has run off up the sides.',
        detail: ['It has thickened, and stays where it is put. Once round, then leave it.'],
        does: 'The sides are coated',
        short: 'Coat the sides',
        done: 'Run-off brought up the sides',
      };
    case 'cover': {
      const last = told.steps.at(-1)?.id.does === 'cover';
      return {
        says: 'Cover it, level, hands off.',
        detail: [
          told.steps.some((s) => s.id.does === 'heat') && 'Cells go on opening for a while.',
          'Wipe drips below while they are wet.',
        ],
        does: last ? 'The pour is done' : 'It is covered',
        short: 'Cover it',
        done: last ? 'Done' : 'Covered',
      };
    }
    case 'peel':
      return {
        says: 'Pull the tape while the film is soft.',
        detail: ['Away from the face and down, slowly; the film no longer runs back.'],
        does: 'The tape is off',
        short: 'Pull the tape',
        done: 'Tape off',
      };
  }
}

/** Which boards a step is for, where there is more than one of a kind, or another piece in the same session. */
function boardWords({ boards, id }: ToldStep, told: Told): string | undefined {
  const pieces = new Set(told.coats.map((c) => c.piece));
  const [first] = boards;
  if (!first || id.does === 'mix') return undefined;
  if (pieces.size > 1) return boards.map((b) => (b.count > 1 ? `${b.name}, each of ${b.count}` : b.name)).join('; ');
  return first.count > 1 && id.does !== 'cover' && id.does !== 'dress' ? `On each of the ${first.count} boards.` : undefined;
}

/**
 * What a told step says: its sentence, its amounts by cup, its button and its short name. The same words wherever it is
 * shown.
 */
export function say(step: ToldStep, told: Told, units: Units): Words {
  const { detail, amounts = [], ...said } = saidOf(step, told, units);
  const which = boardWords(step, told);
  return {
    ...said,
    detail: [
      ...(which ? [which.endsWith('.') ? which : `${which}.`] : []),
      ...detail.filter((d): d is string => typeof d === 'string'),
    ].join(' '),
    amounts: [...step.uses.flatMap((use) => amountOf(use, step, told, units)), ...amounts],
  };
}

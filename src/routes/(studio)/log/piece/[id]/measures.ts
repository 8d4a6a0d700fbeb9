import type { Found } from '#core/document';
import { bare, plain, readWithin, type Reading, type Reads, type Writes } from '#core/units';

/** One thing that can be measured after a pour: what it is called, asked for and written, and whether it is of one cup. */
export interface Measure {
  what: Found;
  label: string;
  unit: string;
  example: string;
  says: string;
  cup: 'never' | 'maybe' | 'always';
  /** It is of the piece, and not of the whole pour. */
  piece: boolean;
  read: (text: string, reads: Reads) => Reading;
  write: (value: number) => string;
}

const MOST = { min: 0, max: 100_000 };

/** What is weighed with a scale, and measured in a marked cup without one: kept in g either way. @param density g/ml of the mix */
const weighed = (write: Writes, density: number, g: number, what: string): Pick<Measure, 'unit' | 'example' | 'read' | 'write'> => ({
  unit: write.byScale ? (write.units.weight ?? 'g') : write.units.volume,
  example: write.measure(g, g / density),
  read: (text, reads) => {
    if (write.byScale) return reads.weight(text, MOST, what);
    const reading = reads.volume(text, MOST, what);
    return reading.ok ? { ok: true, value: reading.value * density } : reading;
  },
  write: (grams) => write.measure(grams, grams / density),
});

/** What can be measured after a pour, in the studio's units. @param density g/ml of the mix */
export const measuresIn = (write: Writes, density: number): readonly Measure[] => [
  {
    what: 'drips',
    label: 'Drips below it',
    ...weighed(write, density, 18, 'What dripped'),
    says: write.byScale
      ? 'Lay a sheet below, and weigh it before and after. It teaches how much to plan for drips.'
      : 'Scrape off what dripped into a marked cup while it is wet. It teaches how much to plan for drips.',
    cup: 'never',
    piece: true,
  },
  {
    what: 'stuck',
    label: 'Stuck to a cup',
    ...weighed(write, density, 1.6, 'What stuck'),
    says: write.byScale
      ? 'A cup scraped out as you do, weighed, less its own weight empty. It teaches what a cup keeps.'
      : 'What a brush still takes out of a cup that you scraped out. It teaches what a cup keeps.',
    cup: 'always',
    piece: false,
  },
  {
    what: 'left over',
    label: 'Left over',
    unit: write.units.volume,
    example: write.volume(24),
    says: 'What was not laid, of all cups together, or of one. It teaches the spare, and of the white what never reached the board.',
    cup: 'maybe',
    piece: false,
    read: (text, reads) => reads.volume(text, MOST, 'What was left'),
    write: (ml) => write.volume(ml),
  },
  {
    what: 'dry',
    label: 'Took no fingerprint after',
    unit: 'h after A and B met',
    example: '7',
    says: 'When a gloved finger at the rim leaves no mark. It teaches when the next coat may go on.',
    cup: 'never',
    piece: true,
    read: (text) => readWithin(bare, text.replace(/\s*(h|hours?)\s*$/i, ''), { min: 0.1, max: 480 }, 'Hours', (v) => `${plain(v, 1)} h`),
    write: (h) => `${plain(h, 1)} h`,
  },
  {
    what: 'moved',
    label: 'The wave moved by',
    unit: write.units.length,
    example: write.length(4),
    says: 'From where it was covered to where it lay in the morning. It teaches how far a board that hangs lets it run.',
    cup: 'never',
    piece: true,
    read: (text, reads) => reads.length(text, { min: 0.5, max: 300 }, 'How far it moved'),
    write: (mm) => write.length(mm),
  },
];

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

/** What can be measured after a pour, in the studio's units. */
export const measuresIn = (write: Writes): readonly Measure[] => [
  {
    what: 'drips',
    label: 'Drips below it',
    unit: write.units.weight ?? 'g',
    example: write.weight(18),
    says: 'Lay a sheet below, and weigh it before and after. It teaches how much to plan for drips.',
    cup: 'never',
    piece: true,
    read: (text, reads) => reads.weight(text, MOST, 'What dripped'),
    write: (g) => write.weight(g),
  },
  {
    what: 'stuck',
    label: 'Stuck to a cup',
    unit: write.units.weight ?? 'g',
    example: write.weight(1.6),
    says: 'A cup scraped out as you do, weighed, less its own weight empty. It teaches what a cup keeps.',
    cup: 'always',
    piece: false,
    read: (text, reads) => reads.weight(text, MOST, 'What stuck'),
    write: (g) => write.weight(g),
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

import { rate } from '#core/cure';
import { seeded } from '#core/geometry';
import type { Job, Operation, Problem } from '#core/schedule';

/** What a made problem of the calendar is to be like. */
export interface Made {
  seed: number;
  /** Minutes of a slot. */
  slot: number;
  days: number;
  pieces: number;
  /** Pours of each piece, from and to. */
  pours: [number, number];
  /** Hours a day that hands are there, from and to. */
  hours: [number, number];
  /** Boards that find room at once; Infinity for any number. */
  room: number;
  /** What share of pieces is promised, for a day that is hard to hold. */
  promised: number;
  /** Share of evenings that are taken. */
  evenings: number;
  effort: number;
  /** With things done along with a wait, pins, times when no resin may be out, and dew. */
  everything?: boolean;
}

/** Resins: tacky until, window until, handled from, h at 23 °C. */
const RESINS = [
  { tack: 4, from: 4, until: 24, handle: 24, full: 72 },
  { tack: 8, from: 8, until: 30, handle: 30, full: 96 },
  { tack: 2, from: 2, until: 12, handle: 12, full: 48 },
] as const;
const BOARD = { length: 400, width: 300 };

/** A made problem; the same for the same wishes. */
export function madeProblem(made: Made): Problem {
  const random = seeded(made.seed);
  const between = ([a, b]: [number, number]): number => a + Math.floor(random() * (b - a + 1));
  const { slot } = made;
  const day = 1440 / slot;
  const slots = made.days * day;
  const hands = new Uint8Array(slots);
  for (let d = 0; d < made.days; d++) {
    const hours = between(made.hours);
    const begins = random() < 0.5 ? 9 : 22 - hours;
    const until = random() < made.evenings ? Math.min(18, begins + hours) : begins + hours;
    const [from, end] = [begins, Math.min(23, Math.max(begins + 2, until))].map((h) => Math.round(d * day + (h * 60) / slot)) as [
      number,
      number,
    ];
    hands.fill(1, from, Math.min(slots, end));
  }
  const warmest = 20 + 3 * random();
  const colder = 2 + 5 * random();
  const celsius = (minute: number): number => warmest - (colder / 2) * (1 + Math.cos((2 * Math.PI * (minute - 180)) / 1440));
  const ages = RESINS.map(() => {
    const gathered = new Float64Array(slots + 1);
    for (let t = 0; t < slots; t++) gathered[t + 1] = gathered[t]! + slot * rate(celsius((t + 0.5) * slot), 23, 55);
    return [gathered];
  });
  const out = new Uint8Array(slots);
  const damp = new Uint8Array(slots);
  if (made.everything) {
    if (random() < 0.5) {
      const from = between([1, made.days - 2]) * day;
      out.fill(1, from, from + Math.round(day / 4));
    }
    for (let d = 0; d < made.days; d++) if (random() < 0.3) damp.fill(random() < 0.15 ? 2 : 1, d * day, d * day + Math.round(day / 4));
  }
  const jobs = Array.from({ length: made.pieces }, (_, n): Job => {
    const of = Math.floor(random() * RESINS.length);
    const resin = RESINS[of]!;
    const pours = between(made.pours);
    const film = { of, tack: 60 * resin.tack, handle: 60 * resin.handle };
    const pour = (i: number): Operation => ({
      id: `${n}-pour-${i}`,
      minutes: 30 + 15 * between([0, 3]),
      link: i === 0 ? { kind: 'dry', minutes: 60 * between([1, 4]) } : { kind: 'film', from: 60 * resin.from, until: 60 * resin.until },
      ...(i > 0 && { late: 15 }),
      film,
      along: made.everything ? [{ id: `${n}-check-${i}`, minutes: 5, from: 20, until: 200, late: 10 }] : [],
    });
    const operations: Operation[] = [
      { id: `${n}-prepare`, minutes: 30 + 15 * between([0, 2]), link: { kind: 'dry', minutes: 0 }, along: [] },
      ...Array.from({ length: pours }, (_, i) => pour(i)),
      { id: `${n}-deliver`, minutes: 15, link: { kind: 'film', from: 60 * resin.full, until: Infinity }, along: [] },
    ];
    const least = (pours * resin.from + resin.full) / 24;
    const due = random() < made.promised ? Math.round((least + 1 + 2 * random()) * 1440) : undefined;
    if (made.everything && random() < 0.3) {
      const k = between([0, operations.length - 2]);
      operations[k]!.pin = between([0, Math.floor(slots / 2)]);
    }
    if (made.everything && random() < 0.3) operations[0]!.announced = slot * between([0, 2 * day]);
    return {
      id: `piece-${n}`,
      pieces: [{ id: `piece-${n}`, weight: between([1, 5]), ...(due !== undefined && { due }) }],
      boards: [BOARD],
      operations,
      begins: { from: 0, hard: 0 },
    };
  });
  const room = made.room === Infinity ? { length: Infinity, width: Infinity } : { length: made.room * 430, width: 300 };
  return {
    slot,
    slots,
    hands,
    busyUntil: 0,
    rooms: [{ out, damp }],
    ages,
    places: [{ ...room, room: 0 }],
    lying: [],
    jobs,
    seed: made.seed,
    effort: made.effort,
  };
}

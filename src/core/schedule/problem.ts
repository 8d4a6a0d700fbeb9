/**
 * Coats of several pieces in one pair of hands. All that the planner, the checker and the proof are given, as plain data:
 * time is whole minutes from a beginning, cut into slots in which operations begin.
 */

/** A board as it lies, with the room round it; mm. */
export interface Footprint {
  length: number;
  width: number;
}

/** Where boards lie and cure; a place of Infinity takes any number. */
export interface PlaceToLie extends Footprint {
  room: number;
}

/** What a room allows in each slot. */
export interface RoomOverTime {
  /** 1 where nothing may be laid or still be tacky in it. */
  out: Uint8Array;
  /** 1 where a film not yet past handling is under a dew warning, 2 under a stop. */
  damp: Uint8Array;
}

/** What an operation waits for that comes right after another: a dry surface, or the age of the film laid at its end. */
export type Link =
  | { kind: 'dry'; minutes: number }
  | {
      kind: 'film';
      /** Ages between which it may begin as it is; min at the film's reference temperature. */
      from: number;
      until: number;
      /** Ages of this, where not of that film: what cold holds up takes longer to harden than to set. */
      of?: number;
    };

/** What is done along with the wait after an operation, at the first moment that hands are free. */
export interface Along {
  id: string;
  minutes: number;
  /** Ages of the film between which it takes no more than that. */
  from: number;
  until: number;
  /** What it takes more once that is past, min. */
  late: number;
}

/** One thing that takes the hands, unbroken. */
export interface Operation {
  id: string;
  minutes: number;
  link: Link;
  /** What must be done first where it begins after its window: a scuff, min. Left out where it may begin whenever. */
  late?: number;
  /** It lays a film of this resin, which is tacky and can be handled from these ages on. */
  film?: { of: number; tack: number; handle: number };
  along: Along[];
  /** Not before this minute, and as it is until that one: what was done already says so. */
  notBefore?: number;
  until?: number;
  /** Slot the artist pinned it to. */
  pin?: number;
  /** Minute it was announced for, within the next two days. */
  announced?: number;
  /** Slot it was planned for before, however far ahead: of plans that cost the same the one that leaves it there is taken. */
  before?: number;
}

/** A piece as its promise sees it. */
export interface Promised {
  id: string;
  /** Minute by which its last operation must have ended. */
  due?: number;
  /** 1 to 5. */
  weight: number;
}

/** A chain of operations, of one piece or of several that are always poured together. */
export interface Job {
  id: string;
  pieces: Promised[];
  boards: Footprint[];
  operations: Operation[];
  /** From when its first operation may begin, until when what lies on it must stay where it is, and where that is. */
  begins: { from: number; hard: number; place?: number };
}

/** A problem of the calendar. */
export interface Problem {
  /** Minutes of a slot: 15, and 30 in the proof. */
  slot: number;
  slots: number;
  /** 1 where the artist's hands are free. */
  hands: Uint8Array;
  /** Hands that are at work already, until this slot. */
  busyUntil: number;
  rooms: RoomOverTime[];
  /** Age that a film gathers from the beginning to each slot's beginning, by film and room; min at its reference temperature. */
  ages: Float64Array[][];
  places: PlaceToLie[];
  /** Boards that lie already: where, until which minute, and of which job. */
  lying: { place: number; until: number; boards: Footprint[]; job?: number }[];
  jobs: Job[];
  /** Of the chance in its search. */
  seed: number;
  /** How often its search takes pieces out and puts them back. */
  effort: number;
}

/** Where one operation was put. Slots. */
export interface Step {
  start: number;
  /** It begins after its window: the extra minutes stand before it, from `start` on. */
  late: boolean;
  place: number;
  along: { start: number; late: boolean }[];
}

/** What stands in the way of a job that could not be planned. */
export interface Unplanned {
  /** The first operation that finds no slot. */
  operation: number;
}

/** Steps of each job in their order; empty where it could not be planned. */
export interface Plan {
  jobs: Step[][];
  unplanned: (Unplanned | undefined)[];
  /** Pins that cannot be held, by the operation's id. */
  unpinned: string[];
  /** In sixtieths; see `weights`. */
  cost: number;
}

/**
 * What a plan costs, in sixtieths so that all is whole: 40 a minute of lateness times its weight, 4 a minute of scuffs that an
 * earlier start would have spared, 2 an hour of film under a dew warning, 1 an hour until each piece's last operation ends
 * and 1 an hour that an announced session moved.
 */
export const weights = { lateness: 2400, scuff: 240, damp: 2, end: 1, moved: 1 } as const;

/** Whole slots that some minutes fill. */
export const slotsOf = (minutes: number, { slot }: Pick<Problem, 'slot'>): number => Math.max(1, Math.ceil(minutes / slot));

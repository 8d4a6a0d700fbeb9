import type { Coat, Colourant, CupRole, Laid, Method, Over, Resin, Tint } from '#core/document';
import type { CoatRegions } from '#core/geometry';
import type { Rgb } from '#core/tint';
import type { Cup } from './cup';
import type { Setting } from './setting';

/** What a new coat starts from: its id and resin, the tints a studio can make, and how many parts its sea has. */
export interface Starting {
  base: { id: string; resinId: string };
  parts: number;
  /** Most colourant its resin takes, a share of A + B. */
  limit: number;
  /** The resin, where it is known: what its maker states of a film is what a coat of it starts with. */
  resin: Pick<Resin, 'film'> | undefined;
  /** A starting tint with only what is on the shelf. */
  onShelf: (tint: Tint) => Tint;
}

/**
 * Where on the board a coat is looked at: in which part, 0 the beach, then the sea from the shore seaward and areas, of how
 * many parts of sea; and as which of the coat's own parts from the deep, of how many.
 */
export interface LookedAt {
  part: number;
  parts: number;
  own: { place: number; of: number };
  colourants: Colourant[];
  method: Method;
}

/** What a coat does to what is below it at a place, in place: internal reflectance in, internal reflectance out. @param film mm */
export type Covers = (internal: Rgb, film: number) => void;

/** What is said of a film as it is laid: of which cup, over what part in words, into which cup its edge is drawn. */
export interface FilmWords {
  role: CupRole;
  name: string;
  over: Over['kind'];
  place: string;
  into?: string | undefined;
  /** Whether its coat has several tints, each for its part. */
  several: boolean;
  /** Whether dry sand comes on it next. */
  loose: boolean;
  /** What is stirred into it. */
  holds: 'sand' | 'gravel' | undefined;
  /** Whether the tints of its pour come after it. */
  beforeTints: boolean;
}

/** A part of a coat in the section, bottom first, and its share of the coat's thickness. */
export interface SectionPart {
  kind: Coat['kind'] | 'barrier';
  /** Its own name; the coat's where it is left out. */
  name?: string;
  share: number;
}

/** All there is to know of one kind of coat. A new kind is a new record. */
export interface Kind<C extends Coat = Coat> {
  /** What it is called where the artist has no name for it. */
  name: (coat: C) => string;
  /** The part of the board it goes over, and how it is laid, where nothing is said. */
  over: 'whole' | 'sea' | 'beach';
  laid: Laid;
  /** Where among the coats a new one belongs. */
  place: 'lowest' | 'on the seal' | 'under the tops' | 'topmost';
  starts: (from: Starting) => C;
  /** Its film as planned, mm: the foam's of a wave, the mean of a top. */
  film: (coat: C, setting: Pick<Setting, 'method' | 'meanFilm'>) => number;
  /** Its cups in the order they are laid. */
  cups: (setting: Setting, coat: C, regions: CoatRegions) => Cup[];
  covers: (coat: C, at: LookedAt) => Covers;
  /** From what thickness on nothing of what is below it shows, mm; left out where it never hides for good. */
  hidesFrom?: (coat: C) => number;
  section: (coat: C, method: Method) => SectionPart[];
  /** The sentence that lays one of its films. */
  says: (words: FilmWords) => string;
}

import { laidOf, type Site } from '#core/coat';
import { isLine, type Coat, type FilmedCoat, type LineCoat, type Point, type TopCoat } from '#core/document';
import { alongLine, distancesTo, partsAt, partsOf, waveOnBoard, type Field, type Region } from '#core/geometry';
import { capOf, domeOf, dressedAfter, reachOf, reliefOf, wedgeOf, type Laying, type Places } from './layings';
import { floatOn, restOf, type Wet } from './levelling';

/** What is built up on a board, place by place: relief, coats and dressings, bottom first; all heights in mm above the board. */
export interface BuildUp {
  field: Field;
  layings: Laying[];
  /** Heights of all together, mm. */
  surface: Float64Array;
  /** Which part each place lies in: 0 the beach, the sea from the shore seaward, then areas; −1 off the resin. */
  parts: Int8Array;
}

/** Finds where coats lie; coats over all the sea, the beach or the whole share one list. */
function placesFinder({ regions, cut }: Site, field: Field, parts: Int8Array): (coat: Coat) => Places {
  /** Places on the beach, on the sea, in the areas or on several of them, by the parts they lie in. */
  const chosen = (of: Int8Array, beach: boolean, sea: boolean, areas: boolean): Places => {
    const found = new Int32Array(of.length);
    const last = cut.sea.length;
    let n = 0;
    for (let i = 0; i < of.length; i++) {
      const part = of[i]!;
      if (part === 0 ? beach : part > 0 && (part > last ? areas : sea)) found[n++] = i;
    }
    return found.subarray(0, n);
  };
  /** Whether a coat takes all of some parts of the board, none, or some. */
  const takes = (own: Region[], all: Region[]): 'all' | 'none' | 'some' =>
    own.every((r, i) => r === all[i] || (r.area === 0 && all[i]!.area === 0)) ? 'all' : own.every((r) => r.area === 0) ? 'none' : 'some';
  const shared = new Map<string, Places>();
  return (coat) => {
    const own = regions.get(coat.id)!;
    const taken = [takes([own.beach], [cut.beach]), takes(own.sea, cut.sea), takes(own.areas, cut.areas)] as const;
    const key = taken.includes('some') ? coat.id : taken.join(' ');
    let found = shared.get(key);
    if (!found) {
      const [beach, sea, areas] = taken.map((t) => t === 'all') as [boolean, boolean, boolean];
      found = key === coat.id ? chosen(partsAt(field, partsOf(own)), true, true, true) : chosen(parts, beach, sea, areas);
      shared.set(key, found);
    }
    return found;
  };
}

/** Distances from the shore as far as any coat asks for them, worked out once and only when asked. */
function distancesFromShore({ piece, cut }: Site, field: Field): () => Float64Array {
  const reach = piece.coats.map((c) => {
    if (isLine(c)) return c.along === undefined ? reachOf(c) : 0;
    return c.kind === 'sand' ? (c.taper ?? 0) / 2 : 0;
  });
  let found: Float64Array | undefined;
  return () => (found ??= distancesTo(field, cut.shore, Math.max(0, ...reach)));
}

/** A board while it is built up: its surface so far, what lies on it bottom first, and the film that is still wet. */
class Rising {
  readonly surface: Float64Array;
  /** Places under relief or a dressing do not count as the highest point: they may stand proud. */
  readonly proud: Uint8Array;
  readonly layings: Laying[] = [];
  wet: Wet | undefined;
  private readonly everywhere: Places;

  constructor(places: number) {
    this.surface = new Float64Array(places);
    this.proud = new Uint8Array(places);
    this.everywhere = allPlaces(places);
  }

  lay(of: Laying['of'], thickness: Float64Array, places = this.everywhere, level?: number): Laying {
    for (let i = 0; i < thickness.length; i++) this.surface[i]! += thickness[i]!;
    const laying: Laying = { of, thickness, places, ...(level !== undefined && { level }) };
    this.layings.push(laying);
    return laying;
  }

  /** A low cap, afloat in the film of its pour where that is still wet. */
  layLine(line: LineCoat, cap: Float64Array, places: Places, settle: boolean): void {
    const before = this.surface.slice();
    this.lay(line, cap, places);
    if (this.wet) floatOn(this.wet, cap, this.surface, before, settle);
  }

  /** What is poured fills low places first; what is spread or strewn follows the ground. @param known its level or its rise */
  layFilm(coat: FilmedCoat | TopCoat, places: Places, known: number | undefined): void {
    const ground = this.surface.slice();
    const strewn = coat.kind === 'sand' && coat.how !== 'tint';
    let laying: Laying;
    let rise = 0;
    if (coat.kind === 'top' || laidOf(coat) === 'poured') {
      const level = known ?? restOf(coat, ground, places, this.proud);
      laying = this.lay(coat, upTo(level, ground, places), places, level);
    } else {
      if (!strewn) rise = known ?? 0;
      laying = this.lay(coat, spread(ground.length, places, coat.film + rise), places);
    }
    if (!strewn) this.wet = { laying, ground, rise };
  }
}

/**
 * Builds a board up coat by coat. A spread film follows the ground, sand thins out across the shore, a wave is a low
 * cap over its reach, afloat in the film of its own pour, and what is poured fills low places first.
 * @param levels where poured coats come to rest and how far spread ones rose, by coat; left out, they are found over
 *               this field, which must then be a grid over the whole board
 */
export function buildUp(site: Site, field: Field, levels?: Map<string, number>): BuildUp {
  const { piece, pours, cut, method } = site;
  const parts = partsAt(field, partsOf(cut));
  const placesOf = placesFinder(site, field, parts);
  const fromShore = distancesFromShore(site, field);
  const board = new Rising(field.x.length);
  const dress = (after: number): void => {
    for (const d of piece.dressings ?? []) if (dressedAfter(piece, d) === after) board.lay(d, domeOf(d, field, board.proud));
  };
  const awayFrom = (line: LineCoat): Float64Array =>
    line.along === undefined ? fromShore() : distancesTo(field, waveOnBoard(cut, piece.sea, line.along), reachOf(line));

  const { relief } = piece.surface;
  if (relief) board.lay('relief', reliefOf(relief, field, parts, board.proud));
  dress(-1);
  piece.coats.forEach((coat, index) => {
    const places = placesOf(coat);
    if (pours.some((pour) => pour[0] === coat)) board.wet = undefined;
    if (isLine(coat)) board.layLine(coat, on(places, capOf(coat, method, awayFrom(coat), parts)), places, levels === undefined);
    else if (coat.kind === 'sand' && coat.taper && !coat.over) board.lay(coat, wedgeOf(coat, fromShore(), parts));
    else board.layFilm(coat, places, levels?.get(coat.id));
    dress(index);
  });
  return { field, layings: board.layings, surface: board.surface, parts };
}

/** Every place of a field of n. */
function allPlaces(n: number): Places {
  const found = new Int32Array(n);
  for (let i = 0; i < n; i++) found[i] = i;
  return found;
}

/** A thickness at the places given alone. */
function on(places: Places, thickness: Float64Array): Float64Array {
  const kept = new Float64Array(thickness.length);
  for (let j = 0; j < places.length; j++) kept[places[j]!] = thickness[places[j]!]!;
  return kept;
}

/** The same film at all of the places, mm. */
function spread(n: number, places: Places, film: number): Float64Array {
  const thickness = new Float64Array(n);
  for (let j = 0; j < places.length; j++) thickness[places[j]!] = film;
  return thickness;
}

/** What fills a ground up to a level at the places, mm. */
function upTo(level: number, ground: Float64Array, places: Places): Float64Array {
  const thickness = new Float64Array(ground.length);
  for (let j = 0; j < places.length; j++) {
    const depth = level - ground[places[j]!]!;
    if (depth > 0) thickness[places[j]!] = depth;
  }
  return thickness;
}

/** Mean film of a coat over the places where it lies, mm; 0 where it lies nowhere. */
export function meanFilm({ layings }: BuildUp, coat: Coat): number {
  const laying = layings.find((l) => l.of === coat);
  if (!laying?.places.length) return 0;
  let sum = 0;
  for (const i of laying.places) sum += laying.thickness[i]!;
  return sum / laying.places.length;
}

/** Levels of all that was poured, and the rise of what was spread, for reading the same build-up along a line. */
export const levelsOf = ({ layings }: BuildUp): Map<string, number> =>
  new Map(
    layings.flatMap(({ of, level, rise }) => {
      const known = level ?? rise;
      return of === 'relief' || known === undefined ? [] : [[of.id, known] as const];
    }),
  );

export const lineField = (a: Point, b: Point, n: number): Field => alongLine(a, b, n);

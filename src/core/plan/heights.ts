import { laidOf, type Site } from '#core/coat';
import type { Coat, FilmedCoat, TopCoat, Point } from '#core/document';
import { alongLine, distancesTo, partsAt, waveOnBoard, type Field } from '#core/geometry';
import { capOf, domeOf, dressedAfter, reliefOf, wedgeOf, type Laying, type Places } from './layings';
import { floatOn, restOf, type Wet } from './levelling';

/** What is built up on a board, place by place: relief, coats and dressings, bottom first; all heights in mm above the board. */
export interface BuildUp {
  field: Field;
  layings: Laying[];
  /** Heights of all together, mm. */
  surface: Float64Array;
  /** Which part each place lies in: 0 the beach, then the sea from the shore seaward; −1 off the resin. */
  parts: Int8Array;
}

/** Finds where coats lie; coats over all the sea, the beach or the whole share one list. */
function placesFinder({ regions, cut }: Site, field: Field, parts: Int8Array): (coat: Coat) => Places {
  /** Places on the beach, on the sea or on both, by the parts they lie in. */
  const chosen = (of: Int8Array, beach: boolean, sea: boolean): Places => {
    const found = new Int32Array(of.length);
    let n = 0;
    for (let i = 0; i < of.length; i++) if (of[i] === 0 ? beach : of[i]! > 0 && sea) found[n++] = i;
    return found.subarray(0, n);
  };
  const shared = new Map<string, Places>();
  return (coat) => {
    const { beach, sea } = regions.get(coat.id)!;
    const onBeach = beach === cut.beach ? 'all' : beach.area === 0 ? 'none' : 'some';
    const onSea = sea === cut.sea ? 'all' : sea.every((r) => r.area === 0) ? 'none' : 'some';
    const key = onBeach === 'some' || onSea === 'some' ? coat.id : `${onBeach} ${onSea}`;
    let found = shared.get(key);
    if (!found) {
      found = key === coat.id ? chosen(partsAt(field, [beach, ...sea]), true, true) : chosen(parts, onBeach === 'all', onSea === 'all');
      shared.set(key, found);
    }
    return found;
  };
}

/** Distances from the shore as far as any coat asks for them, worked out once and only when asked. */
function distancesFromShore({ piece, cut }: Site, field: Field): () => Float64Array {
  const reach = piece.coats.map((c) => (c.kind === 'wave' ? Math.max(c.reachSea, c.reachUp) : c.kind === 'sand' ? (c.taper ?? 0) / 2 : 0));
  let found: Float64Array | undefined;
  return () => (found ??= distancesTo(field, cut.shore, Math.max(0, ...reach)));
}

/**
 * Builds a board up coat by coat. A spread film follows the ground, sand thins out across the shore, a wave is a low
 * cap over its reach, afloat in the film of its own pour, and what is poured fills low places first.
 * @param levels where poured coats come to rest, by coat; left out, they are found over this field, which must then be
 *               a grid over the whole board
 */
export function buildUp(site: Site, field: Field, levels?: Map<string, number>): BuildUp {
  const { piece, pours, cut, method } = site;
  const n = field.x.length;
  const parts = partsAt(field, [cut.beach, ...cut.sea]);
  const placesOf = placesFinder(site, field, parts);
  const everywhere = allPlaces(n);
  const surface = new Float64Array(n);
  /** Places under relief or a dressing do not count as the highest point: they may stand proud. */
  const proud = new Uint8Array(n);
  const layings: Laying[] = [];
  const lay = (of: Laying['of'], thickness: Float64Array, places: Places = everywhere, level?: number): Laying => {
    for (let i = 0; i < n; i++) surface[i]! += thickness[i]!;
    const laying: Laying = { of, thickness, places, ...(level !== undefined && { level }) };
    layings.push(laying);
    return laying;
  };
  const dress = (after: number): void => {
    for (const d of piece.dressings ?? []) if (dressedAfter(piece, d) === after) lay(d, domeOf(d, field, proud));
  };

  const { relief } = piece.surface;
  if (relief) lay('relief', reliefOf(relief, field, parts, proud));
  dress(-1);
  const fromShore = distancesFromShore(site, field);
  /** The film of this pour that is still wet. */
  let wet: Wet | undefined;
  piece.coats.forEach((coat, index) => {
    const places = placesOf(coat);
    if (pours.some((pour) => pour[0] === coat)) wet = undefined;
    if (coat.kind === 'wave') {
      const width = coat.reachSea + coat.reachUp;
      const away = coat.along === undefined ? fromShore() : distancesTo(field, waveOnBoard(cut, piece.sea, coat.along), width / 2);
      const cap = on(places, capOf(coat, method, away, parts));
      const before = surface.slice();
      lay(coat, cap, places);
      if (wet) floatOn(wet, cap, surface, before, levels === undefined);
    } else if (coat.kind === 'sand' && coat.taper && !coat.over) lay(coat, wedgeOf(coat, fromShore(), parts));
    else {
      const ground = surface.slice();
      const poured = laidOf(coat) === 'poured';
      const level = poured ? (levels?.get(coat.id) ?? restOf(coat as FilmedCoat | TopCoat, surface, places, proud)) : undefined;
      // along a line the rise of a spread film is known from the whole board
      const rise = poured || coat.kind === 'sand' ? 0 : (levels?.get(coat.id) ?? 0);
      const film = level === undefined ? spread(n, places, (coat as FilmedCoat).film + rise) : upTo(level, surface, places);
      const laying = lay(coat, film, places, level);
      if (coat.kind !== 'sand') wet = { laying, ground, rise };
    }
    dress(index);
  });
  return { field, layings, surface, parts };
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

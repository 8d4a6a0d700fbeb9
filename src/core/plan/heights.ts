import {
  laidOf,
  openOf,
  overOf,
  type Coat,
  type Dressing,
  type FilmedCoat,
  type Method,
  type Piece,
  type TopCoat,
  type WaveCoat,
} from '#core/document';
import { alongLine, coatRegions, distancesTo, fieldOf, partsAt, waveOnBoard, type CoatRegions, type Cut, type Field } from '#core/geometry';
import type { Point, Shape } from '#core/document';

/** What is built up on a board, place by place: relief, coats and dressings, bottom first; all heights in mm above the board. */
export interface Site {
  piece: Piece;
  cut: Cut;
  method: Method;
  /** The part of the board each coat goes over, by its id. */
  regions: Map<string, CoatRegions>;
}

export interface Laying {
  /** The coat or dressing laid, or the relief under both. */
  of: Coat | Dressing | 'relief';
  /** mm at each place */
  thickness: Float64Array;
  /** The places it may lie at, by their index. */
  places: Int32Array;
  /** Where its surface lies, if it levels itself, mm. */
  level?: number;
  /** How much a spread film was lifted by what floats in it, mm. */
  rise?: number;
}

export interface BuildUp {
  field: Field;
  layings: Laying[];
  /** Heights of all together, mm. */
  surface: Float64Array;
  /** Which part each place lies in: 0 the beach, then the sea from the shore seaward; −1 off the resin. */
  parts: Int8Array;
}

/** A wave's width of bare gap that white fills, where it is laid so. */
export const gapWidth = (wave: WaveCoat): number => (wave.under === 'gap' ? wave.lineWidth * (wave.lines ?? 1) : 0);

/** The wave that fills a gap left in a sea: the first one after it in the same pour. */
function gapOf(piece: Piece, coat: Coat): { along: string | undefined; width: number } | undefined {
  if (coat.kind !== 'sea') return undefined;
  for (const above of piece.coats.slice(piece.coats.indexOf(coat) + 1)) {
    if (!above.samePour) return undefined;
    if (above.kind === 'wave' && above.under === 'gap') return { along: above.along, width: gapWidth(above) };
  }
  return undefined;
}

/** The part of the board each coat goes over. */
export const regionsOfCoats = (piece: Piece, cut: Cut): Map<string, CoatRegions> =>
  new Map(
    piece.coats.map((coat) => [
      coat.id,
      coatRegions(piece.shape, piece.holes, piece.sea, cut, overOf(coat), { inset: coat.inset, gap: gapOf(piece, coat) }),
    ]),
  );

/** Cross-section of what a wave adds above the film, mm²: its clear lines as caps, and the foam that stays closed. */
export function waveSection(wave: WaveCoat, method: Method): { clear: number; foam: number } {
  const held = wave.under === undefined || wave.under === 'barrier' || wave.under === 'white first';
  return {
    clear: held ? (2 / 3) * wave.lineWidth * wave.lineHeight * (wave.lines ?? 1) : 0,
    foam: (wave.reachSea + wave.reachUp) * method.foamFilm * (1 - openOf(wave, method.foamOpen)),
  };
}

/** Index of the coat a dressing goes on after; −1 before any. */
export function dressedAfter(piece: Piece, { when }: Dressing): number {
  const last = piece.coats.length - 1;
  switch (when) {
    case 'before resin':
      return -1;
    case 'on the wet base': {
      const sea = piece.coats.findIndex((c) => c.kind === 'sea');
      return sea >= 0 ? sea : Math.min(0, last);
    }
    case 'after the wave': {
      const wave = piece.coats.findLastIndex((c) => c.kind === 'wave');
      return wave >= 0 ? wave : last;
    }
    case 'between coats':
      return last - 1;
  }
}

/** A texture that stands for relief of a height over a share of the face: ridges some 20 mm apart. */
function reliefAt(x: number, y: number, height: number, share: number): number {
  const wave = (Math.sin(x / 3.1 + Math.sin(y / 9)) + Math.sin(y / 4.3 + Math.sin(x / 7))) / 4 + 0.5;
  return wave > 1 - share ? height * Math.min(1, (wave - (1 - share)) / 0.1) : 0;
}

/** The places where a coat lies, by their index. */
type Places = Int32Array;

/** Finds where coats lie; coats over all the sea, the beach or the whole share one list. */
function placesFinder({ regions, cut }: Site, field: Field, parts: Int8Array): (coat: Coat) => Places {
  const chosen = (test: (part: number) => boolean, of = parts): Places => {
    const found = new Int32Array(of.length);
    let n = 0;
    for (let i = 0; i < of.length; i++) if (test(of[i]!)) found[n++] = i;
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
      found =
        key === coat.id
          ? chosen((part) => part >= 0, partsAt(field, [beach, ...sea]))
          : chosen((part) => (part === 0 ? onBeach === 'all' : part > 0 && onSea === 'all'));
      shared.set(key, found);
    }
    return found;
  };
}

/**
 * Level at which a poured film of so many mm on the mean comes to rest over a ground. What a level holds is convex in
 * the level, so Newton's steps from above close in on it without passing it.
 */
function levelOf(ground: Float64Array, places: Places, film: number): number {
  let level = 0;
  for (const i of places) level = Math.max(level, ground[i]!);
  level += film;
  const wanted = film * places.length;
  for (let k = 0; k < 60; k++) {
    let [held, wet] = [0, 0];
    for (let j = 0; j < places.length; j++) {
      const depth = level - ground[places[j]!]!;
      if (depth > 0) {
        held += depth;
        wet++;
      }
    }
    const step = wet ? (held - wanted) / wet : 0;
    level -= step;
    if (step < 1e-7) break;
  }
  return level;
}

/** Distances from the shore as far as any coat asks for them, reckoned once and only when asked. */
function distancesFromShore({ piece, cut }: Site, field: Field): () => Float64Array {
  const reach = piece.coats.map((c) => (c.kind === 'wave' ? Math.max(c.reachSea, c.reachUp) : c.kind === 'sand' ? (c.taper ?? 0) / 2 : 0));
  let found: Float64Array | undefined;
  return () => (found ??= distancesTo(field, cut.shore, Math.max(0, ...reach)));
}

/** A wet film: what lay below it, and how much it has risen by what floats in it where it follows its ground, mm. */
interface Wet {
  laying: Laying;
  ground: Float64Array;
  rise: number;
}

/**
 * A wave laid in a wet film does not stand on it: the film levels within a minute or so (rate ρgh³k²/3μ, near 0.05 a second
 * for 1.75 mm, 1.5 Pa·s and a decimetre), so the wave floats in its surface and what it displaces lifts the film.
 * @param settle whether the film's new level is to be found; along a line it is known from the whole board
 */
function floatOn(wet: Wet, cap: Float64Array, surface: Float64Array, before: Float64Array, settle: boolean): void {
  const { laying, ground } = wet;
  const { places, thickness } = laying;
  let volume = 0;
  for (const i of places) volume += cap[i]!;
  if (!places.length || volume === 0) return;
  /** Depth of the film with all that floats in it, before this wave. */
  const depth = (i: number): number => before[i]! - ground[i]!;
  if (settle && laying.level !== undefined) {
    for (const i of places) volume += Math.max(0, depth(i));
    laying.level = levelOf(ground, places, volume / places.length);
  } else if (settle) wet.rise += volume / places.length;
  const lift = settle && laying.level === undefined ? volume / places.length : 0;
  for (const i of places) {
    const whole = settle && laying.level !== undefined ? Math.max(0, laying.level - ground[i]!) : depth(i) + lift;
    const other = depth(i) - thickness[i]!;
    thickness[i] = Math.max(0, whole - other - cap[i]!);
    surface[i] = ground[i]! + other + thickness[i]! + cap[i]!;
  }
  if (laying.level === undefined) laying.rise = wet.rise;
}

/**
 * Builds a board up coat by coat. A spread film follows the ground, sand thins out across the shore, a wave is a low
 * cap over its reach, afloat in the film of its own pour, and what is poured fills low places first.
 * @param levels where poured coats come to rest, by coat; left out, they are found over this field, which must then be
 *               a grid over the whole board
 */
export function buildUp(site: Site, field: Field, levels?: Map<string, number>): BuildUp {
  const { piece, cut, method } = site;
  const n = field.x.length;
  const parts = partsAt(field, [cut.beach, ...cut.sea]);
  const placesOf = placesFinder(site, field, parts);
  const everywhere = Int32Array.from({ length: n }, (_, i) => i);
  const surface = new Float64Array(n);
  /** Places under relief or a dressing do not count as the highest point: they may stand proud. */
  const proud = new Uint8Array(n);
  const layings: Laying[] = [];
  const lay = (of: Laying['of'], places: Places, thicknessAt: (i: number) => number, level?: number): void => {
    const thickness = new Float64Array(n);
    for (let j = 0; j < places.length; j++) {
      const i = places[j]!;
      const t = thicknessAt(i);
      thickness[i] = t;
      surface[i]! += t;
    }
    layings.push({ of, thickness, places, ...(level !== undefined && { level }) });
  };
  const dress = (after: number): void => {
    for (const d of piece.dressings ?? [])
      if (dressedAfter(piece, d) === after)
        lay(d, everywhere, (i) => {
          const r = Math.hypot(field.x[i]! - d.x, field.y[i]! - d.y) / (d.size / 2);
          if (r > 1) return 0;
          proud[i] = 1;
          return d.height * Math.sqrt(1 - r * r);
        });
  };

  const { relief } = piece.surface;
  if (relief)
    lay('relief', everywhere, (i) => {
      const height = parts[i]! < 0 ? 0 : reliefAt(field.x[i]!, field.y[i]!, relief.height, relief.share);
      if (height > 0) proud[i] = 1;
      return height;
    });
  dress(-1);
  const fromShore = distancesFromShore(site, field);
  /** The film of this pour that is still wet. */
  let wet: Wet | undefined;
  piece.coats.forEach((coat, index) => {
    const places = placesOf(coat);
    if (!coat.samePour) wet = undefined;
    const ground = coat.kind === 'wave' || coat.kind === 'sand' ? undefined : surface.slice();
    if (coat.kind === 'wave') {
      const { clear, foam } = waveSection(coat, method);
      const width = coat.reachSea + coat.reachUp;
      const middle = coat.along === undefined ? (coat.reachSea - coat.reachUp) / 2 : 0;
      const away = coat.along === undefined ? fromShore() : distancesTo(field, waveOnBoard(cut, piece.sea, coat.along), width / 2);
      const crown = width > 0 ? (1.5 * (clear + foam)) / width : 0;
      const cap = (i: number): number => {
        if (away[i] === Infinity || width === 0) return 0;
        const seaward = coat.along === undefined && parts[i] === 0 ? -away[i]! : away[i]!;
        const u = (2 * (seaward - middle)) / width;
        return Math.abs(u) < 1 ? crown * (1 - u * u) : 0;
      };
      const before = surface.slice();
      lay(coat, places, cap);
      if (wet) floatOn(wet, layings.at(-1)!.thickness, surface, before, levels === undefined);
    } else if (coat.kind === 'sand' && coat.taper && !coat.over) {
      const { film, taper } = coat;
      const away = fromShore();
      lay(coat, everywhere, (i) => {
        if (parts[i]! < 0) return 0;
        const inland = parts[i] === 0 ? away[i]! : -away[i]!;
        return film * Math.min(1, Math.max(0, inland / taper + 0.5));
      });
    } else if (laidOf(coat) === 'spread' && coat.kind !== 'top') lay(coat, places, () => coat.film);
    else {
      const level = levels?.get(coat.id) ?? restOf(coat as FilmedCoat | TopCoat, surface, places, proud);
      lay(coat, places, (i) => Math.max(0, level - surface[i]!), level);
    }
    if (ground) {
      const laying = layings.at(-1)!;
      // along a line the rise is known from the whole board
      const rise = laying.level === undefined ? (levels?.get(coat.id) ?? 0) : 0;
      if (rise > 0)
        for (const i of places) {
          laying.thickness[i]! += rise;
          surface[i]! += rise;
        }
      wet = { laying, ground, rise };
    }
    dress(index);
  });
  return { field, layings, surface, parts };
}

/** Where a poured coat comes to rest: by its volume, or a top by its cover over the highest place that is not proud. */
function restOf(coat: FilmedCoat | TopCoat, surface: Float64Array, places: Places, proud: Uint8Array): number {
  if (!places.length) return 0;
  if (coat.kind !== 'top') return levelOf(surface, places, coat.film);
  let [flat, all] = [-Infinity, 0];
  for (const i of places) {
    all = Math.max(all, surface[i]!);
    if (!proud[i]) flat = Math.max(flat, surface[i]!);
  }
  return (flat === -Infinity ? all : flat) + coat.cover;
}

const grids = new WeakMap<Shape, Field>();
export function gridOf(shape: Shape): Field {
  let grid = grids.get(shape);
  if (!grid) grids.set(shape, (grid = fieldOf(shape)));
  return grid;
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

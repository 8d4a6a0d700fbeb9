import { threadReach, waveSection } from '#core/coat';
import type { Coat, Dressing, LineCoat, Method, Piece, SandCoat, Surface } from '#core/document';
import type { Field } from '#core/geometry';

/** The places where something lies, by their index in a field. */
export type Places = Int32Array;

/** One thing laid on a board; all in mm. */
export interface Laying {
  /** The coat or dressing laid, or the relief under both. */
  of: Coat | Dressing | 'relief';
  /** mm at each place */
  thickness: Float64Array;
  /** The places it may lie at, by their index. */
  places: Places;
  /** Where its surface lies, if it levels itself, mm. */
  level?: number;
  /** How much a spread film was lifted by what floats in it, mm. */
  rise?: number;
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

/** Index of the coat whose clear a dressing is set with: what goes on between the coats is stuck with the next one's. */
export const dressedWith = (piece: Piece, dressing: Dressing): number =>
  dressing.when === 'between coats' ? piece.coats.length - 1 : dressedAfter(piece, dressing);

/** Where a line of a coat lies across its shore or its breaker, mm out to sea, and how thick it is in its middle. */
interface Cap {
  middle: number;
  width: number;
  crown: number;
}

/** A wave's cap is over its reach, and holds the cross-section it adds; a thread's is its own line. */
function capAcross(coat: LineCoat, method: Method): Cap {
  const onShore = coat.along === undefined;
  if (coat.kind === 'thread') return { middle: onShore ? (coat.off ?? 0) : 0, width: coat.lineWidth, crown: coat.lineHeight };
  const { clear, foam } = waveSection(coat, method);
  const width = coat.reachSea + coat.reachUp;
  return { middle: onShore ? (coat.reachSea - coat.reachUp) / 2 : 0, width, crown: width > 0 ? (1.5 * (clear + foam)) / width : 0 };
}

/** How far from its line a wave or a thread lies at most, mm. */
export const reachOf = (coat: LineCoat): number => {
  if (coat.kind === 'thread') return threadReach(coat).reachSea;
  return coat.along === undefined ? Math.max(coat.reachSea, coat.reachUp) : (coat.reachSea + coat.reachUp) / 2;
};

/**
 * A wave or a thread as a low cap: a parabola across its line, highest in its middle.
 * @param away  distance from the line it runs along, mm; Infinity out of reach
 * @param parts which part each place lies in; beach is on the other hand of a shore from the sea
 * @returns its thickness, mm
 */
export function capOf(coat: LineCoat, method: Method, away: Float64Array, parts: Int8Array): Float64Array {
  const thickness = new Float64Array(away.length);
  const { middle, width, crown } = capAcross(coat, method);
  if (width === 0) return thickness;
  const onShore = coat.along === undefined;
  for (let i = 0; i < away.length; i++) {
    const far = away[i]!;
    if (far === Infinity) continue;
    const u = (2 * ((onShore && parts[i] === 0 ? -far : far) - middle)) / width;
    if (u > -1 && u < 1) thickness[i] = crown * (1 - u * u);
  }
  return thickness;
}

/** Sand that thins out across the shore, half of its taper on either side, mm. @param away distance from the shore, mm */
export function wedgeOf({ film, taper = 0 }: SandCoat, away: Float64Array, parts: Int8Array): Float64Array {
  const thickness = new Float64Array(away.length);
  for (let i = 0; i < away.length; i++) {
    const part = parts[i]!;
    if (part < 0) continue;
    const share = (part === 0 ? away[i]! : -away[i]!) / taper + 0.5;
    thickness[i] = film * (share > 1 ? 1 : share < 0 ? 0 : share);
  }
  return thickness;
}

/** A dressing as half an ellipsoid, mm. @param proud told which places stand under it */
export function domeOf({ x, y, size, height }: Dressing, field: Field, proud: Uint8Array): Float64Array {
  const thickness = new Float64Array(field.x.length);
  const r = size / 2;
  for (let i = 0; i < thickness.length; i++) {
    const dx = (field.x[i]! - x) / r;
    const dy = (field.y[i]! - y) / r;
    const away = dx * dx + dy * dy;
    if (away > 1) continue;
    proud[i] = 1;
    thickness[i] = height * Math.sqrt(1 - away);
  }
  return thickness;
}

/** A texture that stands for relief of a height over a share of the face: ridges some 20 mm apart. */
function reliefAt(x: number, y: number, height: number, share: number): number {
  const wave = (Math.sin(x / 3.1 + Math.sin(y / 9)) + Math.sin(y / 4.3 + Math.sin(x / 7))) / 4 + 0.5;
  return wave > 1 - share ? height * Math.min(1, (wave - (1 - share)) / 0.1) : 0;
}

/** Relief over all that takes resin, mm. @param proud told which places stand on it */
export function reliefOf(
  { height, share }: NonNullable<Surface['relief']>,
  field: Field,
  parts: Int8Array,
  proud: Uint8Array,
): Float64Array {
  const thickness = new Float64Array(field.x.length);
  for (let i = 0; i < thickness.length; i++) {
    if (parts[i]! < 0) continue;
    thickness[i] = reliefAt(field.x[i]!, field.y[i]!, height, share);
    if (thickness[i]! > 0) proud[i] = 1;
  }
  return thickness;
}

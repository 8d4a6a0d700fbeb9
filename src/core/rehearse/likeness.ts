import { rehearsalOf } from '#core/coat';
import type { WaveCoat } from '#core/document';
import { coverOf, does, Eye, layDown, movesOf } from '#core/foam';
import { seedOf } from '#core/geometry';
import { groundsUnder, THICK_WHITE, type PiecePlan } from '#core/plan';
import { begunWith, setupOf } from './begun';
import { RESTED } from './lucks';
import { playedOf } from './played';
import { filmOf } from './scene';
import { laidOn } from './setup';

/** A wave's foam as its rehearsal leaves it: how much of thick white is seen at each cell of the board, 0 to 255. */
export interface Likeness {
  nx: number;
  ny: number;
  /** Step of its grid, mm. */
  dx: number;
  cover: Uint8Array;
}

/** What a likeness depends on, as a short text: two that are alike in it are the same picture. */
export function likenessKey(plan: PiecePlan, wave: WaveCoat): string {
  const { shape, sea, id } = plan.piece;
  const rehearsed = rehearsalOf(plan.piece, wave);
  const { lines, lineWidth, reachSea, reachUp, along } = wave;
  const own = rehearsed ? setupOf(plan, wave, rehearsed) : begunWith(plan, wave).setup;
  const grounds = groundsUnder(plan.site, wave.id, plan.means.colourants);
  const text = JSON.stringify([
    [shape, sea, plan.site.piece.coats.some((c) => c.kind === 'sand') && id],
    [along, lines, lineWidth, reachSea, reachUp, rehearsed?.passes],
    [own, filmOf(plan, wave), grounds],
  ]);
  return `${VERSION}-${seedOf(text).toString(36)}${seedOf(`~${text}`).toString(36)}${text.length.toString(36)}`;
}
/** Counted up when the model changes, so that no older picture stands for it. */
const VERSION = 1;

/** Boards up to so long are worked out twice as finely, mm. */
const SMALL = 180;
/** A wave's foam on the board of its piece: as it was rehearsed, or with one ordinary pass where it was not, and rested. */
export function likenessOf(plan: PiecePlan, wave: WaveCoat): Likeness {
  const dx = Math.max(plan.bounds.width, plan.bounds.height) <= SMALL ? 0.5 : 1;
  const { scene, setup, acts } = playedOf(plan, wave, dx);
  const foam = layDown(laidOn(scene, setup));
  for (const move of [...movesOf(acts), { rest: RESTED }]) does(foam, move);
  const { nx, ny } = foam;
  const seen = new Eye(foam).see({ i0: 0, j0: 0, i1: nx, j1: ny });
  return { nx, ny, dx, cover: coverOf(foam, seen, scene.ground, THICK_WHITE) };
}

/** How much of a likeness is seen at a place of its board, mm, 0 to 1. */
export function seenAt({ nx, ny, dx, cover }: Pick<Likeness, 'nx' | 'ny' | 'dx' | 'cover'>, x: number, y: number): number {
  const [i, j] = [Math.floor(x / dx), Math.floor(y / dx)];
  return i < 0 || j < 0 || i >= nx || j >= ny ? 0 : cover[j * nx + i]! / 255;
}

import type { Piece, WaveCoat } from '#core/document';
import { withShape } from '#core/edit';
import type { Figures } from '#core/foam';
import type { Means, PiecePlan } from '#core/plan';
import { sceneOf, type Scene, type Setup } from '#core/rehearse';
import { piece, plan } from '../../factories';

/** Step of the grid the tests rehearse on, mm. */
export const DX = 1;

export const waveOf = (p: Piece): WaveCoat => p.coats.find((c): c is WaveCoat => c.kind === 'wave')!;

/** A piece planned, its first wave, and the scene of that. */
export function of(p: Piece = piece(), change: Partial<Means> = {}): { planned: PiecePlan; wave: WaveCoat; scene: Scene } {
  const planned = plan(p, change);
  const wave = waveOf(planned.piece);
  return { planned, wave, scene: sceneOf(planned, wave, DX) };
}

/** A board so small that a pass takes a second to work out. */
export const smallBoard = (change: Partial<Piece> = {}): Piece => withShape(piece(change), { kind: 'rectangle', width: 120, height: 100 });

export const hand = { tool: 'hot air', speed: 12 } as const;
export const setup = (change: Partial<Setup> = {}): Setup => ({
  ml: 3,
  rough: 0.28,
  minute: 20,
  age: 1200,
  barrier: 0,
  additive: false,
  luck: 1,
  ...change,
});

/** Figures of a rehearsal that went well, with some changed. */
export const figures = (change: Partial<Figures> = {}): Figures => ({
  white: 0.08,
  veil: 0.1,
  open: 0.25,
  perCm2: 8,
  diameters: { low: 0.5, middle: 1.2, high: 2 },
  sizes: [1, 2, 3],
  toSea: { middle: 40, most: 44 },
  up: { middle: 5, most: 9 },
  mist: 0.02,
  off: 0,
  scorched: 0,
  hottest: 80,
  age: 25,
  heatAged: 1,
  ...change,
});

/** A tool at its reference distance: what reaches the film of its air. Its stress is set by eye, the rest is of its kind. */
export interface Tool {
  name: string;
  /** Temperature of the jet at the film, °C; heat transfer, W/m²K. */
  jetC: number;
  transfer: number;
  /** Half-lengths of the footprint along the air and across it, mm. */
  along: number;
  across: number;
  /** Stress at the film, Pa, and the distance and angle it holds at, mm, degrees between the jet and the board. */
  stress: number;
  distance: number;
  angle: number;
}
export type ToolName = 'hot air' | 'dryer' | 'torch' | 'gun';

export const tools: Record<ToolName, Tool> = {
  'hot air': { name: 'Hot air', jetC: 220, transfer: 90, along: 14, across: 10, stress: 8, distance: 60, angle: 20 },
  dryer: { name: 'Hair dryer', jetC: 60, transfer: 60, along: 25, across: 18, stress: 3.5, distance: 120, angle: 20 },
  torch: { name: 'Torch', jetC: 700, transfer: 60, along: 8, across: 8, stress: 0.2, distance: 80, angle: 45 },
  gun: { name: 'Heat gun', jetC: 300, transfer: 100, along: 14, across: 10, stress: 8, distance: 60, angle: 20 },
};

/** How a tool is held: distance, mm, angle to the board, degrees, and the fan beside its ordinary step, 1. */
export interface Held {
  tool: ToolName;
  distance?: number;
  angle?: number;
  fan?: number;
}

/** Air as it reaches the film, its footprint mm, its temperature over the room's, K. */
export interface Air {
  excess: number;
  transfer: number;
  along: number;
  across: number;
  stress: number;
}

/** No hand holds a nozzle so near that its air is hotter than this, of what it is at its reference distance. */
const NEAREST = 1.15;
const cosine = (degrees: number): number => Math.cos((degrees * Math.PI) / 180);

/**
 * The air of a tool at some distance: a free jet's speed and warmth fall as one over the way (Rajaratnam 1976), its stress
 * as the square, and its footprint is taken to widen by the root. A faster fan stirs harder by the square and warms as the
 * power 0.7 of its speed, which is usual for impinging jets (Martin 1977).
 */
export function airOf({ tool, distance, angle, fan = 1 }: Held, roomC: number): Air {
  const t = tools[tool];
  const p = t.distance / (distance ?? t.distance);
  return {
    excess: (t.jetC - roomC) * Math.min(p, NEAREST),
    transfer: t.transfer * p * fan ** 0.7,
    along: t.along / Math.sqrt(p),
    across: t.across / Math.sqrt(p),
    stress: (t.stress * p * p * fan * fan * cosine(angle ?? t.angle)) / cosine(t.angle),
  };
}

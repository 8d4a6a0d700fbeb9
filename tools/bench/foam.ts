/** The rehearsal: a step of the air beside real time, half an hour of rest, a picture, and how much of the memory's speed a step takes. */
import { airOf, Eye, heatStep, layDown, momentOf, painted, rest, type Foam } from '#core/foam';
import { median, ms, print } from './figures';

const shore = (x: number, h: number): number => 0.63 * h + 8 * Math.sin(x / 40) + 3 * Math.sin(x / 17);

function board(width: number, height: number, dx: number): { foam: Foam; layMs: number } {
  const path = Array.from({ length: Math.floor(width / 4) + 1 }, (_, i) => ({ x: 4 * i, y: shore(4 * i, height) }));
  const begun = performance.now();
  const foam = layDown({
    width,
    height,
    dx,
    seed: 1,
    roomC: 21,
    age: 22 * 60,
    film: (x, y) => (y < shore(x, height) + 15 ? 1 : 0),
    lines: [{ path, sea: 1 }],
    section: 9,
    lineWidth: 11,
    barrier: 0.36,
  });
  return { foam, layMs: ms(performance.now() - begun) };
}

/** Speed of the memory: 64 MB read and written, bytes a second. */
function bandwidth(): number {
  const [from, to] = [new Float32Array(8_000_000).fill(1), new Float32Array(8_000_000)];
  const times: number[] = [];
  for (let i = 0; i < 12; i++) {
    const begun = performance.now();
    to.set(from);
    times.push(performance.now() - begun);
  }
  return (2 * from.byteLength) / (median(times) / 1000);
}

const quantile = (values: number[], q: number): number => [...values].sort((a, b) => a - b)[Math.floor(q * (values.length - 1))]!;

/** Cells' bytes a step reads and writes once: six field arrays over what is warm, and white, mist and two velocities over what moves. */
const bytesOf = ({ warm }: Foam): number => (warm.i1 - warm.i0) * (warm.j1 - warm.j0) * (8 * 4 + 4 * 4 * 4);

const speed = bandwidth();
for (const [width, height, dx] of [
  [400, 300, 0.5],
  [400, 300, 1],
  [620, 120, 0.5],
  [900, 350, 1],
] as const) {
  const { foam, layMs } = board(width, height, dx);
  const eye = new Eye(foam);
  const ground = new Float32Array(3 * foam.nx * foam.ny).fill(0.2);
  const air = airOf({ tool: 'hot air' }, foam.roomC);
  const steps: number[] = [];
  const pictures: number[] = [];
  const shares: number[] = [];
  // pushes side by side along the first half of the board: two thirds of a minute of air
  for (let x = 5; x < 130; x += 10) {
    const y = shore(x, height) + 3;
    for (let n = 0; n < 54; n++) {
      const begun = performance.now();
      heatStep(foam, { ...air, x, y: y - 0.45 * n, dx: 0, dy: -1 });
      const took = performance.now() - begun;
      steps.push(took);
      shares.push(bytesOf(foam) / (took / 1000) / speed);
    }
    const [i, j] = [Math.floor(x / dx), Math.floor(y / dx)];
    const far = Math.round(70 / dx);
    const begun = performance.now();
    const box = {
      i0: Math.max(0, i - far),
      i1: Math.min(foam.nx, i + far),
      j0: Math.max(0, j - far),
      j1: Math.min(foam.ny, j + Math.round(25 / dx)),
    };
    painted(foam, eye.see(box), ground);
    pictures.push(performance.now() - begun);
  }
  const kept = performance.now();
  momentOf(foam);
  const momentMs = ms(performance.now() - kept);
  const rested = performance.now();
  rest(foam, 1800);
  print({
    bench: `rehearsal, ${width} × ${height} mm on a grid of ${dx} mm`,
    cells: foam.nx * foam.ny,
    layMs,
    stepMedianMs: ms(median(steps)),
    step95Ms: ms(quantile(steps, 0.95)),
    stepIsMs: 50,
    memoryGBs: Math.round(speed / 1e8) / 10,
    shareOfMemory: Math.round(1000 * median(shares)) / 1000,
    pictureMedianMs: ms(median(pictures)),
    momentMs,
    restHalfHourMs: ms(performance.now() - rested),
    lacing: foam.holes.count,
  });
}

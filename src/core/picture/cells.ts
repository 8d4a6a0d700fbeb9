/** Open places inside foam. */
export interface Cells {
  count: number;
  /** Diameters of circles of their areas, mm, sorted. */
  diameters: number[];
  /** mm² of all of them. */
  area: number;
}

/** A cell smaller than so many places is noise. */
const LEAST = 5;
/** A neck this much narrower than the two it joins is a wall that the picture lost. */
const NECK = 0.62;

/** Distance of each dark place from the nearest white one, places, by two sweeps (Borgefors 1986, weights 3 and 4). */
function depths(dark: Uint8Array, columns: number, rows: number): Float32Array {
  const out = new Float32Array(dark.length);
  const [A, D] = [1, 4 / 3];
  for (let k = 0; k < dark.length; k++) out[k] = dark[k] ? 1e6 : 0;
  for (let j = 1; j < rows - 1; j++)
    for (let i = 1; i < columns - 1; i++) {
      const k = j * columns + i;
      if (dark[k]) out[k] = Math.min(out[k]!, out[k - 1]! + A, out[k - columns]! + A, out[k - columns - 1]! + D, out[k - columns + 1]! + D);
    }
  for (let j = rows - 2; j > 0; j--)
    for (let i = columns - 2; i > 0; i--) {
      const k = j * columns + i;
      if (dark[k]) out[k] = Math.min(out[k]!, out[k + 1]! + A, out[k + columns]! + A, out[k + columns + 1]! + D, out[k + columns - 1]! + D);
    }
  return out;
}

/**
 * Cells of foam: dark places that white shuts in. What runs together through a gap in a wall too thin for the picture is parted again
 * at its neck: places are taken from the deepest outward, and two that meet where it is much shallower than both stay two
 * (a watershed, Vincent and Soille 1991).
 * @param dark  1 where it is dark and may belong to a cell
 * @param open  1 where dark is the open sea or the bare beach: what hangs together with it is no cell
 */
export function cellsOf(dark: Uint8Array, open: Uint8Array, columns: number, rows: number, perMm: number): Cells {
  const shut = shutIn(dark, open, columns, rows);
  const depth = depths(shut, columns, rows);
  const order = sortedByDepth(shut, depth);
  const label = new Int32Array(dark.length);
  const parent: number[] = [0];
  const peak: number[] = [0];
  const size: number[] = [0];
  const rootOf = (l: number): number => {
    while (parent[l] !== l) l = parent[l] = parent[parent[l]!]!;
    return l;
  };
  const around = [-1, 1, -columns, columns];
  for (const k of order) {
    let own = 0;
    for (const by of around) {
      const l = label[k + by]!;
      if (!l) continue;
      const root = rootOf(l);
      if (!own) own = root;
      else if (own !== root) {
        const neck = depth[k]!;
        const [big, little] = peak[own]! >= peak[root]! ? [own, root] : [root, own];
        if (neck >= NECK * peak[little]! || peak[little]! < 1.5) {
          parent[little] = big;
          size[big]! += size[little]!;
          own = big;
        } else own = big;
      }
    }
    if (!own) {
      own = parent.length;
      parent.push(own);
      peak.push(depth[k]!);
      size.push(0);
    }
    label[k] = own;
    size[own]!++;
  }
  const areas = parent.flatMap((p, l) => (l > 0 && p === l && size[l]! >= LEAST ? [size[l]! / perMm ** 2] : []));
  return {
    count: areas.length,
    diameters: areas.map((a) => 2 * Math.sqrt(a / Math.PI)).sort((a, b) => a - b),
    area: areas.reduce((sum, a) => sum + a, 0),
  };
}

/** Dark places that do not hang together with the open ones, nor with the rim. */
function shutIn(dark: Uint8Array, open: Uint8Array, columns: number, rows: number): Uint8Array {
  const out = dark.slice();
  const stack = new Int32Array(dark.length);
  let n = 0;
  const take = (k: number): void => {
    if (out[k]) {
      out[k] = 0;
      stack[n++] = k;
    }
  };
  for (let i = 0; i < columns; i++) {
    take(i);
    take((rows - 1) * columns + i);
  }
  for (let j = 0; j < rows; j++) {
    take(j * columns);
    take(j * columns + columns - 1);
  }
  for (let k = 0; k < open.length; k++) if (open[k]) take(k);
  while (n > 0) {
    const k = stack[--n]!;
    const i = k % columns;
    if (i > 0) take(k - 1);
    if (i + 1 < columns) take(k + 1);
    if (k >= columns) take(k - columns);
    if (k + columns < out.length) take(k + columns);
  }
  return out;
}

/** Places in order of their depth, deepest first, by counting. */
function sortedByDepth(shut: Uint8Array, depth: Float32Array): Int32Array {
  const STEPS = 8;
  const bucket = (k: number): number => Math.min(4095, Math.round(depth[k]! * STEPS));
  const counts = new Int32Array(4097);
  let n = 0;
  for (let k = 0; k < shut.length; k++)
    if (shut[k]) {
      counts[4095 - bucket(k) + 1]!++;
      n++;
    }
  for (let b = 1; b < counts.length; b++) counts[b]! += counts[b - 1]!;
  const order = new Int32Array(n);
  for (let k = 0; k < shut.length; k++) if (shut[k]) order[counts[4095 - bucket(k)]!++] = k;
  return order;
}

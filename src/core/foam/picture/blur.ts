/** One box blur along both axes of a picture, in place; at its edges it is mirrored, so that nothing is lost. */
function boxBlur(values: Float32Array, wide: number, tall: number, r: number): void {
  along(values, wide, tall, 1, wide, r);
  along(values, tall, wide, wide, 1, r);
}

function along(values: Float32Array, count: number, lines: number, step: number, over: number, r: number): void {
  const row = new Float64Array(count + 2 * r);
  const per = 1 / (2 * r + 1);
  for (let line = 0; line < lines; line++) {
    const base = line * over;
    for (let i = -r; i < count + r; i++) {
      // the mirror stands between the border and what is beyond it
      let at = i < 0 ? -1 - i : i >= count ? 2 * count - 1 - i : i;
      at = Math.min(count - 1, Math.max(0, at));
      row[i + r] = values[base + at * step]!;
    }
    let sum = 0;
    for (let i = 0; i < 2 * r + 1; i++) sum += row[i]!;
    for (let i = 0; i < count; i++) {
      values[base + i * step] = sum * per;
      sum += (row[i + 2 * r + 1] ?? 0) - row[i]!;
    }
  }
}

/** Two box blurs, which come near a bell. @param radius in cells, at least 1 */
export function blurred(values: Float32Array, wide: number, tall: number, radius: number): Float32Array {
  const out = values.slice();
  const r = Math.max(1, Math.round(radius));
  boxBlur(out, wide, tall, r);
  boxBlur(out, wide, tall, r);
  return out;
}

/**
 * Length round an ellipse, mm, by the arithmetic–geometric mean (Borwein and Borwein, *Pi and the AGM*, 1987), exact
 * to rounding.
 * @param p, q half axes, mm
 */
export function ellipseRim(p: number, q: number): number {
  let [a, b] = [Math.max(p, q), Math.min(p, q)];
  let [sum, power] = [a * a - (a * a - b * b) / 2, 1];
  while (a - b > 1e-12 * a) {
    const c = (a - b) / 2;
    [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
    sum -= power * c * c;
    power *= 2;
  }
  return (2 * Math.PI * sum) / a;
}

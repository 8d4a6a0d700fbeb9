import { limits, resinProblem, type Resin } from '#core/document';
import { duration, plain, readWithin, writeDuration, type Range } from '#core/units';
import type { CellReading, TableColumn } from '$lib/ui/table/columns';

/** The times of a resin's data sheet, as columns that are changed where they stand: minutes of the mix, hours of the film. */

const minutes = { workingMin: limits.working, gelMin: limits.gel, stirMin: limits.stir };
const hours = { recoatFromH: limits.recoat, bondUntilH: limits.bond, handleH: limits.handle, fullCureH: limits.fullCure };
type Time = keyof typeof minutes | keyof typeof hours;
const heads: Record<Time, string> = {
  stirMin: 'stir',
  workingMin: 'working',
  gelMin: 'gels',
  recoatFromH: 'recoat from',
  bondUntilH: 'bonds until',
  handleH: 'handle',
  fullCureH: 'full cure',
};

/** @param scale minutes in one of its unit */
function readTime(text: string, resin: Resin, key: Time, scale: number, { min, max }: Range): CellReading {
  const range = { min: min * scale, max: max * scale };
  const reading = readWithin(duration, text, range, 'A time', (time) => writeDuration(time), scale === 1 ? 'min' : 'h');
  if (!reading.ok) return reading;
  const value = Number((reading.value / scale).toPrecision(9));
  const says = resinProblem({ ...resin, [key]: value });
  return says === undefined ? { ok: true, value } : { ok: false, says };
}

/** @param set stores one field of a resin; false where that failed */
export const timeColumns = (set: (resin: Resin, key: Time, value: number) => Promise<boolean>): TableColumn<Resin>[] =>
  (Object.keys(heads) as Time[]).map((key) => {
    const inMin = key in minutes;
    const scale = inMin ? 1 : 60;
    const range = inMin ? minutes[key as keyof typeof minutes] : hours[key as keyof typeof hours];
    return {
      id: key,
      head: heads[key],
      value: (r) => r[key],
      shows: (r) => writeDuration(r[key] * scale),
      right: true,
      edit: {
        kind: 'text',
        text: (r) => `${plain(r[key], 2)} ${inMin ? 'min' : 'h'}`,
        read: (text, r) => readTime(text, r, key, scale, range),
        store: (r, v: number) => set(r, key, v),
      },
    };
  });

import { whiteOf } from '#core/coat';
import { openOf } from '#core/craft';
import type { PhotoReading, WaveCoat } from '#core/document';
import type { Figures } from '#core/foam';
import { chartColours, type PiecePlan } from '#core/plan';
import { lightnessOf } from '#core/tint';
import { plain, writeShare, type Writes } from '#core/units';
import { sureOf } from './sure';

/** One figure of a photograph beside the plan and the rehearsal, and what it means for the hand. */
export interface PictureRow {
  what: string;
  measured: string;
  /** How far it may be off. */
  sure: string;
  planned?: string;
  rehearsed?: string;
  means?: string;
}

/** Square inches of a square centimetre's count, and millimetres of an inch. */
const [PER_SQ_IN, INCH] = [6.4516, 25.4];
/** Cells on so much foam, as the studio measures it. */
const crowded = (perCm2: number, { units }: Writes): string =>
  units.length === 'in' ? `${plain(perCm2 * PER_SQ_IN, 0)} a sq in` : `${plain(perCm2, 1)} a cm²`;

/** What was said to be even: steps of lightness from cup to cup differ by no more than this. */
const EVEN = 0.02;

/** Lightness of the parts of the sea after a pour as the plan has them, by part. */
export function plannedBands(plan: PiecePlan, coats: number): Map<number, number> {
  const { patches } = chartColours(plan.site, plan.cut, plan.means.colourants, { coats, wet: false });
  return new Map(patches.flatMap(({ part, colour }): [number, number][] => (colour === undefined ? [] : [[part, lightnessOf(colour)]])));
}

const signed = (difference: number, sure: number, more: string, less: string, size: string): string =>
  Math.abs(difference) <= sure ? 'As planned, as far as it can be told.' : `${size} ${difference > 0 ? more : less} than planned.`;

function foamRows(reading: PhotoReading, plan: PiecePlan, wave: WaveCoat, figures: Figures | undefined, write: Writes): PictureRow[] {
  const sure = sureOf(reading);
  const mm = (v: number): string => write.fine(v);
  const open = openOf(wave, plan.means.method.foamOpen);
  const { length } = whiteOf(plan.site, wave);
  const strip = (length * (wave.reachSea + wave.reachUp) * (1 - open)) / plan.cut.cover.area;
  const reach = (key: 'toSea' | 'up', what: string, planned: number): PictureRow[] => {
    const own = reading[key];
    if (!own) return [];
    const by = own.middle - planned;
    return [
      {
        what,
        measured: `${write.length(own.middle)}, ${write.length(own.most)} at most`,
        sure: `± ${mm(sure.reach)}`,
        planned: write.length(planned),
        ...(figures && { rehearsed: `${write.length(figures[key].middle)}, ${write.length(figures[key].most)}` }),
        means: signed(by, sure.reach, 'further', 'less far', write.length(Math.abs(by))),
      },
    ];
  };
  const { cells } = reading;
  return [
    ...reach('toSea', 'Foam out to sea', wave.reachSea),
    ...reach('up', 'Foam up the beach', wave.reachUp),
    {
      what: 'White on the board',
      measured: writeShare(reading.white),
      sure: `± ${writeShare(sure.white)}`,
      planned: writeShare(strip),
      ...(figures && { rehearsed: writeShare(figures.white) }),
      means: signed(reading.white - strip, sure.white, 'more', 'less', writeShare(Math.abs(reading.white - strip))),
    },
    ...(reading.open === undefined
      ? []
      : [
          {
            what: 'Open in the foam',
            measured: writeShare(reading.open),
            sure: '± 5 %',
            planned: writeShare(open),
            ...(figures && { rehearsed: writeShare(figures.open) }),
            means: signed(reading.open - open, 0.05, 'more open', 'less open', writeShare(Math.abs(reading.open - open))),
          },
        ]),
    ...(cells
      ? [
          {
            what: 'Cells',
            measured: `${crowded(cells.perCm2, write)}, ${plain(cells.count, 0)} in all`,
            sure: `± ${crowded(sure.perCm2, write)}`,
            ...(figures && { rehearsed: crowded(figures.perCm2, write) }),
          },
          {
            what: 'Their size',
            measured: `${mm(cells.middle)} across, most ${mm(cells.low)}–${mm(cells.high)}`,
            sure: `± ${mm(sure.cell)}`,
            ...(figures && { rehearsed: `${mm(figures.diameters.middle)}, ${mm(figures.diameters.low)}–${mm(figures.diameters.high)}` }),
          },
        ]
      : [{ what: 'Cells', measured: 'too few or too small to count here', sure: '' }]),
  ];
}

/** How the tints came out from the deep side to the shore, and how even their steps are. */
function slopeRows(reading: PhotoReading, planned: ReadonlyMap<number, number>, parts: number): PictureRow[] {
  const sea = reading.bands.filter((b) => b.part >= 1 && b.part <= parts).sort((a, b) => b.part - a.part);
  if (sea.length < 2) return [];
  const steps = sea.slice(1).map((b, i) => (b.lightness - sea[i]!.lightness) / Math.max(1, sea[i]!.part - b.part));
  const mean = steps.reduce((a, b) => a + b, 0) / steps.length;
  const worst = steps.reduce((most, s, i) => (Math.abs(s - mean) > Math.abs(steps[most]! - mean) ? i : most), 0);
  const off = steps[worst]! - mean;
  const sure = sureOf(reading).lightness;
  const means =
    Math.abs(off) <= Math.max(EVEN, sure)
      ? 'An even slope: no step stands out.'
      : `The step from part ${worst + 1} to part ${worst + 2}, counted from the deep, is ${off > 0 ? 'larger' : 'smaller'} than the others.`;
  const known = sea.flatMap((b) => planned.get(b.part) ?? []);
  return [
    {
      what: 'Lightness, deep to shore',
      measured: sea.map((b) => plain(b.lightness, 2)).join(' · '),
      sure: `± ${plain(sure, 2)}`,
      ...(known.length === sea.length && { planned: known.map((l) => plain(l, 2)).join(' · ') }),
      means,
    },
  ];
}

/**
 * A reading beside the plan, and beside the rehearsal where there is one.
 * @param coats how many of the piece's coats lay when it was taken
 * @param figures of the wave as it was rehearsed, over the whole board
 */
export function pictureRows(
  reading: PhotoReading,
  plan: PiecePlan,
  wave: WaveCoat | undefined,
  coats: number,
  write: Writes,
  figures?: Figures,
): PictureRow[] {
  const { turned } = reading;
  return [
    ...(wave ? foamRows(reading, plan, wave, figures, write) : []),
    ...slopeRows(reading, plannedBands(plan, coats), plan.cut.sea.length),
    ...(turned === undefined
      ? []
      : [
          {
            what: 'The wave against its line',
            measured:
              Math.abs(turned) < 0.3
                ? 'along it'
                : `${plain(Math.abs(turned), 1)}°, further out at ${turned > 0 ? 'the end of its line' : 'the beginning of its line'}`,
            sure: `± ${plain(sureOf(reading).turned, 1)}°`,
            planned: '0°',
            means: Math.abs(turned) <= 1 ? 'It lies along its line.' : 'It was laid or has drifted askew: look at how level the board lay.',
          },
        ]),
  ];
}

/** How good a picture was, in a sentence for whoever takes the next. */
export function pictureQuality({ pxPerMm, blur, glare, light }: PhotoReading, write: Writes): string {
  const parts = [
    write.units.length === 'in' ? `${plain(pxPerMm * INCH, 0)} pixels to an inch` : `${plain(pxPerMm, 1)} pixels to a millimetre`,
    blur < 0.2 ? 'sharp' : `a little soft, about ${write.fine(blur, 2)}`,
    glare < 0.005 ? 'no glare' : `${writeShare(glare)} lost to glare`,
    light < 1.3 ? 'evenly lit' : `one side ${plain(light, 1)} times as bright`,
  ];
  return `${parts.join(', ')}.`;
}

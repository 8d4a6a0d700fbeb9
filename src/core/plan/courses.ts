import { warmer, type Air } from '#core/air';
import { cupCourse, cupSurface, wideSurface, type CupCourse } from '#core/cure';
import type { Method, Resin } from '#core/document';

/** What is done so that a mix keeps longer: a wide vessel loses heat, and cool bottles begin later. */
export interface Care {
  wide?: boolean;
  /** How much cooler than the room the bottles are, K. */
  cooler?: number;
}

/** How warm a mix is when A and B meet, °C: as its bottles, which are as warm as the room unless they were warmed, or cooled. */
export const startOf = (air: Air, { bottlesC }: Pick<Method, 'bottlesC'>, cooler: number): number =>
  cooler ? air(0) - cooler : (bottlesC ?? air(0));

/** Courses kept for one air; a dragged shoreline asks for the same few cups again and again. */
const KEPT = 400;

/** How cups age at a bench, each worked out once for as long as its air is the same object. */
export class Courses {
  readonly #kept = new WeakMap<Air, Map<string, CupCourse>>();

  readonly #warmer = new WeakMap<Air, Map<number, Air>>();

  /** The same air so many kelvin warmer: one object, however often it is asked for, so that its courses are kept. */
  warmer(air: Air, kelvin: number): Air {
    let own = this.#warmer.get(air);
    if (!own) this.#warmer.set(air, (own = new Map()));
    let found = own.get(kelvin);
    if (!found) own.set(kelvin, (found = warmer(air, kelvin)));
    return found;
  }

  /**
   * The course of a cup, to the millilitre from 20 ml on and to a tenth below: half a millilitre moves the peak by less than
   * half a degree.
   * @param ml in the cup @param density g/ml @param untilAge where only the way to an age is asked for, min
   */
  of(
    ml: number,
    density: number,
    resin: Pick<Resin, 'gelMin' | 'refC'>,
    { air, method }: { air: Air; method: Pick<Method, 'activationEa' | 'bottlesC'> },
    untilAge?: number,
    { wide = false, cooler = 0 }: Care = {},
  ): CupCourse {
    const volume = Math.max(0.1, ml >= 20 ? Math.round(ml) : Math.round(ml * 10) / 10);
    let kept = this.#kept.get(air);
    if (!kept || kept.size >= KEPT) this.#kept.set(air, (kept = new Map()));
    const key = [volume, density, resin.gelMin, resin.refC, method.activationEa, untilAge, wide, cooler, method.bottlesC].join(' ');
    let course = kept.get(key);
    if (!course) {
      const surface = wide ? wideSurface(volume) : cupSurface(volume);
      course = cupCourse(
        volume * density,
        surface,
        air,
        resin.gelMin,
        resin.refC,
        method.activationEa,
        untilAge,
        startOf(air, method, cooler),
      );
      kept.set(key, course);
    }
    return course;
  }
}

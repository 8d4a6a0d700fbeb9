import { aged } from '#core/cure';
import type { Colourant, Method, Resin } from '#core/document';
import type { LetDowns } from '#core/mix';

/** What a piece is planned with: the studio's materials and habits, and the air it is poured in. */
export interface Means {
  resins: Resin[];
  colourants: Colourant[];
  method: Method;
  /** °C at the bench */
  roomC: number;
  /** Reading step of the scale, g; a tenth where it is left out. */
  scaleStep?: number;
}

/** What every batch is planned on. */
export const benchOf = ({ method, colourants, roomC, scaleStep = 0.1 }: Means): Omit<Bench, 'letDowns'> => ({
  method,
  colourants,
  roomC,
  scaleStep,
});

/** Resins with their working and gel times as ages of a film. */
export const agedResins = ({ resins, method }: Pick<Means, 'resins' | 'method'>): Resin[] =>
  resins.map((resin) => aged(resin, method.activationEa));

/** What every batch of a piece shares. */
export interface Bench {
  method: Method;
  colourants: Colourant[];
  /** °C */
  roomC: number;
  /** Reading step of the scale, g. */
  scaleStep: number;
  /** Let-downs the cups of the pour share. */
  letDowns?: LetDowns;
}

import type { Coat, Colourant, Method, Piece, Resin } from '#core/document';
import type { CoatRegions, Cut } from '#core/geometry';

/** A piece with its board cut by its sea: what heights, amounts and colours follow from. */
export interface Site {
  /** With its coats in the order they are laid. */
  piece: Piece;
  /** Its coats pour by pour, as they are laid. */
  pours: Coat[][];
  cut: Cut;
  method: Method;
  /** The part of the board each coat goes over, by its id. */
  regions: Map<string, CoatRegions>;
  /** How long a wave's line is on the board, mm: along one breaker, or along every shore where none is named. */
  lengthOf: (breakerId?: string) => number;
}

/** What the cups of a coat are planned from beside the coat itself. */
export interface Setting extends Site {
  resin: Resin;
  colourants: Colourant[];
  /** Reading step of the scale, g. */
  scaleStep: number;
  /** Mean film of a levelling coat, mm, where the build-up below it is known. */
  meanFilm: (coat: Coat) => number;
}

/** Coats of the pour a coat belongs to. */
export const pourOf = ({ pours }: Pick<Site, 'pours'>, coat: Coat): Coat[] => pours.find((pour) => pour.includes(coat)) ?? [];

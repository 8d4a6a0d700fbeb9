import { bulk, GRAVEL_DEPTH } from '#core/craft';
import type { Piece } from '#core/document';
import { inlandBand, type Cut } from '#core/geometry';

/** Dry sand left pale is as deep as this, mm. */
const DRY_DEPTH = 1;

/** Gravel and dry sand a piece takes, g: the area of their bands, one stone or one thin layer deep, by their bulk density. */
export function looseGrams({ cut, piece }: { cut: Cut; piece: Piece }): { gravel: number; dry: number } {
  const { gravel, dry } = piece.sea;
  return {
    gravel: gravel ? (inlandBand(cut, gravel.from, gravel.to).area * GRAVEL_DEPTH * bulk.gravel) / 1000 : 0,
    dry: dry ? (inlandBand(cut, dry.from).area * DRY_DEPTH * bulk.sand) / 1000 : 0,
  };
}

import { boxOf, type Piece, type Shape } from '#core/document';
import { materials } from '#core/craft';
import { lengthFigure, type LengthUnit, type Writes } from '#core/units';

const measures = (shape: Shape, unit: LengthUnit): string => {
  const write = (mm: number): string => lengthFigure(mm, unit);
  const [width, height] = boxOf(shape);
  return shape.kind === 'round' ? write(shape.diameter) : `${write(width)} × ${write(height)}`;
};

const shapes: Record<Shape['kind'], string> = {
  rectangle: 'panel',
  round: 'round',
  oval: 'oval',
  heart: 'heart',
  'surf plank': 'surf plank',
  plank: 'plank',
  slice: 'slice',
  outline: 'drawn outline',
};
const edges = { 'run over': 'sea runs over the edges', taped: 'edges taped clean', dammed: 'edges dammed', wall: 'tray wall' };

const primerWords = (piece: Piece): string => {
  const { primer, primerCoats } = piece.surface;
  return primer === 'none' || primer === 'scuff only' ? (primer === 'none' ? 'no primer' : primer) : `${primer} × ${primerCoats}`;
};

/** The board in one line: "panel 400 × 300 × 18 mm, raw wood, gesso × 3 · sea runs over the edges". */
export function writeBoard(piece: Piece, { units }: Pick<Writes, 'units'>): string {
  const unit = units.length;
  const count = piece.count > 1 ? `${piece.count} × ` : '';
  const size = `${measures(piece.shape, unit)} × ${lengthFigure(piece.thickness, unit)} ${unit}`;
  const material = materials[piece.surface.material].label.split(',')[0]!.toLowerCase();
  const kind = piece.clock ? 'clock face' : shapes[piece.shape.kind];
  return `${count}${kind} ${size}, ${material}, ${primerWords(piece)} · ${edges[piece.edge]}`;
}

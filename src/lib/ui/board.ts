import { boxOf, type Piece, type Settings, type Shape } from '#core/document';
import { materials } from '#core/craft';
import { inUnit, length, plain } from '#core/units';

const digits = { mm: 0, cm: 1, in: 2 };

const measures = (shape: Shape, unit: Settings['length']): string => {
  const write = (mm: number): string => plain(inUnit(length, mm, unit), digits[unit]);
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
export function writeBoard(piece: Piece, settings: Settings): string {
  const unit = settings.length;
  const count = piece.count > 1 ? `${piece.count} × ` : '';
  const size = `${measures(piece.shape, unit)} × ${plain(inUnit(length, piece.thickness, unit), digits[unit] + (unit === 'mm' ? 0 : 1))} ${unit}`;
  const material = materials[piece.surface.material].label.split(',')[0]!.toLowerCase();
  const kind = piece.clock ? 'clock face' : shapes[piece.shape.kind];
  return `${count}${kind} ${size}, ${material}, ${primerWords(piece)} · ${edges[piece.edge]}`;
}

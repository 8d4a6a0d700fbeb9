/** What a line of white does under air and warmth, and while it rests: a rehearsal by a model, never a promise. */
export { union, within, type Box } from './box';
export { chance, normal } from './chance';
export { SIZES, type Figures } from './figures';
export type { Point } from './line';
export { physical, type Physical } from './physical';
export { coverOf } from './picture/cover';
export { painted } from './picture/picture';
export { does, inParts, movesOf, movesOn, takes, type Aim, type Move } from './moves';
export { layDown, placeAt, type Act, type Laid, type Stroke } from './script';
export { Eye } from './seen';
export { goBack, momentOf, type Foam, type Moment } from './state';
export { heatStep, rest, STEP } from './step';
export { airOf, tools, type Held, type ToolName } from './tools';
export { tuned, withAdditive, type Tuned } from './tuned';

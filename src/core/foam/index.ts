/** What a line of white does under air and warmth, and while it rests: a rehearsal by a model, never a promise. */
export type { Box } from './box';
export { SIZES, type Figures, type Spread } from './figures';
export { footprintAt, type Jet } from './jet';
export { samplesOf, type Line, type Point } from './line';
export { physical, type Physical } from './physical';
export { painted, type Ground } from './picture/picture';
export type { SeenWhite } from './picture/white';
export { jetOf, layDown, play, playAll, pointAt, type Act, type Laid, type Stroke } from './script';
export { Eye } from './seen';
export { goBack, momentOf, type Foam, type Moment } from './state';
export { heatStep, rest, STEP } from './step';
export { airOf, tools, type Air, type Held, type Tool, type ToolName } from './tools';
export { tuned, withAdditive, type Tuned } from './tuned';

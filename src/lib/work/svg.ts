import type { SvgWork } from './svg.worker';
import { kept, type Kept } from './task';

export type { SvgOpened, SvgOutlined, SvgSummary } from './svg.worker';

/** A worker that reads SVG drawings, so that a large one does not hold up the screen. End it when its screen is left. */
export const svgWork = (): Kept<SvgWork> => kept(() => new Worker(new URL('./svg.worker.ts', import.meta.url), { type: 'module' }));

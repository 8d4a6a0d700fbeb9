import { wrap, type Remote } from 'comlink';
import type { SvgWork } from './svg.worker';

export type { SvgOpened, SvgOutlined, SvgSummary } from './svg.worker';

/** A worker that reads SVG drawings, so that a large one does not hold up the screen. End it when its screen is left. */
export function svgWork(): { work: Remote<SvgWork>; end: () => void } {
  const worker = new Worker(new URL('./svg.worker.ts', import.meta.url), { type: 'module' });
  return { work: wrap<SvgWork>(worker), end: () => worker.terminate() };
}

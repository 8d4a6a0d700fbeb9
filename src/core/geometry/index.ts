/** The board's outline and the sea drawn on it: exact measures, smooth curves, and regions that add up. */
export * from './outline';
export * from './curve';
export { cutBoard, foamParts, type Cut, type Region } from './regions';

import type { WaveCoat } from '#core/document';

/** How a tool is held over a wave, until the studio's own hand knows better. */
export interface HeatTool {
  name: string;
  setting: string;
  nozzle: string;
  /** Nozzle to film, mm; between the jet and the board, degrees; width of the board it warms at once, mm. */
  distance: number;
  angle: number;
  footprint: number;
}

const air: HeatTool = {
  name: 'Hot air',
  setting: 'fan low, then a step higher',
  nozzle: 'flat nozzle',
  distance: 60,
  angle: 15,
  footprint: 45,
};
const dryer: HeatTool = { name: 'Hair dryer', setting: 'hot, fan low', nozzle: 'narrow nozzle', distance: 120, angle: 20, footprint: 70 };

/** The flame, which is flicked and not held. */
export const torchTool: HeatTool = {
  name: 'Torch',
  setting: 'small flame',
  nozzle: 'its tip only',
  distance: 120,
  angle: 45,
  footprint: 35,
};

/** The tool of a wave that moves it, by the order of torch and air it is moved in. */
export const heatTool = (heat: NonNullable<WaveCoat['heat']>): HeatTool => (heat === 'hair dryer' ? dryer : air);

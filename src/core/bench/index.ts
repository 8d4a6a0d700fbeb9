/** A pour while it is poured: what must be so first, where the hands go, how cups stand, heat, and the rest planned again. */
export { type Bench, benchOf } from './bench';
export { minuteOf, sinceMixed } from './minutes';
export { withWindows } from './fresh';
export { cupsNow, type CupNow, leftOver } from './cups';
export { addWhite, anew, anotherPass, lastWhite, more, pushBack, repeat, skip, stir, swap, tilt, tintOver } from './ask';
export { heatPlan, type HeatPlan, strokeAt, type TimedStroke } from './heat';
export { readyItems, type ReadyItem } from './ready';
export { type Changed, type Replan, replanOf, type Saying, type Way } from './replan';
export { retimed } from './retime';
export { reallyDone, type ReallyDone } from './really';
export { differing, type PourFigure, pourFigures } from './pour-figures';
export { besideDone, type Beside } from './beside';
export { storyOf } from './story';
export { lyingColours, type Where, whereOf } from './where';

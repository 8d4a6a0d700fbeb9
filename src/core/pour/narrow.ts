import type { Input, Likely } from '#core/cure';
import type { Figure } from '#core/plan';
import { writeSpan } from '#core/units';

const names: Record<Input, string> = {
  temperature: 'how warm the bench is',
  working: 'how long this resin can really be worked',
  viscosity: 'how thick the fresh mix is',
  ea: 'how much warmth hurries this resin',
  eMu: 'how much warmth thins this resin',
  threshold: 'when your hand finds it ready',
};

const measures: Record<Input, string> = {
  temperature: 'Read a thermometer that lies beside the board.',
  working: 'Note when a stirred leftover no longer levels, and how warm it was then.',
  viscosity: 'Let a bead of it run down a tilted tile for a minute, and measure how far.',
  ea: 'Time a leftover on a colder or a warmer day too.',
  eMu: 'Make the bead check on a colder or a warmer day too.',
  threshold: 'Note the minute at which your white holds a line, a few times.',
};

/** Figures that a maker states in hours, and no white decides. */
const stated: Figure[] = ['recoatFrom', 'bondUntil', 'handle', 'fullCure'];

/** What a figure rests on most, as the hand knows it, and how that is measured. */
export const howToNarrow = (input: Input, figure: Figure): { name: string; measure: string } =>
  input === 'threshold' && stated.includes(figure)
    ? {
        name: 'when a film of this resin really is so far',
        measure: 'Touch a leftover with a glove now and then, and note the hour it takes no mark.',
      }
    : { name: names[input], measure: measures[input] };

/** Where a figure lies four times in five, behind it: " (12–18 min)"; nothing where it may never come. */
export const writeRange = (likely: Likely | undefined): string =>
  likely && Number.isFinite(likely.until) ? ` (${writeSpan(likely.from, likely.until)})` : '';

import { tools, type ToolName } from '#core/foam';
import type { Hand, Setup } from './setup';

/** What is laid side by side. */
export type Question = 'when' | 'passes' | 'barrier' | 'white' | 'tool';

/** One way among others: what is laid, how it is pushed, and how often. */
export interface Way {
  name: string;
  setup: Setup;
  hand: Hand;
  passes: number;
}

/** What is the same in all of them. */
export interface Same {
  setup: Setup;
  hand: Hand;
  /** When the white may be laid, min after mixing. */
  ready: { from: number; until: number };
  /** Until when heat moves the film, min after mixing. */
  heatUntil: number;
  /** Clear under the white where there is one, mm. */
  barrier: number;
  /** Age of the film at a minute, s. */
  age: (minute: number) => number;
}

/** Passes that are usual: two or three, looking between. */
const USUAL_PASSES = 2;
const SOON = 0.4;
const LATE = 1.25;
/** Among these tools one chooses; a torch is flicked over what air has moved, and has no pass of its own. */
const MOVES: readonly ToolName[] = ['hot air', 'dryer', 'gun'];

/** The ways that answer a question, at most four, with the same luck. */
export function waysOf(question: Question, { setup, hand, ready, barrier, age }: Same): Way[] {
  const way = (name: string, change: Partial<Setup>, passes = USUAL_PASSES, held: Hand = hand): Way => ({
    name,
    setup: { ...setup, ...change },
    hand: held,
    passes,
  });
  const at = (minute: number): Partial<Setup> => ({ minute, age: age(minute) });
  switch (question) {
    case 'when': {
      const middle = (ready.from + ready.until) / 2;
      return [
        way('too early', at(Math.max(1, Math.round(SOON * ready.from)))),
        way('as soon as it may', at(Math.ceil(ready.from))),
        way('in the middle', at(Math.round(middle))),
        way('too late', at(Math.round(LATE * ready.until))),
      ];
    }
    case 'passes':
      return [1, 2, 3, 5].map((n) => way(n === 1 ? 'one pass' : `${n} passes`, {}, n));
    case 'barrier':
      return [way('clear under it', { barrier }), way('straight on the tint', { barrier: 0 })];
    case 'white':
      return [0.5, 1, 2, 3].map((times) =>
        way(times === 1 ? 'as planned' : times < 1 ? 'half of it' : `${times} times as much`, { ml: times * setup.ml }),
      );
    case 'tool':
      return MOVES.map((tool) => way(tools[tool].name.toLowerCase(), {}, USUAL_PASSES, { tool, speed: hand.speed }));
  }
}

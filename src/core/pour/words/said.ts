import { bulk } from '#core/craft';
import { cupKey, type Told, type ToldBoards, type ToldCup, type ToldStep, type ToldUse } from '#core/document';
import type { Writes } from '#core/units';
import { writeContents, writeSand } from '../contents';

/** One thing of a step by name, how much of it, and what one board gets where there are several. */
export interface Amount {
  name: string;
  amount: string;
  each?: string;
  /** What is in the cup beside resin. */
  holds?: string;
  colour?: string;
}

/** What a step asks of the hands: one sentence to read at arm's length, what goes with it, and what it is called. */
export interface Words {
  says: string;
  detail: string;
  amounts: Amount[];
  /** What its button is called. */
  does: string;
  /** In a few words, for what comes next. */
  short: string;
  /** In the log, once it is done. */
  done: string;
}

/** A step as it is said, before its cups are added. */
export type Said = Omit<Words, 'amounts' | 'detail'> & { detail: (string | false | undefined)[]; amounts?: Amount[] };

/** The cup a step uses, as it was told. */
export const cupOf = (told: Told, use: ToldUse): ToldCup | undefined => told.cups.find((c) => cupKey(c.id) === cupKey(use.cup));
/** How many boards there are in all. */
export const boardsIn = (boards: Pick<ToldBoards, 'count'>[]): number => boards.reduce((sum, b) => sum + b.count, 0);

/** What one board gets of something measured, where there are several boards. */
function each(boards: Pick<ToldBoards, 'count' | 'name'>[], share: (i: number) => string): string | undefined {
  if (boardsIn(boards) < 2) return undefined;
  return boards.map((b, i) => (boards.length > 1 ? `${b.name} ${share(i)}` : `${share(i)} a board`)).join(', ');
}

/** Less than this is not measured but dipped, ml. */
const DIP = 1;

/** What a step takes from a cup, in words: what is measured or dipped, for each board, and what is in the cup. */
export function amountOf(use: ToldUse, { id }: ToldStep, told: Told, write: Writes): Amount[] {
  const cup = cupOf(told, use);
  if (use.ml <= 0 || !cup) return [];
  if (id.does === 'dress' && use.ml < DIP) return [{ name: cup.name, amount: 'a dip' }];
  const share = each(use.boards, (i) => write.volume(use.boards[i]!.ml));
  const holds = writeContents(cup, write).join(', ');
  return [
    {
      name: cup.name,
      amount: write.volume(use.ml),
      ...(share && { each: share }),
      ...(holds && { holds }),
      ...(cup.colour && { colour: cup.colour }),
    },
  ];
}

/** Something loose, as sand or gravel, by weight or by the cup, and for each board. */
export function looseOf(name: string, { grams: g = 0, boards }: ToldStep, write: Writes, loose: number = bulk.sand): Amount {
  const count = boardsIn(boards);
  return { name, amount: writeSand(g, write, loose), ...(count > 1 && { each: `${writeSand(g / count, write, loose)} a board` }) };
}

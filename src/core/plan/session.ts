import type { Dressing, Piece, StepRef, ToldBoards, ToldStep, ToldUse } from '#core/document';
import { thinnedIn, type Cup, type Serve } from '#core/coat';
import type { Batch } from './batch';
import type { CoatPlan } from './coats';
import type { Bench } from './means';

/** One thing to do at the bench. Minutes count from the first meeting of A and B in the pour. */
export type Step = ToldStep;

export const boardsOf = ({ id, name, count }: Piece): Omit<ToldBoards, 'ml'> => ({ piece: id, name, count });

/** Shares of a cup that are for one coat, laid or as dips. */
export const servesOf = (cup: Cup, { piece, coat }: CoatPlan, dips: boolean): Serve[] =>
  cup.serves.filter((s) => s.piece.id === piece.id && s.coat === coat.id && Boolean(s.dips) === dips);

/** Some of a cup as it goes onto the boards of a piece. */
export function useOf(cup: Cup, plan: CoatPlan, dips = false, part = 1): ToldUse {
  const { piece } = plan;
  const ml = cup.needed * part * servesOf(cup, plan, dips).reduce((sum, s) => sum + s.share, 0);
  return { cup: cup.id, ml, boards: [{ ...boardsOf(piece), ml: ml / piece.count }] };
}

/** A step that is told its identity before its time. */
type Untimed = Omit<Step, 'id' | 'at' | 'batch' | 'mixedAt' | 'uses' | 'boards'> & {
  id: StepRef;
  uses?: ToldUse[];
  boards?: Step['boards'];
};

/** The clock of a session while its steps are planned. */
export class Session {
  readonly steps: Step[] = [];
  readonly #mixedAt: number[] = [];
  now = 0;

  constructor(
    readonly batches: Batch[],
    readonly bench: Pick<Bench, 'method'>,
  ) {}

  batchOf = (cup: Cup): number => this.batches.findIndex(({ cups }) => cups.some((c) => c.key === cup.key));

  mixedAt = (batch: number): number => this.#mixedAt[batch] ?? 0;

  openOf = (cup: Cup): number => this.open(cup);

  /** The batch of a cup, which is mixed first where it has not been: stirred by the maker's word, then coloured. */
  open(cup: Cup): number {
    const batch = this.batchOf(cup);
    if (this.#mixedAt[batch] !== undefined) return batch;
    this.#mixedAt[batch] = this.now;
    const { resin, cups } = this.batches[batch]!;
    const pieces = new Map(cups.flatMap((c) => c.serves.map((s) => [s.piece.id, s.piece] as const)));
    this.add(batch, { id: { does: 'mix', batch }, boards: [...pieces.values()].map(boardsOf) });
    this.now += resin.stirMin;
    this.#thin(batch);
    this.now += this.bench.method.colourMinPerCup * cups.filter((c) => c.doses.length || c.sandG).length;
    this.#helpEvery(batch);
    return batch;
  }

  /** Colourants that cups want too little of are thinned in some of the clear first, once for all of them. */
  #thin(batch: number): void {
    const thin = thinnedIn(this.batches[batch]!.cups);
    if (!thin.length) return;
    this.now += (this.bench.method.colourMinPerCup / 2) * thin.length;
    this.add(batch, { id: { does: 'thin', batch }, thin });
  }

  /** Additive that goes into tints too goes into all cups of a mixing as they are coloured. */
  #helpEvery(batch: number): void {
    const helped = this.batches[batch]!.cups.filter((c) => c.made.additive);
    const [tint] = helped.filter((c) => c.id.role !== 'white');
    if (!tint) return;
    this.now += this.bench.method.layMinPerCup;
    const uses = helped.map((c): ToldUse => ({ cup: c.id, ml: 0, boards: [] }));
    this.add(batch, { id: { does: 'additive', batch }, uses, additive: { ...tint.made.additive!, part: 'every' } });
  }

  add(batch: number, step: Untimed): void {
    this.steps.push({ uses: [], boards: [], ...step, at: this.now, batch, mixedAt: this.mixedAt(batch) });
  }

  /** Time passes, or a minute of a batch is waited for. */
  takes = (minutes: number): void => void (this.now += minutes);
  until = (batch: number, minute: number): void => void (this.now = Math.max(this.now, this.mixedAt(batch) + minute));
}

/** Minutes it takes to lay some of a cup: to pick it up and scrape it out, and to spread what is in it. */
export const layMin = ({ layMinPerCup, layMlPerMin }: Bench['method'], ml: number): number =>
  layMinPerCup + (layMlPerMin ? ml / layMlPerMin : 0);

/** What is set on the boards, kind by kind, with its dip of clear. */
export function dress(session: Session, plan: CoatPlan, dressings: Dressing[], ready: (batch: number) => void): void {
  if (!dressings.length) return;
  const { piece, coat, cups } = plan;
  const dip = cups.find((c) => servesOf(c, plan, true).length > 0);
  const cup = dip ?? cups[0];
  if (!cup) return;
  const batch = session.open(cup);
  ready(batch);
  for (const kind of new Set(dressings.map((d) => d.kind))) {
    const count = dressings.filter((d) => d.kind === kind).length * piece.count;
    session.takes(session.bench.method.layMinPerCup / 2);
    session.add(batch, {
      id: { does: 'dress', piece: piece.id, coat: coat.id, dressing: kind },
      boards: [boardsOf(piece)],
      count,
      ...(dip && { uses: [useOf(dip, plan, true, count / (dressings.length * piece.count))] }),
    });
  }
}

import { edgeOf } from '#core/craft';
import {
  type Dressing,
  type Piece,
  type LineCoat,
  type StepRef,
  type ToldBoards,
  type ToldStep,
  type ToldUse,
  type WaveCoat,
} from '#core/document';
import { tapeOff } from '#core/prepare';
import type { Batch } from './batch';
import { setWith, type CoatPlan } from './coats';
import type { Bench } from './means';
import { dropsOf, gapWidth, overOf, thinnedIn, type Cup, type Serve } from '#core/coat';
import { looseGrams } from './loose';

/** One thing to do at the bench. Minutes count from the first meeting of A and B in the pour. */
export type Step = ToldStep;

const boardsOf = ({ id, name, count }: Piece): Omit<ToldBoards, 'ml'> => ({ piece: id, name, count });

/** Shares of a cup that are for one coat, laid or as dips. */
const servesOf = (cup: Cup, { piece, coat }: CoatPlan, dips: boolean): Serve[] =>
  cup.serves.filter((s) => s.piece.id === piece.id && s.coat === coat.id && Boolean(s.dips) === dips);

/** Some of a cup as it goes onto the boards of a piece. */
function useOf(cup: Cup, plan: CoatPlan, dips = false, part = 1): ToldUse {
  const { piece } = plan;
  const ml = cup.needed * part * servesOf(cup, plan, dips).reduce((sum, s) => sum + s.share, 0);
  return { cup: cup.id, ml, boards: [{ ...boardsOf(piece), ml: ml / piece.count }] };
}

/** Where a wave breaks or a thread is drawn, as the hand finds it. */
function alongOf({ sea }: Piece, { along }: LineCoat, beach: boolean): { along: 'shore' | 'island' | 'sea' | 'mid-board'; line?: string } {
  const line = sea.breakers?.find((b) => b.id === along)?.name;
  if (along !== undefined) return { along: beach ? 'sea' : 'mid-board', ...(line !== undefined && { line }) };
  return { along: sea.coasts?.some((c) => c.closed) ? 'island' : 'shore' };
}

/** A wave as its steps see it. */
function waveFacts(piece: Piece, wave: WaveCoat, beach: boolean): NonNullable<Step['wave']> {
  const { under = 'barrier', heat = 'hot air', lines = 1, lineWidth } = wave;
  return { ...alongOf(piece, wave, beach), under, heat, lines, lineWidth, beach };
}

/** A step that is told its identity before its time. */
type Untimed = Omit<Step, 'id' | 'at' | 'batch' | 'mixedAt' | 'uses' | 'boards'> & {
  id: StepRef;
  uses?: ToldUse[];
  boards?: Step['boards'];
};

/** The clock of a session while its steps are planned. */
class Session {
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
const layMin = ({ layMinPerCup, layMlPerMin }: Bench['method'], ml: number): number => layMinPerCup + (layMlPerMin ? ml / layMlPerMin : 0);

/** What is set on the boards, kind by kind, with its dip of clear. */
function dress(session: Session, plan: CoatPlan, dressings: Dressing[], ready: (batch: number) => void): void {
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

/** Cups of a coat that are laid as films, one after the other. */
function layFilms(session: Session, plan: CoatPlan, pour: CoatPlan[]): void {
  const { piece, coat, name, film, cups } = plan;
  const { method } = session.bench;
  const boards = [boardsOf(piece)];
  const gap = pour.find((c) => c.piece.id === piece.id && c.coat.kind === 'wave' && c.coat.under === 'gap')?.coat;
  const tints = coat.kind === 'sea' ? coat.tints.length : 0;
  const over = overOf(coat);
  let into: string | undefined;
  for (const cup of cups) {
    const { role, tint, portion } = cup.id;
    const [serve] = servesOf(cup, plan, false);
    if (!serve) continue;
    const batch = session.open(cup);
    const use = useOf(cup, plan);
    session.takes(layMin(method, use.ml));
    const atGap = gap?.kind === 'wave' && role === 'tint' && (gap.along !== undefined || tint === tints - 1);
    session.add(batch, {
      id: {
        does: 'pour',
        piece: piece.id,
        coat: coat.id,
        role,
        ...(tint !== undefined && { tint }),
        ...(portion !== undefined && { portion }),
      },
      uses: [use],
      boards,
      coat: { name, kind: coat.kind, film },
      over: over.kind,
      ...(over.kind === 'area' && { place: piece.sea.areas?.find((a) => a.id === over.areaId)?.name ?? 'its part' }),
      ...(serve.area > 0 && { area: serve.area }),
      ...(into !== undefined && tint !== undefined && { into }),
      ...(atGap && { gap: gapWidth(gap) }),
      ...(cup.made.sand?.pressed && { loose: true }),
      ...(role === 'gravel' && { grams: looseGrams(plan.site).gravel * piece.count }),
    });
    if (tint !== undefined) into = cup.name;
    if (cup.made.sand?.pressed) {
      session.takes(method.layMinPerCup);
      session.add(batch, {
        id: { does: 'press', piece: piece.id, coat: coat.id, ...(portion !== undefined && { portion }) },
        boards,
        grams: (cup.sandG * use.ml) / cup.needed,
        loose: true,
      });
    }
  }
  dress(
    session,
    plan,
    setWith(piece, piece.coats.indexOf(coat)).filter((d) => d.when === 'on the wet base'),
    () => undefined,
  );
}

/** A wave whose white lies, and has still to be moved. */
interface Laid {
  /** Lets it rest as long as it is to lie before the first heat, and heats it. */
  move: () => void;
}

/** A wave's additive, its clear line and its white at its minute; its heat comes when the caller says. */
function layWhite(session: Session, plan: CoatPlan, pour: CoatPlan[]): Laid | undefined {
  const { piece, coat, name, cups, film } = plan;
  if (coat.kind !== 'wave') return undefined;
  const { method } = session.bench;
  // more than one of either only where one would heat itself
  const whites = cups.filter((c) => c.id.role === 'white');
  const lines = cups.filter((c) => c.id.role !== 'white' && servesOf(c, plan, false).length > 0);
  const [white] = whites;
  if (!white) return undefined;
  const batch = session.open(white);
  const boards = [boardsOf(piece)];
  const beach = plan.site.cut.beach.area > 0;
  const wave = waveFacts(piece, coat, beach);
  const loose = pour.some((c) => c.piece.id === piece.id && c.coat.kind === 'sand' && c.coat.how === 'pressed in');
  const shared = { boards, wave, coat: { name, kind: coat.kind, film }, ...(loose && { loose }) };
  const own = { piece: piece.id, coat: coat.id };

  const { white: open, whiteBest, stirred } = session.batches[batch]!.windows;
  const ready = open && whiteBest && open.until > open.from ? Math.ceil(whiteBest.from) : stirred;
  // what goes into every cup went in as they were coloured
  const drops = coat.additiveInto === 'every cup' ? 0 : dropsOf(coat);
  const whiteFirst = coat.under === 'white first';
  const clear = (): void => {
    if (!lines.length) return;
    const [opened] = lines.map(session.openOf);
    session.takes(method.layMinPerCup / 2);
    session.add(opened!, { ...shared, id: { does: 'line', ...own }, uses: lines.map((c) => useOf(c, plan)) });
  };
  // the clear goes down just before the white, and is not left to spread
  const before = (lines.length && !whiteFirst ? method.layMinPerCup / 2 : 0) + (drops ? method.layMinPerCup / 2 : 0);
  session.until(batch, (coat.layAt ?? ready) - before);
  if (drops) {
    session.takes(method.layMinPerCup / 2);
    const part = coat.additiveInto === 'half of the white' ? 'half' : 'all';
    session.add(batch, {
      id: { does: 'additive', ...own },
      boards,
      uses: [{ cup: white.id, ml: 0, boards: [] }],
      additive: { name: white.made.additive?.name ?? 'cell additive', drops, part },
    });
  }
  if (!whiteFirst) clear();
  whites.forEach(session.openOf);
  session.add(batch, { ...shared, id: { does: 'white', ...own }, uses: whites.map((c) => useOf(c, plan)) });
  if (whiteFirst) clear();
  const laidAt = session.now;
  const flick = (): void => {
    session.takes(method.heatMinPerPass / 2);
    session.add(batch, { ...shared, id: { does: 'flick', ...own } });
  };
  return {
    move: () => {
      // what was laid meanwhile is part of its rest
      const rest = (coat.rest ?? 0) - (session.now - laidAt);
      if (rest > 0) {
        session.takes(rest);
        session.add(batch, { ...shared, id: { does: 'rest', ...own }, minutes: rest });
      }
      if (coat.heat === 'torch then air') flick();
      for (let pass = 1; pass <= coat.passes; pass++) {
        session.takes(method.heatMinPerPass);
        session.add(batch, { ...shared, id: { does: 'heat', ...own, pass }, passes: coat.passes });
      }
      if (coat.heat === 'air then torch') flick();
    },
  };
}

/** A line of tint drawn into what is wet, or beside the white. */
function layThread(session: Session, plan: CoatPlan): void {
  const { piece, coat, name, cups, film, site } = plan;
  const [cup] = cups;
  if (coat.kind !== 'thread' || !cup) return;
  const batch = session.open(cup);
  const use = useOf(cup, plan);
  session.takes(layMin(session.bench.method, use.ml));
  session.add(batch, {
    id: { does: 'pour', piece: piece.id, coat: coat.id, role: 'thread' },
    uses: [use],
    boards: [boardsOf(piece)],
    coat: { name, kind: coat.kind, film },
    thread: {
      ...alongOf(piece, coat, site.cut.beach.area > 0),
      lineWidth: coat.lineWidth,
      off: coat.along === undefined ? (coat.off ?? 0) : 0,
    },
  });
}

/** What is set on the boards after the last wave, once the film holds it. */
function dressAfter(session: Session, plan: CoatPlan): void {
  const dressings = setWith(plan.piece, plan.piece.coats.indexOf(plan.coat)).filter((d) => d.when === 'after the wave');
  dress(session, plan, dressings, (batch) => session.until(batch, session.batches[batch]!.windows.shells.from));
}

/** What ends a session: loose sand, run-off, the cover, and tape that comes off while the film is soft. */
function finish(session: Session, pour: CoatPlan[]): void {
  const last = session.steps.at(-1);
  if (!last) return;
  const { method } = session.bench;
  const { batch } = last;
  const pieces = [...new Map(pour.map((c) => [c.piece.id, c] as const)).values()];
  for (const { piece, site } of pieces) {
    const sanded = pour.some((c) => c.piece.id === piece.id && c.regions.beach.area > 0 && c.coat.kind === 'sand');
    const grams = looseGrams(site).dry * piece.count;
    if (!sanded || grams <= 0) continue;
    session.takes(method.layMinPerCup);
    session.add(batch, { id: { does: 'strew', piece: piece.id }, boards: [boardsOf(piece)], grams, loose: true });
  }
  const ends = (edge: Piece['edge']): Piece[] =>
    pieces.filter(({ piece }) => pour.some((c) => c.piece.id === piece.id && edgeOf(piece, c.coat) === edge)).map((c) => c.piece);
  const over = ends('run over');
  if (method.runOff === 'painted up' && over.length) {
    session.until(batch, session.batches[batch]!.windows.tint.until);
    session.takes(method.layMinPerCup);
    session.add(batch, { id: { does: 'sides' }, boards: over.map(boardsOf) });
  }
  session.add(batch, { id: { does: 'cover' }, boards: pieces.map((c) => boardsOf(c.piece)), ...(over.length && { drips: true }) });
  const soft = ends('taped').filter((piece) => tapeOff(piece) === 'while soft');
  if (soft.length) {
    session.until(batch, session.batches[batch]!.windows.leave.from);
    session.add(batch, { id: { does: 'peel' }, boards: soft.map(boardsOf) });
  }
}

/** Coats as they are laid: where tints come after the white, the wave that follows a sea comes before it. */
function inTurn(coats: CoatPlan[]): CoatPlan[] {
  const laid = [...coats];
  for (const sea of coats) {
    if (sea.coat.kind !== 'sea' || sea.coat.order !== 'after the white') continue;
    const wave = laid.slice(laid.indexOf(sea) + 1).find((c) => c.piece.id === sea.piece.id && c.coat.kind === 'wave');
    if (!wave) continue;
    laid.splice(laid.indexOf(wave), 1);
    laid.splice(laid.indexOf(sea), 0, wave);
  }
  return laid;
}

/** The last of the tints and threads that are laid right after a wave, while its white lies and before it is moved. */
function lastBeforeHeat(laid: CoatPlan[], wave: CoatPlan): CoatPlan {
  let last = wave;
  for (const c of laid.slice(laid.indexOf(wave) + 1)) {
    if (c.piece.id !== wave.piece.id || !c.cups.length) continue;
    if (c.coat.kind !== 'sea' && c.coat.kind !== 'thread') break;
    last = c;
  }
  return last;
}

/**
 * The steps of a pour in the order its coats are given, with the minute each is planned to be done: films first, cup after
 * cup, then each wave at its own minute or when its white is crispest, what is set on the boards, and the end. What is laid
 * beside or after a white is laid before that is moved with heat.
 */
export function planSteps(coats: CoatPlan[], batches: Batch[], bench: Pick<Bench, 'method'>): Step[] {
  const session = new Session(batches, bench);
  const laid = inTurn(coats);
  const moves = new Map<CoatPlan, Laid[]>();
  for (const plan of laid) {
    if (plan.cups.length) {
      const between = setWith(plan.piece, plan.piece.coats.indexOf(plan.coat)).filter((d) => d.when === 'between coats');
      dress(session, plan, between, () => undefined);
      if (plan.coat.kind === 'wave') {
        const white = layWhite(session, plan, coats);
        const last = lastBeforeHeat(laid, plan);
        if (white) moves.set(last, [...(moves.get(last) ?? []), white]);
      } else if (plan.coat.kind === 'thread') layThread(session, plan);
      else layFilms(session, plan, coats);
    }
    moves.get(plan)?.forEach((white) => white.move());
  }
  for (const plan of coats) dressAfter(session, plan);
  finish(session, coats);
  return session.steps;
}

/** The first step that does a thing. */
export const stepThat = (steps: Step[], does: StepRef['does'], piece?: string, coat?: string): Step | undefined =>
  steps.find((s) => s.id.does === does && (piece === undefined || s.id.piece === piece) && (coat === undefined || s.id.coat === coat));

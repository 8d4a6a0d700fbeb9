import { airPasses, dropsOf, passSeconds, rehearsalOf } from '#core/coat';
import type { AirPass, LineCoat, Piece, WaveCoat } from '#core/document';
import type { CoatPlan } from './coats';
import { boardsOf, layMin, servesOf, useOf, type Session, type Step } from './session';

/** Where a wave breaks or a thread is drawn, as the hand finds it. */
function alongOf({ sea }: Piece, { along }: LineCoat, beach: boolean): { along: 'shore' | 'island' | 'sea' | 'mid-board'; line?: string } {
  const line = sea.breakers?.find((b) => b.id === along)?.name;
  if (along !== undefined) return { along: beach ? 'sea' : 'mid-board', ...(line !== undefined && { line }) };
  return { along: sea.coasts?.some((c) => c.closed) ? 'island' : 'shore' };
}

/** A wave as its steps see it. */
function waveFacts(piece: Piece, wave: WaveCoat, beach: boolean): NonNullable<Step['wave']> {
  const { under = 'barrier', heat = 'hot air', lines = 1, lineWidth } = wave;
  const kept = rehearsalOf(piece, wave);
  const rehearsed = kept && { ml: kept.ml, ...(kept.off !== undefined && { off: kept.off }), ...(kept.line && { drawn: true }) };
  return { ...alongOf(piece, wave, beach), under, heat, lines, lineWidth, beach, ...(rehearsed && { rehearsed }) };
}

/** A rehearsed pass as its step is told. @param wait before it, s */
const airOf = (pass: AirPass | undefined, wait: number): Pick<Step, 'air'> =>
  pass
    ? {
        air: {
          tool: pass.tool,
          ...(pass.distance !== undefined && { distance: pass.distance }),
          strokes: pass.strokes.length,
          seconds: passSeconds(pass),
          wait,
        },
      }
    : {};

/** A wave whose white lies, and has still to be moved. */
export interface Laid {
  /** Lets it rest as long as it is to lie before the first heat, and heats it. */
  move: () => void;
}

/** A wave's additive, its clear line and its white at its minute; its heat comes when the caller says. */
export function layWhite(session: Session, plan: CoatPlan, pour: CoatPlan[]): Laid | undefined {
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
  const rehearsed = rehearsalOf(piece, coat);
  const air = rehearsed ? airPasses(rehearsed) : [];
  const flame = rehearsed?.passes.find((p) => p.tool === 'torch');
  /** A pass on every board, as it was rehearsed or as it usually goes; before the first the white rests, which is a step of its own. */
  const passes = (pass: AirPass | undefined, usual: number, told: Omit<Step, 'at' | 'batch' | 'mixedAt' | 'uses'>): void => {
    const wait = pass && pass !== rehearsed?.passes[0] ? pass.wait : 0;
    session.takes(pass ? (wait + passSeconds(pass) * piece.count) / 60 : usual);
    session.add(batch, { ...shared, ...told, ...airOf(pass, wait) });
  };
  const flick = (): void => passes(flame, method.heatMinPerPass / 2, { id: { does: 'flick', ...own }, boards });
  return {
    move: () => {
      // what was laid meanwhile is part of its rest
      const rest = (coat.rest ?? 0) - (session.now - laidAt);
      if (rest > 0) {
        session.takes(rest);
        session.add(batch, { ...shared, id: { does: 'rest', ...own }, minutes: rest });
      }
      if (coat.heat === 'torch then air') flick();
      for (let pass = 1; pass <= coat.passes; pass++)
        passes(air[pass - 1], method.heatMinPerPass, { id: { does: 'heat', ...own, pass }, boards, passes: coat.passes });
      if (coat.heat === 'air then torch') flick();
    },
  };
}

/** A line of tint drawn into what is wet, or beside the white. */
export function layThread(session: Session, plan: CoatPlan): void {
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

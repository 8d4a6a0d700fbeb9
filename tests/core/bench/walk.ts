import { Zone } from '#core/air';
import { benchOf, type Bench, type Saying } from '#core/bench';
import { stepKey, type Piece, type Pour, type PourEvent, type StepRef, type ToldStep } from '#core/document';
import { tell } from '#core/pour';
import { readSession, type Happening, type Session } from '#core/record';
import { empty, means, method, metric, planner } from '../../factories';

export const t0 = Date.parse('2026-11-25T10:00:00Z');
const utc = new Zone('UTC');
export const said: Saying = { write: metric, time: (ms) => utc.civil(ms).slice(11) };

/** A pour of some pieces as it is walked through by hand: what is pressed, at which minute. */
export class Walk {
  pour: Pour;
  min = 0;

  constructor(pieces: Piece[], roomC = 23) {
    const own = pieces.map((piece) => ({ plan: planner.plan(piece, means), pour: 0 }));
    const session = planner.together(own, means);
    this.pour = {
      id: 'pour',
      of: pieces.map((p, i) => ({ pieceId: p.id, coatIds: own[i]!.plan.pours[0]!.coats.map((c) => c.coat.id) })),
      planned: { pieces, resins: empty.resins, colourants: empty.colourants, room: empty.rooms[0]!, method },
      told: tell(session, roomC),
      startedAt: new Date(t0).toISOString(),
      roomC,
      events: [],
    };
  }

  get session(): Session {
    return readSession(this.pour);
  }

  get bench(): Bench {
    return benchOf(this.session, t0 + this.min * 60_000, planner);
  }

  get current(): ToldStep | undefined {
    return this.session.current;
  }

  press(happening: Happening | undefined): this {
    if (!happening) throw new Error('nothing to press');
    const seq = this.pour.events.length + 1;
    const event = { ...happening, seq, at: new Date(t0 + this.min * 60_000).toISOString() } as PourEvent;
    this.pour = { ...this.pour, events: [...this.pour.events, event] };
    return this;
  }

  /** Does the step at hand. */
  done(): this {
    const { current, told } = this.session;
    if (!current) throw new Error('the pour is over');
    if (current.id.does === 'mix') return this.press({ kind: 'mixed', batch: current.id.batch ?? current.batch });
    return this.press(current === told.steps.at(-1) ? { kind: 'done' } : { kind: 'did', step: current.id });
  }

  /** Does all up to a step, each at the minute it was told. */
  to(does: StepRef['does'], nth = 1): this {
    for (let seen = 0; ;) {
      const { current } = this;
      if (!current) throw new Error(`no step that does ${does}`);
      if (current.id.does === does && ++seen === nth) return this;
      this.min = Math.max(this.min, current.at);
      this.done();
    }
  }

  at(min: number): this {
    this.min = min;
    return this;
  }

  undo(): this {
    return this.press({ kind: 'undone', undoes: this.pour.events.at(-1)!.seq });
  }

  get keys(): string[] {
    return this.session.told.steps.map((s) => stepKey(s.id));
  }
}

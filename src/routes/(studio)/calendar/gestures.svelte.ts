import type { Calendar, Session } from '#core/calendar';
import { zone } from '$lib/zone';

/** What can be done with the days by hand. */
export interface Does {
  /** A session is moved to a moment, which is only tried until it is put. */
  tries: (session: Session, at: number) => void;
  puts: () => void;
  drops: () => void;
  chooses: (id: string) => void;
  holds: (session: Session) => void;
  bars: (day: string) => void;
}

/** The days as they are drawn now. */
export interface Drawn extends Does {
  svg: SVGSVGElement | undefined;
  /** In order of time. */
  sessions: Session[];
  trial: Calendar | undefined;
  now: number;
  /** ms of a pixel along the days. */
  perPx: number;
}

const QUARTER = 900_000;
/** A pointer that moved less than this only chooses, px. */
const STILL = 4;

/** Sessions moved by a pointer or by keys: what is dragged, and which one the keys go on from. */
export class Gestures {
  #dragged: { session: Session; from: number; moved: boolean } | undefined;
  /** The session that keys move: it keeps the focus where it is drawn anew. */
  #keyed: string | undefined;

  constructor(readonly drawn: () => Drawn) {}

  #snapped(ms: number): number {
    return Math.max(Math.ceil(this.drawn().now / QUARTER), Math.round(ms / QUARTER)) * QUARTER;
  }

  down = (event: PointerEvent, session: Session): void => {
    if (event.button !== 0) return;
    const { chooses, svg } = this.drawn();
    this.#keyed = undefined;
    chooses(session.id);
    if (session.follows) return;
    this.#dragged = { session, from: event.clientX, moved: false };
    // the drawing holds the pointer: a session is drawn anew where it would lie
    svg?.setPointerCapture(event.pointerId);
  };

  move = (event: PointerEvent): void => {
    const dragged = this.#dragged;
    if (!dragged) return;
    const by = event.clientX - dragged.from;
    if (!dragged.moved && Math.abs(by) < STILL) return;
    dragged.moved = true;
    const { tries, perPx } = this.drawn();
    tries(dragged.session, this.#snapped(dragged.session.begins + by * perPx));
  };

  up = (): void => {
    if (this.#dragged?.moved) this.drawn().puts();
    this.#dragged = undefined;
  };

  /** What is dragged or tried is left where it was. */
  leave = (): void => {
    const { trial, drops } = this.drawn();
    if (!this.#dragged && !trial) return;
    this.#dragged = undefined;
    drops();
  };

  keys = (event: KeyboardEvent, session: Session): void => {
    this.#keyed = session.id;
    if (!this.#does(event, session)) return;
    event.preventDefault();
    event.stopPropagation();
  };

  /** @returns whether the key is one of those that do something */
  #does({ key, altKey, shiftKey }: KeyboardEvent, session: Session): boolean {
    const { trial, tries, puts, drops, chooses, holds, bars } = this.drawn();
    const along = { ArrowLeft: -1, ArrowRight: 1 }[key];
    if (along && altKey) {
      const { begins } = trial?.sessions.find((s) => s.id === session.id) ?? session;
      if (!session.follows) tries(session, this.#snapped(begins + along * (shiftKey ? 4 : 1) * QUARTER));
    } else if (along) this.#go(session, along);
    else if (key === 'Enter' || key === ' ') {
      if (trial) puts();
      else chooses(session.id);
    } else if (key === 'Escape') drops();
    else if (key === 'p' && !session.follows) holds(session);
    else if (key === 'b') bars(zone.dayOf(session.begins));
    else return false;
    return true;
  }

  #focus(id: string): void {
    this.drawn()
      .svg?.querySelector<SVGElement>(`[data-session="${CSS.escape(id)}"]`)
      ?.focus();
  }

  /** The next session in order of time, chosen and in focus. */
  #go(session: Session, by: number): void {
    const { sessions, chooses } = this.drawn();
    const next = sessions[sessions.findIndex((s) => s.id === session.id) + by];
    if (!next) return;
    this.#keyed = next.id;
    chooses(next.id);
    this.#focus(next.id);
  }

  /** Gives the focus back to what the keys moved, once it is drawn anew. */
  refocus(): void {
    if (this.#keyed && document.activeElement === document.body) this.#focus(this.#keyed);
  }
}

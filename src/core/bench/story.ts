import { cupKey, stepKey, type CupLost, type PourEvent } from '#core/document';
import { say } from '#core/pour';
import { heatSeconds, type Session } from '#core/record';
import { plain, writeDuration, type Writes } from '#core/units';

/** One thing that happened beside what was told, in a sentence; ms since 1970. */
export interface Told {
  seq: number;
  at: number;
  says: string;
}

const lost: Record<CupLost, (name: string, amount: string) => string> = {
  spilled: (name, amount) => `${amount} of ${name} spilled.`,
  'over-poured': (name, amount) => `${amount} of ${name} more than told went onto the board.`,
  'gone thick': (name) => `${name} had gone thick.`,
  moulded: (name, amount) => `${amount} of ${name} went into a mould.`,
};

function sentence(event: PourEvent, session: Session, write: Writes, seconds: ReadonlyMap<number, number>): string | undefined {
  const { told, pour } = session;
  const stepOf = (id: Parameters<typeof stepKey>[0]) =>
    [...told.steps, ...(pour.told?.steps ?? [])].find((s) => stepKey(s.id) === stepKey(id));
  switch (event.kind) {
    case 'ready':
      return event.as === 'passed over' ? `${event.items.length} of what is seen to before the first mixing passed over.` : undefined;
    case 'cup lost': {
      const cup = told.cups.find((c) => cupKey(c.id) === cupKey(event.cup));
      return lost[event.how](cup?.name ?? 'a cup', write.volume(event.ml));
    }
    case 'skipped': {
      const step = stepOf(event.step);
      return step && !session.doneAt.has(stepKey(event.step)) ? `Left out: ${say(step, told, write).short}.` : undefined;
    }
    case 'bench':
      return `The bench was at ${write.temperature(event.celsius)}.`;
    case 'replanned':
      return `Planned again${event.why ? `: ${event.why}` : '.'}`;
    case 'refused':
      return 'Another plan was offered, and the told one kept.';
    case 'went on': {
      const held = session.events.findLast((e) => e.kind === 'held' && e.seq < event.seq);
      return held ? `Held for ${writeDuration((Date.parse(event.at) - Date.parse(held.at)) / 60_000)}.` : undefined;
    }
    case 'heat pass':
    case 'did': {
      const held = seconds.get(event.seq);
      return held === undefined ? undefined : `Heat held for ${plain(held, 0)} s.`;
    }
    default:
      return undefined;
  }
}

/** What happened in a pour beside the steps it was told, in order; what was taken back is not among it. */
export function storyOf(session: Session, write: Writes): Told[] {
  const seconds = heatSeconds(session.events);
  return session.events.flatMap((event) => {
    const says = sentence(event, session, write, seconds);
    return says === undefined ? [] : [{ seq: event.seq, at: Date.parse(event.at), says }];
  });
}

import type { CupRef, PourEvent, StepRef } from './schema';

/** A text that is the same for the same cup and differs for any other; it is compared, and never taken apart. */
export const cupKey = ({ piece, coat, role, tint, portion }: CupRef): string => [piece, coat, role, tint, portion].join(' ');

/** The same for steps. */
export const stepKey = ({ does, piece, coat, role, tint, portion, batch, pass, dressing, again }: StepRef): string =>
  [does, piece, coat, role, tint, portion, batch, pass, dressing, again].join(' ');

const known: Record<PourEvent['kind'], true> = {
  mixed: true,
  weighed: true,
  did: true,
  'heat pass': true,
  'bead check': true,
  note: true,
  replanned: true,
  ready: true,
  added: true,
  skipped: true,
  swapped: true,
  'cup lost': true,
  bench: true,
  'heat on': true,
  held: true,
  'went on': true,
  refused: true,
  found: true,
  abandoned: true,
  done: true,
  undone: true,
  tinted: true,
  poured: true,
  'white laid': true,
};

/** Whether this version knows what kind of event it is; one from a later version is kept and shown, and changes nothing. */
export const isKnown = (event: Pick<PourEvent, 'kind'>): boolean => Object.hasOwn(known, event.kind);

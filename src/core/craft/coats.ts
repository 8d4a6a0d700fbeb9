import type { Coat, Over } from '#core/document';

/** The part of the board a coat goes over: its own, else the ordinary one for its kind. */
export function overOf(coat: Coat): Over {
  if (coat.over) return coat.over;
  switch (coat.kind) {
    case 'sand':
      return { kind: 'beach' };
    case 'sea':
    case 'glaze':
      return { kind: 'sea' };
    default:
      return { kind: 'whole' };
  }
}

/** What a coat waits for, if that lies below it. */
export const awaitedBy = (coats: Coat[], coat: Coat): Coat['waits'] => {
  const below = coats.slice(0, coats.indexOf(coat));
  return coat.waits && below.some((c) => c.id === coat.waits!.coatId) ? coat.waits : undefined;
};

/** Whether a coat is poured with the one below it; the lowest has none below. */
export const isJoined = (coats: Coat[], coat: Coat): boolean => coat.samePour && coats.indexOf(coat) > 0;

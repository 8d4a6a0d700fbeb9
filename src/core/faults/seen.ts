import type { Fault } from '#core/document';

/** How each fault looks, for someone who has never had it. */
export const seenWords: Record<Fault, string> = {
  'soft or sticky': 'A finger still leaves a mark days later, or it stays tacky.',
  'white gone pale blue': 'What was laid white is a pale wash now.',
  'no cells': 'White lies as a closed band; nothing opened in it.',
  'lacing took over': 'Foam covers far more of the sea than it was to.',
  'wave moved overnight': 'It lies elsewhere in the morning than when it was covered.',
  'dark tide mark': 'A dark line on the beach, where the sea does not reach any more.',
  'pits, fish-eyes': 'Small round craters in which the film drew back.',
  'dimples, yellowing, smoke': 'Hollows, a yellow tone or a burnt smell where the tool was.',
  'bubbles from below': 'Bubbles that keep rising for hours, or are set in the film.',
  'muddy band': 'Two tints have become one grey one between them.',
  'drips set below': 'Hard beads under the board, so that it rocks.',
  'dust, hairs': 'Specks and fluff set in the surface.',
  'shells sank': 'What was set on it has gone under.',
  'tint ran out': 'A tint was used up before its part was covered.',
  'coat peels': 'A coat lifts off the one below it.',
};

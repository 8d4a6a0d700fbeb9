import type { Resin } from './schema';

/** What does not hang together in a resin's times, in a sentence; undefined where they do. The same in a file as on screen. */
export function resinProblem({
  workingMin,
  gelMin,
  recoatFromH,
  bondUntilH,
}: Pick<Resin, 'workingMin' | 'gelMin' | 'recoatFromH' | 'bondUntilH'>): string | undefined {
  if (gelMin < workingMin) return 'It gels after it can be worked, not before.';
  if (bondUntilH <= recoatFromH) return 'The window for the next coat ends after it opens.';
  return undefined;
}

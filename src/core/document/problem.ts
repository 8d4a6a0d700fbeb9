/** One thing wrong in a file: where, what stands there, and what would be right. */
export interface Problem {
  /** JSON pointer into the file, "" for the whole. */
  path: string;
  found: string;
  expected: string;
}

/** "at /pieces/0/thickness: found −3, expected a number from 1" */
export const writeProblem = (p: Problem): string => `At ${p.path || 'the top'}: found ${p.found}, expected ${p.expected}.`;

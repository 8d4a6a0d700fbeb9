import type { Aside } from '$lib/store/aside';

const words: Record<string, string> = {
  pieces: 'piece',
  pours: 'pour',
  resins: 'resin',
  colourants: 'colourant',
  rooms: 'room',
  vessels: 'cup',
  stock: 'container',
  slopes: 'slope',
  settings: 'set of settings',
  method: 'set of habits',
  events: 'event of a pour',
};

/** What a thing that was put aside is, in a word. */
export const asideWords = ({ from }: Pick<Aside, 'from'>): string => words[from] ?? 'thing';

import { proxy } from 'comlink';
import { kept, task, type Kept, type Task } from './task';
import type { Move } from '#core/foam';
import type { Look, OneLuck, Same, Scene, SeenTrial, Setup } from '#core/rehearse';
import type { OnFrame, RehearseWork, SearchScenes } from './rehearse.worker';

export type { Frame } from './rehearse.worker';

const make = (): Worker => new Worker(new URL('./rehearse.worker.ts', import.meta.url), { type: 'module' });

/** A board that is worked on beside the screen. End it when nothing shows it. @param died is told when it ended by itself */
export const rehearseWork = (died: () => void): Kept<RehearseWork> => kept<RehearseWork>(make, died);
export const onFrame = (shows: OnFrame): OnFrame => proxy(shows);

/** Several lucks of the same, in a worker of their own, so that they can be stopped. */
export const lucksOf = (
  scene: Scene,
  setup: Setup,
  moves: Move[],
  pass: Move[],
  count: number,
  tells: (share: number) => void,
): Task<OneLuck[]> =>
  task<RehearseWork, OneLuck[], (share: number) => void>(make, (work, tell) => work.lucks(scene, setup, moves, pass, count, tell), tells);

/** Ways to make a look, in a worker of their own, so that the search can be stopped. */
export function searchFor(scenes: SearchScenes, { age, ...same }: Same, look: Look, tells: (share: number) => void): Task<SeenTrial[]> {
  const ages = Array.from({ length: Math.ceil(same.ready.until) + 2 }, (_, minute) => age(minute));
  return task<RehearseWork, SeenTrial[], (share: number) => void>(make, (work, tell) => work.search(scenes, same, ages, look, tell), tells);
}

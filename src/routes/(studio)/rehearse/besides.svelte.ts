import { plain } from '#core/units';
import { STEP, type Move } from '#core/foam';
import type { Way } from '#core/rehearse';
import type { Rehearsal } from './rehearsal.svelte';

/** A board that was set beside others, with what was done on it. */
export interface OwnWay extends Way {
  moves: readonly Move[];
}

/** So many are played together. */
const MOST = 4;

/** Boards an artist set beside each other, wave by wave, while the window is open. */
class Besides {
  #ways = $state.raw<ReadonlyMap<string, readonly OwnWay[]>>(new Map());

  of(waveId: string): readonly OwnWay[] {
    return this.#ways.get(waveId) ?? [];
  }
  full(waveId: string): boolean {
    return this.of(waveId).length >= MOST;
  }
  #put(waveId: string, ways: readonly OwnWay[]): void {
    this.#ways = new Map([...this.#ways, [waveId, ways]]);
  }

  add({ wave, setup, hand, moves }: Rehearsal): void {
    const own = this.of(wave.id);
    const taken = Math.max(0, ...own.map((w) => Number(w.name.split(' ')[1])));
    const air = moves.filter((m) => 'aim' in m && m.aim).length * STEP;
    const name = `board ${taken + 1} · ${plain(air, 0)} s of ${hand.tool}`;
    this.#put(wave.id, [...own, { name, setup, hand, passes: 1, moves: [...moves] }]);
  }
  remove(waveId: string, way: OwnWay): void {
    this.#put(
      waveId,
      this.of(waveId).filter((w) => w !== way),
    );
  }
}
export const besides = new Besides();

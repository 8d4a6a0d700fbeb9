import { expose } from 'comlink';
import { matchTint, type Match, type MatchIn, type Rgb } from '#core/tint';

/** Told no more often than this, of a hundred. */
const TOLD = 40;

const work = {
  /** @param onprogress share of the choices that have been looked at */
  match(target: Rgb, into: MatchIn, keep: number, onprogress: (share: number) => void): Match[] {
    let told = 0;
    return matchTint(target, into, keep, (done, of) => {
      const now = Math.floor((TOLD * done) / of);
      if (now === told) return;
      told = now;
      onprogress(done / of);
    });
  },
};
export type MatchWork = typeof work;

expose(work);

import type { Typed } from './typed';
import { coloured, primed } from './typed';

const uses = { wall: 'for the wall', food: 'to carry food', 'hot mugs': 'for hot mugs' };
const backs = {
  none: 'the back left as it is',
  tape: 'the back taped',
  film: 'the back wrapped',
  grease: 'the back greased',
  latex: 'latex on the back',
};

/** What is answered under the fold, in words, so that it need not be opened to be known. */
export function restWords(t: Typed): string {
  const holes = t.holes.length;
  return [
    t.count.trim() === '1' ? 'one board' : `${t.count.trim() || 'some'} boards`,
    uses[t.use],
    primed(t) ? `${t.primer} × ${t.primerCoats}` : t.primer === 'none' ? 'no primer' : 'scuffed',
    ...(t.ground === 'none' ? [] : [t.ground === 'foil' ? 'foil under the resin' : 'a painted ground']),
    ...(coloured(t) && t.colours.trim() ? [`its colour ${t.colours.trim()}`] : []),
    ...(t.relief ? ['a texture under the resin'] : []),
    ...(t.doubled ? ['doubled'] : []),
    backs[t.underside],
    holes === 0 ? 'no holes' : holes === 1 ? 'one hole' : `${holes} holes`,
    t.hanger.trim() ? `a hanger for ${t.hanger.trim()}` : 'no hanger',
  ].join(', ');
}

import { ownLimit } from '#core/craft';
import type { Colourant } from '#core/document';
import { LOOK_FILM } from './by-eye';
import { groundNamed } from './ground';
import { hexOf } from './screen';
import { recipeSeen } from './slope';

/** Load a dye is shown at; what is weighed is shown at all it may hold. */
const SHOWN = 0.002;

/** What a colourant looks like in a film of 1.5 mm over white, "#rrggbb". @param limit of the resin it would go into */
export function swatchOf(colourant: Colourant, limit = 0.06): string {
  const most = ownLimit(colourant, limit);
  const load = colourant.dropMl === undefined ? most : Math.min(most, SHOWN);
  return hexOf(recipeSeen([{ colourantId: colourant.id, load }], [colourant], LOOK_FILM, groundNamed('white primer').internal));
}

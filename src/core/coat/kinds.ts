import type { Coat, Laid, Over } from '#core/document';
import { base } from './base';
import { clear } from './clear';
import { glaze } from './glaze';
import type { Kind } from './kind';
import { sand } from './sand';
import { sea } from './sea';
import { seal } from './seal';
import { thread } from './thread';
import { top } from './top';
import { wave } from './wave';

/** The kinds of coat there are, as they are offered: from the board up. */
export const kinds: { [K in Coat['kind']]: Kind<Extract<Coat, { kind: K }>> } = {
  seal,
  base,
  sand,
  sea,
  wave,
  thread,
  glaze,
  clear,
  top,
};

/** What there is to know of a coat by its kind. */
export const kindOf = (coat: Coat): Kind => kinds[coat.kind] as Kind;

/** A coat by the artist's own name for it, else by its kind. */
export const coatName = (coat: Coat): string => coat.name ?? kindOf(coat).name(coat);

/** The part of the board a coat goes over: its own, else the ordinary one for its kind. */
export const overOf = (coat: Coat): Over => coat.over ?? { kind: kindOf(coat).over };

/** How a coat is laid: its own way, else the ordinary one for its kind. */
export const laidOf = (coat: Coat): Laid => ('laid' in coat && coat.laid) || kindOf(coat).laid;

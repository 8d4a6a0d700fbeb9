import { pricingOf } from '#core/craft';
import type { Settings } from '#core/document';
import { fixed } from '#core/units';

/** "12.40 EUR", in the studio's own currency. */
export const money = (amount: number, settings: Pick<Settings, 'pricing'>): string => `${fixed(amount, 2)} ${pricingOf(settings).currency}`;

/** The shelf: what pours take from which container, what is left, what to buy, what it costs, and a price. */
export { densityOf, itemKey, itemName, type Materials, summed, type Taken, turned } from './item';
export { takenByBatch, takenByBoard, takenByCup, takenByPour, type Usage, usedBy } from './take';
export { inDrawingOrder, ledger, type Ledger, type LedgerLine } from './ledger';
export { costOf, pricePer } from './cost';
export { balanceOf, leftOver, wasted } from './waste';
export { leftoverUses, type Suggestion } from './leftover';
export { type Buy, toBuy } from './buy';
export { type Missing, shortOf } from './short';
export { hoursOf, type Quote, quoteOf } from './quote';
export { type Coming, comingPours, shelfOf, usagesOf } from './shelf';

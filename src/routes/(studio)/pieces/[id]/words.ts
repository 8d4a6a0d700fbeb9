import { awaitedBy, isJoined, overOf, rehearsalOf } from '#core/coat';
import type { Coat, Over, Piece, Sea } from '#core/document';
import type { CoatPlan, PiecePlan } from '#core/plan';
import { dayMonth } from '$lib/ui/clock.svelte';
import { plain, writeShare, writeSpan, type Writes } from '#core/units';

/** Parts of a board a coat may go over, as they are chosen; a sky or a land goes by its own name. */
export const overLabels: Record<Over['kind'], string> = {
  area: 'its own part',
  whole: 'the whole board',
  sea: 'the sea',
  beach: 'the beach',
  deep: 'from the deep side',
  strip: 'a strip off the shore',
};

/** Where a coat goes, in a few words. */
export function overWords(coat: Coat, write: Writes, { areas = [] }: Pick<Sea, 'areas'> = {}): string {
  if (coat.kind === 'wave') return coat.along === undefined ? 'along the shore' : 'along its own curve';
  if (coat.kind === 'thread') return coat.along === undefined ? `${write.length(coat.off ?? 0)} off the shore` : 'along its own curve';
  const over = overOf(coat);
  const back = coat.inset ? `, ${write.length(coat.inset)} back from the rim` : '';
  if (over.kind === 'deep') return `${overLabels.deep}, ${writeShare(over.share)}${back}`;
  if (over.kind === 'strip') return `${write.length(over.from)} to ${write.length(over.to)} off the shore${back}`;
  if (over.kind === 'area') return `the ${areas.find((a) => a.id === over.areaId)?.name ?? overLabels.area}${back}`;
  return overLabels[over.kind] + back;
}

const until = { tacky: 'no longer runs', recoat: 'opens', hard: 'is hard' };

/** What a coat waits for, in a few words, with what is brushed on before it. */
export function waitWords(plan: PiecePlan, c: CoatPlan): string {
  const { brushed, lies } = c.coat;
  return (brushed && !lies ? `on a dry ${brushed.kind}, ` : '') + awaited(plan, c);
}

function awaited(plan: PiecePlan, { coat, number }: CoatPlan): string {
  if (coat.lies) return coat.lies.on ? `on it since ${dayMonth(Date.parse(coat.lies.on))}` : 'on it already';
  if (number === 1) return plan.piece.surface.primer === 'none' ? 'on the board' : 'after primer is dry';
  const joined = isJoined(plan.piece.coats, coat);
  if (coat.kind === 'wave' && joined) {
    const step = plan.pours.flatMap((p) => p.steps).find((s) => s.id.does === 'white' && s.id.coat === coat.id);
    if (!step) return `poured with ${number - 1}`;
    const at = `${plain(step.at - step.mixedAt, 0)} min`;
    return rehearsalOf(plan.piece, coat) ? `${at}, rehearsed` : `${at} after mixing`;
  }
  if (joined) return `poured with ${number - 1}`;
  const waits = awaitedBy(plan.piece.coats, coat);
  const other = waits && plan.coats.find((c) => c.coat.id === waits.coatId);
  const below = plan.pours.find((p) => p.coats.some((c) => (other ? c === other : c.number === number - 1)))?.batches.at(-1);
  if (other && waits.until !== 'recoat')
    return `when ${other.number} ${until[waits.until]}${below ? `, ${plain((waits.until === 'hard' ? below.windows.fullCure : below.windows.nextCoat.from) / 60, 0)} h` : ''}`;
  return below ? `after ${writeSpan(below.windows.nextCoat.from, below.windows.nextCoat.until)}` : 'on its own';
}

/** Names of the parts of a sea, from the shore seaward: its tints where there are any. */
export const partNames = ({ coats, sea: { edges } }: Piece): string[] => {
  const sea = coats.find((coat) => coat.kind === 'sea');
  const tints = sea?.kind === 'sea' ? sea.tints : [];
  return Array.from({ length: edges.length + 1 }, (_, i) => tints[tints.length - 1 - i]?.name ?? `part ${i + 1}`);
};

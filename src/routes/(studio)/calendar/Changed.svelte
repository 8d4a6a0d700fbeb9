<script lang="ts">
  import { sayPieces, saySession, type Compared, type Moved } from '#core/calendar';
  import { shared } from '$lib/store/shared.svelte';
  import { dayAndTime } from '$lib/ui/clock.svelte';

  /** Two plans by what changed from one to the other. */
  let {
    compared,
    first,
    most = 6,
  }: { compared: Compared; /** What was moved by hand, which stands first. */ first?: string | undefined; most?: number } = $props();
  // pours before what is beside them; each in order of time
  const rank = (m: Moved): number => (m.session.id === first ? 0 : m.session.kind === 'pour' ? 1 : 2);
  const moved = $derived([...compared.moved].sort((a, b) => rank(a) - rank(b)));
  const name = (ids: readonly string[]): string => sayPieces(ids, shared.pieces ?? []);
  const when = (ms: number | undefined): string => (ms === undefined ? 'not planned' : dayAndTime(ms));
</script>

<ul class="flex flex-col gap-1 text-[13px]">
  {#each compared.promises as p (p.pieceId)}
    <li class={p.kept ? (p.wasKept ? '' : 'text-open') : 'text-buoy'}>
      <b>{name([p.pieceId])}</b> ready {when(p.before)} → {when(p.after)}{p.kept === p.wasKept
        ? ''
        : p.kept
          ? ', kept now'
          : ', no longer kept'}
    </li>
  {/each}
  {#if compared.scuff}<li>{Math.abs(compared.scuff)} min of scuffing {compared.scuff > 0 ? 'more' : 'less'}</li>{/if}
  {#each moved.slice(0, most) as m (m.session.id)}
    <li>
      <b>{name(m.session.pieceIds)}</b>, {saySession(m.session)}: {m.before === undefined ? 'new' : when(m.before)} → {m.after === undefined
        ? 'done or gone'
        : when(m.after)}
    </li>
  {/each}
  {#if compared.moved.length > most}<li class="text-soft">and {compared.moved.length - most} more</li>{/if}
  {#if !compared.moved.length && !compared.promises.length}<li>Nothing moves.</li>{/if}
</ul>

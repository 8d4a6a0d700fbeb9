<script lang="ts">
  import { quoteOf, shelfOf } from '#core/stock';
  import { pricingOf } from '#core/craft';
  import { shared } from '$lib/store/shared.svelte';
  import { planner } from '$lib/planner';
  import { zone } from '$lib/zone';
  import { writeBoard } from '$lib/ui/board';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import Missing from '$lib/ui/Missing.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import Tabs from '$lib/ui/Tabs.svelte';
  import LogHead from '../../LogHead.svelte';
  import CameOut from './CameOut.svelte';
  import Finishing from './Finishing.svelte';
  import Measured from './Measured.svelte';
  import Photos from './Photos.svelte';
  import StoryPour from './StoryPour.svelte';
  import { Story } from './story.svelte';

  /** A piece's story on one page: its coats in time, its photographs, how it came out, and what is left to do. */
  const story = new Story();
  const piece = $derived(story.piece);
  const poured = $derived((story.sessions ?? []).filter((s) => !s.abandoned));
  let chosen = $state<string>();
  const session = $derived(poured.find((s) => s.pour.id === chosen) ?? poured.findLast((s) => s.done !== undefined) ?? poured.at(-1));
  let view = $state<'came out' | 'finish'>('came out');

  const plan = $derived(piece && shared.means && planner.planIfAble(piece, shared.means));
  const shelf = $derived(
    view === 'finish' && shared.stock && shared.pours && shared.means ? shelfOf(shared.stock, shared.pours, shared.means, zone) : undefined,
  );
  const quoted = $derived(
    plan && shelf && shared.means && shared.settings ? quoteOf(plan, shelf, shared.means, pricingOf(shared.settings)).price : undefined,
  );
</script>

<svelte:head><title>{piece?.name ?? 'A piece'}, its story · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4 lg:h-full">
  {#if piece && story.sessions}
    <LogHead title={piece.name}>
      {#if session}<a class="button button-quiet" href="/log/again/{session.pour.id}?piece={piece.id}">Make it again</a>{/if}
      <a class="button button-quiet" href="/log/piece/{piece.id}/print">Print its story</a>
      {#if !story.isGone}<a class="button button-quiet" href="/pieces/{piece.id}">To its chart</a>{/if}
    </LogHead>
    <p class="-mt-2 text-[13px] text-soft">
      {writeBoard(piece, shared.write)}{story.isGone ? ' · no longer among the pieces; this is as its last pour had it' : ''}
    </p>
    {#if session}
      <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)_minmax(0,1fr)]">
        <Sheet title="Its coats in time" aside="planned beside done">
          <div class="min-h-0 overflow-y-auto">
            {#each story.sessions as s (s.pour.id)}<StoryPour session={s} pieceId={story.id} />{/each}
          </div>
        </Sheet>
        <Sheet title="Photos" aside={story.photos.length ? `${story.photos.length}` : ''}>
          <Photos pieceId={story.id} photos={story.photos} plan={plan || undefined} />
        </Sheet>
        <Sheet title={view === 'finish' ? 'Finishing and sale' : 'How it came out'}>
          {#snippet heading()}
            <Tabs
              label="What of it"
              bind:value={view}
              options={[
                { value: 'came out', label: 'How it came out' },
                { value: 'finish', label: 'Finishing and sale' },
              ]}
            />
          {/snippet}
          <div class="flex min-h-0 flex-col gap-4 overflow-y-auto p-3">
            {#if view === 'finish'}
              {#if story.isGone}<p class="text-soft">It is no longer among the pieces.</p>{:else}<Finishing {piece} {quoted} />{/if}
            {:else}
              {#if poured.length > 1}
                <label class="text-[13px] text-soft"
                  >of the pour<select class="input text-ink" value={session.pour.id} onchange={(e) => (chosen = e.currentTarget.value)}
                    >{#each poured as s (s.pour.id)}<option value={s.pour.id}
                        >{dayMonth(s.started)}: {s.told.coats
                          .filter((c) => c.piece === story.id)
                          .map((c) => c.name.toLowerCase())
                          .join(', ')}</option
                      >{/each}</select
                  ></label
                >
              {/if}
              {#key session.pour.id}
                <CameOut {session} pieceId={story.id} />
                <Measured {session} pieceId={story.id} />
              {/key}
            {/if}
          </div>
        </Sheet>
      </div>
    {:else}
      <div class="sheet p-8">
        <h2 class="text-[22px]">Nothing of it was poured yet</h2>
        <p class="mt-2 text-soft">Its story begins with its first pour; photos of the bare board can be added now.</p>
        <div class="mt-4 max-w-xl"><Photos pieceId={story.id} photos={story.photos} plan={plan || undefined} /></div>
      </div>
    {/if}
  {:else if story.sessions && shared.pieces}
    <Missing says="This piece is not in the studio" href="/log/pieces" on="All pieces" />
  {:else}
    <p class="text-soft" aria-busy="true">Reading its story.</p>
  {/if}
</main>

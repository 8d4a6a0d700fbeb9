<script lang="ts">
  import type { Coat, LineCoat } from '#core/document';
  import type { PiecePlan } from '#core/plan';

  /** Which line a wave breaks along or a thread is drawn along, where more than the shore is drawn. */
  interface Props {
    plan: PiecePlan;
    coat: LineCoat;
    change: (label: string, to: (old: Coat) => Coat) => Promise<void>;
  }
  let { plan, coat, change }: Props = $props();
</script>

{#if plan.piece.sea.breakers?.length}
  <label class="text-[13px] text-soft"
    >{coat.kind === 'wave' ? 'breaks along' : 'runs along'}<select
      class="input min-h-7!"
      value={coat.along ?? ''}
      onchange={(e) => {
        const along = e.currentTarget.value;
        void change(coat.kind === 'wave' ? 'Change where the wave breaks' : 'Change where the thread runs', (old) => {
          const { along: _, ...rest } = old as LineCoat;
          return along ? { ...rest, along } : rest;
        });
      }}
      ><option value="">the shore</option>{#each plan.piece.sea.breakers as b (b.id)}<option value={b.id}>{b.name}</option>{/each}</select
    ></label
  >
{/if}

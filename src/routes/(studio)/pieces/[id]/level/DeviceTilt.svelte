<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { Stands } from '#core/document';
  import { plain } from '#core/units';

  /** The tilt this device feels, laid flat on the board with its upper edge away from you; where the browser gives it. */
  let { ontake }: { ontake: (read: Pick<Stands, 'along' | 'across'>) => unknown } = $props();

  const LIMIT = 10;
  /** Some readings are averaged: a hand has just let go of it. */
  const SETTLES = 0.1;
  let listening = $state(false);
  let read = $state.raw<Pick<Stands, 'along' | 'across'>>();
  let says = $state('');
  const within = (degrees: number): number => Math.max(-LIMIT, Math.min(LIMIT, degrees));

  function hear({ beta, gamma }: DeviceOrientationEvent) {
    if (beta === null || gamma === null) return;
    const now = { along: within(gamma), across: within(beta) };
    read = read
      ? { along: read.along + SETTLES * (now.along - read.along), across: read.across + SETTLES * (now.across - read.across) }
      : now;
  }
  async function begin() {
    const events = globalThis.DeviceOrientationEvent as
      (typeof DeviceOrientationEvent & { requestPermission?: () => Promise<string> }) | undefined;
    if (!events) {
      says = 'This browser does not tell how it is tilted. Use a spirit level.';
      return;
    }
    if (events.requestPermission && (await events.requestPermission().catch(() => 'denied')) !== 'granted') {
      says = 'The browser may not tell how it is tilted. Allow it, or use a spirit level.';
      return;
    }
    says = '';
    listening = true;
    addEventListener('deviceorientation', hear);
    setTimeout(() => {
      if (listening && !read) says = 'This device says nothing of its tilt. Use a spirit level.';
    }, 2000);
  }
  function end() {
    removeEventListener('deviceorientation', hear);
    listening = false;
  }
  onDestroy(end);
</script>

<div class="border-t border-rule pt-3">
  {#if listening && read}
    <p role="status">
      It feels <strong>{plain(read.along, 1)}°</strong> along and <strong>{plain(read.across, 1)}°</strong> across. Few devices are truer than
      half a degree: turn it round and take the mean.
    </p>
    <div class="mt-2 flex gap-2">
      <button
        type="button"
        class="button"
        onclick={() => {
          if (read) void ontake({ along: Number(read.along.toFixed(2)), across: Number(read.across.toFixed(2)) });
          end();
        }}>Take it</button
      >
      <button type="button" class="button" onclick={end}>Leave it</button>
    </div>
  {:else}
    <button type="button" class="button" onclick={begin}>Lay this device on the board</button>
    {#if says}<p class="mt-1 text-[13px] text-soft" role="status">{says}</p>{/if}
  {/if}
</div>

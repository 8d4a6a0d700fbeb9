<script lang="ts">
  import { untrack } from 'svelte';
  import { figureName, sayLearned, sayLesson, worthTaking, writeFigure, type Lesson } from '#core/learn';
  import { giveBack, takeLesson } from '$lib/store/lessons';
  import { shared } from '$lib/store/shared.svelte';
  import { lessonsFromLog } from '$lib/work/learn';
  import type { Task } from '$lib/work/task';
  import { attempt } from '$lib/ui/attempt';
  import { dayMonth } from '$lib/ui/clock.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import LogHead from '../LogHead.svelte';
  import Points from './Points.svelte';

  /** What the studio's own pours say of its figures: proposed one by one, taken over or not. */
  let lessons = $state.raw<Lesson[]>();
  let reading: Task<Lesson[]> | undefined;
  let doing = $state('Reading the log');
  let says = $state('');
  let picked = $state<string>();

  const keyOf = ({ figure, of }: Lesson): string => `${figure} ${of ?? ''}`;
  // it follows what is stored: a pour that was measured, a figure that was taken over
  $effect(() => {
    void [shared.summaries, shared.photos, shared.learned, shared.method, shared.resins, shared.colourants];
    untrack(() => void read());
    return () => reading?.stop();
  });
  async function read() {
    reading?.stop();
    const task = lessonsFromLog((what, share) => (doing = share === undefined ? what : `${what}, ${Math.round(100 * share)} %`));
    reading = task;
    try {
      const found = await task.done;
      if (reading === task && found) lessons = found;
    } catch (error) {
      says = `The log could not be read: ${error instanceof Error ? error.message : String(error)}`;
    }
  }
  const thing = (of: string | undefined): string | undefined =>
    of === undefined ? undefined : ([...(shared.resins ?? []), ...(shared.colourants ?? [])].find((t) => t.id === of)?.name ?? of);
  const nameOf = (lesson: Lesson): string => figureName(lesson.figure, thing(lesson.of));
  const shown = $derived(lessons?.find((l) => keyOf(l) === picked) ?? lessons?.[0]);
  const taken = $derived([...(shared.learned ?? [])].sort((a, b) => (a.at < b.at ? 1 : -1)));
</script>

<svelte:head><title>What the log teaches · Nerite</title></svelte:head>

<main class="flex flex-col gap-3 p-4 lg:h-full">
  <LogHead title="What the log teaches" />
  {#if says}<p role="alert" class="bg-warnground px-3 py-2 text-warnink">{says}</p>{/if}
  <div class="grid min-h-0 grow gap-3 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
    <Sheet title="Your own figures" aside="held toward what the trade takes them for, the less the more pours there are">
      {#if lessons?.length}
        <ul class="min-h-0 divide-y divide-rule overflow-y-auto">
          {#each lessons as lesson (keyOf(lesson))}
            {@const worth = worthTaking(lesson)}
            <li class="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-3 py-2 {shown === lesson ? 'bg-paper' : ''}">
              <button
                type="button"
                class="grow basis-64 text-left"
                aria-pressed={shown === lesson}
                onclick={() => (picked = keyOf(lesson))}
              >
                <b>{nameOf(lesson)}</b>
                <span class="block text-soft">{sayLesson(lesson, shared.write)}</span>
              </button>
              {#if worth}
                <button type="button" class="button" onclick={() => attempt(() => takeLesson(lesson, nameOf(lesson)))}
                  >Plan with {writeFigure(lesson.figure, lesson.proposed, shared.write)}</button
                >
              {/if}
            </li>
          {/each}
        </ul>
      {:else if lessons}
        <div class="p-4 text-soft">
          <p>No finished pour says anything yet.</p>
          <p class="mt-2">
            What is weighed at the scale, timed at the bench and measured afterwards teaches. On a piece’s story, under <b
              >Measured afterwards</b
            >, weigh what dripped and what stuck to a cup, and say when it was dry; mark the board in a photo, and it is measured. Three
            pours are enough to begin with.
          </p>
        </div>
      {:else}<p class="p-3 text-soft" aria-busy="true" role="status">{doing}.</p>{/if}
    </Sheet>
    <div class="flex min-h-0 flex-col gap-3">
      <Sheet title={shown ? nameOf(shown) : 'Pour by pour'} class="lg:min-h-64">
        {#if shown}<Points lesson={shown} />{:else}<p class="p-3 text-soft">Each pour as a point, once there are some.</p>{/if}
      </Sheet>
      <Sheet title="Taken over">
        {#if taken.length}
          <ul class="min-h-0 divide-y divide-rule overflow-y-auto">
            {#each taken as l (l.id)}
              <li class="flex flex-wrap items-baseline gap-x-3 px-3 py-2">
                <span class="grow basis-48"
                  ><b>{figureName(l.figure, thing(l.of))}: {writeFigure(l.figure, l.value, shared.write)}</b>
                  <span class="block text-[13px] text-soft">{sayLearned(l, shared.write)} Taken over on {dayMonth(Date.parse(l.at))}.</span
                  ></span
                >
                <button type="button" class="underline" onclick={() => attempt(() => giveBack(l))}>Give back</button>
              </li>
            {/each}
          </ul>
        {:else}<p class="p-3 text-soft">
            Nothing yet. What is taken over stands here, with where it came from, and can be given back.
          </p>{/if}
      </Sheet>
    </div>
  </div>
</main>

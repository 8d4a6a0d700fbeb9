<script lang="ts">
  import { writeProblem, type Opened, type Problem, type Studio } from '#core/document';
  import { writeShare } from '#core/units';
  import { hasBefore } from '$lib/store/before';
  import { Live } from '$lib/store/live.svelte';
  import { shared } from '$lib/store/shared.svelte';
  import { readStudioFile } from '$lib/work/studio';
  import type { Task } from '$lib/work/task';
  import { checkStored } from '$lib/ui/check';
  import { attempt } from '$lib/ui/attempt';
  import FileButton from '$lib/ui/FileButton.svelte';
  import { said } from '$lib/ui/said.svelte';
  import { savedAs } from '$lib/ui/saved';
  import Confirm from '$lib/ui/Confirm.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** The studio as a file, out and in; starting over; and the way back. Nothing is replaced before it is asked. */
  const transfer = () => import('$lib/store/transfer');
  const before = new Live(hasBefore);
  const counts = $derived(`${shared.pieces?.length ?? 0} pieces and ${shared.summaries?.length ?? 0} pours`);
  /** Pours that are under way, in this window or another. */
  const open = $derived((shared.summaries ?? []).filter((p) => p.done === undefined && !p.abandoned));

  type Asked = 'import' | 'empty' | 'sample' | 'back';
  let asked = $state<Asked>('empty');
  let asking = $state(false);
  let incoming = $state.raw<Studio>();
  let problems = $state.raw<Problem[]>([]);
  let fileName = $state('');
  let busy = $state(false);
  let reading = $state.raw<Task<Opened>>();
  let doing = $state('');

  const questions: Record<Asked, { title: string; does: string }> = {
    import: { title: 'Open this file in the place of your studio?', does: 'Open it' },
    empty: { title: 'Start with an empty studio?', does: 'Start empty' },
    sample: { title: 'Bring the sample studio back?', does: 'Bring the sample' },
    back: { title: 'Bring back the studio from before?', does: 'Bring it back' },
  };

  function ask(what: Asked) {
    asked = what;
    asking = true;
  }

  async function save() {
    busy = true;
    await attempt(async () => {
      // what cannot be read is put aside first, so that the file opens again
      await checkStored();
      savedAs('studio.nerite.json', 'application/json', await (await transfer()).exportText());
    });
    busy = false;
  }

  async function choose(file: File) {
    busy = true;
    problems = [];
    await attempt(async () => {
      fileName = file.name;
      reading = readStudioFile(await file.text(), (what, share) => (doing = share === undefined ? what : `${what}, ${writeShare(share)}`));
      const opened = await reading.done;
      if (!opened) return;
      problems = opened.ok ? [] : opened.problems;
      incoming = opened.ok ? opened.studio : undefined;
      if (opened.ok) ask('import');
    });
    reading = undefined;
    busy = false;
  }

  async function replace() {
    busy = true;
    const stored = await attempt(async () => {
      const { bringBack, bringSample, startEmpty, takeStudio } = await transfer();
      if (asked === 'import' && incoming) await takeStudio(incoming);
      else if (asked === 'empty') await startEmpty();
      else if (asked === 'sample') await bringSample();
      else await bringBack();
    });
    busy = false;
    if (stored) await said.done('The studio was replaced. The one from before can be brought back here.');
  }
</script>

<Sheet title="The studio as a file">
  <div class="flex flex-col gap-3 p-4">
    <p class="max-w-prose text-soft">
      Everything is kept in this browser and nowhere else. A file of it can be opened in another browser, or kept safe. Its format is open: <a
        class="underline"
        href="/schema/studio-2.json">the schema</a
      >.
    </p>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="button" onclick={save} disabled={busy}>Export the studio</button>
      <FileButton label="Open a file" reading="Open a file" {busy} accept=".json,application/json" onfile={choose} />
    </div>
    {#if reading}
      <div class="flex items-center gap-3" role="status" aria-busy="true">
        <p class="text-soft">{doing || 'Reading the file'}.</p>
        <button type="button" class="button" onclick={() => reading?.stop()}>Stop</button>
      </div>
    {/if}
    {#if problems.length}
      <div role="alert" class="border-l-3 border-buoy pl-3 wrap-anywhere">
        <p class="font-bold">{fileName} was not opened, and nothing was changed.</p>
        <ul class="mt-1 text-[13px]">
          {#each problems.slice(0, 6) as problem, i (i)}<li>{writeProblem(problem)}</li>{/each}
          {#if problems.length > 6}<li>And {problems.length - 6} more.</li>{/if}
        </ul>
      </div>
    {/if}
    <div class="flex flex-wrap gap-2 border-t border-rule pt-3">
      <button type="button" class="button" onclick={() => ask('empty')} disabled={busy}>Start empty</button>
      <button type="button" class="button" onclick={() => ask('sample')} disabled={busy}>Bring the sample back</button>
      {#if before.current}<button type="button" class="button" onclick={() => ask('back')} disabled={busy}
          >Bring back the studio from before</button
        >{/if}
    </div>
  </div>
</Sheet>

<Confirm bind:open={asking} {...questions[asked]} onconfirm={replace}>
  {#if asked === 'import' && incoming}{fileName} holds {incoming.pieces.length} pieces and {incoming.pours.length} pours.{/if}
  {#if open.length}<b class="text-ink"
      >{open.map((p) => p.pieces.join(', ')).join('; ')} is being poured now: its record goes aside with the rest, and can no longer be added
      to.</b
    >{/if}
  The {counts} here now are put aside, and can be brought back until the studio is replaced again.
</Confirm>

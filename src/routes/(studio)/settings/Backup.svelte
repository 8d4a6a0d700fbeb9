<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { List } from '#core/document';
  import { writeShare } from '#core/units';
  import { askDurable, keepBackup, readSafety } from '$lib/store/backup';
  import { Live } from '$lib/store/live.svelte';
  import { backupWork, telling, type Looked } from '$lib/work/backup';
  import { attempt } from '$lib/ui/attempt';
  import { checkStored } from '$lib/ui/check';
  import { dayMonth, minutes } from '$lib/ui/clock.svelte';
  import FileButton from '$lib/ui/FileButton.svelte';
  import { said } from '$lib/ui/said.svelte';
  import { savedAs } from '$lib/ui/saved';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** The whole studio with its photos as one archive, out and in; how safe what is kept here is. */
  let asked = $state(0);
  const live = $derived.by(() => {
    void asked;
    return new Live(() => readSafety(minutes.now));
  });
  const safety = $derived(live.current);
  let worker: ReturnType<typeof backupWork> | undefined;
  onDestroy(() => worker?.end());
  let doing = $state('');
  let says = $state('');
  let looked = $state.raw<Extract<Looked, { ok: true }>>();
  let fileName = $state('');
  const tells = telling((what, share) => (doing = share === undefined ? what : `${what}, ${writeShare(Math.round(100 * share) / 100)}`));
  const work = () => (worker ??= backupWork()).work;
  function stop() {
    worker?.end();
    worker = undefined;
    [doing, looked] = ['', undefined];
  }

  async function save() {
    [says, doing] = ['', 'Reading the studio'];
    await attempt(async () => {
      await checkStored();
      const blob = (await work().pack(tells)) as Blob;
      savedAs(`nerite-${new Date().toISOString().slice(0, 10)}.zip`, 'application/zip', blob);
      await keepBackup(Date.now());
      asked++;
    });
    doing = '';
  }
  async function choose(file: File) {
    [says, doing, looked, fileName] = ['', 'Opening it', undefined, file.name];
    await attempt(async () => {
      const found = (await work().look(file, file.name, tells)) as Looked;
      if (found.ok) looked = found;
      else says = found.says;
    });
    doing = '';
  }
  async function take(how: 'replace' | 'keep mine' | 'take theirs') {
    doing = 'Storing the photos';
    const stored = await attempt(() => work().take(how, tells) as Promise<void>);
    doing = '';
    if (stored) {
      looked = undefined;
      await said.done(
        how === 'replace'
          ? 'The backup is in the place of the studio; the one from before can be brought back below.'
          : 'The backup was brought into the studio.',
      );
    }
  }
  const names: Record<List, string> = {
    rooms: 'rooms',
    resins: 'resins',
    colourants: 'colourants',
    pieces: 'pieces',
    pours: 'pours',
    vessels: 'cups',
    stock: 'containers',
    slopes: 'slopes',
    air: 'days of air',
    diary: 'diary',
    photos: 'photos',
    learned: 'figures learned',
  };
  const changes = $derived(looked?.merging.filter((m) => m.added.length || m.differ.length) ?? []);
  const few = (list: string[]): string => `${list.slice(0, 3).join(', ')}${list.length > 3 ? ` and ${list.length - 3} more` : ''}`;
  const size = (bytes: number): string => (bytes > 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : `${Math.max(1, Math.round(bytes / 1e6))} MB`);
</script>

<Sheet title="Backup">
  <div class="flex flex-col gap-3 p-4">
    {#if safety}
      <p class={safety.isOld ? 'bg-warnground px-3 py-2 text-warnink' : 'text-soft'}>
        {#if safety.last !== undefined}The last backup on this device was made on {dayMonth(safety.last)}.{safety.isOld
            ? ' It is old: make a new one.'
            : ''}
        {:else if safety.worth}No backup was made on this device yet. A lost or reset browser takes all of it along.
        {:else}Nothing here would be missed yet.{/if}
      </p>
    {/if}
    <div class="flex flex-wrap gap-2">
      <button type="button" class="button {safety?.isOld ? 'button-main' : ''}" onclick={save} disabled={doing !== ''}>Make a backup</button
      >
      <FileButton label="Open a backup" reading="Open a backup" busy={doing !== ''} accept=".zip,application/zip" onfile={choose} />
    </div>
    <p class="max-w-prose text-[13px] text-soft">
      One zip file with the studio, its photos as JPEG, and a list of checksums that common tools check. Keep it somewhere other than here.
    </p>
    {#if doing}
      <div class="flex items-center gap-3" role="status" aria-busy="true">
        <p class="text-soft">{doing}.</p>
        <button type="button" class="button" onclick={stop}>Stop</button>
      </div>
    {/if}
    {#if says}<p role="alert" class="border-l-3 border-buoy pl-3 wrap-anywhere">{says} Nothing was changed.</p>{/if}
    {#if looked}
      <div class="border-t border-rule pt-3" role="group" aria-label="What {fileName} would change">
        <p>
          <b>{fileName}</b> holds {looked.pieces} pieces, {looked.pours} pours and {looked.photos} photos{looked.missing
            ? `; the pictures of ${looked.missing} more are missing or damaged, and only what is written of them comes in`
            : ''}.
        </p>
        {#if changes.length}
          <table class="mt-2 w-full text-[14px]">
            <thead
              ><tr class="text-left text-[13px] text-soft [&>th]:py-1 [&>th]:pr-3 [&>th]:font-normal"
                ><th scope="col">of</th><th scope="col">new here</th><th scope="col">different here</th></tr
              ></thead
            >
            <tbody>
              {#each changes as m (m.list)}
                <tr class="border-t border-rule align-baseline [&>*]:py-1 [&>*]:pr-3">
                  <th scope="row" class="text-left font-normal">{names[m.list]}</th>
                  <td>{m.added.length ? `${m.added.length}: ${few(m.added)}` : '–'}</td>
                  <td>{m.differ.length ? `${m.differ.length}: ${few(m.differ)}` : '–'}</td>
                </tr>
              {/each}
            </tbody>
          </table>
        {:else}<p class="text-soft">Everything in it is here already.</p>{/if}
        <div class="mt-3 flex flex-wrap gap-2">
          <button type="button" class="button" onclick={() => take('keep mine')} disabled={doing !== ''}
            >Bring in what is new, keep mine</button
          >
          <button type="button" class="button" onclick={() => take('take theirs')} disabled={doing !== ''}
            >Bring it in, where they differ take the backup’s</button
          >
          <button type="button" class="button" onclick={() => take('replace')} disabled={doing !== ''}
            >Put it in the place of my studio</button
          >
          <button type="button" class="button button-quiet" onclick={() => (looked = undefined)}>Leave it</button>
        </div>
      </div>
    {/if}
    {#if safety}
      <p class="border-t border-rule pt-3 text-[13px] text-soft">
        {#if safety.durable === true}The browser promised not to throw this away by itself.
        {:else if safety.durable === false}The browser may throw this away when the device runs short of room.
          <button
            type="button"
            class="underline"
            onclick={async () => {
              const answer = await askDurable();
              asked++;
              await said.done(
                answer
                  ? 'It will be kept.'
                  : 'The browser did not agree; it often does once the app is installed or used for a while. Backups are what is left.',
              );
            }}>Ask it to keep it</button
          >
        {:else}This browser does not say whether it keeps things for good.{/if}
        {#if safety.used !== undefined && safety.left !== undefined}{size(safety.used)} are used, {size(safety.left)} left.{/if}
      </p>
    {/if}
  </div>
</Sheet>

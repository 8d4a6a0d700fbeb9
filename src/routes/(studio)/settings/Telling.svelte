<script lang="ts">
  import { onMount } from 'svelte';
  import { readNight, writeSpans } from '#core/calendar';
  import { Live } from '$lib/store/live.svelte';
  import { readTold, setQuiet, setSystem } from '$lib/store/notices';
  import { attempt } from '$lib/ui/attempt';
  import Field from '$lib/ui/Field.svelte';
  import { noticePermission } from '$lib/ui/permission';

  /** Notices on this device: whether the system shows them, and the hours in which nothing is told. */
  const told = new Live(readTold);
  const can = 'Notification' in globalThis && 'serviceWorker' in navigator;
  let asked = $state<NotificationPermission>(can ? 'default' : 'denied');
  onMount(async () => {
    if (can) asked = await noticePermission();
  });
  let typed = $state<string>();
  const stored = $derived(told.current?.quiet ? writeSpans([told.current.quiet]) : 'none');

  async function system(on: boolean) {
    if (on && asked !== 'granted') asked = await Notification.requestPermission();
    await attempt(() => setSystem(on && asked === 'granted'));
  }
  const isNone = (text: string): boolean => ['', 'none'].includes(text.trim().toLowerCase());
  function read(text: string): { ok: true; value: number } | { ok: false; says: string } {
    const night = readNight(text);
    return isNone(text) || night.ok ? { ok: true, value: 0 } : { ok: false, says: 'Write them as 22–7, or “none”.' };
  }
  async function quiet() {
    const text = typed ?? stored;
    const night = readNight(text);
    if (!night.ok && !isNone(text)) return;
    if (await attempt(() => setQuiet(night.ok ? night.span : undefined))) typed = undefined;
  }
</script>

<div class="flex flex-col gap-2">
  <label class="flex items-center gap-2"
    ><input
      type="checkbox"
      disabled={!can || asked === 'denied'}
      checked={told.current?.system ?? false}
      onchange={(e) => system(e.currentTarget.checked)}
    />Let the system show them too, while Nerite is open or in the background</label
  >
  {#if asked === 'denied'}<p class="text-[13px] text-soft">This browser does not allow it. Where it asks again, say yes.</p>{/if}
  <Field label="Quiet hours" narrow {read} commit={quiet} bind:text={() => typed ?? stored, (text) => (typed = text)} />
</div>

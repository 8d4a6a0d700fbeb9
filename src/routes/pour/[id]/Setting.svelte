<script lang="ts">
  import BenchDialog from './BenchDialog.svelte';
  import { keyOf, voice } from './voice.svelte';

  /** How the bench speaks, sounds and is pressed, on this device. */
  interface Props {
    open: boolean;
    /** Whether the screen is kept awake; undefined while that is not known. */
    awake: boolean | undefined;
  }
  let { open = $bindable(), awake }: Props = $props();

  let learning = $state(false);
  $effect(() => {
    if (!learning) return;
    const learn = (event: KeyboardEvent) => {
      event.preventDefault();
      event.stopPropagation();
      if (event.key !== 'Escape') voice.learn(keyOf(event));
      learning = false;
    };
    window.addEventListener('keydown', learn, { capture: true });
    return () => window.removeEventListener('keydown', learn, { capture: true });
  });
  $effect(() => {
    if (!open) learning = false;
  });
  const button =
    'flex min-h-16 w-full items-center justify-between gap-3 rounded-[5px] border-2 border-nightline px-4 text-left text-[18px]';
</script>

<BenchDialog bind:open title="Voice, sounds and foot switch" says="Kept on this device. What is said always stands on the screen too.">
  <div class="mt-3 flex flex-col gap-2">
    <button
      type="button"
      class={button}
      aria-pressed={voice.speech}
      disabled={!voice.able}
      onclick={() => voice.turn('speech', !voice.speech)}
      ><span>Spoken prompts</span><b>{voice.able ? (voice.speech ? 'on' : 'off') : 'this browser has no voice'}</b></button
    >
    <button type="button" class={button} aria-pressed={voice.sounds} onclick={() => voice.turn('sounds', !voice.sounds)}
      ><span>Sounds, and the beat of a heat pass</span><b>{voice.sounds ? 'on' : 'off'}</b></button
    >
    <button type="button" class={button} aria-pressed={learning} onclick={() => (learning = !learning)}
      ><span>{learning ? 'Press your foot switch now' : 'A foot switch that presses Done'}</span><b
        >{learning ? '…' : (voice.foot ?? 'none')}</b
      ></button
    >
    {#if voice.foot}<button type="button" class={button} onclick={() => voice.learn(undefined)}>Forget the foot switch</button>{/if}
    <p class="text-[16px] text-nightsoft" role="status">
      {awake
        ? 'The screen is kept awake while you pour.'
        : awake === false
          ? 'This device does not let a page keep its screen awake: set it so that it does not sleep.'
          : ''}
    </p>
  </div>
</BenchDialog>

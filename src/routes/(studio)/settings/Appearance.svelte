<script lang="ts">
  import Choice from '$lib/ui/Choice.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { appearance, type Theme } from '$lib/ui/theme.svelte';

  /** How the screens look on this device; the studio's file knows nothing of it. */
  const themes = [
    { value: 'system', label: 'as this device is' },
    { value: 'light', label: 'light' },
    { value: 'dark', label: 'dark' },
  ] as const satisfies { value: Theme; label: string }[];
</script>

<Sheet title="This device" aside="kept here, and not in the studio’s file">
  <div class="grid gap-4 p-4 sm:grid-cols-3">
    <Choice
      label="Screens"
      value={appearance.choice}
      options={themes}
      hint="The work is drawn the same in both; Pour is always dark."
      onchange={(theme) => appearance.choose(theme)}
    />
  </div>
</Sheet>

/** Where a piece stands, what it is doing and what can be begun with it, fetched beside its plan. */
export { doingNow } from '$lib/ui/doing';
export { whereStands } from '$lib/ui/standings.svelte';
export { default as StartPour } from './StartPour.svelte';

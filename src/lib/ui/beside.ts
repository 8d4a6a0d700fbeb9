/** What stands on every screen beside its own: the air, the tide line, notices, what could not be read. They bring the planner with them, and are fetched once the screen is drawn. */
export { default as AirNow } from './AirNow.svelte';
export { default as AsideLine } from './AsideLine.svelte';
export { default as Notices } from './Notices.svelte';
export { default as TideLine } from './TideLine.svelte';

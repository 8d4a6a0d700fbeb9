/** The chart of a batch's clock, fetched with its library when the steps have been drawn. */
export { default as ClockChart } from '$lib/ui/ClockChart.svelte';

/** A room of the house: which rooms and packages it may import, and which files of them it may not know. What is not named is refused. */
export interface Room {
  rooms: readonly string[];
  packages?: readonly string[];
  hidden?: readonly string[];
}

const core = (names: string): string[] => names.split(' ').map((name) => `core/${name}`);
/** Only the store touches the database; others use its functions. */
const DATABASE = ['src/lib/store/db'];
const EVERY_CORE = core(
  'units document craft geometry mix air cure tint level foam coat edit prepare schedule plan pour record bench calendar stock advice rehearse picture learn faults formats report simulate',
);

/** From the ground up: what a room may import stands above it here. */
export const rooms: Record<string, Room> = {
  'core/units': { rooms: [] },
  'core/document': { rooms: core('units'), packages: ['typebox', 'ajv'] },
  'core/craft': { rooms: core('document') },
  'core/geometry': { rooms: core('document'), packages: ['clipper-lib', 'polylabel', 'simplify-js'] },
  'core/mix': { rooms: core('units document craft') },
  'core/air': { rooms: core('document'), packages: ['@date-fns/tz'] },
  'core/cure': { rooms: core('document mix air') },
  'core/tint': { rooms: core('document craft mix'), packages: ['culori', 'ml-matrix'] },
  'core/level': { rooms: core('document') },
  'core/foam': { rooms: [] },
  'core/coat': { rooms: core('document craft geometry mix tint') },
  'core/edit': { rooms: core('document craft geometry air coat') },
  'core/prepare': { rooms: core('units document craft mix') },
  'core/schedule': { rooms: core('document geometry cure') },
  'core/plan': { rooms: core('units document craft geometry mix air cure tint level coat prepare') },
  'core/pour': { rooms: core('units document craft mix air cure coat plan') },
  'core/record': { rooms: core('document cure coat prepare schedule plan pour') },
  'core/bench': { rooms: core('units document craft geometry mix air cure level foam coat prepare plan pour record') },
  'core/calendar': { rooms: core('units document craft air cure coat plan prepare schedule record bench') },
  'core/stock': { rooms: core('document craft mix air coat prepare plan pour record') },
  'core/advice': { rooms: core('units document craft geometry mix air cure tint level foam coat edit prepare plan pour calendar') },
  'core/rehearse': { rooms: core('units document craft geometry mix cure tint foam coat plan') },
  'core/picture': { rooms: core('units document craft geometry tint foam coat plan rehearse'), packages: ['ml-matrix'] },
  'core/learn': { rooms: core('units document craft geometry mix air cure tint level foam coat plan pour record rehearse') },
  'core/faults': { rooms: core('units document craft mix air cure coat edit plan pour record') },
  'core/formats': {
    rooms: core('units document craft geometry mix air tint coat edit prepare plan pour calendar stock'),
    packages: ['fast-xml-parser', 'ical-generator', 'ical.js', 'papaparse', 'svgpath'],
  },
  'core/report': { rooms: core('units document craft mix air cure tint coat edit prepare plan pour record calendar stock advice learn') },
  'core/simulate': { rooms: core('document geometry tint') },

  'lib/store': {
    rooms: core('units document craft geometry edit air plan pour record bench calendar learn'),
    packages: ['dexie', 'microdiff', 'svelte'],
  },
  'lib/planner': { rooms: core('plan') },
  'lib/zone': { rooms: core('air') },
  'lib/work': {
    rooms: [
      ...core('document geometry edit air cure tint foam plan pour record calendar stock rehearse picture learn formats simulate'),
      'lib/store',
      'lib/zone',
    ],
    packages: ['comlink', 'image-size', '@zip.js/zip.js', '@noble/hashes'],
    hidden: DATABASE,
  },
  'lib/devices': { rooms: core('simulate') },
  'lib/server': { rooms: core('simulate') },
  'lib/ui': {
    rooms: [...EVERY_CORE, 'lib/planner', 'lib/zone', 'lib/store', 'lib/work', 'lib/devices'],
    packages: ['svelte', '$app/state', '@tanstack/svelte-table', 'bits-ui', 'chart.js', 'svelte-sonner', 'svelte-dnd-action', 'tinykeys'],
    hidden: DATABASE,
  },
  // a screen knows the parts and not the other screens
  routes: {
    rooms: [
      ...EVERY_CORE,
      'lib/planner',
      'lib/zone',
      'lib/store',
      'lib/work',
      'lib/devices',
      'lib/server',
      'lib/ui',
      'app',
      'demo',
      'format',
    ],
    packages: ['svelte', '$app/*', '$env/*', '@sveltejs/kit', 'bits-ui', 'svelte-dnd-action', 'tinykeys'],
    hidden: DATABASE,
  },
  app: { rooms: [], packages: ['@sveltejs/kit', '$service-worker'] },
};

/** Names that belong to Node, to the browser or to neither's language: the core has none of them. */
export const foreign: readonly string[] = (
  'performance crypto Buffer process global globalThis window self document navigator location localStorage sessionStorage indexedDB ' +
  'fetch XMLHttpRequest WebSocket Worker setTimeout setInterval setImmediate clearTimeout clearInterval queueMicrotask ' +
  'requestAnimationFrame requestIdleCallback require module __dirname __filename console alert'
).split(' ');

/** Clocks and chance that the language itself has. */
export const clocks: readonly string[] = ['Date.now', 'Math.random', 'Temporal.Now'];

import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

/**
 * Dozens of files of a few hundred bytes each compress badly, so that what goes together is put together: what every screen
 * wants, what the log and the bench want too, and what boards are cut and pieces planned with.
 */
const groups = [
  {
    name: 'ground',
    test: /src\/core\/(units\/(?!read|number|hand-read|thickness|ratio|tilt)|air\/(?!damp|days|climate|said)|cure\/rate|craft\/(?!schools|standing|seas|turns|slopes|dressings|dabs|palette|studio)|geometry\/seeded|document\/(?!validate|open|misfits|references|ladder|limits|problem|rules))/,
    priority: 3,
    minShareCount: 6,
  },
  {
    name: 'amounts',
    test: /src\/core\/(mix\/(?!measured|rounded|proportion|typed-dose)|tint\/(?!build|by-eye|card|counted|differ|hides|match|measure|read-colour|slope|swatch|target)|coat|prepare\/(?!words|dial|additive|between)|advice\/(cautions|finding))|node_modules\/culori\//,
    priority: 2,
    minShareCount: 6,
  },
  {
    name: 'parts',
    test: /src\/lib\/(store\/(?!reads|air|asked|diary|notices|pours|held|edits|patch)|zone|ui\/(?!standings|calendar|DayBars|DayPatterns|Notices|newer|device|FileButton|Field|LiveField|LengthField|NameField|SchoolField|ruler|TideLine|Thumb|BoardDrawing|together|LineChart|ClockChart|BeadCheck|SliderField|RoomUsual|AirNow|airs|bands|thermometer|hours|theme|table|PaperPage|Findings))|src\/core\/(record\/(times|summary|session)|edit\/(tenth|ids))|node_modules\/(microdiff|tinykeys)\//,
    priority: 0,
    minShareCount: 10,
  },
  {
    name: 'plan',
    test: /src\/core\/(geometry\/(?!seeded|middle)|plan\/(?!section|seen|lacing|white|weight|drawable|loose|level|curves|likely|heat)|cure\/(?!airs|age-line|rate|bead|sure))|node_modules\/(clipper-lib|simplify-js)\//,
    priority: 1,
    minShareCount: 6,
  },
];

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  build: { rolldownOptions: { output: { codeSplitting: { groups } } } },
});

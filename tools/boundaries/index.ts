/** npm run boundaries [--picture]: whether every file keeps to what its room may import, without circles; or the picture of it. */
import { writeFileSync } from 'node:fs';
import { check, circles } from './check';
import { filesOf, importsBetween } from './house';
import { picture } from './picture';

const files = filesOf();
const imports = importsBetween(files);
const refused = [...files].flatMap(([file, text]) => check(file, text));
const round = circles(imports);
for (const { file, says } of refused) console.error(`${file}: ${says}`);
for (const circle of round) console.error(`These import one another in a circle: ${circle.join(', ')}`);
if (process.argv.includes('--picture')) writeFileSync(new URL('../../docs/imports.svg', import.meta.url), picture(imports));
if (refused.length || round.length) process.exit(1);
console.log(`${files.size} files keep to their rooms.`);

/** npm run -s plan -- studio.json [--piece NAME] [--now 2026-11-25T13:36:00Z] [--zone CET]: prints as JSON what the screens show. */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { Zone } from '#core/air';
import { openStudio, writeProblem } from '#core/document';
import { drawingProblem, Planner } from '#core/plan';
import { pieceReport, shelfReport, slopesReport } from '#core/report';

function stop(says: string): never {
  console.error(says);
  process.exit(1);
}

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { piece: { type: 'string' }, now: { type: 'string' }, zone: { type: 'string' } },
});
const path = positionals[0] ?? stop('Give a studio file, as in: npm run -s plan -- src/demo/studio.json');
const now = values.now ? Date.parse(values.now) : Date.now();
if (Number.isNaN(now)) stop(`“${values.now}” is not a moment. Write one as 2026-11-25T13:36:00Z.`);

let text: string;
try {
  text = readFileSync(path, 'utf8');
} catch {
  stop(`${path} cannot be read. Give the path of a studio file.`);
}
const opened = openStudio(text);
if (!opened.ok) stop([`${path} is not a studio Nerite can open.`, ...opened.problems.map(writeProblem)].join('\n'));
const { studio } = opened;
const pieces = studio.pieces.filter((p) => !values.piece || p.name === values.piece || p.id === values.piece);
if (values.piece && !pieces.length)
  stop(`No piece is called “${values.piece}”. There are: ${studio.pieces.map((p) => p.name).join(', ')}.`);
const tangled = studio.pieces.flatMap((piece, i) => drawingProblem(piece, `/pieces/${i}`) ?? []);
if (tangled.length) stop([`${path} holds a drawing that cannot be cut.`, ...tangled.map(writeProblem)].join('\n'));
const zone = zoneNamed(values.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone);
const asked = { now, zone, planner: new Planner() };
console.log(
  JSON.stringify(
    {
      pieces: pieces.map((piece) => pieceReport(piece, studio, asked)),
      shelf: shelfReport(studio, asked),
      slopes: slopesReport(studio),
    },
    null,
    2,
  ),
);

function zoneNamed(name: string): Zone {
  try {
    return new Zone(name);
  } catch (error) {
    return stop((error as Error).message);
  }
}

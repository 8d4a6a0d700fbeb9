/** What the plan command prints, apart from the process that prints it. */
import { parseArgs } from 'node:util';
import { Zone } from '#core/air';
import { openStudio, writeProblem } from '#core/document';
import { drawingProblem, Planner } from '#core/plan';
import { calendarReport, logReport, pieceReport, plannedOf, shelfReport, slopesReport } from '#core/report';

/** Why there is nothing to print, in a sentence for who typed the command. */
export class Refusal extends Error {}

function refuse(says: string): never {
  throw new Refusal(says);
}

function zoneNamed(name: string): Zone {
  try {
    return new Zone(name);
  } catch (error) {
    return refuse((error as Error).message);
  }
}

const options = { piece: { type: 'string' }, now: { type: 'string' }, zone: { type: 'string' } } as const;

function asTyped(args: string[]) {
  try {
    return parseArgs({ args, allowPositionals: true, options });
  } catch (error) {
    // its first sentence says what is wrong, the rest how arguments of other commands are written
    const [what] = (error as Error).message.split('. ');
    return refuse(`${what}. Beside the studio file there may be --piece NAME, --now MOMENT and --zone ZONE.`);
  }
}

/**
 * The plan of a studio's pieces, its shelf and its slopes, as JSON.
 *
 * @param args studio.json [--piece NAME] [--now 2026-11-25T13:36:00Z] [--zone CET]
 * @param read gives the text of the file at a path, or throws
 * @throws Refusal where an argument or the file is not right
 */
export function planned(args: string[], read: (path: string) => string): string {
  const { values, positionals } = asTyped(args);
  const path = positionals[0] ?? refuse('Give a studio file, as in: npm run -s plan -- src/demo/studio.json');
  const now = values.now ? Date.parse(values.now) : Date.now();
  if (Number.isNaN(now)) refuse(`“${values.now}” is not a moment. Write one as 2026-11-25T13:36:00Z.`);

  let text: string;
  try {
    text = read(path);
  } catch {
    return refuse(`${path} cannot be read. Give the path of a studio file.`);
  }
  const opened = openStudio(text);
  if (!opened.ok) return refuse([`${path} is not a studio Nerite can open.`, ...opened.problems.map(writeProblem)].join('\n'));
  const { studio } = opened;
  const pieces = studio.pieces.filter((p) => !values.piece || p.name === values.piece || p.id === values.piece);
  if (values.piece && !pieces.length)
    refuse(`No piece is called “${values.piece}”. There are: ${studio.pieces.map((p) => p.name).join(', ')}.`);
  const tangled = studio.pieces.flatMap((piece, i) => drawingProblem(piece, `/pieces/${i}`) ?? []);
  if (tangled.length) refuse([`${path} holds a drawing that cannot be cut.`, ...tangled.map(writeProblem)].join('\n'));
  const zone = zoneNamed(values.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone);
  const planner = new Planner();
  const asked = { now, zone, planner, planned: plannedOf(studio, { now, zone, planner }) };
  return JSON.stringify(
    {
      pieces: pieces.map((piece) => pieceReport(piece, studio, asked)),
      calendar: calendarReport(asked.planned),
      shelf: shelfReport(studio, asked),
      slopes: slopesReport(studio),
      log: logReport(studio, asked),
    },
    null,
    2,
  );
}

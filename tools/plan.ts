/** npm run -s plan -- studio.json [--piece NAME] [--now 2026-11-25T13:36:00Z] [--zone CET]: prints as JSON what the screens show. */
import { readFileSync } from 'node:fs';
import { planned, Refusal } from './command';

// who reads it may have seen enough, as head has
process.stdout.once('error', () => process.exit());
try {
  console.log(planned(process.argv.slice(2), (path) => readFileSync(path, 'utf8')));
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  console.error(error.message);
  process.exitCode = 1;
}

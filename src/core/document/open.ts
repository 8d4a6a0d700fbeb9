import type { ErrorObject } from 'ajv';
import type { Problem } from './problem';
import { COLOUR, DATE, MOMENT } from './patterns';
import { referenceProblems } from './references';
import type { Studio } from './schema';
import { cupsBeforeShelf } from './before-shelf';
import { climbed } from './ladder';
import { VERSION } from './version';
import { validateStudio } from './validate.generated.js';

export type Opened = { ok: true; studio: Studio } | { ok: false; problems: Problem[] };

const one = (path: string, found: string, expected: string): Opened => ({ ok: false, problems: [{ path, found, expected }] });

const shown = (value: unknown): string => {
  if (value === undefined) return 'nothing';
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (typeof value === 'object' && value !== null) return 'an object';
  const text = JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
};

const writtenAs: Record<string, string> = { date: 'a date as 2026-11-25', 'date-time': 'a moment in UTC as 2026-11-25T13:36:00Z' };
const patterns: Record<string, string> = {
  [DATE]: writtenAs['date']!,
  [MOMENT]: writtenAs['date-time']!,
  [COLOUR]: 'a colour as #1a6e8c',
};

/** One sentence part for a failed keyword of JSON Schema, in the words of a file's reader. */
function expectation(e: ErrorObject): string {
  const p = e.params as Record<string, unknown>;
  switch (e.keyword) {
    case 'type':
      return `a value of type ${String(p['type'])}`;
    case 'required':
      return `“${String(p['missingProperty'])}” to be given`;
    case 'additionalProperties':
      return `no “${String(p['additionalProperty'])}” here`;
    case 'enum':
      return `one of ${(p['allowedValues'] as unknown[]).map((v) => JSON.stringify(v)).join(', ')}`;
    case 'const':
      return shown(p['allowedValue']);
    case 'discriminator':
      return 'a “kind” this version knows';
    case 'minimum':
      return `a number from ${String(p['limit'])}`;
    case 'exclusiveMinimum':
      return `a number above ${String(p['limit'])}`;
    case 'maximum':
      return `a number up to ${String(p['limit'])}`;
    case 'minItems':
    case 'maxItems':
      return `${e.keyword === 'minItems' ? 'at least' : 'at most'} ${String(p['limit'])} in the list`;
    case 'additionalItems':
      return `exactly ${String(p['limit'])} in the list`;
    case 'minLength':
    case 'maxLength':
      return `${e.keyword === 'minLength' ? 'at least' : 'at most'} ${String(p['limit'])} characters`;
    case 'format':
      return writtenAs[String(p['format'])] ?? 'something else';
    case 'pattern':
      return patterns[String(p['pattern'])] ?? 'an id of small letters, digits and hyphens';
    default:
      return e.message ?? 'something else';
  }
}

/** What stands at a JSON pointer (RFC 6901). */
const at = (root: unknown, pointer: string): unknown =>
  pointer
    .split('/')
    .slice(1)
    .map((key) => key.replaceAll('~1', '/').replaceAll('~0', '~'))
    .reduce((value, key) => (value as Record<string, unknown>)[key], root);

const fromSchema = (root: unknown, e: ErrorObject): Problem => ({
  path: e.instancePath,
  found: e.keyword === 'required' ? 'nothing' : shown(at(root, e.instancePath)),
  expected: expectation(e),
});

/** A studio written before there was a shelf opens with the cups everyone starts with, and nothing on it; one before slopes, readings of the air or a diary, with none. */
const whole = (studio: Studio): Studio => ({
  ...studio,
  vessels: studio.vessels ?? cupsBeforeShelf,
  stock: studio.stock ?? [],
  slopes: studio.slopes ?? [],
  air: studio.air ?? [],
  diary: studio.diary ?? [],
});

/**
 * Opens the text of a studio file. Never throws: a file of the wrong kind, of a later version or with anything
 * out of place comes back as problems, and nothing of it is used.
 */
export function openStudio(text: string): Opened {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return one('', text.trim() ? `text beginning “${text.trim().slice(0, 24)}”` : 'an empty file', 'a Nerite studio file (JSON)');
  }
  const head = (typeof data === 'object' && data !== null ? data : {}) as { format?: unknown; version?: unknown };
  if (head.format !== 'nerite-studio') return one('/format', shown(head.format), '"nerite-studio"; this is another kind of file');
  if (typeof head.version === 'number' && head.version > VERSION)
    return one('/version', shown(head.version), `up to ${VERSION}; the file was written by a later Nerite, so open it there`);
  const studio: unknown = climbed(head as Record<string, unknown>);
  const problems = problemsOf(studio);
  return problems.length ? { ok: false, problems } : { ok: true, studio: whole(studio as Studio) };
}

/** What is wrong with a studio of this version, in its shape or, where that is right, in what it names; empty where nothing is. */
export function problemsOf(studio: unknown): Problem[] {
  if (validateStudio(studio)) return referenceProblems(studio as Studio);
  return (validateStudio.errors ?? []).filter((e) => e.keyword !== 'if').map((e) => fromSchema(studio, e));
}

import { XMLParser, XMLValidator } from 'fast-xml-parser';

/** One element of an SVG, with its attributes and what stands in it, in order. */
export interface SvgElement {
  name: string;
  attributes: Record<string, string>;
  children: SvgElement[];
}

type Raw = Record<string, unknown> & { ':@'?: Record<string, string> };

/** Groups within groups that are read; drawing programs come to some dozens. */
const NESTED = 400;

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseAttributeValue: false,
  parseTagValue: false,
  // an outline needs none, and a file can be made to explode by them
  processEntities: false,
  maxNestedTags: NESTED,
  removeNSPrefix: true,
});

const element = (raw: Raw): SvgElement[] => {
  const name = Object.keys(raw).find((key) => key !== ':@');
  if (!name || name === '#text' || name.startsWith('?') || !Array.isArray(raw[name])) return [];
  return [{ name, attributes: raw[':@'] ?? {}, children: (raw[name] as Raw[]).flatMap(element) }];
};

export type SvgTree = { ok: true; svg: SvgElement } | { ok: false; says: string };

const no = (says: string): SvgTree => ({ ok: false, says });

/** The svg element of a text, or why there is none. Never throws. */
export function parseSvg(text: string): SvgTree {
  const other = no('This is not an SVG drawing. Save the outline from your drawing program as SVG.');
  if (XMLValidator.validate(text, { allowBooleanAttributes: true }) !== true) return other;
  try {
    const svg = (parser.parse(text) as Raw[]).flatMap(element).find((root) => root.name === 'svg');
    return svg ? { ok: true, svg } : other;
  } catch (error) {
    const trouble = error instanceof Error ? error.message : '';
    if (/nested/i.test(trouble)) return no(`Its groups lie more than ${NESTED} deep in each other. Ungroup the drawing and save it again.`);
    if (/entit/i.test(trouble)) return no('This drawing asks for other files, which are never opened. Save it as plain SVG.');
    return other;
  }
}

import { XMLParser, XMLValidator } from 'fast-xml-parser';

/** One element of an SVG, with its attributes and what stands in it, in order. */
export interface SvgElement {
  name: string;
  attributes: Record<string, string>;
  children: SvgElement[];
}

type Raw = Record<string, unknown> & { ':@'?: Record<string, string> };

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseAttributeValue: false,
  parseTagValue: false,
  // an outline needs none, and a file can be made to explode by them
  processEntities: false,
  removeNSPrefix: true,
});

const element = (raw: Raw): SvgElement[] => {
  const name = Object.keys(raw).find((key) => key !== ':@');
  if (!name || name === '#text' || name.startsWith('?') || !Array.isArray(raw[name])) return [];
  return [{ name, attributes: raw[':@'] ?? {}, children: (raw[name] as Raw[]).flatMap(element) }];
};

/** The svg element of a text; undefined where it is no XML or holds none. */
export function parseSvg(text: string): SvgElement | undefined {
  if (XMLValidator.validate(text, { allowBooleanAttributes: true }) !== true) return undefined;
  const roots = (parser.parse(text) as Raw[]).flatMap(element);
  return roots.find((root) => root.name === 'svg');
}

import {
  boxOf,
  limits,
  shapeProblem,
  type Edge,
  type Ground,
  type Hole,
  type Material,
  type Outline,
  type Primer,
  type Shape,
  type Underside,
  type Use,
} from '#core/document';
import type { BoardAnswers } from '#core/edit';
import { ownColours, readColours } from '#core/tint';
import { fraction, length, mass, plain, readWithin, type Reading, type Writes } from '#core/units';

/** What is typed about a board, as it is typed; nothing of it is lost while some of it cannot be read. */
export interface Typed {
  name: string;
  count: string;
  use: Use;
  kind: Shape['kind'] | 'clock';
  width: string;
  height: string;
  corner: string;
  handleLength: string;
  handleWidth: string;
  seed: string;
  uneven: string;
  clockHole: string;
  clockShaft: string;
  clockDial: string;
  thickness: string;
  material: Material;
  doubled: boolean;
  primer: Primer;
  primerCoats: string;
  relief: boolean;
  reliefHeight: string;
  reliefShare: string;
  ground: Ground | 'none';
  /** Colours of the ground, from the deep to the beach, with commas between. */
  colours: string;
  underside: Underside;
  edge: Edge;
  wallHeight: string;
  tapeOff: 'while soft' | 'after hardening';
  hanger: string;
  holes: { x: string; y: string; diameter: string; kept: 'taped' | 'open' | 'filled' }[];
  resinId: string;
}

/** What a text was written for, mm or g: it is rounded, and leaving it alone must not change what it stands for. */
export type Exact = Map<string, number>;

/** The fields of a board as they are first shown. @param exact is told what each text stands for */
export function typedFrom(start: BoardAnswers, writes: Writes, exact: Exact): Typed {
  const kept = (text: string, value: number): string => {
    exact.set(text, value);
    return text;
  };
  const write = (mm: number): string => kept(writes.length(mm), mm);
  const { shape, surface, clock } = start;
  const [width, height] = boxOf(shape);
  return {
    name: start.name,
    count: String(start.count),
    use: start.use,
    kind: clock && shape.kind === 'round' ? 'clock' : shape.kind,
    width: write(width),
    height: write(height),
    corner: write('corner' in shape ? (shape.corner ?? 0) : 0),
    handleLength: write(shape.kind === 'plank' ? shape.handle.length : 120),
    handleWidth: write(shape.kind === 'plank' ? shape.handle.width : 55),
    seed: String(shape.kind === 'slice' ? shape.seed : 1),
    uneven: `${plain(shape.kind === 'slice' ? shape.uneven * 100 : 6, 1)} %`,
    clockHole: write(clock?.hole ?? 10),
    clockShaft: write(clock?.shaft ?? 24),
    clockDial: write(clock?.dial ?? 110),
    thickness: write(start.thickness),
    material: surface.material,
    doubled: surface.doubled ?? false,
    primer: surface.primer,
    primerCoats: String(surface.primerCoats || 3),
    relief: Boolean(surface.relief),
    reliefHeight: write(surface.relief?.height ?? 3),
    reliefShare: `${plain((surface.relief?.share ?? 0.3) * 100, 0)} %`,
    ground: surface.ground ?? 'none',
    colours: surface.colours?.join(', ') ?? '',
    underside: surface.underside ?? 'none',
    edge: start.edge,
    wallHeight: write(start.wallHeight ?? 12),
    tapeOff: start.tapeOff ?? 'after hardening',
    hanger: start.hangerKg === undefined ? '' : kept(writes.heavy(start.hangerKg * 1000), start.hangerKg * 1000),
    holes: (start.holes ?? []).map((h) => ({
      x: write(h.x),
      y: write(h.y),
      diameter: write(h.diameter),
      kept: h.filled ? 'filled' : h.taped ? 'taped' : 'open',
    })),
    resinId: start.resinId,
  };
}

/** How each field of a board is read, in the studio's unit. @param exact what texts that were not typed stand for */
export function readersOf(writes: Writes, exact: Exact) {
  const write = writes.length;
  const unit = writes.units.length;
  const mm =
    (range: { min: number; max: number }, what: string) =>
    (text: string): Reading => {
      const value = exact.get(text.trim());
      return value === undefined ? readWithin(length, text, range, what, write, unit) : { ok: true, value };
    };
  const share = (range: { min: number; max: number }, what: string) => (text: string) =>
    readWithin(fraction, text, range, what, (v) => `${plain(v * 100, 1)} %`, '%');
  const whole =
    (range: { min: number; max: number }) =>
    (text: string): Reading => {
      const n = Number(text.trim());
      return text.trim() && Number.isInteger(n) && n >= range.min && n <= range.max
        ? { ok: true, value: n }
        : { ok: false, says: `Give a whole number from ${range.min} to ${range.max}.` };
    };
  return {
    name: (text: string): Reading =>
      text.trim() && text.trim().length <= 80
        ? { ok: true, value: 0 }
        : { ok: false, says: 'Give the piece a name of up to 80 letters, as in “Kelp Cove I”.' },
    count: whole(limits.count),
    width: mm(limits.side, 'A side'),
    height: mm(limits.side, 'A side'),
    corner: mm(limits.corner, 'A corner'),
    handleLength: mm(limits.side, 'A handle'),
    handleWidth: mm(limits.side, 'A handle'),
    seed: whole({ min: 0, max: 999999 }),
    uneven: share(limits.uneven, 'A rim'),
    clockHole: mm(limits.shaft, 'A hole'),
    clockShaft: mm(limits.shaft, 'A thread'),
    clockDial: mm(limits.side, 'A dial'),
    thickness: mm(limits.thickness, 'A thickness'),
    primerCoats: whole({ min: 1, max: 9 }),
    reliefHeight: mm(limits.relief, 'A texture'),
    reliefShare: share({ min: 0, max: 1 }, 'A share'),
    colours: (text: string): Reading => {
      const reading = readColours(text, limits.colours.max);
      return reading.ok ? { ok: true, value: reading.value.length } : reading;
    },
    wallHeight: mm(limits.wall, 'A wall'),
    hanger: (text: string): Reading =>
      text.trim() === ''
        ? { ok: true, value: 0 }
        : exact.has(text.trim())
          ? { ok: true, value: exact.get(text.trim())! }
          : readWithin(
              mass,
              text,
              { min: limits.hanger.min * 1000, max: limits.hanger.max * 1000 },
              'A hanger',
              writes.heavy,
              writes.units.weight === 'g' ? 'kg' : 'lb',
            ),
    place: mm(limits.place, 'A place'),
    diameter: mm(limits.hole, 'A hole'),
  };
}
export type Readers = ReturnType<typeof readersOf>;

/** Whether the colour of its ground is the artist's to say: of paint, or of a board that nothing hides. */
export const coloured = ({ material, primer, ground }: Typed): boolean =>
  ownColours({ material, primer, primerCoats: 0, ...(ground !== 'none' && { ground }) });

export const primed = (t: Typed): boolean => t.primer === 'gesso' || t.primer === 'paint' || t.primer === 'clear sealer';

/** Whether all that stands under the fold can be read. */
export const restReads = (t: Typed, read: Readers): boolean =>
  read.count(t.count).ok &&
  (!primed(t) || read.primerCoats(t.primerCoats).ok) &&
  read.hanger(t.hanger).ok &&
  (!coloured(t) || read.colours(t.colours).ok) &&
  (!t.relief || (read.reliefHeight(t.reliefHeight).ok && read.reliefShare(t.reliefShare).ok)) &&
  t.holes.every((h) => read.place(h.x).ok && read.place(h.y).ok && read.diameter(h.diameter).ok);

export type BoardReading = { ok: true; answers: BoardAnswers } | { ok: false; says: string };

class Unread extends Error {}

/** Reads all that was typed, or says the first thing that is not right. @param outline what was read from a file, if anything */
export function readBoard(t: Typed, outline: Outline | undefined, read: Readers): BoardReading {
  const value = (key: keyof Readers, text: string): number => {
    const reading = read[key](text);
    if (!reading.ok) throw new Unread(reading.says);
    return reading.value;
  };
  const shapeOf = (): Shape => {
    if (t.kind === 'outline') {
      if (!outline) throw new Unread('Open an SVG file with the outline first.');
      return outline;
    }
    const width = value('width', t.width);
    if (t.kind === 'round' || t.kind === 'clock') return { kind: 'round', diameter: width };
    const sides = { width, height: value('height', t.height) };
    switch (t.kind) {
      case 'rectangle':
      case 'plank': {
        const corner = value('corner', t.corner);
        const rounded = { ...sides, ...(corner > 0 && { corner }) };
        return t.kind === 'rectangle'
          ? { kind: 'rectangle', ...rounded }
          : {
              kind: 'plank',
              ...rounded,
              handle: { length: value('handleLength', t.handleLength), width: value('handleWidth', t.handleWidth) },
            };
      }
      case 'slice':
        return { kind: 'slice', ...sides, seed: value('seed', t.seed), uneven: value('uneven', t.uneven) };
      default:
        return { kind: t.kind, ...sides };
    }
  };
  try {
    value('name', t.name);
    const shape = shapeOf();
    const problem = shapeProblem(shape);
    if (problem) throw new Unread(problem);
    const holes = t.holes.map((h): Hole => ({
      x: value('place', h.x),
      y: value('place', h.y),
      diameter: value('diameter', h.diameter),
      ...(h.kept === 'taped' && { taped: true }),
      ...(h.kept === 'filled' && { filled: true }),
    }));
    const hanger = value('hanger', t.hanger);
    const named = coloured(t) ? readColours(t.colours, limits.colours.max) : undefined;
    if (named && !named.ok) throw new Unread(named.says);
    const colours = named?.value ?? [];
    return {
      ok: true,
      answers: {
        name: t.name.trim(),
        count: value('count', t.count),
        use: t.use,
        shape,
        holes,
        thickness: value('thickness', t.thickness),
        surface: {
          material: t.material,
          primer: t.primer,
          primerCoats: primed(t) ? value('primerCoats', t.primerCoats) : 0,
          ...(t.doubled && { doubled: true }),
          ...(t.relief && { relief: { height: value('reliefHeight', t.reliefHeight), share: value('reliefShare', t.reliefShare) } }),
          ...(t.ground !== 'none' && { ground: t.ground }),
          ...(colours.length > 0 && { colours }),
          ...(t.underside !== 'none' && { underside: t.underside }),
        },
        edge: t.edge,
        ...(t.edge === 'wall' && { wallHeight: value('wallHeight', t.wallHeight) }),
        ...(t.edge === 'taped' && { tapeOff: t.tapeOff }),
        ...(t.kind === 'clock' && {
          clock: { hole: value('clockHole', t.clockHole), shaft: value('clockShaft', t.clockShaft), dial: value('clockDial', t.clockDial) },
        }),
        ...(hanger > 0 && { hangerKg: hanger / 1000 }),
        resinId: t.resinId,
      },
    };
  } catch (error) {
    if (error instanceof Unread) return { ok: false, says: error.message };
    throw error;
  }
}

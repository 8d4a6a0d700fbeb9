import { foamOver, kindOf, threadFilm, type Covers, type Site } from '#core/coat';
import { openOf } from '#core/craft';
import { isLine, type Coat, type Colourant, type LineCoat, type Sea } from '#core/document';
import { inlandBand, partition, partsOf, type Cut, type Region, type Ring } from '#core/geometry';
import { grainGround, hexOf } from '#core/tint';
import { areaIn, coated, groundStack, hexOn, laidOn, type Stack } from './stack';
import { wetWaves, type Stage } from './stage';

/** A piece of the board that is one colour throughout, "#rrggbb"; undefined where no model knows it, which is hatched. */
export interface Patch {
  rings: Ring[];
  /** 0 the beach, the sea from the shore seaward, then areas. */
  part: number;
  colour?: string;
}

/** The foam of one wave, or one thread: its colour on the beach and on each part of the sea, through what is laid over it. */
export interface FoamColour {
  coatId: string;
  /** Share of it that stays closed: all of a thread. */
  closed: number;
  parts: (string | undefined)[];
  /** Colours of white so thick that it hides what is below, a wave's alone: its picture is mixed from them. */
  thick?: (string | undefined)[];
}

/** White of a picture of foam that hides what is below, mm. */
export const THICK_WHITE = 1;

/** Colours of the chart, seen through every coat laid over them. */
export interface ChartColours {
  patches: Patch[];
  foams: FoamColour[];
  /** Bands of the beach: gravel has no colour of its own in the models; dry sand stays as pale as it is. */
  gravel?: Ring[];
  dry?: { rings: Ring[]; colour: string };
}

/** A patch while its coats are gathered. */
interface Pile {
  rings: Ring[];
  part: number;
  stack: Stack;
}

/** Foam or a thread while the coats over it are gathered, part by part. */
interface FoamPiles {
  line: LineCoat;
  stacks: Stack[];
  thick?: Stack[];
}

/** Coats are gathered patch by patch: one that covers only some of a patch parts it. */
class Chart {
  readonly #site: Site;
  readonly #colourants: Colourant[];
  readonly #parts: Region[];
  piles: Pile[];
  readonly foams: FoamPiles[] = [];

  constructor(site: Site, cut: Cut, colourants: Colourant[]) {
    this.#site = site;
    this.#colourants = colourants;
    this.#parts = partsOf(cut);
    this.piles = this.#parts.map(({ rings }, part) => ({ rings, part, stack: groundStack(site, part) }));
  }

  #regionOf(coat: Coat, part: number): Region {
    return partsOf(this.#site.regions.get(coat.id)!)[part]!;
  }

  /** Foam is shown whole over each part: where a later coat covers only some of it, the rest shows as covered too. */
  addLine(line: LineCoat): void {
    const means = { colourants: this.#colourants, method: this.#site.method };
    const covers =
      line.kind === 'wave'
        ? foamOver(line, means, 1)
        : kindOf(line).covers(line, { ...means, part: 0, parts: 1, own: { place: 0, of: 1 } });
    const film = line.kind === 'wave' ? 0 : threadFilm(line);
    const first = this.#parts.map((_, part) => this.piles.find((p) => p.part === part)!);
    const over = (by: Covers): Stack[] => first.map(({ stack }) => laidOn(stack, by, film));
    const thick = line.kind === 'wave' && foamOver(line, means, 1, THICK_WHITE);
    this.foams.push({ line, stacks: over(covers), ...(thick && { thick: over(thick) }) });
  }

  addFilm(coat: Exclude<Coat, LineCoat>): void {
    this.piles = this.piles.flatMap((pile) => {
      const region = this.#regionOf(coat, pile.part);
      if (region.area === 0) return [pile];
      const stack = coated(pile.stack, this.#site, coat, pile.part, this.#colourants);
      if (region === this.#parts[pile.part]) return [{ ...pile, stack }];
      const { inside, outside } = partition(pile.rings, region.rings);
      return [...(inside.length ? [{ ...pile, rings: inside, stack }] : []), ...(outside.length ? [{ ...pile, rings: outside }] : [])];
    });
    const under = (stack: Stack, part: number): Stack =>
      areaIn(this.#site, coat, part) > 0 ? coated(stack, this.#site, coat, part, this.#colourants) : stack;
    for (const foam of this.foams) {
      foam.stacks = foam.stacks.map(under);
      if (foam.thick) foam.thick = foam.thick.map(under);
    }
  }
}

/**
 * Colours of each part of the board: the ground, the coats over it, and the surface once, at the outermost.
 * @param stage how far the piece has come; all coats hard where it is left out
 */
export function chartColours(site: Site, cut: Cut, colourants: Colourant[], stage?: Stage): ChartColours {
  const { piece, method } = site;
  const coats = stage ? piece.coats.slice(0, stage.coats) : piece.coats;
  const closed = stage && wetWaves(site, stage);
  const chart = new Chart(site, cut, colourants);
  for (const coat of coats)
    if (isLine(coat)) chart.addLine(coat);
    else chart.addFilm(coat);
  // what is strewn on the beach comes with its sand
  const { gravel, dry }: Partial<Sea> = coats.length === piece.coats.length || coats.some((c) => c.kind === 'sand') ? piece.sea : {};
  return {
    patches: chart.piles.map(({ rings, part, stack }) => {
      const colour = hexOn(stack);
      return { rings, part, ...(colour !== undefined && { colour }) };
    }),
    foams: chart.foams.map(({ line, stacks, thick }) => ({
      coatId: line.id,
      closed: line.kind === 'thread' || closed?.has(line.id) ? 1 : 1 - openOf(line, method.foamOpen),
      parts: stacks.map(hexOn),
      ...(thick && { thick: thick.map(hexOn) }),
    })),
    ...(gravel && { gravel: inlandBand(cut, gravel.from, gravel.to).rings }),
    ...(dry && {
      dry: {
        rings: inlandBand(cut, dry.from).rings,
        colour: hexOf(grainGround('sand', coats.find((c) => c.kind === 'sand')?.colour).bare),
      },
    }),
  };
}

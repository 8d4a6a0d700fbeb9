import { holesOf, type Coat, type Colourant, type Method, type Piece, type Resin } from '#core/document';
import { bounds, cutBoard, outlineArea, rimLength, type Bounds, type Cut } from '#core/geometry';
import type { Batch } from './batch';
import { chartColours, type ChartColours } from './colours';
import { planCoat, type CoatPlan } from './coats';
import { buildUp, gridOf, meanFilm, type BuildUp } from './heights';
import { regionsOfCoats, type Site } from './site';
import { mixed } from './split';
import { inOrder, type Step } from './steps';

/** What a piece is planned with: the studio's materials and habits, and the air it is poured in. */
export interface Means {
  resins: Resin[];
  colourants: Colourant[];
  method: Method;
  /** °C at the bench */
  roomC: number;
}

/** Coats laid in one session, and everything that follows from them. */
export interface PourPlan {
  coats: CoatPlan[];
  batches: Batch[];
  steps: Step[];
  /** Wet film that stands on the board at its thickest, mm. */
  film: number;
}

/** Everything that can be said of a piece from its drawing and its coats. */
export interface PiecePlan {
  piece: Piece;
  means: Means;
  bounds: Bounds;
  /** mm² and mm, of one piece */
  area: number;
  rim: number;
  cut: Cut;
  /** What heights are reckoned from. */
  site: Site;
  coats: CoatPlan[];
  pours: PourPlan[];
  colours: ChartColours;
}

/** Coats in the sessions they are poured in: a coat joins the one below it where it says so. */
export const groupCoats = (coats: Coat[]): Coat[][] =>
  coats.reduce<Coat[][]>((groups, coat) => {
    const last = groups.at(-1);
    if (last && coat.samePour) last.push(coat);
    else groups.push([coat]);
    return groups;
  }, []);

function planPour(coats: CoatPlan[], means: Means): PourPlan {
  const parts = [0, ...(coats[0]?.regions.sea ?? []).map((_, i) => i + 1)];
  const filmAt = (part: number): number =>
    coats
      .filter((c) => c.coat.kind !== 'wave' && (part === 0 ? c.regions.beach : c.regions.sea[part - 1]!).area > 0)
      .reduce((sum, c) => sum + c.film, 0);
  const { batches, steps, laid } = mixed(inOrder(coats), means.resins, means);
  return {
    coats: coats.map((c) => laid.find((l) => l.coat === c.coat) ?? c),
    batches,
    steps,
    film: Math.max(...parts.map(filmAt)),
  };
}

const cuts = new WeakMap<Piece['sea'], { piece: Piece; cut: Cut }>();

/** A cut is kept while shape, holes and sea are the same objects: most edits leave the drawing alone. */
function cutOf(piece: Piece): Cut {
  const kept = cuts.get(piece.sea);
  if (kept && kept.piece.shape === piece.shape && kept.piece.holes === piece.holes && kept.piece.clock === piece.clock) return kept.cut;
  const cut = cutBoard(piece.shape, holesOf(piece), piece.sea);
  cuts.set(piece.sea, { piece, cut });
  return cut;
}

const builds = new WeakMap<Site, BuildUp>();

/** The board built up coat by coat over a grid; reckoned when first asked for. */
export function buildUpOf({ site }: Pick<PiecePlan, 'site'>): BuildUp {
  let build = builds.get(site);
  if (!build) builds.set(site, (build = buildUp(site, gridOf(site.piece.shape))));
  return build;
}

const plans = new WeakMap<Piece, PiecePlan>();

/**
 * Plans a piece. Pure; the same piece and means give the same plan, which is kept while both are the same objects.
 * @throws RangeError where a coat names a resin that is not among the means
 */
export function planPiece(piece: Piece, means: Means): PiecePlan {
  const kept = plans.get(piece);
  if (kept?.means === means) return kept;
  const plan = planAnew(piece, means);
  plans.set(piece, plan);
  return plan;
}

function planAnew(piece: Piece, means: Means): PiecePlan {
  const { method, colourants } = means;
  const cut = cutOf(piece);
  const site: Site = { piece, cut, method, regions: regionsOfCoats(piece, cut) };
  const planned = piece.coats.map((coat, i) => {
    const resin = means.resins.find((r) => r.id === coat.resinId);
    if (!resin) throw new RangeError(`coat ${i + 1} of ${piece.name} names a resin that is not on the shelf`);
    return planCoat({ ...site, resin, colourants, meanFilm: (c) => meanFilm(buildUpOf({ site }), c) }, coat, i + 1);
  });
  const pours = groupCoats(piece.coats).map((group) =>
    planPour(
      planned.filter((c) => group.includes(c.coat)),
      means,
    ),
  );
  return {
    piece,
    means,
    bounds: bounds(piece.shape),
    area: outlineArea(piece.shape, holesOf(piece)),
    rim: rimLength(piece.shape),
    cut,
    site,
    coats: pours.flatMap((pour) => pour.coats),
    pours,
    colours: chartColours(site, cut, colourants),
  };
}

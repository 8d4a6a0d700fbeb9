import { coatNames, type Site } from '#core/coat';
import { holesOf, type Coat, type Piece, type Resin } from '#core/document';
import { allowances, blamed, bounds, CutError, cutBoard, lent, outlineArea, rimLength, type Bounds, type Cut } from '#core/geometry';
import type { Batch } from './batch';
import { planCoat, type CoatPlan } from './coats';
import { chartColours, type ChartColours } from './colours';
import { buildUp, gridOf, meanFilm, type BuildUp } from './heights';
import { agedResins, benchOf, type Means } from './means';
import { mixedTogether } from './mixing';
import { siteOf } from './site';
import type { Step } from './steps';

/** Coats laid in one session, and everything that follows from them. */
export interface PourPlan {
  coats: CoatPlan[];
  /** The same coats in the order they are laid, each with cups of its own. */
  own: CoatPlan[];
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

function planPour(coats: CoatPlan[], resins: Resin[], means: Means): PourPlan {
  const parts = [0, ...(coats[0]?.regions.sea ?? []).map((_, i) => i + 1)];
  const filmAt = (part: number): number =>
    coats
      .filter((c) => c.coat.kind !== 'wave' && (part === 0 ? c.regions.beach : c.regions.sea[part - 1]!).area > 0)
      .reduce((sum, c) => sum + c.film, 0);
  const { batches, steps, coats: laid } = mixedTogether(coats, resins, benchOf(means));
  return {
    coats: coats.map((c) => ({ ...(laid.find((l) => l.coat.id === c.coat.id) ?? c), coat: c.coat })),
    own: coats,
    batches,
    steps,
    film: Math.max(...parts.map(filmAt)),
  };
}

const cuts = new WeakMap<Piece['sea'], { piece: Piece; cut: Cut | CutError }>();

/** A cut, or that it was given up, is kept while shape, holes and sea are the same objects: most edits leave the drawing alone. */
function cutOf(piece: Piece): Cut {
  let kept = cuts.get(piece.sea);
  if (!kept || kept.piece.shape !== piece.shape || kept.piece.holes !== piece.holes || kept.piece.clock !== piece.clock)
    cuts.set(piece.sea, (kept = { piece, cut: cutOrError(piece) }));
  if (kept.cut instanceof CutError) throw kept.cut;
  return kept.cut;
}

function cutOrError(piece: Piece): Cut | CutError {
  try {
    return cutBoard(piece.shape, holesOf(piece), piece.sea);
  } catch (error) {
    if (error instanceof CutError) return error;
    throw error;
  }
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
 * @throws CutError   where its curves are too tangled to be cut
 */
export function planPiece(piece: Piece, means: Means): PiecePlan {
  const kept = plans.get(piece);
  if (kept?.means === means) return kept;
  try {
    const plan = lent(allowances.plan, () => planAnew(piece, means));
    plans.set(piece, plan);
    return plan;
  } catch (error) {
    throw blamed(error, piece.sea);
  }
}

/** Plans a piece where that can be done; lists go on without one that names a resin that is gone, or cannot be cut. */
export function planIfAble(piece: Piece, means: Means): PiecePlan | undefined {
  if (piece.coats.some((coat) => !means.resins.some((resin) => resin.id === coat.resinId))) return undefined;
  try {
    return planPiece(piece, means);
  } catch (error) {
    if (error instanceof CutError) return undefined;
    throw error;
  }
}

function planAnew(piece: Piece, means: Means): PiecePlan {
  const { method, colourants, scaleStep = 0.1 } = means;
  const resins = agedResins(means);
  const cut = cutOf(piece);
  const site = siteOf(piece, cut, method);
  const names = coatNames(piece.coats);
  const planned = site.piece.coats.map((coat) => {
    const number = piece.coats.findIndex((c) => c.id === coat.id) + 1;
    const resin = resins.find((r) => r.id === coat.resinId);
    if (!resin) throw new RangeError(`coat ${number} of ${piece.name} names a resin that is not on the shelf`);
    const setting = { ...site, resin, colourants, scaleStep, meanFilm: (c: Coat) => meanFilm(buildUpOf({ site }), c) };
    return planCoat(setting, coat, number, names.get(coat.id));
  });
  const pours = site.pours.map((group) =>
    planPour(
      planned.filter((c) => group.includes(c.coat)),
      resins,
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
    coats: pours.flatMap((pour) => pour.coats).sort((a, b) => a.number - b.number),
    pours,
    colours: chartColours(site, cut, colourants),
  };
}

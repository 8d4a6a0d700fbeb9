import { ordinaryDoubts } from '#core/craft';
import { coatNames, type Site } from '#core/coat';
import { holesOf, isLine, type Coat, type Method, type Piece, type Resin } from '#core/document';
import { bounds, fieldOf, partsOf, withoutHoles, type Bounds, type Cut, type Cutter } from '#core/geometry';
import type { Batch } from './batch';
import { planCoat, type CoatPlan } from './coats';
import { chartColours, type ChartColours } from './colours';
import type { Courses } from './courses';
import { buildUp, meanFilm, type BuildUp } from './heights';
import type { Bench, Means } from './means';
import { mixedTogether } from './mixing';
import { siteOf } from './site';
import type { Step } from './steps';

/** What a planner keeps from one plan to the next. */
export interface Kept {
  cutter: Cutter;
  courses: Courses;
  /** A resin with its times as ages of a film. */
  aged: (resin: Resin, method: Pick<Method, 'activationEa'>) => Resin;
}

/** Coats laid in one session, and everything that follows from them. */
export interface PourPlan {
  coats: CoatPlan[];
  /** The same coats in the order they are laid, each with cups of its own. */
  own: CoatPlan[];
  /** It was on the board before the piece was taken up here: nothing is mixed for it. */
  lies: boolean;
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
  site: Site;
  /** The board built up coat by coat over a grid; worked out when it is first asked for. */
  heights: () => BuildUp;
  coats: CoatPlan[];
  pours: PourPlan[];
  colours: ChartColours;
}

/** A wave or a thread floats in what was laid before it, and gravel stands by itself: neither runs over an edge. */
const flows = (coat: Coat): boolean => !isLine(coat) && !(coat.kind === 'sand' && coat.how === 'gravel');

function planPour(coats: CoatPlan[], resins: Resin[], bench: Omit<Bench, 'letDowns'>): PourPlan {
  const parts = coats[0] ? partsOf(coats[0].regions).map((_, i) => i) : [0];
  const filmAt = (part: number): number =>
    coats.filter((c) => flows(c.coat) && partsOf(c.regions)[part]!.area > 0).reduce((sum, c) => sum + c.film, 0);
  const film = Math.max(...parts.map(filmAt));
  const lies = coats.some((c) => c.coat.lies);
  if (lies) return { coats, own: coats, lies, batches: [], steps: [], film };
  const { batches, steps, coats: laid } = mixedTogether(coats, resins, bench);
  return {
    coats: coats.map((c) => ({ ...(laid.find((l) => l.coat.id === c.coat.id) ?? c), coat: c.coat })),
    own: coats,
    lies,
    batches,
    steps,
    film,
  };
}

/** The cup's view of a coat's mean film needs the build-up, and that needs no cups: it is worked out when it is first asked for. */
function once<T>(work: () => T): () => T {
  let done: { value: T } | undefined;
  return () => (done ??= { value: work() }).value;
}

/**
 * Plans a piece. What is kept of other plans comes from its planner.
 * @throws RangeError where a coat names a resin that is not among the means
 * @throws CutError   where its curves are too tangled to be cut
 */
export function pieceAnew(piece: Piece, means: Means, { cutter, courses, aged }: Kept): PiecePlan {
  const { method, colourants, scaleStep = 0.1, air, doubts = ordinaryDoubts } = means;
  const resins = means.resins.map((resin) => aged(resin, method));
  const holes = holesOf(piece);
  const cut = cutter.cut(piece.shape, holes, piece.sea);
  const site = siteOf(piece, cut, method);
  const heights = once(() => buildUp(site, fieldOf(piece.shape)));
  const names = coatNames(piece.coats);
  const planned = site.piece.coats.map((coat) => {
    const number = piece.coats.findIndex((c) => c.id === coat.id) + 1;
    const resin = resins.find((r) => r.id === coat.resinId);
    if (!resin) throw new RangeError(`coat ${number} of ${piece.name} names a resin that is not on the shelf`);
    const setting = { ...site, resin, colourants, scaleStep, meanFilm: (c: Coat) => meanFilm(heights(), c) };
    return planCoat(setting, coat, number, names.get(coat.id));
  });
  const bench = { method, colourants, air, scaleStep, doubts, courses };
  const pours = site.pours.map((group) => {
    const own = planned.filter((c) => group.includes(c.coat));
    return planPour(own, resins, bench);
  });
  const { area, rim } = cutter.measured(piece.shape);
  return {
    piece,
    means,
    bounds: bounds(piece.shape),
    area: withoutHoles(area, holes),
    rim,
    cut,
    site,
    heights,
    coats: pours.flatMap((pour) => pour.coats).sort((a, b) => a.number - b.number),
    pours,
    colours: chartColours(site, cut, colourants),
  };
}

import { partsOfCup, rehearsalOf } from '#core/coat';
import { holesOf, isLine, stepKey, type Coat, type Dressing, type Hole, type Point, type ToldStep } from '#core/document';
import { foamStrip, lineOf, partsOf, seedOf, shifted, waveLength, waveOnBoard, type Ring } from '#core/geometry';
import { chartColours, dressedAfter, type PiecePlan } from '#core/plan';
import type { Session } from '#core/record';

/** Where on a board a step's hands go, mm as on its chart. */
export interface Where {
  /** Polygons of the part it is laid over. */
  rings: Ring[];
  /** The line it is laid along. */
  lines: Point[][];
  /** Edges it is drawn into what lies beside it. */
  edges: Point[][];
  dressings: Dressing[];
  holes: Hole[];
  /** How long the line is, mm: what a pass of heat goes along. */
  length: number;
}

const nowhere: Where = { rings: [], lines: [], edges: [], dressings: [], holes: [], length: 0 };

const ringsOf = (plan: PiecePlan, coat: Coat, parts: number[]): Ring[] => {
  const all = partsOf(plan.site.regions.get(coat.id)!);
  return parts.flatMap((p) => all[p]?.rings ?? []);
};

/** The curves between parts of the sea that two tints share: parts run from the shore seaward, and so do the edges. */
function edgesBetween(plan: PiecePlan, coat: Coat, step: ToldStep): Point[][] {
  if (coat.kind !== 'sea' || step.id.tint === undefined || step.into === undefined) return [];
  const at = step.id.tint;
  const other = [at - 1, at + 1].find((t) => coat.tints[t]?.name === step.into);
  if (other === undefined) return [];
  const n = coat.tints.length;
  const edge = plan.piece.sea.edges[Math.min(n - 1 - at, n - 1 - other)];
  return edge ? [lineOf(edge)] : [];
}

/** The place of a film on the board. */
function filmPlace(plan: PiecePlan, coat: Coat, step: ToldStep): Where {
  if (step.id.role === 'holes') return { ...nowhere, holes: holesOf(plan.piece).filter((h) => h.filled) };
  const regions = plan.site.regions.get(coat.id);
  if (!regions) return nowhere;
  const tint = step.id.role === 'bed' ? undefined : step.id.tint;
  return {
    ...nowhere,
    rings: ringsOf(plan, coat, partsOfCup(coat, regions, plan.piece.sea, tint)),
    edges: edgesBetween(plan, coat, step),
  };
}

/** The strip a wave or a thread runs along. */
function linePlace(plan: PiecePlan, coat: Coat): Where {
  if (!isLine(coat)) return nowhere;
  const { sea } = plan.piece;
  const kept = coat.kind === 'wave' ? rehearsalOf(plan.piece, coat) : undefined;
  const [reachSea, reachUp] = coat.kind === 'wave' ? [coat.reachSea, coat.reachUp] : [coat.lineWidth / 2, coat.lineWidth / 2];
  // laid where it was rehearsed: along a line that was drawn, or off its own
  const lines = kept?.line ? [kept.line] : waveOnBoard(plan.cut, sea, coat.along, kept?.off);
  const elsewhere = kept?.line !== undefined || Boolean(kept?.off);
  return {
    ...nowhere,
    rings: elsewhere
      ? lines.map((line) => [...shifted(line, reachSea), ...shifted(line, -reachSea).reverse()])
      : foamStrip(sea, coat.along, { reachSea, reachUp, wander: 0, seed: seedOf(coat.id) }),
    lines,
    length: waveLength(plan.cut, sea, coat.along),
  };
}

/** Where a told step goes on the board of one piece; nowhere where it is not of that piece. */
export function whereOf(plan: PiecePlan, step: ToldStep): Where {
  const coat = plan.site.piece.coats.find((c) => c.id === step.id.coat);
  if (step.id.piece !== undefined && step.id.piece !== plan.piece.id) return nowhere;
  switch (step.id.does) {
    case 'pour':
      return coat ? (isLine(coat) ? linePlace(plan, coat) : filmPlace(plan, coat, step)) : nowhere;
    case 'press':
      return coat ? filmPlace(plan, coat, step) : nowhere;
    case 'strew':
      return { ...nowhere, rings: plan.colours.dry?.rings ?? [] };
    case 'line':
    case 'white':
    case 'rest':
    case 'flick':
    case 'heat':
    case 'push':
    case 'tint over':
      return coat ? linePlace(plan, coat) : nowhere;
    case 'dress':
      return {
        ...nowhere,
        dressings: (plan.piece.dressings ?? []).filter((d) => d.kind === step.id.dressing && d.when !== 'before resin'),
      };
    default:
      return nowhere;
  }
}

/**
 * How many coats lie on each part of a board: those that lay there before the pour, and those of it whose cups are laid
 * there. The first that is not ends the count, since nothing is told over it yet.
 */
function lyingOn(plan: PiecePlan, session: Session): number[] {
  const { coats } = plan.site.piece;
  const own = new Set(session.pour.of.find((o) => o.pieceId === plan.piece.id)?.coatIds ?? []);
  const first = coats.findIndex((c) => own.has(c.id));
  const before = first < 0 ? coats.length : first;
  const steps = session.told.steps.filter((s) => s.id.piece === plan.piece.id && s.uses.some((u) => u.ml > 0));
  const isDone = (s: ToldStep): boolean => session.doneAt.has(stepKey(s.id));
  return partsOf(plan.cut).map((_, part) => {
    let count = before;
    for (const coat of coats.slice(before)) {
      if (!own.has(coat.id)) break;
      const regions = plan.site.regions.get(coat.id)!;
      const laying = steps.filter((s) => {
        if (s.id.coat !== coat.id || !['pour', 'white'].includes(s.id.does) || s.id.again !== undefined) return false;
        return isLine(coat) || partsOfCup(coat, regions, plan.piece.sea, s.id.role === 'bed' ? undefined : s.id.tint).includes(part);
      });
      if (laying.some((s) => !isDone(s))) break;
      count++;
    }
    return count;
  });
}

/** A board as it looks at this moment of its pour: each part with what lies on it, waves that are laid, and what is set on it. */
export function lyingColours(plan: PiecePlan, session: Session): Pick<PiecePlan, 'piece' | 'cut' | 'colours'> {
  const { colourants } = plan.means;
  const counts = lyingOn(plan, session);
  const stages = new Map([...new Set(counts)].map((coats) => [coats, chartColours(plan.site, plan.cut, colourants, { coats, wet: true })]));
  const most = Math.max(0, ...counts);
  const laid = stages.get(most);
  const whites = new Set(
    session.told.steps.flatMap((s) =>
      ['white', 'pour'].includes(s.id.does) && session.doneAt.has(stepKey(s.id)) && s.id.coat ? [s.id.coat] : [],
    ),
  );
  const own = new Set(session.pour.of.flatMap((o) => o.coatIds));
  /** White that has had all its heat opens. */
  const moved = (coatId: string): boolean => {
    const passes = session.told.steps.filter((s) => s.id.does === 'heat' && s.id.coat === coatId && s.id.piece === plan.piece.id);
    return passes.length > 0 && passes.every((s) => session.doneAt.has(stepKey(s.id)));
  };
  const set = new Set(
    session.told.steps.flatMap((s) => (s.id.does === 'dress' && session.doneAt.has(stepKey(s.id)) ? [s.id.dressing] : [])),
  );
  const { coats } = plan.piece;
  const first = coats.findIndex((c) => own.has(c.id));
  return {
    cut: plan.cut,
    piece: {
      ...plan.piece,
      dressings: (plan.piece.dressings ?? []).filter(
        (d) => d.when === 'before resin' || set.has(d.kind) || (first > 0 && dressedAfter(plan.piece, d) < first),
      ),
    },
    colours: {
      ...(laid ?? plan.colours),
      patches: counts.flatMap((coats, part) => stages.get(coats)!.patches.filter((p) => p.part === part)),
      foams: (laid?.foams ?? [])
        .filter((f) => !own.has(f.coatId) || whites.has(f.coatId))
        .map((f) => (moved(f.coatId) ? { ...f, closed: plan.colours.foams.find((g) => g.coatId === f.coatId)?.closed ?? f.closed } : f)),
    },
  };
}

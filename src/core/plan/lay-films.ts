import { gapWidth, overOf } from '#core/coat';
import { setWith, type CoatPlan } from './coats';
import { looseGrams } from './loose';
import { boardsOf, dress, layMin, servesOf, useOf, type Session } from './session';

/** Cups of a coat that are laid as films, one after the other. */
export function layFilms(session: Session, plan: CoatPlan, pour: CoatPlan[]): void {
  const { piece, coat, name, film, cups } = plan;
  const { method } = session.bench;
  const boards = [boardsOf(piece)];
  const gap = pour.find((c) => c.piece.id === piece.id && c.coat.kind === 'wave' && c.coat.under === 'gap')?.coat;
  const tints = coat.kind === 'sea' ? coat.tints.length : 0;
  const over = overOf(coat);
  let into: string | undefined;
  for (const cup of cups) {
    const { role, tint, portion } = cup.id;
    const [serve] = servesOf(cup, plan, false);
    if (!serve) continue;
    const batch = session.open(cup);
    const use = useOf(cup, plan);
    session.takes(layMin(method, use.ml));
    const atGap = gap?.kind === 'wave' && role === 'tint' && (gap.along !== undefined || tint === tints - 1);
    session.add(batch, {
      id: {
        does: 'pour',
        piece: piece.id,
        coat: coat.id,
        role,
        ...(tint !== undefined && { tint }),
        ...(portion !== undefined && { portion }),
      },
      uses: [use],
      boards,
      coat: { name, kind: coat.kind, film },
      over: over.kind,
      ...(over.kind === 'area' && { place: piece.sea.areas?.find((a) => a.id === over.areaId)?.name ?? 'its part' }),
      ...(serve.area > 0 && { area: serve.area }),
      ...(into !== undefined && tint !== undefined && { into }),
      ...(atGap && { gap: gapWidth(gap) }),
      ...(cup.made.sand?.pressed && { loose: true }),
      ...(role === 'gravel' && { grams: looseGrams(plan.site).gravel * piece.count }),
    });
    if (tint !== undefined) into = cup.name;
    if (cup.made.sand?.pressed) {
      session.takes(method.layMinPerCup);
      session.add(batch, {
        id: { does: 'press', piece: piece.id, coat: coat.id, ...(portion !== undefined && { portion }) },
        boards,
        grams: (cup.sandG * use.ml) / cup.needed,
        loose: true,
      });
    }
  }
  dress(
    session,
    plan,
    setWith(piece, piece.coats.indexOf(coat)).filter((d) => d.when === 'on the wet base'),
    () => undefined,
  );
}

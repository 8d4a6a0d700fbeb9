import { dressedAfter, clearanceOf } from '#core/plan';
import { plain } from '#core/units';
import type { Finding, Rule } from './finding';

/** A shell closes over when it stands less than this above the film it is set into, mm. */
const SWALLOWED = 2.3;

/** What is set into a wet film and goes under. */
export const dressingSinks: Rule = ({ plan, write }) =>
  (plan.piece.dressings ?? []).flatMap((d): Finding[] => {
    if (d.when === 'before resin' || d.kind === 'creature') return [];
    const coat = plan.coats[dressedAfter(plan.piece, d)];
    const film = coat && plan.pours.find((p) => p.coats.includes(coat))?.film;
    if (film === undefined || d.when === 'between coats' || d.height >= film + SWALLOWED) return [];
    return [
      {
        code: 'dressing-sinks',
        severity: 'warn',
        where: { coatId: coat!.coat.id },
        says: `A ${d.kind} ${write.fine(d.height)} high set into ${write.fine(film)} of film is swallowed.`,
        why: `The film closes over what stands less than ${write.fine(SWALLOWED)} above it.`,
        fix: 'Glue it on before the resin, wait until the film holds it, or take a higher one.',
      },
    ];
  });

/** What stands above the last level: in a tray nothing may, elsewhere it is only known. */
export const dressingProud: Rule = ({ plan, write }) => {
  const { dressings = [], edge, wallHeight, surface } = plan.piece;
  if ((!dressings.length && !surface.relief) || !plan.coats.length) return [];
  const { level } = clearanceOf(plan);
  const { highest } = clearanceOf(plan);
  const proud = highest - level;
  if (proud < 0.1) return [];
  const tray = edge === 'wall';
  const tallest = [...dressings].sort((a, b) => b.height - a.height)[0];
  const what = tallest && tallest.height >= (surface.relief?.height ?? 0) ? `A ${tallest.kind}` : 'The texture';
  const top = plan.piece.coats.some((c) => c.kind === 'top');
  const over = tray && wallHeight !== undefined && highest > wallHeight;
  return [
    {
      code: 'dressing-proud',
      severity: tray ? 'warn' : 'note',
      where: {},
      says: `${what} stands ${write.fine(proud)} above ${top ? 'the top coat' : 'the last film'}${over ? ', and over the wall' : ''}.`,
      why: tray ? 'A glass set on a tray tips on it.' : 'It stays proud of the resin, dry at its tip.',
      fix: tray
        ? `Take lower pieces, or ${top ? 'more cover in the top coat' : 'a top coat with cover for them'}.`
        : `Leave it so if you mean it, or ${top ? 'give the top more cover' : 'lay a top over it'}.`,
    },
  ];
};

/** Sand meant to stay pale that a later film wets. */
export const drySandWetted: Rule = ({ plan }) => {
  if (!plan.piece.sea.dry) return [];
  const wets = plan.piece.coats.find(
    (coat) => (coat.kind === 'top' || coat.kind === 'clear') && plan.site.regions.get(coat.id)!.beach.area > 0 && !coat.over,
  );
  return wets
    ? [
        {
          code: 'dry-sand-wetted',
          severity: 'warn',
          where: { coatId: wets.id },
          says: 'A clear coat goes over the sand that should stay pale.',
          why: 'Wet sand darkens and stays dark.',
          fix: 'Lay that coat over the sea only, or strew the dry sand after it.',
        },
      ]
    : [];
};

/** A poured film that does not reach the high places it was meant for. */
export const coatLeavesDry: Rule = ({ plan }) => {
  if (!plan.piece.coats.some((c) => c.kind === 'clear' && c.laid !== 'spread')) return [];
  const { layings } = plan.heights();
  return plan.coats.flatMap(({ coat, name, regions }): Finding[] => {
    if (coat.kind !== 'clear' || coat.laid === 'spread' || regions.beach.area === 0) return [];
    const laying = layings.find((l) => l.of === coat)!;
    const { parts } = plan.heights();
    let [dry, all] = [0, 0];
    for (let i = 0; i < laying.thickness.length; i++)
      if (parts[i] === 0 || (parts[i]! > 0 && regions.sea.some((r) => r.area > 0))) {
        all++;
        if (laying.thickness[i]! < 0.02) dry++;
      }
    if (all === 0 || dry / all < 0.02) return [];
    return [
      {
        code: 'coat-leaves-dry',
        severity: 'warn',
        where: { coatId: coat.id },
        says: `${name} fills the low places and leaves ${plain((100 * dry) / all, 0)} % of its part dry.`,
        why: 'What is poured levels itself: high sand and waves stand out of it.',
        fix: 'Take a clear top, which gives its cover over the highest point, or spread this one by hand.',
      },
    ];
  });
};

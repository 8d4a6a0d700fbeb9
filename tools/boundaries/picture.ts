import { roomOf } from './check';

/** How many rooms a room stands on, along the longest way down. */
function heights(below: ReadonlyMap<string, ReadonlySet<string>>): Map<string, number> {
  const found = new Map<string, number>();
  const of = (room: string): number => {
    const known = found.get(room);
    if (known !== undefined) return known;
    found.set(room, 0);
    const height = Math.max(-1, ...[...(below.get(room) ?? [])].map(of)) + 1;
    found.set(room, height);
    return height;
  };
  for (const room of below.keys()) of(room);
  return found;
}

const [WIDE, HIGH, BOX_W, BOX_H] = [1180, 74, 92, 26];

/** The picture of imports: each room on the storey above all it imports, a line for each room it imports. */
export function picture(imports: ReadonlyMap<string, readonly string[]>): string {
  const below = new Map<string, Set<string>>();
  for (const [file, list] of imports) {
    const own = below.get(roomOf(file)) ?? new Set<string>();
    below.set(roomOf(file), own);
    for (const to of list) if (roomOf(to) !== roomOf(file)) own.add(roomOf(to));
  }
  const height = heights(below);
  const top = Math.max(...height.values());
  const storeys = Array.from({ length: top + 1 }, (_, h) => [...below.keys()].filter((room) => height.get(room) === h).sort());
  const place = new Map(
    storeys.flatMap((rooms, h) =>
      rooms.map((room, i) => [room, { x: ((i + 1) * WIDE) / (rooms.length + 1), y: 30 + (top - h) * HIGH }] as const),
    ),
  );
  const lines = [...below].flatMap(([room, list]) =>
    [...list].map((to) => {
      const [a, b] = [place.get(room)!, place.get(to)!];
      const up = b.y <= a.y;
      return `<path d="M${a.x.toFixed(0)} ${a.y + BOX_H / 2}L${b.x.toFixed(0)} ${b.y - BOX_H / 2}" stroke="${up ? '#b3261e' : '#9aa5ab'}" marker-end="url(#to)"/>`;
    }),
  );
  const boxes = [...place].map(
    ([room, { x, y }]) =>
      `<rect x="${(x - BOX_W / 2).toFixed(0)}" y="${y - BOX_H / 2}" width="${BOX_W}" height="${BOX_H}" rx="3"/><text x="${x.toFixed(0)}" y="${y + 4}">${room}</text>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDE} ${60 + top * HIGH}" font-family="sans-serif" font-size="12" text-anchor="middle">
<defs><marker id="to" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="6" markerHeight="6" orient="auto"><path d="M0 0L8 4L0 8Z" fill="#9aa5ab"/></marker></defs>
<rect width="100%" height="100%" fill="#fff"/>
<g fill="none" stroke-width="1">
${lines.join('\n')}
</g>
<g fill="#eef3f2" stroke="#35505c">
${boxes.map((b) => b.replace('<text', '<text fill="#16242b" stroke="none"')).join('\n')}
</g>
</svg>
`;
}

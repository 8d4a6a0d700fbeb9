import { error, json } from '@sveltejs/kit';
import type { AirMove } from '#core/simulate';
import { handle, isFull, listen } from '$lib/server/thermometers';

const named = (id: unknown): id is string => typeof id === 'string' && /^[0-9a-f-]{8,64}$/.test(id);
const within = (value: unknown, min: number, max: number): value is number => typeof value === 'number' && value >= min && value <= max;

/** Readings of a simulated thermometer as server-sent events, one a second: °C and relative humidity. */
export function GET({ url }) {
  const id = url.searchParams.get('id');
  const celsius = Number(url.searchParams.get('celsius') ?? 21);
  if (!named(id) || !within(celsius, -30, 70)) error(400, 'Give an id of small hex digits and hyphens, and a temperature of −30 to 70 °C.');
  if (isFull(id))
    error(503, 'Fifty thermometers are being read already, which is more than a studio has. Close other windows and try again.');
  const encoder = new TextEncoder();
  let end: (() => void) | undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      end = listen(id, celsius, (shown) => controller.enqueue(encoder.encode(`data: ${JSON.stringify(shown)}\n\n`)));
    },
    cancel: () => end?.(),
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}

function moveOf(body: Record<string, unknown>): AirMove | undefined {
  if (body['does'] === 'stop' || body['does'] === 'go on') return { does: body['does'] };
  if (body['does'] === 'warm' && within(body['celsius'], -30, 70)) return { does: 'warm', celsius: body['celsius'] };
  if (body['does'] === 'air' && within(body['humidity'], 0.05, 1)) return { does: 'air', humidity: body['humidity'] };
  return undefined;
}

/** What becomes of its room: warmed, aired; or it stops, and goes on. */
export async function POST({ request }) {
  const body = (await request.json().catch(() => undefined)) as Record<string, unknown> | undefined;
  const move = body && moveOf(body);
  if (!body || !move || !named(body['id']))
    error(400, 'Say what happens: warm to −30 to 70 °C, air to a humidity of 0.05 to 1, stop, or go on.');
  if (!handle(body['id'], move)) error(404, 'Nobody is reading this thermometer.');
  return json({ ok: true });
}

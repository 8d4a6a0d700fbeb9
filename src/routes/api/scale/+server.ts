import { error, json } from '@sveltejs/kit';
import type { HandMove } from '#core/simulate';
import { handle, isFull, listen } from '$lib/server/scales';

const named = (id: unknown): id is string => typeof id === 'string' && /^[0-9a-f-]{8,64}$/.test(id);
const within = (value: unknown, min: number, max: number): value is number => typeof value === 'number' && value >= min && value <= max;

/** Readings of a simulated scale as server-sent events, ten a second. */
export function GET({ url }) {
  const id = url.searchParams.get('id');
  const step = Number(url.searchParams.get('step') ?? 0.1);
  if (!named(id) || !within(step, 0.001, 10)) error(400, 'Give an id of small hex digits and hyphens, and a step of 0.001 to 10 g.');
  if (isFull(id)) error(503, 'Fifty scales are being read already, which is more than a studio has. Close other windows and try again.');
  const encoder = new TextEncoder();
  let end: (() => void) | undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      end = listen(id, step, (reading) => controller.enqueue(encoder.encode(`data: ${JSON.stringify(reading)}\n\n`)));
    },
    cancel: () => end?.(),
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}

function moveOf(body: Record<string, unknown>): HandMove | undefined {
  if (body['does'] === 'tare') return { does: 'tare' };
  if (body['does'] === 'pour' && within(body['rate'], 0, 50)) return { does: 'pour', rate: body['rate'] };
  if (body['does'] === 'put' && within(body['grams'], -5000, 5000)) return { does: 'put', grams: body['grams'] };
  return undefined;
}

/** What the hand does at it: tare, pour, put something on. */
export async function POST({ request }) {
  const body = (await request.json().catch(() => undefined)) as Record<string, unknown> | undefined;
  const move = body && moveOf(body);
  if (!body || !move || !named(body['id'])) error(400, 'Say what the hand does: tare, pour at 0 to 50 g a second, or put −5000 to 5000 g.');
  if (!handle(body['id'], move)) error(404, 'Nobody is reading this scale.');
  return json({ ok: true });
}

import { page } from '$app/state';
import type { Piece } from '#core/document';
import { readSession, type Session } from '#core/record';
import { Live } from '$lib/store/live.svelte';
import { shared } from '$lib/store/shared.svelte';
import { readPour } from '$lib/store/studio';

/** A piece with its pours whole, oldest first: what its story is told from. */
export class Story {
  readonly id = $derived(page.params['id']!);
  readonly #ids = $derived(
    (shared.summaries ?? [])
      .filter((s) => s.of.some((o) => o.pieceId === this.id))
      .sort((a, b) => a.started - b.started)
      .map((s) => s.id)
      .join(' '),
  );
  readonly #live = $derived.by(() => {
    const ids = this.#ids ? this.#ids.split(' ') : [];
    return new Live(async () => (await Promise.all(ids.map(readPour))).flatMap((pour) => pour ?? []));
  });
  /** Undefined until they are read. */
  readonly sessions = $derived<Session[] | undefined>(this.#live.current?.map(readSession));
  /** As it is now, or as its last pour had it where it is gone. */
  readonly piece = $derived<Piece | undefined>(
    shared.pieces?.find((p) => p.id === this.id) ?? this.sessions?.at(-1)?.pour.planned.pieces.find((p) => p.id === this.id),
  );
  readonly isGone = $derived(shared.pieces !== undefined && !shared.pieces.some((p) => p.id === this.id));
  readonly photos = $derived((shared.photos ?? []).filter((p) => p.pieceId === this.id));
}

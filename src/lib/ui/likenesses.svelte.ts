import { untrack } from 'svelte';
import { SvelteMap } from 'svelte/reactivity';
import type { WaveCoat } from '#core/document';
import type { FoamSeen, PiecePlan } from '#core/plan';
import { likenessKey, seenAt } from '#core/rehearse';
import { keptPicture, LikenessQueue, type LikenessAsked, type Pictured } from '$lib/work/likeness';

/** A picture of a wave's foam as it is drawn. */
export interface Likeness extends Pick<Pictured, 'nx' | 'ny' | 'dx' | 'cover'> {
  href: string;
}

/** What is dragged changes with every frame: one that is kept is looked for when it rests, and one is made when nothing more follows, ms. */
const [RESTS, QUIET] = [60, 1200];
/** So many pictures are held in this window. */
const MOST = 60;

/** Pictures of the foam of every wave that is shown, made beside the screen and kept by what they depend on. */
class Likenesses {
  readonly #found = new SvelteMap<string, Likeness>();
  readonly #failed = new Set<string>();
  readonly #wanted = new Map<string, number>();
  readonly #queue = new LikenessQueue(
    (key, pictured) => this.#put(key, pictured),
    (key) => this.#failed.add(key),
  );

  #put(key: string, { png, ...rest }: Pictured): void {
    if (this.#found.has(key)) return;
    this.#found.set(key, { ...rest, href: URL.createObjectURL(png) });
    this.#tidy();
  }

  #tidy(): void {
    for (const [key, { href }] of this.#found) {
      if (this.#found.size <= MOST) return;
      if (this.#wanted.has(key)) continue;
      URL.revokeObjectURL(href);
      this.#found.delete(key);
    }
  }

  of(key: string): Likeness | undefined {
    return this.#found.get(key);
  }

  #make(key: string, { means, site }: PiecePlan, wave: WaveCoat): void {
    const { resins, colourants, method, air } = means;
    const asked: LikenessAsked = { key, piece: site.piece, coatId: wave.id, resins, colourants, method, roomC: air(0) };
    // what is shown follows what is stored, which workers cannot be handed as it is
    this.#queue.ask(JSON.parse(JSON.stringify(asked)) as LikenessAsked);
  }

  /** Asks for a wave's picture while something shows it. @returns what ends that */
  want(key: string, plan: PiecePlan, wave: WaveCoat): () => void {
    this.#wanted.set(key, (this.#wanted.get(key) ?? 0) + 1);
    const missing = (): boolean => !this.#found.has(key) && !this.#failed.has(key);
    let waiting = setTimeout(async () => {
      if (!missing()) return;
      const kept = await keptPicture(key);
      if (kept) this.#put(key, kept);
      else if (this.#wanted.has(key)) waiting = setTimeout(() => missing() && this.#make(key, plan, wave), QUIET);
    }, RESTS);
    return () => {
      clearTimeout(waiting);
      const left = this.#wanted.get(key)! - 1;
      if (left > 0) this.#wanted.set(key, left);
      else {
        this.#wanted.delete(key);
        this.#queue.drop(key);
      }
    };
  }
}

const likenesses = new Likenesses();

const keys = new WeakMap<PiecePlan, Map<string, string>>();
/** A wave's key, worked out once for a plan: several drawings of it ask. */
function keyOf(plan: PiecePlan, wave: WaveCoat): string {
  const of = keys.get(plan) ?? new Map<string, string>();
  keys.set(plan, of);
  const key = of.get(wave.id) ?? likenessKey(plan, wave);
  of.set(wave.id, key);
  return key;
}

/** The picture of one wave of a plan, while something shows it; undefined until there is one. */
export function likenessOf(plan: () => PiecePlan, wave: () => WaveCoat): () => Likeness | undefined {
  const key = $derived(keyOf(plan(), wave()));
  // a plan that changed in what foam does not depend on asks for nothing new
  $effect(() => {
    const asked = key;
    return untrack(() => likenesses.want(asked, plan(), wave()));
  });
  return () => likenesses.of(key);
}

/** How much of thick white is seen of the waves of a plan, for those whose picture is there. */
export const foamSeenOn =
  (plan: PiecePlan): FoamSeen =>
  (coatId) => {
    const wave = plan.piece.coats.find((c) => c.id === coatId);
    const found = wave?.kind === 'wave' ? likenesses.of(keyOf(plan, wave)) : undefined;
    return found && ((x, y) => seenAt(found, x, y));
  };

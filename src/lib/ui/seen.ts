const waiting = new WeakMap<Element, () => void>();
let watch: IntersectionObserver | undefined;

/** One watcher for all of them: a long list has a thousand. */
const watcher = (): IntersectionObserver =>
  (watch ??= new IntersectionObserver((entries) => {
    for (const { isIntersecting, target } of entries) {
      if (!isIntersecting) continue;
      watch!.unobserve(target);
      waiting.get(target)?.();
    }
  }));

/** Does something once its element is scrolled to. */
export const whenSeen =
  (then: () => void) =>
  (node: Element): (() => void) => {
    waiting.set(node, then);
    watcher().observe(node);
    return () => watcher().unobserve(node);
  };

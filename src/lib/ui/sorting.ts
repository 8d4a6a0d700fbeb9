import type { Action } from 'svelte/action';
import type { DndEvent } from 'svelte-dnd-action';

/** What is put in order by dragging, as the library takes it. */
export interface Sorted<T> {
  items: T[];
  type: string;
}

interface Events<T> {
  onconsider?: (event: CustomEvent<DndEvent<T>>) => void;
  onfinalize?: (event: CustomEvent<DndEvent<T>>) => void;
}

const library = () => import('svelte-dnd-action');

/** An action that begins once the library is there: it is fetched when the screen has been drawn, and not with it. */
function later<P>(
  node: HTMLElement,
  parameter: P,
  begin: (of: Awaited<ReturnType<typeof library>>, now: P) => ReturnType<Action<HTMLElement, P>>,
) {
  let now = parameter;
  let gone = false;
  let action: ReturnType<Action<HTMLElement, P>>;
  const begun = (): void =>
    void library().then((of) => {
      if (!gone) action = begin(of, now);
    });
  const timer = setTimeout(begun, 300);
  return {
    update(next: P) {
      now = next;
      (action as { update?: (p: P) => void } | undefined)?.update?.(next);
    },
    destroy() {
      gone = true;
      clearTimeout(timer);
      (action as { destroy?: () => void } | undefined)?.destroy?.();
    },
  };
}

/** A list whose rows are put in another order by their handles. */
export const sortable: Action<HTMLElement, Sorted<{ id: string }>, Events<{ id: string; coatId: string }>> = (node, sorted) =>
  later(node, sorted, ({ dragHandleZone }, now) => dragHandleZone(node, { ...now, flipDurationMs: 0, dropTargetStyle: {} }) as never);

/** What a row is taken by. */
export const handle: Action<HTMLElement> = (node) => later(node, undefined, ({ dragHandle }) => dragHandle(node) as never);

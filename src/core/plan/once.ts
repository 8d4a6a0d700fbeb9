/** Work that is done when it is first asked for, and then kept: heights and how sure windows are, which a plan itself does not need. */
export function once<T>(work: () => T): () => T {
  let done: { value: T } | undefined;
  return () => (done ??= { value: work() }).value;
}

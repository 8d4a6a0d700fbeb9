/** A failed write, in a sentence that says what to do; nothing that was stored before is touched by it. */
export function failureSays(error: unknown): string {
  const chain = [error, (error as { inner?: unknown } | undefined)?.inner, (error as { cause?: unknown } | undefined)?.cause];
  const names = chain.map((e) => (e as { name?: string } | undefined)?.name ?? '').join(' ');
  if (/Quota/.test(names))
    return 'The disk is full, so this was not stored. What you typed is still here: export the studio to a file, free some space, and try again.';
  if (/VersionError/.test(names))
    return 'What is stored here was written by a later Nerite, and this one does not touch it. Open it there, or save everything as it is and start empty.';
  if (/(InvalidState|DatabaseClosed|UnknownError|MissingAPI)/.test(names))
    return 'The browser does not let Nerite store anything here, so this was not kept. Leave private browsing, or allow this address to keep data.';
  if (/(PrematureCommit|Transaction|Abort|Bulk|Constraint|DataClone|Timeout)/.test(names))
    return 'The browser broke off while this was being stored, so none of it was. What you typed is still here; try again.';
  return error instanceof Error && error.message ? error.message : 'This could not be stored. What you typed is still here; try again.';
}

/** Version of the document that this Nerite writes; it reads every one before. */
export const VERSION = 2;

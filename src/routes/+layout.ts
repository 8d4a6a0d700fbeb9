/** Everything is kept in the browser, so there is nothing a server could render. */
export const ssr = false;

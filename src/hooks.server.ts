import type { HandleServerError } from '@sveltejs/kit';

/** What fails is told in the log; an address that leads nowhere is not a failure of the server's. */
export const handleError: HandleServerError = ({ error, status, message }) => {
  if (status >= 500) console.error(error);
  return { message };
};

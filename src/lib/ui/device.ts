/** What is chosen on this device and is no part of a studio; a browser may be set to keep nothing. */
export const device = {
  read(key: string): string | null {
    try {
      return localStorage.getItem(key);
    } catch {
      return null;
    }
  },
  keep(key: string, text: string | undefined): void {
    try {
      if (text === undefined) localStorage.removeItem(key);
      else localStorage.setItem(key, text);
    } catch {
      // what is chosen then holds for as long as the page is open
    }
  },
};

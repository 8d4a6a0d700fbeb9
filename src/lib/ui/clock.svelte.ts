import { createSubscriber } from 'svelte/reactivity';
import { benchClock } from '$lib/store/clock';

/** A clock, ms since 1970, read anew every `every` ms while something on screen reads it. */
class Clock {
  readonly #subscribe: () => void;
  readonly #read: () => number;

  constructor(every: number, read: () => number = () => Date.now()) {
    this.#read = read;
    this.#subscribe = createSubscriber((update) => {
      const timer = setInterval(update, every);
      return () => clearInterval(timer);
    });
  }

  get now(): number {
    this.#subscribe();
    return this.#read();
  }
}

/** What the wall's clock shows, by the second. */
export const seconds = new Clock(250);
/** The time that passed at the bench, by the second, whatever becomes of the wall's clock. */
export const bench = new Clock(250, () => benchClock.now());
/** For everything that moves by the minute. */
export const minutes = new Clock(10_000);

const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric' });
const date = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });

/** "13:36" */
export const clockTime = (ms: number): string => time.format(ms);
/** "Wed 25" */
export const weekday = (ms: number): string => day.format(ms).replace(',', '');
/** "25 Nov" */
export const dayMonth = (ms: number): string => date.format(ms);

/** "Wed 25 13:36"; a film in a cold room may come to no moment at all. */
export const dayAndTime = (ms: number): string => (Math.abs(ms) <= 8.64e15 ? `${weekday(ms)} ${clockTime(ms)}` : 'not within 60 days');

/** Minutes as a running clock, "14:40" or "1:02:05"; negative ones with a minus. */
export function running(min: number): string {
  const s = Math.floor(Math.abs(min) * 60);
  const two = (n: number): string => String(n).padStart(2, '0');
  const text =
    s >= 3600 ? `${Math.floor(s / 3600)}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}` : `${two(Math.floor(s / 60))}:${two(s % 60)}`;
  return min < 0 ? `−${text}` : text;
}

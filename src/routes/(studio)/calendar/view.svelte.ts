import { zone } from '$lib/zone';

const DAY = 86_400_000;
const HOUR = 3_600_000;

/** What of the days is seen: from when, and how many. */
export class DaysView {
  from = $state(0);
  days = $state(7);

  /** @param now ms since 1970 */
  constructor(now: number) {
    this.from = zone.dayStart(now, 0);
  }

  get until(): number {
    // whole days of the calendar, of which one may have 23 or 25 hours
    return this.days >= 1 && Number.isInteger(this.days) ? zone.dayStart(this.from, this.days) : this.from + this.days * DAY;
  }

  /** Shows so many days, the ones round a moment. */
  zoom(days: number, round = this.from): void {
    this.days = Math.min(60, Math.max(0.25, days));
    this.from = days >= 1 ? zone.dayStart(Math.min(round, Math.max(this.from, round - DAY)), 0) : round - (days * DAY) / 2;
  }

  /** Moves what is seen by a share of it. */
  move(share: number): void {
    const by = share * this.days;
    this.from = Math.abs(by) >= 1 ? zone.dayStart(this.from + HOUR * 12, Math.round(by)) : this.from + by * DAY;
  }
}

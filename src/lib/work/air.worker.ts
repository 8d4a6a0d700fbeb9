import { expose } from 'comlink';
import { Zone } from '#core/air';
import { readAirCsv, type AirReadingFile } from '#core/formats';

const work = {
  /** Reads a logger's CSV; stores nothing. @param zone of local times, by its name */
  read: (text: string, zone: string, monthFirst: boolean): AirReadingFile => readAirCsv(text, new Zone(zone), monthFirst),
};
export type AirWork = typeof work;

expose(work);

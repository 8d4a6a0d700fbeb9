/** Drawings in and out: outlines read from SVG, a piece written as SVG in real millimetres, and the pages of a template. */
export { fits, type Own } from './svg-own';
export { outlineFrom, readSvg, type SvgDrawing } from './svg-read';
export { drawnLines, writeSvg } from './svg-write';
export { MARGIN, OVERLAP, pageName, type Paper, papers, type TemplateLayout, type TemplatePage, templatePages } from './pages';
export { readCsv, writeCsv } from './csv';
export { holdable, MOST_ROWS, readShelf, type ShelfPreview, type ShelfReading, writeShelf, writeUsage } from './shelf-csv';
export { writeCups } from './cups-csv';
export { readSlopes, writeSlopes } from './slope-csv';
export { writePalette } from './palette-svg';
export { type AirFile, type AirReadingFile, readAirCsv, writeAirCsv } from './air-csv';
export { readBusy, type BusyReading, type BusyTime } from './ical-read';
export { writeCalendar } from './ical-write';
export { archiveProblem, CLIMBS, originalPath, type Packed, photoPath, readSums, STUDIO_FILE, SUMS_FILE, writeSums } from './archive';

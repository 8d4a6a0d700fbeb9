/** A studio's plans as plain data: what the screens show, for the command line and for scripts. */
export { calendarReport, plannedOf } from './calendar';
export { logReport } from './log';
export { pieceReport } from './report';
export { shelfReport } from './shelf';
export { slopesReport } from './slopes';
export type { Asked } from './means';

/** A studio's plans as plain data: what the screens show, for the command line and for scripts. */
export * from './report';
export * from './shelf';
export * from './slopes';
export type { Asked } from './means';

import type { Point } from '#core/document';
import type { Template } from '#core/picture';
import type { AlbumWorkOf, BoardRead, Developing } from './album.worker';
import type { LikenessAsked } from './likeness.worker';
import { kept, task, type Kept, type Progress, type Task } from './task';

export type { BoardRead, Developed, Developing } from './album.worker';

const make = (): Worker => new Worker(new URL('./album.worker.ts', import.meta.url), { type: 'module' });

/** A worker that makes of files what is kept of them, one after the other. End it when they are all done. */
export const darkroom = (): Kept<AlbumWorkOf> => kept<AlbumWorkOf>(make);
export type Darkroom = Kept<AlbumWorkOf>;

/** Makes of one file what is kept of it. */
export const develop = ({ work }: Darkroom, file: Blob, name: string): Promise<Developing> =>
  work.develop(file, name) as Promise<Developing>;

/** A made-up photograph of a piece, to try the reading on; which can be stopped. */
export const drawBoard = (asked: Omit<LikenessAsked, 'key'>): Task<Blob> =>
  task<AlbumWorkOf, Blob>(make, (work) => work.draw(asked) as Promise<Blob>);

/** Reads a board in a picture, which can be stopped. @param marks shares of its width and height */
export const readBoard = (file: Blob, marks: Point[], template: Template, tells: Progress): Task<BoardRead> =>
  task<AlbumWorkOf, BoardRead>(make, (work, tell) => work.read(file, marks, template, tell) as Promise<BoardRead>, tells);

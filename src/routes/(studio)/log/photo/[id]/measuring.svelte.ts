import type { Photo, Point, WaveCoat } from '#core/document';
import { templateOf } from '#core/picture';
import type { PiecePlan } from '#core/plan';
import { changePhotos } from '$lib/store/photos';
import { attempt } from '$lib/ui/attempt';
import { readBoard, type BoardRead } from '$lib/work/album';
import type { Task } from '$lib/work/task';

/** What a photograph is measured with; undefined until it is read. */
export interface Measured {
  photo: Photo | undefined;
  blob: Blob | undefined;
  plan: PiecePlan | undefined;
  wave: WaveCoat | undefined;
  /** How many marks the board wants. */
  wanted: number;
}

/** What is still drawn is not taken away under it. */
export const letGo = (url: string) => setTimeout(() => URL.revokeObjectURL(url), 5000);

/** The marks of a board in a photograph, and what is measured each time they are let go. */
export class Measuring {
  /** While they are moved; what is stored else. */
  #moved = $state.raw<Point[]>();
  picked = $state(0);
  doing = $state('');
  /** Why it was not measured. */
  says = $state('');
  /** The board as it lies straightened. */
  straight = $state<string>();
  #task = $state.raw<Task<BoardRead>>();
  readonly busy = $derived(this.#task !== undefined);
  readonly #of: () => Measured;

  constructor(of: () => Measured) {
    this.#of = of;
  }

  /** px of the picture */
  readonly places = $derived.by<Point[]>(() => {
    const { photo } = this.#of();
    return this.#moved ?? photo?.marks?.map(({ x, y }) => ({ x: x * photo.width, y: y * photo.height })) ?? [];
  });

  mark(place: Point): void {
    const { wanted } = this.#of();
    if (this.places.length < wanted) {
      this.#moved = [...this.places, place];
      this.picked = Math.min(this.#moved.length, wanted - 1);
    } else this.#moved = this.places.map((p, i) => (i === this.picked ? place : p));
    void this.settle();
  }

  move(at: number, place: Point): void {
    this.#moved = this.places.map((p, i) => (i === at ? place : p));
  }

  /** What is marked is kept; it is measured when all of it is. */
  async settle(): Promise<void> {
    const [{ photo, wanted }, own] = [this.#of(), this.#moved];
    if (!photo || !own || own.length < wanted) return;
    const marks = own.map(({ x, y }) => ({ x: x / photo.width, y: y / photo.height }));
    await attempt(() => changePhotos([photo], 'Mark the board', { marks, reading: undefined }));
    this.#moved = undefined;
    await this.measure(marks);
  }

  stop(): void {
    this.#task?.stop();
  }

  /** @param marks shares of the picture's width and height */
  async measure(marks: Point[]): Promise<void> {
    this.stop();
    const { plan, blob, photo, wave } = this.#of();
    if (!plan || !blob || !photo) return;
    [this.says, this.doing] = ['', 'Opening the picture'];
    const told = (what: string, share?: number) => void (this.doing = share === undefined ? what : `${what}, ${Math.round(100 * share)} %`);
    const task = readBoard(blob, marks, templateOf(plan, wave), told);
    this.#task = task;
    const read = await task.done.catch((error: unknown): BoardRead => ({
      ok: false,
      says: `It could not be measured: ${error instanceof Error ? error.message : String(error)}`,
    }));
    if (this.#task !== task) return;
    this.#task = undefined;
    if (!read) return;
    if (!read.ok) return void (this.says = read.says);
    if (this.straight) letGo(this.straight);
    this.straight = URL.createObjectURL(read.straight);
    await attempt(() => changePhotos([photo], 'Measure a photo', { reading: { ...read.reading, at: new Date().toISOString() } }));
  }
}

import type { SvgDrawing } from '#core/formats';

/** Shape, sea and holes of a piece that was written as SVG by this app. */
export type Own = NonNullable<SvgDrawing['own']>;

import type { Settings } from '#core/document';

/** Columns of a slider's name, its track and what is typed: "0.12 fl oz" and "11/32 in/s" take more room than "3.6 ml". */
export const sliderColumns = (unit: Settings['length'] | undefined): string =>
  unit === 'in' ? 'grid-cols-[84px_minmax(0,1fr)_92px] [&_.input]:w-23!' : 'grid-cols-[84px_minmax(0,1fr)_60px] [&_.input]:w-15!';

import type { PhotoStage } from '#core/document';

/** What of the work a photograph shows, in its order. */
export const stages: readonly { value: PhotoStage; label: string }[] = [
  { value: 'bare board', label: 'Bare board' },
  { value: 'before the white', label: 'Before the white' },
  { value: 'white laid', label: 'White laid' },
  { value: 'after the heat', label: 'After the heat' },
  { value: 'hard', label: 'Hard' },
  { value: 'finished', label: 'Finished' },
];

export const stageOrder = (stage: PhotoStage | undefined): number => stages.findIndex((s) => s.value === stage);

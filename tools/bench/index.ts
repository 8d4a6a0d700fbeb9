/** npm run bench [core | pour | foam | size | app | calendar | log]: the figures of the quality bars, one JSON line each. Medians; nothing here passes or fails. */
const parts = {
  core: () => import('./core'),
  pour: () => import('./pour'),
  foam: () => import('./foam'),
  size: () => import('./size'),
  app: () => import('./app'),
  calendar: () => import('./calendar'),
  log: () => import('./log'),
};

const asked = process.argv[2];
for (const [name, run] of Object.entries(parts)) if (!asked || name === asked) await run();

export {};

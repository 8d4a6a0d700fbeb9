import { spawn } from 'node:child_process';
import { freePort } from '../../tests/browser/port';
import { root } from './figures';

/** Starts the built server; gives its address, and the time to its first answer. */
export async function start(): Promise<{ base: string; firstAnswer: number; stop: () => void }> {
  const port = await freePort();
  const begun = performance.now();
  const child = spawn(process.execPath, ['--import', 'tsx', 'tools/serve.ts'], {
    cwd: root,
    env: { ...process.env, PORT: String(port), NERITE_SAMPLE: '1' },
    stdio: 'ignore',
  });
  const base = `http://127.0.0.1:${port}`;
  for (;;) {
    try {
      await fetch(`${base}/api/health`);
      return { base, firstAnswer: performance.now() - begun, stop: () => void child.kill() };
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  }
}

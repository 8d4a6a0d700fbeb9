/** Figures of the app in a browser, from the built server. */
import { execFileSync } from 'node:child_process';
import { chromium } from 'playwright-core';
import { writeStudio, type Studio } from '#core/document';
import { median, ms, print, studio } from './figures';
import { largeStudio } from './large';
import { start } from './server';

const starts: number[] = [];
for (let i = 0; i < 3; i++) {
  const { firstAnswer, stop } = await start();
  starts.push(firstAnswer);
  stop();
}
print({ bench: 'server start to first answer', medianMs: ms(median(starts)) });

const { base, stop } = await start();
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM_PATH'] ?? execFileSync('which', ['chromium'], { encoding: 'utf8' }).trim(),
});
try {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(`${base}/pieces`);
  await page.getByText('Kelp Cove III').first().waitFor();
  await page.waitForLoadState('networkidle');
  const opens: number[] = [];
  for (let i = 0; i < 5; i++) {
    const begun = performance.now();
    await page.goto(`${base}/pieces/kelp-cove-1`);
    await page.getByText('Mix in one batch').waitFor();
    opens.push(performance.now() - begun);
  }
  print({ bench: 'piece screen opened to its cups', medianMs: ms(median(opens)) });

  /** Frames while the shoreline is dragged: the median, and how many took longer than two at 60 a second. */
  await page.evaluate(
    `globalThis.frames = []; (function next(last) { requestAnimationFrame((now) => { globalThis.frames.push(now - last); next(now); }); })(performance.now())`,
  );
  const box = (await page.getByRole('slider', { name: 'Shoreline, point 3 of 5' }).boundingBox())!;
  await page.mouse.move(box.x + 6, box.y + 6);
  await page.mouse.down();
  await page.evaluate('globalThis.frames.length = 0');
  for (let i = 0; i < 120; i++) await page.mouse.move(box.x + 6 + 30 * Math.sin(i / 9), box.y + 6 - 40 + 40 * Math.cos(i / 13));
  const frames = (await page.evaluate('globalThis.frames')) as number[];
  await page.mouse.up();
  print({
    bench: 'dragging a shoreline',
    frames: frames.length,
    medianFrameMs: ms(median(frames)),
    longFrames: frames.filter((f) => f > 34).length,
  });

  /** A studio of a size opened from a cold start to its list, and edits of one piece in it: time of the main thread. */
  const opensFrom = async (of: Studio): Promise<{ listMs: number; firstEditMs?: number; editMs?: number }> => {
    await page.goto(`${base}/settings`);
    await page
      .getByLabel('Open a file')
      .setInputFiles({ name: 'large.json', mimeType: 'application/json', buffer: Buffer.from(writeStudio(of)) });
    await page.getByRole('button', { name: 'Open it' }).click();
    await page.getByText('The studio was replaced').waitFor();
    const lists: number[] = [];
    for (let i = 0; i < 5; i++) {
      const cold = await context.newPage();
      const begun = performance.now();
      await cold.goto(`${base}/pieces`);
      await cold
        .getByText(of.pieces.length ? 'Pieces' : 'No piece on the table yet')
        .first()
        .waitFor();
      if (of.pieces.length)
        await cold
          .locator('main li')
          .nth(of.pieces.length - 1)
          .waitFor({ state: 'attached' });
      lists.push(performance.now() - begun);
      await cold.close();
    }
    if (!of.pieces.length) return { listMs: ms(median(lists)) };
    await page.goto(`${base}/pieces/${of.pieces[0]!.id}`);
    await page.getByText('Mix in one batch').waitFor();
    await page.waitForTimeout(1500);
    const client = await context.newCDPSession(page);
    await client.send('Performance.enable');
    /** Time the main thread works in a second, ms, after a key is pressed in it, or in one that is left alone. */
    const busy = async (key?: string): Promise<number> => {
      const worked = async (): Promise<number> => {
        const { metrics } = (await client.send('Performance.getMetrics')) as { metrics: { name: string; value: number }[] };
        return 1000 * (metrics.find((m) => m.name === 'TaskDuration')?.value ?? 0);
      };
      const before = await worked();
      if (key) await page.keyboard.press(key);
      await page.waitForTimeout(1000);
      return (await worked()) - before;
    };
    await page.getByRole('slider', { name: 'Shoreline, point 3 of 5' }).focus();
    const alone = median([await busy(), await busy(), await busy()]);
    // the first few run code that is not compiled yet, as the first of any session do
    const edits: number[] = [];
    for (let i = 0; i < 9; i++) edits.push((await busy(i % 2 ? 'ArrowUp' : 'ArrowDown')) - alone);
    return { listMs: ms(median(lists)), firstEditMs: ms(edits[0]!), editMs: ms(median(edits.slice(4))) };
  };
  const empty = await opensFrom({ ...studio, pieces: [], pours: [] });
  const small = await opensFrom(studio);
  for (const [pieces, lines] of [
    [300, 5000],
    [1000, 5000],
  ] as const) {
    const { listMs, firstEditMs, editMs } = await opensFrom(largeStudio(pieces, lines));
    print({
      bench: 'a large studio opened to its list, and one edit there',
      pieces,
      lines,
      listMs,
      overEmpty: ms(listMs / empty.listMs),
      firstEditMs,
      editMs,
      editInTheSampleMs: small.editMs,
    });
  }
} finally {
  await browser.close();
  stop();
}

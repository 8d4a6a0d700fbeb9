import assert from 'node:assert/strict';
import { Zone } from '#core/air';
import { Planner } from '#core/plan';
import type { Studio } from '#core/document';
import { pieceReport } from '#core/report';
import { plain, writeSpan } from '#core/units';
import { near } from '../core/help';
import { cupRow, exportStudio, follow, visit } from './help';

visit('every figure of the piece screen is the one the command prints', {}, async ({ page }) => {
  const studio = JSON.parse(await exportStudio(page)) as Studio;
  for (const piece of studio.pieces) {
    const report = pieceReport(piece, studio, { now: Date.now(), zone: new Zone('UTC'), planner: new Planner() });
    await follow(page, `/pieces/${piece.id}`);
    await page.getByRole('heading', { name: piece.name, exact: true }).waitFor();
    await page.getByRole('tab', { name: 'Areas' }).click();
    await page.getByText('Finished', { exact: true }).waitFor();
    const chart = await page.getByRole('region', { name: 'Chart' }).innerText();
    assert.ok(chart.includes(`${plain(report.regions.beachCm2, 0)} cm²`), `${piece.name}: beach`);
    for (const [name, cm2] of Object.entries(report.regions.seaCm2))
      assert.ok(chart.includes(`${plain(cm2, 0)} cm²`), `${piece.name}: ${name}`);

    assert.ok(chart.includes(`${plain(report.finished.weightKg.total, 1)} kg`), `${piece.name}: weight`);
    const { levelMm, wallLeftMm } = report.finished;
    await page.getByRole('tab', { name: 'Section A–B' }).click();
    await page
      .getByText(`total ${plain(levelMm, 1)} mm${wallLeftMm === undefined ? '' : ` · wall left ${plain(wallLeftMm, 1)} mm`}`)
      .waitFor();

    for (const [i, pour] of report.pours.entries()) {
      const coat = pour.coats[0]!;
      await page.getByRole('button', { name: new RegExp(`^${coat.number} ${coat.coat}`) }).click();
      await page.getByRole('region', { name: `Cups for pour ${i + 1}` }).waitFor();
      const [batch] = pour.batches;
      for (const cup of batch!.cups) {
        const [ml, a, b] = await cupRow(page, cup.cup);
        // the command rounds to thousandths, so a last digit may stand on either side of a half
        for (const [shown, printed, digit] of [
          [ml, cup.ml, cup.ml < 10 ? 1 : 0],
          [a, cup.aG, 1],
          [b, cup.bG, 1],
        ] as const)
          near(Number(shown), printed, 0.5 * 10 ** -digit + 0.001);
      }
      const total = await cupRow(page, pour.batches.length > 1 ? 'Mix, batch 1' : 'Mix in one batch');
      assert.deepEqual(total.slice(1, 3), [batch!.aG.toFixed(1), batch!.bG.toFixed(1)]);
      await page.getByRole('tab', { name: 'The batch on the clock' }).click();
      const onClock = page.getByRole('region', { name: 'The batch on the clock' });
      await onClock.getByText(/Pour within/).waitFor();
      const clock = await onClock.innerText();
      const { white, nextCoat, heatUntil } = batch!.windowsMin;
      assert.ok(clock.includes(`Pour within ${plain(heatUntil, 0)} min`));
      assert.ok(clock.includes(`Next coat after ${writeSpan(nextCoat[0], nextCoat[1])}`));
      assert.equal(
        white !== undefined,
        batch!.cups.some((c) => c.cup === 'White'),
      );
      if (white) assert.ok(clock.includes(`White is ready at ${writeSpan(white[0], white[1])}`), clock);
      for (const finding of report.advice.filter((f) => f.pour === i + 1)) await page.getByText(finding.says).first().waitFor();
    }
  }
});

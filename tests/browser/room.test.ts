import assert from 'node:assert/strict';
import { exportStudio, follow, until, visit } from './help';

interface Kept {
  rooms: { id: string; humidity?: number; heating?: object; places?: { name: string }[] }[];
  air: { roomId: string; day: string; readings: { celsius: number }[] }[];
}
const kept = async (page: Parameters<typeof exportStudio>[0]): Promise<Kept> => JSON.parse(await exportStudio(page)) as Kept;
const count = ({ air }: Kept): number => air.filter((d) => d.roomId === 'loft').reduce((sum, d) => sum + d.readings.length, 0);

visit(
  'the thermometer drives the header, the windows and the room’s history; where it stops, that is said',
  { alone: true },
  async ({ page }) => {
    await follow(page, '/room');
    const before = count(await kept(page));
    await follow(page, '/room');
    await page.getByRole('button', { name: 'Read the thermometer' }).click();
    await page.getByText(/The simulated thermometer shows/).waitFor();
    const header = page.getByTestId('air');
    await until(
      () => header.innerText(),
      (text) => /read now/.test(text),
      'the header reads it',
    );
    await page.getByLabel('Warm its room to').fill('29 °C');
    await page.getByRole('button', { name: 'Warm it' }).click();
    await until(
      () => header.innerText(),
      (text) => Number.parseFloat(text) > 28.5,
      'the room is warmed',
    );
    await follow(page, '/pieces/kelp-cove-1/clock');
    await until(
      () => page.getByRole('heading', { level: 2, name: /^Slow coating at/ }).innerText(),
      (text) => /at (28\.5|29) °C/.test(text),
      'pieces are planned at it',
    );
    const warm = Number.parseFloat(await page.getByTestId('heat-until').innerText());
    // a page loaded anew goes on reading it
    await page.reload();
    await until(
      () => header.innerText(),
      (text) => /read now/.test(text),
      'it is read again',
    );
    await follow(page, '/room');
    await page.getByRole('button', { name: 'Let it stop' }).click();
    await page.getByText(/has said nothing for/).waitFor();
    assert.match(await header.innerText(), /thermometer silent/);
    await page.getByRole('button', { name: 'Take it off' }).click();
    await follow(page, '/pieces/kelp-cove-1/clock');
    await until(
      async () => Number.parseFloat(await page.getByTestId('heat-until').innerText()),
      (min) => min > warm + 15,
      'and planned by day again',
    );
    assert.ok(count(await kept(page)) >= before + 1, 'what it showed is kept');
  },
);

visit('readings: one typed, a hundred thousand in °F with a decimal comma, a file that is none, and undo', {}, async ({ page }) => {
  const first = count(await kept(page));
  await follow(page, '/room');
  await page.getByLabel('It is now, read here').fill('warm');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByText(/“warm” has no number in front/).waitFor();
  await page.getByLabel('It is now, read here').fill('66.2 F');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByText(/the last 19 °C/).waitFor();
  await until(
    () => page.getByTestId('air').innerText(),
    (text) => /^19 °C/.test(text),
    'the header has it',
  );

  const start = Date.UTC(2025, 0, 1);
  const lines = Array.from({ length: 100_000 }, (_, i) => {
    const [day, time] = new Date(start + i * 300_000).toISOString().slice(0, 16).split('T');
    return `${day} ${time};${(68 + 4 * Math.sin(i / 40)).toFixed(2).replace('.', ',')}`;
  });
  const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  const input = page.getByLabel('Bring in a logger’s CSV');
  await input.setInputFiles(file('nothing.csv', 'a;b\n1;2\n'));
  await page.getByText(/No column holds a day and a time/).waitFor();
  await input.setInputFiles(file('loft.csv', `Time;Temperature °F\n${lines.join('\n')}\n`));
  await page.getByText(/100000 lines in °F.*kept as 8334 readings/s).waitFor();
  await page.getByRole('button', { name: 'Bring them in' }).click();
  await page.getByText(/8334 readings came in from loft\.csv/).waitFor();
  assert.equal(count(await kept(page)), first + 1 + 8334);
  await follow(page, '/room');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText(new RegExp(`^${first + 1} readings are kept`)).waitFor();
});

visit('damp, heating and places are kept, and what they do is said', {}, async ({ page }) => {
  await follow(page, '/room');
  const film = page.getByRole('region', { name: 'What that does to a film' });
  await page.getByRole('button', { name: 'Take them off' }).click();
  await page.getByText('Nothing was read here yet').waitFor();
  await page.getByLabel('Humidity by day').fill('75');
  await page.getByLabel('Humidity by day').press('Enter');
  await film.getByText(/a film that is still tacky hazes/).waitFor();
  await page.getByLabel('The heating is turned up').check();
  await page.getByLabel('to', { exact: true }).fill('24 °C');
  await page.getByLabel('to', { exact: true }).press('Enter');
  await page.getByLabel('from (hour)').fill('0');
  await page.getByLabel('from (hour)').press('Enter');
  await page.getByLabel('until (hour)').fill('0');
  await page.getByLabel('until (hour)').press('Enter');
  await film.getByText(/dry enough for a film/).waitFor();
  await page.getByRole('button', { name: 'Add a place' }).click();
  await page.getByRole('button', { name: 'Take place 3 off' }).waitFor();
  await page.getByRole('button', { name: 'Take the sail shelf off' }).click();
  await page.getByRole('button', { name: 'Take the sail shelf off' }).waitFor({ state: 'detached' });
  const loft = (await kept(page)).rooms.find((r) => r.id === 'loft')!;
  assert.equal(loft.humidity, 0.75);
  assert.deepEqual(loft.heating, { celsius: 24, from: 0, until: 0 });
  assert.deepEqual(
    loft.places!.map((p) => p.name),
    ['the long bench', 'place 3'],
  );
  await follow(page, '/room');
  await page.getByLabel('The heating is turned up').uncheck();
  await until(async () => (await kept(page)).rooms.find((r) => r.id === 'loft')!.heating === undefined, Boolean, 'heating is off');
});

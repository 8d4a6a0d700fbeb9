import assert from 'node:assert/strict';
import type { Locator, Page } from 'playwright-core';
import { writeStudio, type Settings, type Studio } from '#core/document';
import { sample } from '../factories';
import { follow, openCoat, openFile, replaced, visit } from './help';
import { screens } from './screens';

const METRIC = /(?<![\p{L}\d])(?:mm|cm|ml|cl|[\d½⅓] ?(?:m|g|l)|kg|°C|[cm]?m²|litres?|grams?|millimetres?|metres?)(?![\p{L}\d])/u;
const US =
  /(?<![\p{L}\d])(?:fl oz|oz|lbs?|°F|sq (?:in|ft)|inch(?:es)?|[\d½] ?(?:in|ft)|ounces?|(?<!(?:upper|lower|left|right|middle|the) )foot|(?<!(?:on|its) )feet|gal)(?![\p{L}\d])/u;
const WEIGHT = /(?<![\p{L}\d])(?:\d ?g|kg|grams?|oz wt|lbs?)(?![\p{L}\d])/u;

/** The sample in some units, without those that its artist wrote into names and notes. */
function studioIn(units: Partial<Settings>): string {
  const studio = sample();
  const text = JSON.stringify({ ...studio, settings: { ...studio.settings, ...units } }, (key, value: unknown) =>
    (key === 'name' || key === 'text' || key === 'note') && typeof value === 'string'
      ? value.replace(/\d+(?:[.,]\d+)? ?(?:ml|mm|cm|kg|g|l|m|°C)\b/g, 'some')
      : value,
  );
  return writeStudio(JSON.parse(text) as Studio);
}

/** All that a screen says: its texts, what stands in its fields, and what is only read out or shown on hover. */
const saidOn = (page: Page): Promise<string[]> =>
  page.evaluate(`(() => {
    const said = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode()) {
      const { parentElement: parent, nodeValue } = walk.currentNode;
      if (!['SCRIPT', 'STYLE'].includes(parent.tagName)) said.push(nodeValue);
    }
    for (const element of document.querySelectorAll('*')) {
      for (const name of ['aria-label', 'aria-valuetext', 'aria-description', 'title', 'placeholder', 'alt']) said.push(element.getAttribute(name) ?? '');
      if (element instanceof HTMLInputElement && element.type !== 'file') said.push(element.value);
    }
    return said.map((text) => text.replace(/\\s+/g, ' ').trim()).filter(Boolean);
  })()`) as Promise<string[]>;

/** Presses all of some buttons one after the other, looking after each. */
async function each(buttons: Locator, look: () => Promise<void>): Promise<void> {
  for (let i = 0; i < (await buttons.count()); i++) {
    await buttons.nth(i).click();
    await look();
  }
}

/** Lists what should not be said on any screen, with each coat and cup of a piece opened. */
async function offending(page: Page, wrong: RegExp, paths: string[], except = /^$/): Promise<string[]> {
  const found = new Set<string>();
  for (const path of paths) {
    await follow(page, path);
    const look = async (): Promise<void> => {
      for (const text of await saidOn(page)) if (wrong.test(text) && !except.test(text)) found.add(`${path}: ${text}`);
    };
    await look();
    if (path === '/pieces/kelp-cove-1') {
      await each(page.getByRole('tab'), look);
      for (const name of [/^1 /, /^2 /, /^3 /, /^4 /, /^6 /]) {
        await openCoat(page, name);
        await look();
      }
      await page.keyboard.press('Escape');
      await each(page.getByRole('region', { name: /^Cups for pour/ }).getByRole('button', { expanded: false }), look);
    }
  }
  return [...found];
}

async function inUnits(page: Page, units: Partial<Settings>): Promise<void> {
  await openFile(page, studioIn(units));
  await page.getByRole('button', { name: 'Open it' }).click();
  await replaced(page);
}

const us = { length: 'in', volume: 'fl oz', temperature: '°F', weight: 'oz wt' } as const;
const halves = [screens.slice(0, 16), screens.slice(16)];
/** Where a unit is chosen by its name. */
const CHOICES = /^(mm|cm|in|ml|fl oz|g|kg|oz by weight|°C|°F|m|ft)$/;

for (const [part, paths] of halves.entries()) {
  visit(`in US units no screen says a metric word, part ${part + 1}`, {}, async ({ page }) => {
    await inUnits(page, us);
    assert.deepEqual(await offending(page, METRIC, paths, CHOICES), []);
  });
  visit(`in metric units no screen says a US word, part ${part + 1}`, {}, async ({ page }) => {
    assert.deepEqual(await offending(page, US, paths, CHOICES), []);
  });
}

visit('with marked cups no screen tells a weight, unless it is asked for', {}, async ({ page }) => {
  await inUnits(page, { measure: 'marked cups' });
  const asked = /^\/(scale|shelf|settings|tints\/measure|pieces\/new|pieces\/[^/]+\/(?:board|quote|print))/;
  assert.deepEqual(
    await offending(
      page,
      WEIGHT,
      screens.filter((path) => !asked.test(path)),
      // what was weighed at the bench was asked for there; what a finished piece weighs is for its hanger
      / weighed|^(?:resin )?[\d.]+ kg$/,
    ),
    [],
  );
});

import assert from 'node:assert/strict';
import { visit } from './help';
import { killedWhilePouring } from './killed-pour';

visit(
  'a pour of two panels, its page killed at 40 moments: the log is what was pressed',
  { alone: true },
  async ({ page, context, base }) => {
    const differ = await killedWhilePouring(
      base,
      40,
      {
        open: () => context.newPage(),
        // a page that is closed so says goodbye to nothing
        kill: (open) => open.close({ runBeforeUnload: false }),
      },
      17,
    );
    assert.equal(differ, 0);
    await page.close();
  },
);

import { defineConfig, devices } from '@playwright/test';
import { CHROMIUM } from './tests/support/chromium.ts';

export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results',
  globalSetup: './tests/support/globalSetup.ts',
  // One server and database for each worker.
  workers: 2,
  retries: 0,
  // What takes long and repeats a flow in another way runs in `npm run soak`.
  ...(process.env.FOOTSTOOL_SOAK !== '1' && { grepInvert: /@soak/ }),
  // Wide, since shared machines pause for seconds; a test that is done sooner does not wait for it.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  use: {
    ...devices['Desktop Chrome'],
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    trace: 'off',
  },
});

import { defineConfig } from '@playwright/test'
import { chromiumArguments, chromiumPath } from './scripts/shared/chromium.ts'

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './scripts/e2e/before-all.ts',
  testMatch: '**/*.e2e.ts',
  timeout: 60_000,
  expect: { timeout: 15_000 },
  fullyParallel: true,
  workers: 2,
  forbidOnly: true,
  outputDir: 'test-results/browser',
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    browserName: 'chromium',
    // Only the tests of the shell need a browser that fetches all that it keeps: they ask for a window of their own.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: chromiumPath(),
      args: [
        ...chromiumArguments,
        // One process for all pages of a window, which keeps what it has compiled from one test to the next: see e2e/windows.ts.
        ...['--disable-site-isolation-trials', '--renderer-process-limit=1'],
        // A page lives for seconds here: to compile it for speed takes longer than that saves.
        '--js-flags=--no-maglev --no-turbofan --min-semi-space-size=32',
      ],
    },
  },
})

import { defineConfig } from '@playwright/test'
import { chromiumArguments, chromiumPath } from './scripts/shared/chromium.ts'

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.e2e.ts',
  timeout: 45_000,
  expect: { timeout: 8_000 },
  fullyParallel: true,
  workers: 2,
  forbidOnly: true,
  outputDir: 'test-results/browser',
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    browserName: 'chromium',
    // Every test has a browser of its own: only those of the shell need it to fetch all that it keeps.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: chromiumPath(),
      args: chromiumArguments,
    },
  },
})

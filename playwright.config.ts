import { defineConfig } from '@playwright/test'

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
    launchOptions: {
      executablePath: process.env['ZOVRIN_CHROMIUM'] ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-background-networking'],
    },
  },
})

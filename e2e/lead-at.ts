import type { Page } from '@playwright/test'

/** Starts the class at a moment of it: the page's clock is set that far ahead. */
export async function leadAt(
  page: Page,
  address: string,
  seconds: number,
  sessionId = 'thursday-slow-hour',
  /** What is waited for before Start. */
  before: (page: Page) => Promise<unknown> = () => Promise.resolve(),
): Promise<void> {
  await page.addInitScript(() => {
    const clock = window as unknown as { stillMs?: number; pushedMs?: number }
    const steadyMs = () => (clock.stillMs ?? performance.now()) + Number(clock.pushedMs ?? 0)
    const zeroMs = Date.now() - performance.now()
    Object.assign(window, { zovrinPorts: { epochMs: () => zeroMs + steadyMs(), steadyMs } })
  })
  await page.goto(`${address}lead/${sessionId}`)
  await before(page)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await page.getByTestId('clock').waitFor()
  await page.evaluate((s) => Object.assign(window, { pushedMs: s * 1000 }), seconds)
}

/** Leads a class at that second of it, and there its clock stands still: what lasts a few seconds is there however long one looks for it. */
export const stillAt = (page: Page, address: string, seconds: number): Promise<void> =>
  leadAt(page, address, seconds, undefined, () =>
    page.evaluate(() => Object.assign(window, { stillMs: performance.now() })),
  )

/** Sets the page's clock so many seconds further. */
export const pushBy = (page: Page, seconds: number) =>
  page.evaluate((s) => {
    const now = window as unknown as { pushedMs?: number }
    now.pushedMs = (now.pushedMs ?? 0) + s * 1000
  }, seconds)

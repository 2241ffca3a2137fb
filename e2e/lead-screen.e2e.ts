import type { Page } from '@playwright/test'
import { expect, test } from './fixtures.ts'
import { leadAt, pushBy, stillAt } from './lead-at.ts'

const fontPx = (page: Page, css: string) =>
  page
    .locator(css)
    .first()
    .evaluate((element) => parseFloat(getComputedStyle(element).fontSize))

/** A minute into Deer's left side. */
const inDeerS = 1700

for (const { width, height, clockPx, restPx } of [
  { width: 1280, height: 800, clockPx: 150, restPx: 44 },
  { width: 390, height: 844, clockPx: 90, restPx: 28 },
]) {
  test(`at ${String(width)} px the clock is at least ${String(clockPx)} px high, the rest ${String(restPx)}`, async ({
    page,
    house,
  }) => {
    await page.setViewportSize({ width, height })
    await leadAt(page, house.address, inDeerS)
    await expect(page.locator('.where')).toContainText('Left · left knee in front')
    expect(await fontPx(page, '.clock')).toBeGreaterThanOrEqual(clockPx)
    for (const part of ['.where', '.name', '.cue', '.next'])
      expect(await fontPx(page, part)).toBeGreaterThanOrEqual(restPx)
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect(overflow).toBeLessThanOrEqual(0)
  })
}

test('at 768 px the lit half takes the full width', async ({ page, house }) => {
  await page.setViewportSize({ width: 768, height: 1024 })
  await leadAt(page, house.address, inDeerS)
  await expect(page.locator('.where')).toContainText('Left')
  expect((await page.getByRole('region', { name: 'Now' }).boundingBox())?.width).toBe(768)
})

test('every button is at least 44 px high and none keeps the focus, so Space is always pause', async ({
  page,
  house,
}) => {
  await leadAt(page, house.address, inDeerS)
  const low = await page
    .locator('.lead button')
    .evaluateAll((buttons) =>
      buttons.filter((button) => button.getBoundingClientRect().height < 44).map((button) => button.textContent),
    )
  expect(low).toEqual([])
  await page.getByRole('button', { name: 'Mark' }).click()
  await page.keyboard.press(' ')
  await expect(page.getByText('paused, they stay')).toBeVisible()
  await page.getByRole('button', { name: 'They come out' }).click()
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('Come out')
})

for (const [seconds, shown] of [
  [60, 'What we do today, and the stop signs'],
  [423, 'Kneel'],
  [440, 'Set up Wide-knee fold'],
  [600, 'Wide-knee fold'],
  [735, 'Rebound'],
  [1287, 'Small movement'],
  [2640, 'Fetch the chairs'],
  [2800, 'Calves on a chair'],
  [3200, 'Final rest'],
  [3450, 'Roll to the right, or the side you prefer'],
] as const) {
  test(`${String(seconds)} s into the class the screen says "${shown}"`, async ({ page, house }) => {
    await stillAt(page, house.address, seconds)
    await expect(page.getByRole('region', { name: 'Now' })).toContainText(shown)
  })
}

test('the screen dims in four levels', async ({ page, house }) => {
  await leadAt(page, house.address, 60)
  const bright = () => page.locator('.lead').evaluate((element) => getComputedStyle(element).filter)
  const levels = [await bright()]
  for (const level of ['1', '2', '3']) {
    await page.getByRole('button', { name: `dim ${level} of 4` }).click()
    levels.push(await bright())
  }
  expect(new Set(levels).size).toBe(4)
})

test('a class that runs behind its promise says by how much', async ({ page, house }) => {
  await leadAt(page, house.address, inDeerS)
  await expect(page.getByTestId('behind')).toBeHidden()
  // Under two minutes nothing is said of it.
  await page.keyboard.press('+')
  await expect(page.getByTestId('match')).toHaveText('4:00')
  await expect(page.getByTestId('behind')).toBeHidden()
  await pushBy(page, 1)
  await page.keyboard.press('+')
  await expect(page.getByTestId('behind')).toContainText('2:00 behind, promised')
})

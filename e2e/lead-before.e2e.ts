import type { Page } from '@playwright/test'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'

/** Sounds as they are handed to the audio clock. */
async function heard(page: Page): Promise<() => Promise<readonly { kind: string; gain?: number }[]>> {
  await page.addInitScript(() => {
    const sounds: unknown[] = []
    Object.assign(window, {
      sounds,
      zovrinPorts: {
        audio: () => ({
          now: () => performance.now() / 1000,
          isRunning: () => true,
          resume: () => Promise.resolve(),
          schedule: (sound: unknown) => sounds.push(sound),
          cancel: () => undefined,
        }),
      },
    })
  })
  return () => page.evaluate(() => (window as unknown as { sounds: { kind: string; gain?: number }[] }).sounds)
}
const records = async ({ address }: House) => (await (await fetch(`${address}api/led-classes`)).json()) as unknown[]
const choose = async (page: Page, of: RegExp, option: string) => {
  await page.getByRole('combobox', { name: of }).click()
  await page.getByRole('option', { name: option }).click()
  // The list is away before another one is opened.
  await expect(page.getByRole('option')).toHaveCount(0)
}

test('before Start each sound is chosen and tried; it is what the class sounds with, in every session', async ({
  page,
  house,
}) => {
  const sounds = await heard(page)
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await expect(page.getByTestId('start-means')).toHaveText(/^Start now: ends \d\d:\d\d, as it is planned\.$/)
  await choose(page, /^Bowl/, 'a held tone, for calls')
  await page.getByRole('button', { name: 'Try the bowl' }).click()
  await expect.poll(sounds).toEqual([{ kind: 'heldTone', strokes: 1 }])
  await choose(page, /^Bell/, 'nothing')
  await expect(page.getByRole('button', { name: 'Try the bell' })).toBeDisabled()
  await expect
    .poll(
      async () =>
        ((await (await fetch(`${house.address}api/settings`)).json()) as { classSounds?: object }).classSounds,
    )
    .toMatchObject({ bowl: { kind: 'heldTone' }, lowBell: { kind: 'none' } })
  await page.goto(`${house.address}lead/sunday-long-rest`)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  await page.keyboard.press('b')
  await expect.poll(async () => (await sounds()).map(({ kind }) => kind)).toContain('heldTone')
  expect((await sounds()).map(({ kind }) => kind)).not.toContain('bowl')
})

test('a rehearsal runs eight times as fast, records nothing, and leads back to before the class', async ({
  page,
  house,
}) => {
  const before = await records(house)
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await page.getByRole('button', { name: 'Rehearse ×8' }).click()
  await expect(page.getByText('rehearsal ×8, nothing is recorded')).toBeVisible()
  // Class time runs eight times as fast as the page's own.
  const fast = await page.evaluate(async () => {
    const shown = () => {
      const [minutes = 0, seconds = 0] = (document.querySelector('[data-testid=clock]')?.textContent ?? '')
        .split(':')
        .map(Number)
      return minutes * 60 + seconds
    }
    const [from, fromMs] = [shown(), performance.now()]
    while (from - shown() < 24) await new Promise(requestAnimationFrame)
    return (from - shown()) / ((performance.now() - fromMs) / 1000)
  })
  expect(fast).toBeGreaterThan(4)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('m')
  await page.getByRole('button', { name: 'Leave' }).click()
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible()
  expect(await records(house)).toEqual(before)
})

test('the card of stop signs has what the place says of an emergency, and first aid; the screen is light or dark by a key', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}places`)
  const field = page.getByLabel('In an emergency, line by line')
  await field.fill('Ring 4471\n\n  The side door, by the river ')
  await field.press('Tab')
  await expect
    .poll(async () => {
      const [first] = (await (await fetch(`${house.address}api/places`)).json()) as {
        place: { emergency?: string[] }
      }[]
      return first?.place.emergency
    })
    .toEqual(['Ring 4471', 'The side door, by the river'])
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  await page.keyboard.press('x')
  const card = page.getByRole('dialog', { name: 'Stop signs' })
  await expect(card.getByRole('list', { name: 'In an emergency here' })).toHaveText(/Ring 4471.*The side door/)
  await expect(card).toContainText('First aid, as your local training has it')
  await card.getByRole('button', { name: 'Close' }).click()
  const ground = () => page.locator('.lead').evaluate((lead) => getComputedStyle(lead).backgroundColor)
  const dark = await ground()
  await page.keyboard.press('l')
  await expect.poll(ground).not.toBe(dark)
  await page.reload()
  await expect(page.getByTestId('clock')).toBeVisible()
  expect(await ground()).not.toBe(dark)
})

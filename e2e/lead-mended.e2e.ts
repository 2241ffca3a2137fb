import type { Page } from '@playwright/test'
import { expect, test } from './fixtures.ts'

/** Clocks a test can move apart: the machine's, which can be set, and the page's own; sound can be held back. */
async function ownClocks(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const zeroMs = Date.now() - performance.now()
    const stored = (name: string) => Number(localStorage.getItem(name) ?? 0)
    const add = (name: string, ms: number) => {
      localStorage.setItem(name, String(stored(name) + ms))
    }
    // Time that passes while no page is there is told by the next one that loads.
    add('onMs', stored('awayMs'))
    localStorage.removeItem('awayMs')
    const steadyMs = () => performance.now() + stored('onMs')
    Object.assign(window, {
      push: (seconds: number) => {
        add('onMs', seconds * 1000)
      },
      setClock: (seconds: number) => {
        add('setMs', seconds * 1000)
      },
      zovrinPorts: {
        epochMs: () => zeroMs + steadyMs() + stored('setMs'),
        steadyMs,
        audio: () => ({
          now: () => steadyMs() / 1000,
          isRunning: () => localStorage.getItem('hush') === null,
          resume: () => {
            localStorage.removeItem('hush')
            return Promise.resolve()
          },
          schedule: () => undefined,
          cancel: () => undefined,
        }),
      },
    })
  })
}
const push = (page: Page, seconds: number) =>
  page.evaluate((s) => (window as unknown as { push: (s: number) => void }).push(s), seconds)
const setClock = (page: Page, seconds: number) =>
  page.evaluate((s) => (window as unknown as { setClock: (s: number) => void }).setClock(s), seconds)
const now = (page: Page) => page.getByRole('region', { name: 'Now' })
const clockS = async (page: Page): Promise<number> => {
  const [minutes = NaN, seconds = NaN] = (await page.getByTestId('clock').innerText()).split(':').map(Number)
  return minutes * 60 + seconds
}

async function begin(page: Page, address: string): Promise<void> {
  await ownClocks(page)
  await page.goto(`${address}lead/thursday-slow-hour`)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  await push(page, 600)
  await expect(now(page)).toContainText('Wide-knee fold')
}

for (const [way, byS] of [
  ['back', -300],
  ['forward', 300],
] as const) {
  test(`the machine’s clock set ${way} five minutes in mid-class neither stops it nor asks anything`, async ({
    page,
    house,
  }) => {
    await begin(page, house.address)
    const beforeS = await clockS(page)
    const hour = page.getByText(/ · ends /)
    const before = await hour.innerText()
    await setClock(page, byS)
    await expect(hour).not.toHaveText(before)
    await push(page, 5)
    await expect.poll(() => clockS(page)).toBeLessThanOrEqual(beforeS - 5)
    expect(await clockS(page)).toBeGreaterThan(beforeS - 30)
    await expect(page.getByRole('alertdialog')).toBeHidden()
    await expect(page.getByTestId('behind')).toBeHidden()
    await page.keyboard.press('+')
    await expect.poll(() => clockS(page)).toBeGreaterThan(beforeS)
  })
}

/** Makes a mark, and waits until the browser keeps it: what is reloaded before goes on from what was kept before. */
async function markAndKeep(page: Page): Promise<void> {
  await page.keyboard.press('m')
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<number>((tell) => {
            const opening = indexedDB.open('zovrin-classes')
            opening.onsuccess = () => {
              const reading = opening.result.transaction('classes').objectStore('classes').getAll()
              reading.onsuccess = () => {
                opening.result.close()
                tell((reading.result as { events: unknown[] }[])[0]?.events.length ?? 0)
              }
            }
          }),
      ),
    )
    .toBeGreaterThan(0)
}

/** Away for ten minutes of wall time, with nothing of it seen. */
async function comeBackAfterTenMinutes(page: Page): Promise<void> {
  await markAndKeep(page)
  await page.evaluate(() => {
    localStorage.setItem('awayMs', '600000')
  })
  await page.reload()
}

test('while it is asked what happened nothing but an answer acts, by key or by button', async ({ page, house }) => {
  await begin(page, house.address)
  await comeBackAfterTenMinutes(page)
  const question = page.getByRole('alertdialog', { name: 'What happened' })
  await expect(question).toBeVisible()
  await expect(question.getByRole('button', { name: 'It went on without me' })).toBeFocused()
  for (const key of ['ArrowRight', '+', 'o', 'Escape', 'Escape']) await page.keyboard.press(key)
  await expect(question).toBeVisible()
  await question.getByRole('button', { name: 'It stopped then' }).press('Enter')
  await expect(page.getByRole('heading', { name: 'Left early' })).toBeVisible()
})

test('the stop card and the question before leaving take the focus and close as their buttons promise', async ({
  page,
  house,
}) => {
  await begin(page, house.address)
  const card = page.getByRole('dialog', { name: 'Stop signs' })
  for (const key of ['Enter', ' ', 'Escape']) {
    await page.keyboard.press('x')
    await expect(card.getByRole('button', { name: 'Close' })).toBeFocused()
    await page.keyboard.press(key)
    await expect(card).toBeHidden()
    await expect(page.getByText('paused')).toBeHidden()
    // The same key at once would be one press.
    await push(page, 1)
  }
  const leave = page.getByRole('button', { name: 'Leave' })
  const question = page.getByRole('alertdialog', { name: 'Leave' })
  for (const key of ['Enter', ' ', 'Escape']) {
    await leave.focus()
    await page.keyboard.press('Enter')
    await expect(question.getByRole('button', { name: 'Go on' })).toBeFocused()
    await page.keyboard.press(key)
    await expect(question).toBeHidden()
    await expect(leave).toBeFocused()
  }
})

test('dimming and leaving are reached by the keyboard, and what begins is told to a screen reader', async ({
  page,
  house,
}) => {
  await begin(page, house.address)
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'dim 1 of 4' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'dim 2 of 4' })).toBeFocused()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'Leave' })).toBeFocused()
  await page.keyboard.press(' ')
  await expect(page.getByText('paused, they stay')).toBeVisible()
  await push(page, 1)
  await page.keyboard.press(' ')
  await expect(page.getByRole('status').first()).toHaveText('Wide-knee fold')
  await push(page, 1100)
  await expect(page.getByRole('status').first()).toHaveText('Deer, left, left knee in front, right knee behind')
})

test('after a reload the first touch only lets the sound through, also on a button', async ({ page, house }) => {
  await begin(page, house.address)
  await markAndKeep(page)
  await page.evaluate(() => {
    localStorage.setItem('hush', 'yes')
  })
  await page.reload()
  const hush = page.getByText('Touch or press any key for the bells')
  await expect(hush).toBeVisible()
  await page.getByRole('button', { name: 'Pause' }).click()
  await expect(hush).toBeHidden()
  await expect(page.getByText('paused, they stay')).toBeHidden()
  await page.getByRole('button', { name: 'Pause' }).click()
  await expect(page.getByText('paused, they stay')).toBeVisible()
})

test('a start that cannot be read is not taken: its field says how it is written', async ({ page, house }) => {
  await ownClocks(page)
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await page.getByLabel('Starts at').fill('soonish')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByRole('alert')).toHaveText('Type the time as 19:00, or leave it empty.')
  await expect(page.getByLabel('Starts at')).toBeFocused()
  await expect(page.getByTestId('clock')).toBeHidden()
})

test('a record that the server refuses is said to be refused, not away', async ({ page, house, expectFailures }) => {
  expectFailures('Failed to load resource')
  await page.route('**/api/led-classes/*', (route) =>
    route.request().method() === 'PUT'
      ? route.fulfill({
          status: 413,
          contentType: 'application/problem+json',
          body: JSON.stringify({ code: 'BODY_TOO_LARGE', status: 413, title: '', detail: 'It is too large.' }),
        })
      : route.continue(),
  )
  await begin(page, house.address)
  await expect(page.getByText('kept in this browser only: It is too large.')).toBeVisible()
  await expect(page.getByText('retrying')).toBeHidden()
})

test('the last End of a class is taken back within ten seconds', async ({ page, house }) => {
  await begin(page, house.address)
  await push(page, 2900)
  await expect(now(page)).toContainText('Press up and sit')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { name: 'Done' })).toBeVisible()
  await page.getByRole('button', { name: 'Back: it goes on' }).click()
  await expect(now(page)).toContainText('Press up and sit')
  await push(page, 3)
  await expect.poll(() => clockS(page)).toBeGreaterThan(0)
})

import { ledStartSchema } from '#model/led-class'
import { aLedClass } from '#testing/led-classes'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'

/** Three Thursdays on which the set-up of the wide-knee fold was stayed in until all lay well. */
async function ledThrice(house: House): Promise<void> {
  const session = await house.session('thursday-slow-hour')
  const { segments } = aLedClass(session).plan
  const at = segments.findIndex(({ blockId, doing }) => blockId === 'wide-knee-fold' && doing.kind === 'setUp')
  const fromMs = segments.slice(0, at).reduce((sum, { lengthMs }) => sum + lengthMs, 0)
  for (const day of [1, 2, 3]) {
    const startedAt = new Date(Date.UTC(2026, 1, day, 18)).toISOString()
    const record = aLedClass(
      session,
      [
        { type: 'pause', atMs: fromMs + 5000 },
        { type: 'resume', atMs: fromMs + 90_000 },
        { type: 'end', atMs: fromMs + 95_000 },
      ],
      { startedAt },
    )
    const id = `taught-${String(day)}`
    const start = Object.fromEntries(Object.entries(record).filter(([name]) => name in ledStartSchema.shape))
    const send = async (path: string, method: string, body: object) => {
      const { status } = await fetch(`${house.address}api/led-classes/${id}${path}`, {
        method,
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      })
      expect(status).toBeLessThan(300)
    }
    const { events, visits, endedAt, left, conductedMs } = record
    await send('', 'PUT', { ...start, id })
    await send('/events?after=0', 'POST', { events, conductedMs })
    await send('/end', 'PUT', { endedAt, left, visits })
  }
}

test('what was ended by hand three times is learned: Plan says what moved, and one can set, forget and undo it', async ({
  page,
  house,
}) => {
  await ledThrice(house)
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  const moved = page.getByText(/longer by what your classes took: set-up of Wide-knee fold \(\+/)
  await expect(moved).toBeVisible()
  await page.getByRole('option', { name: /^Wide-knee fold/ }).click()
  await expect(page.getByText('Set-up · learned')).toBeVisible()
  await page.getByRole('link', { name: 'Your times' }).click()
  const row = page.getByRole('row', { name: /^Set-up of Wide-knee fold/ })
  await expect(row).toContainText('95 · 95 · 95 s')
  await expect(row).toContainText('learned')
  const own = row.getByRole('textbox')
  await own.fill('40')
  await own.press('Enter')
  await expect(row).toContainText('set by you')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toContainText('learned')
  await row.getByRole('button', { name: /^Forget the records/ }).click()
  await expect(row).toContainText('usual')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toContainText('learned')
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await expect(moved).toBeVisible()
  await page.getByRole('button', { name: 'So it is' }).click()
  await expect(moved).toBeHidden()
})

test('without a record Your times says how one comes about', async ({ page, house }) => {
  // On the demo's first Sunday it was said when all were settled, which teaches; without it nothing was recorded.
  const gone = await fetch(`${house.address}api/led-classes/sunday-1-week-ago/deleted`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ deleted: true }),
  })
  expect(gone.status).toBe(204)
  await page.goto(`${house.address}journal`)
  await page.getByRole('link', { name: 'Your times' }).click()
  await expect(page.getByRole('heading', { name: 'Your times' })).toBeVisible()
  await expect(page.getByText('Nothing was recorded yet.')).toBeVisible()
})

test('Your times says nothing of records until the server has answered, and when it does not', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('Failed to load resource')
  let answer = (): void => undefined
  const held = new Promise<void>((done) => (answer = done))
  await page.route('**/api/led-classes/times*', async (route) => {
    await held
    await route.abort()
  })
  await page.goto(`${house.address}journal/times`)
  await expect(page.getByRole('heading', { name: 'Your times' })).toBeVisible()
  await expect(page.getByText('Nothing was recorded yet.')).toHaveCount(0)
  answer()
  await expect(page.getByText('your records cannot be read')).toBeVisible()
})

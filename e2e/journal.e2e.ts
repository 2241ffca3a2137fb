import { demoClasses } from '#server/demo/led-classes'
import { expect, test } from './fixtures.ts'

test('a long journal is read page by page, the newest first', async ({ page, house }) => {
  const [demo] = demoClasses(new Date('2026-03-12T17:00:00Z'))
  if (!demo) throw new Error('the demo has classes')
  const short = { ...demo.start, plan: { ...demo.start.plan, cues: [] } }
  for (let at = 0; at < 101; at += 1) {
    const startedAt = new Date(Date.UTC(2020, 0, 1 + at, 18)).toISOString()
    const led = { ...short, id: `former-${String(at)}`, startedAt, promisedEnd: startedAt }
    const { status } = await fetch(`${house.address}api/led-classes/${led.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(led),
    })
    expect(status).toBe(204)
  }
  await page.goto(`${house.address}journal`)
  const rows = page.getByRole('row')
  await expect(rows).toHaveCount(101)
  const earlier = page.getByRole('button', { name: 'Earlier classes' })
  await earlier.press('Enter')
  await expect(earlier).toBeHidden()
  const all = await rows.count()
  expect(all).toBeGreaterThan(102)
  await expect(rows.last()).toContainText('1 Jan 2020')
  await expect(page.getByRole('rowheader')).toHaveCount(all - 1)
})

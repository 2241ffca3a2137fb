import type { Page } from '@playwright/test'
import { expect, test } from './fixtures.ts'
import { pushBy } from './lead-at.ts'
import { heardOn, listen, wav } from './listening.ts'

const bring = (page: Page, name: string, buffer: Buffer, mimeType = 'audio/wav') =>
  page.getByLabel('A sound file of your own').setInputFiles({ name, mimeType, buffer })

async function choose(page: Page, what: RegExp, name: string): Promise<void> {
  await page.getByRole('combobox', { name: what }).click()
  await page.getByRole('option', { name }).click()
  await expect(page.getByRole('option')).toHaveCount(0)
}

test('a bell of one’s own is struck in the class, and music plays until the rest', async ({ page, house }) => {
  await listen(page)
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await bring(page, 'Temple gong.wav', wav(2))
  const own = page.getByRole('list', { name: 'Own sounds' })
  await expect(own).toContainText('Temple gong bell, 0:02')
  await bring(page, 'Slow strings.wav', wav(40))
  await expect(own).toContainText('Slow strings music, 0:40')
  await choose(page, /^Bowl/, 'Temple gong')
  await choose(page, /^Music/, 'Slow strings')
  await page.getByRole('button', { name: 'Try the bowl' }).click()
  await expect.poll(async () => (await heardOn(page)).kept.length).toBe(1)
  await page.getByRole('button', { name: 'Try the music' }).click()
  await page.getByRole('button', { name: 'Stop the music' }).click()
  expect((await heardOn(page)).music.map(({ does }) => does)).toEqual(['play', 'level', 'stop'])

  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  await expect.poll(async () => (await heardOn(page)).music.at(-1)?.fade).toBeDefined()
  const { scheduled, kept, music } = await heardOn(page)
  const bells = new Set(scheduled.map(({ kind, soundId }) => soundId ?? kind))
  expect(bells).toContain(kept[0])
  expect(bells).not.toContain('bowl')
  // It fades over the half minute before the final rest, and is gone with it.
  const fade = music.at(-1)?.fade ?? { fromS: 0, toS: 0 }
  expect(Math.round(fade.toS - fade.fromS)).toBe(30)
  const played = music.findLast(({ does }) => does === 'play')
  expect(played?.url).toMatch(/^\/api\/sounds\/.+\/heard$/)
  expect(played?.fromS).toBeLessThan(5)
  await pushBy(page, 30)
  expect((await heardOn(page)).music.at(-1)?.does).toBe('level')
  await page.getByRole('button', { name: 'Leave' }).click()
  await page.getByRole('alertdialog').getByRole('button', { name: 'Leave' }).click()
  await expect.poll(async () => (await heardOn(page)).music.at(-1)?.does).toBe('stop')
})

test('a sound that is taken away leaves its place to the bell; what is no sound is said', async ({ page, house }) => {
  await listen(page)
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await bring(page, 'notes.txt', Buffer.from('not a sound'), 'text/plain')
  await expect(page.getByRole('alert')).toContainText('bring it as WAV, MP3, Ogg')
  await bring(page, 'Temple gong.wav', wav(1))
  await choose(page, /^Bowl/, 'Temple gong')
  const bowl = page.getByRole('combobox', { name: /^Bowl/ })
  await expect(bowl).toHaveText('Temple gong')
  await page.getByRole('button', { name: 'Remove Temple gong' }).click()
  await expect(bowl).toHaveText('a bowl')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  const { scheduled } = await heardOn(page)
  expect(scheduled.filter(({ soundId }) => soundId !== undefined).length).toBeGreaterThan(0)
})

test('own sounds are played by the browser itself, streamed and within the page’s policy', async ({ page, house }) => {
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await bring(page, 'Temple gong.wav', wav(1))
  await bring(page, 'Slow strings.wav', wav(40))
  const heard = (isMusic: boolean) =>
    page.waitForResponse(
      (reply) => reply.url().endsWith('/heard') && (reply.request().resourceType() === 'media') === isMusic,
    )
  // A bell is at hand as soon as it is chosen, music when it plays.
  const bell = heard(false)
  await choose(page, /^Bowl/, 'Temple gong')
  expect((await bell).status()).toBe(200)
  await choose(page, /^Music/, 'Slow strings')
  const track = heard(true)
  await page.getByRole('button', { name: 'Try the music' }).click()
  expect([200, 206]).toContain((await track).status())
  // It goes on until it is stopped: what could not be played would have stopped by itself.
  await page.getByRole('button', { name: 'Stop the music' }).click()
  await expect(page.getByRole('button', { name: 'Try the music' })).toBeVisible()
})

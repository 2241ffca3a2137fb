import { readFileSync } from 'node:fs'
import type { Download, Page } from '@playwright/test'
import { readPdf } from '#testing/read-pdf'
import { forNextThursday } from './class-helpers.ts'
import { expect, test } from './fixtures.ts'

const pagesOf = async (download: Download) => readPdf(new Uint8Array(readFileSync(await download.path())))
async function saved(page: Page, button: string): Promise<Download> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ])
  return download
}

test('a session goes on paper for its class: its times of day, its numbers, and nobody by name', async ({
  page,
  house,
}) => {
  await forNextThursday(page)
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await page.getByRole('button', { name: 'Thursday slow hour' }).click()
  await page.getByRole('menuitem', { name: 'Sheets and files' }).click()
  await expect(page.getByLabel('Times of day, from 18:45')).toBeChecked()
  const sheet = await saved(page, 'Save the teacher’s sheet as PDF')
  expect(sheet.suggestedFilename()).toBe('thursday-slow-hour-sheet.pdf')
  const pages = await pagesOf(sheet)
  const text = pages.flat().join('\n')
  expect(pages.length).toBeLessThanOrEqual(2)
  expect(text).toContain('18:45 Arrive')
  expect(text).toContain('11 people')
  expect(text).toContain('Look to: ')
  expect(text).not.toMatch(/Imke|Hilde|Larrow|osteo|pregnan(?!cy)/)
  await expect(page.getByText(`Saved: ${String(pages.length)} pages`)).toBeVisible()

  const floor = await pagesOf(await saved(page, 'Save the floor card as PDF'))
  expect(floor).toHaveLength(1)
  await page.getByLabel('Made for').fill('Imke')
  const home = (await pagesOf(await saved(page, 'Save the home sheet as PDF'))).flat().join('\n')
  expect(home).toContain('For Imke')
  // Asked each time.
  await expect(page.getByLabel('Made for')).toHaveValue('')
  expect((await pagesOf(await saved(page, 'Save the home sheet as PDF'))).flat().join('\n')).not.toContain('Imke')
})

test('the printed Plan and the PDF say the same of a class, line for line, with what is offered to its people', async ({
  page,
  house,
}) => {
  await forNextThursday(page)
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await expect(page.getByRole('listbox')).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByTestId('sheet').getByText('Look to:').first()).toBeAttached()
  await expect(page.getByTestId('sheet').getByText('Whoever likes:').first()).toBeAttached()
  const rows = await page.getByTestId('sheet').locator('.part p').allTextContents()
  const looks = await page.getByTestId('sheet').getByText('Look to:').locator('..').allTextContents()
  await page.emulateMedia({ media: 'screen' })
  await page.goto(`${house.address}sheets/thursday-slow-hour`)
  await page.getByLabel('Times of day, from 18:45').uncheck()
  const plain = (text: string): string => text.replaceAll(/\s+/g, '').replaceAll('\u00ad', '')
  const text = plain((await pagesOf(await saved(page, 'Save the teacher’s sheet as PDF'))).flat().join(' '))
  expect(rows.length).toBeGreaterThan(20)
  expect(rows.filter((row) => !text.includes(plain(row)))).toEqual([])
  expect(looks.length).toBeGreaterThan(2)
  expect(looks.map((look) => look.replace('Look to:', '')).filter((look) => !text.includes(plain(look)))).toEqual([])
})

test('the page for students runs by itself on a phone: its clock, its parts, its bells, and nothing is asked for', async ({
  page,
  house,
  browser,
}) => {
  await page.goto(`${house.address}sheets/thursday-slow-hour`)
  const file = await (await saved(page, 'Save the page for students as HTML')).path()
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const phone = await context.newPage()
  const amiss: string[] = []
  phone.on('console', (message) => amiss.push(message.text()))
  phone.on('pageerror', (error) => amiss.push(error.message))
  const asked: string[] = []
  phone.on('request', (request) => asked.push(request.url()))
  await phone.clock.install()
  await phone.setContent(readFileSync(file, 'utf8'))
  await expect(phone.getByRole('heading', { name: 'Thursday slow hour' })).toBeVisible()
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await phone.getByRole('button', { name: 'Start, with bells' }).click()
  await expect(phone.getByRole('timer')).toHaveText('4:00')
  await expect(phone.getByRole('status')).toHaveText(/^Even breath: 4\u202f:\u202f\d/)
  await phone.clock.runFor(4 * 60_000 + 1000)
  await expect(phone.getByRole('status')).toHaveText(/^Wide-knee fold/)
  await phone.getByRole('button', { name: 'Pause' }).click()
  const stands = await phone.getByRole('timer').textContent()
  await phone.clock.runFor(60_000)
  expect(await phone.getByRole('timer').textContent()).toBe(stands)
  await phone.getByRole('button', { name: 'Go on' }).click()
  await phone.clock.runFor(3_600_000)
  await expect(phone.getByRole('status')).toHaveText('Take your time to get up')
  await expect(phone.getByRole('button', { name: 'Begin again' })).toBeVisible()
  expect([amiss, asked]).toEqual([[], []])
  await context.close()
})

test('the cue list is saved as captions in both usual forms', async ({ page, house }) => {
  await page.goto(`${house.address}sheets/thursday-slow-hour`)
  const vtt = await saved(page, 'Save the cue list as WebVTT')
  expect(vtt.suggestedFilename()).toBe('thursday-slow-hour-cues.vtt')
  expect(readFileSync(await vtt.path(), 'utf8')).toMatch(
    /^WEBVTT[^]*00:07:45\.000 --> [^]*Small adjustments are welcome/,
  )
  const srt = await saved(page, 'Save the cue list as SubRip')
  expect(readFileSync(await srt.path(), 'utf8')).toMatch(/^1\n00:00:00,000 --> /)
})

test('a week of a series has a home sheet of what it grows to', async ({ page, house }) => {
  await page.goto(`${house.address}series`)
  await page.getByRole('button', { name: /^Reed and bellows/ }).click()
  const week = await pagesOf(await saved(page, 'Home sheet'))
  expect(week[0]?.[0]).toMatch(/^Reed and bellows, week \d/)
  expect(week.flat().join('\n')).toContain('Stop if')
})

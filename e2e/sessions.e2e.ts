import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { blockNames, expect, saved, test } from './fixtures.ts'

const more = async (page: Page, name: string, act: string) => {
  await page.getByRole('button', { name: `More for ${name}` }).click()
  await page.getByRole('menuitem', { name: act }).click()
}
const row = (page: Page, name: string) => page.getByRole('row', { name: new RegExp(`^${name}`) })

test('a session is renamed, duplicated, put away, made a template and deleted, each with its way back', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}sessions`)
  await expect(row(page, 'Thursday slow hour')).toContainText('Thu 5 Mar 2026')
  await more(page, 'Thursday slow hour', 'Rename')
  await page.getByRole('textbox', { name: 'New name of Thursday slow hour' }).fill('Friday slow hour')
  await page.keyboard.press('Enter')
  await expect(row(page, 'Friday slow hour')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row(page, 'Thursday slow hour')).toBeVisible()

  await more(page, 'Thursday slow hour', 'Duplicate')
  await expect(row(page, 'Thursday slow hour, copy')).toContainText('not yet')
  await more(page, 'Thursday slow hour, copy', 'Make it a template')
  await expect(row(page, 'Thursday slow hour, copy')).toHaveCount(0)
  await page.getByRole('button', { name: /^Templates/ }).click()
  await expect(row(page, 'Thursday slow hour, copy')).toBeVisible()
  await page.getByRole('button', { name: /^Sessions/ }).click()

  await more(page, 'Thursday slow hour', 'Put away')
  await expect(row(page, 'Thursday slow hour')).toHaveCount(0)
  await page.getByRole('button', { name: /^Put away/ }).click()
  await more(page, 'Thursday slow hour', 'Bring back to the list')
  await page.getByRole('button', { name: /^Sessions/ }).click()
  await more(page, 'Thursday slow hour', 'Delete')
  await expect(row(page, 'Thursday slow hour')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row(page, 'Thursday slow hour')).toBeVisible()

  await page.getByLabel('Find a session').fill('supper')
  await expect(page.getByRole('row')).toHaveCount(2)
  await page.getByRole('combobox', { name: 'Practice' }).click()
  await page.getByRole('option', { name: 'Breath', exact: true }).click()
  await expect(page.getByText('No session is called that and has this practice.')).toBeVisible()
})

test('a shipped template begins a session of its own', async ({ page, house }) => {
  await page.goto(`${house.address}sessions`)
  await page.getByRole('button', { name: /^Templates/ }).click()
  await page.getByRole('button', { name: 'Begin from A slow hour' }).click()
  await expect(page.getByTestId('gauge')).toContainText('of 60:00')
  expect((await blockNames(page)).at(-1)).toBe('Closing')
})

test('history shows what changed since, and brings a state back', async ({ plan }) => {
  await plan.getByRole('option', { name: /Sphinx/ }).click()
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Delete')
  await saved(plan)
  await plan.getByRole('link', { name: 'Sessions' }).click()
  await more(plan, 'Thursday slow hour', 'History')
  const dialog = plan.getByRole('dialog', { name: 'History of Thursday slow hour' })
  await dialog.getByRole('list', { name: 'Kept states, newest first' }).getByRole('button').first().click()
  await expect(dialog.getByText('Sphinx dropped')).toBeVisible()
  await dialog.getByRole('button', { name: 'Bring back this state' }).click()
  await expect(plan.getByTestId('gauge')).toContainText('58:48')
  expect(await blockNames(plan)).toContain('Sphinx')
})

test('a session goes out as an open document and comes in again; a hand-made one with mistakes is refused with all of them', async ({
  page,
  house,
  expectFailures,
}, info) => {
  expectFailures('422')
  await page.goto(`${house.address}sessions`)
  const leaving = page.waitForEvent('download')
  await more(page, 'Thursday slow hour', 'Export')
  const file = join(info.outputDir, (await leaving).suggestedFilename())
  await (await leaving).saveAs(file)
  expect(file).toMatch(/thursday-slow-hour\.zovrin\.json$/)
  const envelope = JSON.parse(readFileSync(file, 'utf8')) as {
    sessions: { id: string; name: string; lengthS: number }[]
  }
  expect(envelope.sessions[0]).toEqual(await house.session('thursday-slow-hour'))

  await page.getByLabel('File to import').setInputFiles(file)
  await expect(page.getByText('1 session here already, word for word')).toBeVisible()

  const [session] = envelope.sessions
  const other = join(info.outputDir, 'other.json')
  writeFileSync(other, JSON.stringify({ ...envelope, sessions: [{ ...session, name: 'From elsewhere' }] }))
  await page.getByLabel('File to import').setInputFiles(other)
  await expect(row(page, 'From elsewhere \\(imported\\)')).toBeVisible()
  await expect(row(page, 'Thursday slow hour')).toBeVisible()

  const bad = join(info.outputDir, 'bad.json')
  writeFileSync(bad, JSON.stringify({ ...envelope, sessions: [{ ...session, lengthS: 10, practice: 'hot' }] }))
  await page.getByLabel('File to import').setInputFiles(bad)
  await expect(page.getByRole('alert')).toContainText('Session 1, length is too small: give at least 5:00')
  await expect(page.getByRole('alert')).toContainText(
    'Session 1, practice must be one of: restorative, yin, breath, mixed',
  )
  writeFileSync(bad, 'no JSON')
  await page.getByLabel('File to import').setInputFiles(bad)
  await expect(page.getByRole('alert')).toContainText('bad.json is not JSON')
})

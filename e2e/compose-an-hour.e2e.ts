import type { Page } from '@playwright/test'
import { blockNames, expect, saved, test } from './fixtures.ts'

test.use({ data: 'empty' })

const hour = [
  'Talk',
  'Belly breath',
  'Hollow and round, on all fours',
  'Wide-knee fold',
  'Sphinx',
  'One-leg fold',
  'Figure four, lying',
  'Knees across',
  'Calves on a chair',
  'Closing',
]

/** As the wings' labels begin: up to the first comma. */
const shortNames = hour.map((name) => name.split(',')[0])

/** The class fills its hour and not more: less than five minutes to spare. */
const fits = (page: Page) =>
  expect(page.getByTestId('gauge')).toHaveText(/^(?:5\d:\d\d of 60:00 · [0-4]:\d\d to spare|60:00 of 60:00 · fits)$/)

test('an hour of ten blocks is composed from nothing by keyboard alone', async ({ page, house }, info) => {
  let strokes = 0
  const press = async (key: string) => {
    strokes += 1
    await page.keyboard.press(key)
  }
  const put = async (typed: string) => {
    await press('/')
    await page.keyboard.type(typed)
    strokes += typed.length
    await press('Enter')
    await expect(page.getByRole('listbox')).toBeFocused()
  }
  await page.goto(`${house.address}sessions`)
  await page.getByRole('button', { name: 'New session' }).focus()
  await press('Enter')
  await expect(page.getByText('Nothing on the spine yet')).toBeVisible()
  for (const typed of ['talk', 'bell', 'holl', 'wide-k', 'sph', 'one-l', 'fig', 'knees a', 'calv', 'clos'])
    await put(typed)
  expect(await blockNames(page)).toEqual(shortNames)
  // It came to over an hour: up from the closing, the rest on a chair and the twist before it get shorter.
  await press('ArrowUp')
  for (let step = 0; step < 7; step += 1) await press('[')
  await press('ArrowUp')
  for (let step = 0; step < 6; step += 1) await press('[')
  await fits(page)
  await saved(page)
  info.annotations.push({ type: 'keystrokes', description: String(strokes) })
  expect(strokes).toBeLessThan(90)
})

test('an hour of ten blocks is composed from nothing by mouse alone', async ({ page, house }) => {
  await page.goto(`${house.address}sessions`)
  await page.getByRole('button', { name: 'New session' }).click()
  for (const name of hour) await page.getByRole('button', { name: new RegExp(`^Add ${name},`) }).click()
  expect(await blockNames(page)).toEqual(shortNames)
  for (const name of [/Calves on a chair/, /One-leg fold, left/, /Knees across, left/]) {
    await page.getByRole('option', { name }).click()
    for (let step = 0; step < 5; step += 1) await page.getByRole('button', { name: 'Shorter' }).click()
  }
  await fits(page)
  await saved(page)
})

test('the final rest of a version keeps its time, or goes by the length where that is wanted', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}sessions`)
  await page.getByRole('button', { name: 'New session' }).click()
  for (const name of ['Talk', 'Sphinx', 'Figure four, lying', 'Closing'])
    await page.getByRole('button', { name: new RegExp(`^Add ${name},`) }).click()
  await page.getByRole('textbox', { name: 'Final rest' }).fill('9')
  await page.getByRole('textbox', { name: 'Final rest' }).press('Enter')
  await page.getByRole('listbox').focus()
  await page.keyboard.press('Escape')
  await page.getByLabel('Length of a new version').fill('20')
  await page.getByLabel('Length of a new version').press('Enter')
  await page.getByRole('checkbox', { name: 'The final rest goes by the length, a tenth of it' }).check()
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByTestId('version-of')).toBeVisible()
  await expect(page.getByText(/[Ff]inal rest/).first()).toBeVisible()
  await page.getByRole('option', { name: /Closing/ }).click()
  await expect(page.getByRole('textbox', { name: 'Final rest' })).not.toHaveValue('9:00')
})

test('a version of another length is linked to its session and says what it changed', async ({ page, house }) => {
  await page.goto(`${house.address}sessions`)
  await page.getByRole('button', { name: /^Templates/ }).click()
  await page.getByRole('button', { name: 'Begin from A slow hour' }).click()
  await page.getByLabel('Length of a new version').fill('20')
  await page.getByLabel('Length of a new version').press('Enter')
  await page.getByRole('button', { name: 'Make it', exact: true }).click()
  await expect(page.getByTestId('version-of')).toContainText('A version of A slow hour, 60:00.')
  await expect(page.getByText('length 60:00 to 20:00')).toBeVisible()
  // What it dropped to fit is said, and so is what the teacher changes afterwards.
  await expect(page.getByText('Sphinx dropped')).toBeVisible()
  await page.getByRole('option', { name: /Arrive/ }).click()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await page.getByRole('listbox').focus()
  await page.keyboard.press('Escape')
  await expect(page.getByText('Arrive dropped')).toBeVisible()
  await page.getByRole('link', { name: 'A slow hour', exact: true }).click()
  await expect(page.getByRole('option', { name: /Sphinx/ })).toBeAttached()
})

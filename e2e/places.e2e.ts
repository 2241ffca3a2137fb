import { readFileSync, writeFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import type { KeptPlace } from '#model/place'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'

const places = async ({ address }: House) => (await (await fetch(`${address}api/places`)).json()) as KeptPlace[]
const type = async (page: Page, label: string, typed: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).fill(typed)
  await page.getByLabel(label, { exact: true }).press('Enter')
}

test('a size that was measured is kept, the figures go by it, and it is taken back', async ({ page, house }) => {
  await page.goto(`${house.address}props/sunday-long-rest`)
  await expect(page.getByRole('img', { name: /person of/ })).toBeVisible()
  await page.getByRole('link', { name: 'Cupboard' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'The cupboard of Bellows House' })).toBeVisible()
  await type(page, 'bolsters: height, cm', '20')
  await expect.poll(async () => (await places(house))[0]?.version).toBe(2)
  await page.getByRole('link', { name: 'Set-ups' }).click()
  await page.getByRole('button', { name: /^Final rest/ }).click()
  await expect(page.getByRole('img', { name: /person of/ }).getByText(/under the knees (about )?1[89]/)).toBeVisible()
  await page.getByRole('link', { name: 'Cupboard' }).click()
  await expect(page.getByLabel('bolsters: height, cm', { exact: true })).toHaveValue('20')
  await page.getByRole('button', { name: 'Undo the last change' }).click()
  await expect(page.getByLabel('bolsters: height, cm', { exact: true })).toHaveValue('')
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeDisabled()
})

test('a place is added with its rooms and walls, made the usual one, and deleted; one that is used stays', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('409')
  await page.goto(`${house.address}places`)
  await page.getByRole('button', { name: 'Add a place' }).click()
  await type(page, 'Name of the new place', 'Bellows House')
  await expect(page.getByText('There is a place of that name')).toBeVisible()
  await type(page, 'Name of the new place', 'The barn')
  await expect(page.getByRole('heading', { level: 1, name: 'The cupboard of The barn' })).toBeVisible()
  await type(page, 'Long, m', '9,5')
  await page.getByRole('button', { name: 'A free wall' }).click()
  await type(page, 'Free, m', '7.2')
  await page.getByRole('checkbox', { name: /The usual place/ }).check()
  await expect(page.getByRole('navigation', { name: 'Places' })).toContainText('The barn1 room · the usual place')
  await expect
    .poll(async () => (await places(house)).find(({ place }) => place.name === 'The barn')?.place)
    .toMatchObject({ usual: true, rooms: [{ lengthMm: 9500, walls: [{ freeMm: 7200 }] }] })
  const barn = (await places(house)).find(({ place }) => place.name === 'The barn')?.place.id ?? ''
  const session = await house.session('thursday-slow-hour')
  await house.create({ ...session, id: 'in-the-barn', name: 'In the barn', placeId: barn })
  await page.getByRole('button', { name: 'Delete The barn' }).click()
  await expect(page.getByRole('alert')).toContainText('In the barn')
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('button', { name: /^Bellows/ })
    .click()
  await page.getByRole('button', { name: 'Delete Bellows House' }).click()
  await expect(page.getByRole('navigation', { name: 'Places' }).getByRole('listitem')).toHaveCount(1)
})

test('a cupboard goes out as rows and comes in again; what was not understood is told', async ({
  page,
  house,
}, info) => {
  await page.goto(`${house.address}places`)
  const downloads = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as CSV' }).click()
  const file = await downloads
  expect(file.suggestedFilename()).toBe('bellows-house-cupboard.csv')
  const rows = readFileSync(await file.path(), 'utf8').split('\r\n')
  expect(rows[0]).toBe('kind,name,count,length_cm,width_cm,height_cm')
  const path = info.outputPath('cupboard.csv')
  writeFileSync(path, 'name;count;height_cm\nbolsters;4;14,5\nhammock;2;\n')
  await page.getByLabel('A cupboard as CSV').setInputFiles(path)
  await expect(page.getByText('1 kind read.')).toBeVisible()
  await expect(page.getByText(/Line 3, “hammock/)).toBeVisible()
  await page.getByRole('button', { name: 'Take them' }).click()
  await expect(page.getByRole('rowheader')).toHaveText(['bolsters'])
  await expect(page.getByLabel('bolsters: height, cm', { exact: true })).toHaveValue('14.5')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('rowheader')).toHaveCount(11)
})

test.describe('with nothing yet', () => {
  test.use({ data: 'empty' })
  test('an empty house says what belongs here', async ({ page, house }) => {
    await page.goto(`${house.address}places`)
    await expect(page.getByText('No place yet. Add one at the left: a room and its cupboard.')).toBeVisible()
  })
})

import { expect, saved, test } from './fixtures.ts'

test.use({ data: 'empty' })

test('with nothing there, each view says what belongs there and offers the first step', async ({ page, house }) => {
  await page.goto(house.address)
  await expect(page.getByText('Your sessions stand here.')).toBeVisible()
  await page.getByRole('link', { name: 'Journal' }).click()
  await expect(page.getByText('Every class you lead is written here')).toBeVisible()
  await page.getByRole('link', { name: 'Zovrin' }).click()
  await page.getByRole('button', { name: 'New session' }).click()
  await expect(page.getByText('Nothing on the spine yet')).toBeVisible()
  await expect(page.getByTestId('gauge')).toHaveText('0:00 of 60:00 · 60:00 to spare')
  await expect(page.getByRole('link', { name: 'Lead', exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'Find a pose or breath' }).click()
  await page.keyboard.type('zzz')
  await expect(page.getByText('Nothing on the shelf is called “zzz”.')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByLabel('Name').fill('The first one')
  await page.getByLabel('Name').press('Tab')
  await saved(page)
  await page.getByRole('link', { name: 'Sessions' }).click()
  await expect(page.getByRole('row')).toHaveCount(2)
})

import { expect, saved, test } from './fixtures.ts'

test('what is noted for next time stands at the head of the plan and before Start until it is ticked', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}journal/thursday-1-weeks-ago`)
  await page.getByLabel('For next time').fill('Lay the chairs out before class')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(
    page.getByText('It stands at the head of the plan of Thursday slow hour, and before Start.'),
  ).toBeVisible()
  const notes = page.getByRole('list', { name: 'For next time' }).getByRole('listitem')
  const note = page.getByRole('checkbox', { name: 'For next time: Lay the chairs out before class' })

  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(note).toBeVisible()
  await saved(page)
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  await note.click()
  await expect(notes).toHaveCount(0)
  await page.getByRole('link', { name: 'Back to Plan' }).click()
  await expect(page.getByRole('listbox', { name: 'The session’s blocks in order' })).toBeVisible()
  await expect(notes).toHaveCount(0)
  // Ticked by mistake: undo brings it back.
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(note).toBeVisible()
})

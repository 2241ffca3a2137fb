import { expect, saved, test } from './fixtures.ts'

test('what drifts over the classes found in the journal, and one step to the plan', async ({ page, house }) => {
  await page.goto(`${house.address}journal`)
  await page.getByRole('combobox', { name: 'Session' }).click()
  await page.getByRole('option', { name: 'Thursday slow hour' }).click()
  await page.getByRole('link', { name: 'What drifts' }).click()
  await expect(page.getByRole('heading', { name: 'What drifts' })).toBeVisible()
  await expect(page.getByText('4 classes of Thursday slow hour')).toBeVisible()
  await expect(page.getByText('Set-ups take 1.10 of what is planned; Wide-knee fold alone 0:09 more.')).toBeVisible()
  await expect(page.getByText(/^2 of 4 classes fell a minute behind: at Sphinx/)).toBeVisible()
  await expect(page.getByText('The sides of every pose are held alike, within 5 seconds.')).toBeVisible()
  await expect(page.getByText(/^\d+ % of the time is quiet/)).toBeVisible()
  await expect(page.getByRole('img', { name: 'What was planned and what it took, by part' })).toBeVisible()
  const changes = page.getByRole('region', { name: 'Planned and real' }).getByRole('row', { name: /^Changes/ })
  await expect(changes).toContainText('2:19')

  await changes.getByRole('button', { name: 'Plan Calves on a chair, changes, as it was led' }).click()
  await expect(page.getByRole('option', { name: /^Calves on a chair/ })).toHaveAttribute('aria-selected', 'true')
  await saved(page)
  // It is an edit as any other, and so is taken back.
  const calves = async () =>
    (
      (await (await fetch(`${house.address}api/sessions/thursday-slow-hour`)).json()) as {
        blocks: { id: string; times?: { changeS?: number } }[]
      }
    ).blocks.find(({ id }) => id === 'calves')?.times?.changeS
  await expect.poll(calves).toBe(60)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await saved(page)
  await expect.poll(calves).not.toBe(60)
})

test('from falling behind the plan is opened at the block; of no class there is nothing to say', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}journal/drift?sessionId=thursday-slow-hour`)
  await page.getByRole('button', { name: 'Open the plan at Sphinx' }).click()
  await expect(page.getByRole('option', { name: /^Sphinx/ })).toHaveAttribute('aria-selected', 'true')
  await page.goto(`${house.address}journal/drift?find=nowhere`)
  await expect(page.getByText('No class that came to its end fits what was asked in the journal.')).toBeVisible()
})

test('from a record: changes taken one by one with undo, and a version as it was led', async ({ page, house }) => {
  await page.goto(`${house.address}journal/thursday-4-weeks-ago`)
  // What was pressed stands at its time.
  await expect(
    page.getByRole('region', { name: 'In time' }).getByRole('row', { name: /Paused for \d+:\d\d\s*Wide-knee fold/ }),
  ).toBeVisible()
  const changes = page.getByRole('list', { name: 'What to change' }).getByRole('listitem')
  await expect(changes).toHaveText([/^Calves on a chair, the change into it/, /^Arrive, talk/, /^Deer, hold/])
  await page.getByRole('button', { name: 'Take it: Arrive, talk: 3:30 instead of 3:00' }).click()
  await expect(page.getByText('Taken: Arrive, talk: 3:30 instead of 3:00.')).toBeVisible()
  await expect(changes).toHaveCount(2)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(changes).toHaveCount(3)
  // Undo would take back what was done last: once that is another thing, it is not offered here.
  await page.getByRole('button', { name: 'Take it: Arrive, talk: 3:30 instead of 3:00' }).click()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
  await page.getByLabel('For next time').fill('Lay the chairs out before class')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('It stands at the head of the plan')).toBeVisible()
  await expect(page.getByText('Taken: Arrive, talk: 3:30 instead of 3:00.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Make a version as it was led' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Thursday slow hour, as led 12 Feb')
  // As long as the class was.
  await expect(page.getByText('1:00:55').first()).toBeVisible()
  await expect(page.getByTestId('version-of')).toContainText('Thursday slow hour')
})

test('a page of the shelf and a block of Plan say when it was taught last', async ({ plan, house }) => {
  const last = plan.getByText('Last taught Thu 5 Mar 2026, Thursday slow hour')
  let reads = 0
  plan.on('request', (request) => (reads += Number(request.url().endsWith('/last-taught'))))
  await plan.getByRole('option', { name: /^Deer, left/ }).click()
  await expect(last).toBeVisible()
  await plan.keyboard.press('Escape')
  await plan.getByRole('option', { name: /^Sphinx/ }).click()
  await expect(last).toBeVisible()
  expect(reads, 'the record is read once, not for each block').toBe(1)
  await plan.goto(`${house.address}shelf/sphinx`)
  await expect(last).toBeVisible()
  await plan.goto(`${house.address}shelf/side-nest`)
  await expect(plan.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(plan.getByText(/Last taught/)).toHaveCount(0)
})

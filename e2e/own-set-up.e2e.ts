import { expect, saved, test } from './fixtures.ts'

test('what a teacher lists for a pose of their own is fetched and counted, and drawn once it has its place', async ({
  plan,
  house,
}) => {
  await plan.goto(`${house.address}shelf/sphinx`)
  await plan.getByRole('button', { name: 'Copy as your own' }).click()
  await plan.getByLabel('English name').fill('Harmonium sphinx')
  // A copy takes what its original does, and is set up as it is, until something else is typed.
  await plan.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(plan.getByRole('heading', { level: 1 })).toHaveText(/^Harmonium sphinx/)
  const own = async () =>
    (await (await fetch(`${house.address}api/own`)).json()) as { kind: string; document: object }[]
  expect((await own()).map(({ kind }) => kind)).toEqual(['pose'])

  await plan.getByRole('button', { name: 'Edit', exact: true }).click()
  const rows = plan.getByRole('button', { name: /^Remove prop \d/ })
  await expect(rows).not.toHaveCount(0)
  while ((await rows.count()) > 0) await rows.first().click()
  await plan.getByRole('button', { name: 'Add a prop' }).click()
  await plan.getByRole('combobox', { name: 'Kind of prop 1' }).click()
  await plan.getByRole('option', { name: 'blanket', exact: true }).click()
  const count = plan.getByLabel('How many, prop 1')
  await count.fill('3')
  await count.press('Tab')
  await plan.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(plan.getByRole('button', { name: 'Edit', exact: true })).toBeVisible()
  expect((await own()).find(({ kind }) => kind === 'setUp')?.document).toMatchObject({
    extent: 'full',
    items: [{ kind: 'blanket', count: 3 }],
  })

  await plan.getByRole('button', { name: 'Add to Thursday slow hour' }).click()
  await plan.getByRole('link', { name: 'Back to the plan' }).click()
  await plan.getByRole('option', { name: /^Harmonium sphinx/ }).click()
  await expect(plan.getByRole('complementary').getByText('3 blankets')).toBeVisible()
  await saved(plan)

  await plan.getByRole('navigation', { name: 'Views of the session' }).getByRole('link', { name: 'Set-ups' }).click()
  await plan.getByRole('button', { name: /^Harmonium sphinx\s*3 blankets/ }).click()
  await expect(plan.getByRole('heading', { name: 'Listed, not placed' })).toBeVisible()
  await expect(plan.getByText('Not all of it has its place yet')).toBeVisible()
  const figure = plan.getByRole('img', { name: /^Harmonium sphinx/ })
  const paths = await figure.locator('path.prop').count()
  await plan.getByRole('button', { name: /^3 blankets/ }).click()
  await plan.getByRole('combobox', { name: 'At which part' }).click()
  await plan.getByRole('option', { name: 'Belly' }).click()
  await expect(plan.getByRole('heading', { name: 'Listed, not placed' })).toHaveCount(0)
  await expect(plan.getByRole('heading', { name: /^Belly/ })).toBeVisible()
  await expect.poll(() => figure.locator('path.prop').count()).toBeGreaterThan(paths)
})

test('what a class fetches is the same in Plan, on the sheet and before it is led, and what is short is said', async ({
  plan,
  house,
}) => {
  await plan.goto(`${house.address}plan/sunday-long-rest`)
  const each = plan.getByText(/^7 blankets, 3 bolsters, 1 towel, 3 blocks, 1 strap$/)
  await expect(each).toBeVisible()
  await plan.getByLabel('For how many people').fill('14')
  await plan.getByLabel('For how many people').press('Enter')
  await expect(plan.getByText('42 bolsters wanted, 9 here')).toBeVisible()
  await plan.getByRole('link', { name: 'Lead', exact: true }).click()
  await expect(plan.getByLabel('How many are here')).toHaveValue('14')
  await expect(plan.getByText('42 bolsters wanted, 9 here')).toBeVisible()
  await expect(plan.getByText(/Each person fetches 7 blankets, 3 bolsters/)).toBeVisible()
  // Few enough, nothing is; and Start stays under the hand.
  const start = await plan.getByRole('button', { name: 'Start', exact: true }).boundingBox()
  await plan.getByLabel('How many are here').fill('2')
  await plan.getByLabel('How many are here').press('Enter')
  await expect(plan.getByText('42 bolsters wanted')).toHaveCount(0)
  expect(await plan.getByRole('button', { name: 'Start', exact: true }).boundingBox()).toEqual(start)
  await plan.getByRole('link', { name: 'Back to Plan' }).click()
  await plan.emulateMedia({ media: 'print' })
  await expect(plan.getByTestId('sheet')).toContainText('Each fetches: 7 blankets, 3 bolsters')
  await expect(plan.getByTestId('sheet')).toContainText('For 2: 14 blankets, 6 bolsters')
})

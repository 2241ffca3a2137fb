import { blockNames, expect, test } from './fixtures.ts'

test('the demo session stands on the spine with its sums', async ({ plan }) => {
  await expect(plan.getByTestId('gauge')).toHaveText('58:48 of 60:00 · 1:12 to spare')
  await expect(plan.getByTestId('sides')).toHaveText('Left 10:00 · Right 10:00 · even')
  expect(await blockNames(plan)).toEqual([
    'Arrive',
    'Even breath',
    'Wide-knee fold',
    'Sphinx',
    'Figure four',
    'Deer',
    'Crescent',
    'Calves on a chair',
    'Closing',
  ])
  await expect(plan.getByRole('option', { name: 'Deer, left, 3:30, block 6 of 9' })).toContainText(
    'left knee in front, right knee behind',
  )
  await expect(plan.getByRole('option', { name: 'Deer, right, 3:30, block 6 of 9' })).toContainText(
    'right knee in front',
  )
  await expect(plan.getByText('stillness 0:40 · other side')).toBeVisible()
  await expect(plan.getByText('fetch the chairs 1:24')).toBeAttached()
})

test('a wing is as high as its minutes, and the sides stand on their banks', async ({ plan }) => {
  const left = await plan.getByRole('option', { name: /Deer, left/ }).boundingBox()
  const right = await plan.getByRole('option', { name: /Deer, right/ }).boundingBox()
  const stem = await plan.locator('svg.stem').boundingBox()
  if (!left || !right || !stem) throw new Error('the wings are not drawn')
  expect(left.height).toBeCloseTo(3.5 * 18 - 1.5, 0)
  expect(left.x + left.width).toBeLessThanOrEqual(stem.x + 1)
  expect(right.x).toBeGreaterThanOrEqual(stem.x + stem.width - 1)
  expect(right.y - left.y).toBeCloseTo((4 + 42 / 60) * 18, 0)
})

test('the sessions’ list opens from the name in the bar, and the address without a session opens the last one', async ({
  plan,
  house,
}) => {
  await plan.getByRole('link', { name: 'Thursday slow hour' }).click()
  await expect(plan.getByRole('heading', { name: 'Sessions' })).toBeVisible()
  await plan.getByRole('link', { name: 'Twenty minutes before supper' }).click()
  await expect(plan.getByTestId('gauge')).toHaveText('19:30 of 20:00 · 0:30 to spare')
  await plan.goto(house.address)
  await expect(plan.getByTestId('gauge')).toHaveText('19:30 of 20:00 · 0:30 to spare')
})

test('a session that is not there says so and leads to the list', async ({ page, house, expectFailures }) => {
  expectFailures('404')
  await page.goto(`${house.address}plan/nobody`)
  await expect(page.getByRole('heading', { name: 'This session is not here' })).toBeVisible()
  await page.getByRole('link', { name: 'Open the list of sessions' }).click()
  await expect(page.getByRole('link', { name: 'Thursday slow hour' })).toBeVisible()
})

test('the right pane is a drawer at 1024 px', async ({ page, house }) => {
  await page.setViewportSize({ width: 1024, height: 768 })
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  const pane = page.getByRole('complementary', { name: 'The chosen block' })
  await expect(pane).toBeHidden()
  await page.getByRole('option', { name: /Sphinx/ }).click()
  await expect(pane.getByRole('heading', { name: 'Sphinx' })).toBeVisible()
  await pane.getByRole('button', { name: 'Close' }).click()
  await expect(pane).toBeHidden()
})

import { blockNames, expect, openedDialog, saved, test } from './fixtures.ts'

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

test('the bar says where one is, and the session opened last stays in it, over a reload too', async ({
  plan,
  house,
}) => {
  await plan.getByRole('link', { name: 'Sessions' }).click()
  await expect(plan.getByRole('heading', { name: 'Sessions' })).toBeVisible()
  await plan.getByRole('link', { name: 'Twenty minutes before supper' }).click()
  await expect(plan.getByTestId('gauge')).toHaveText('19:57 of 20:00 · 0:03 to spare')
  const left = async () => {
    const places = ['Sessions', 'Journal', 'Plan', 'Set-ups'].map((name) =>
      plan.getByRole('banner').getByRole('link', { name, exact: true }).boundingBox(),
    )
    return (await Promise.all(places)).map((box) => box?.x)
  }
  const inPlan = await left()
  await plan.goto(house.address)
  await expect(plan.getByRole('heading', { name: 'Sessions' })).toBeVisible()
  await expect(plan.getByRole('button', { name: 'Twenty minutes before supper', exact: true })).toBeVisible()
  expect(await left()).toEqual(inPlan)
  await plan.getByRole('link', { name: 'Journal' }).click()
  expect(await left()).toEqual(inPlan)
  await plan.getByRole('banner').getByRole('link', { name: 'Set-ups' }).click()
  await expect(plan.getByRole('navigation', { name: 'Set-ups of the session' })).toBeVisible()
  expect(await left()).toEqual(inPlan)
})

test('the menu of the session renames it, shows its history and its versions, wherever one is', async ({ plan }) => {
  await plan.getByRole('link', { name: 'Journal' }).click()
  const opener = plan.getByRole('button', { name: 'Thursday slow hour', exact: true })
  await opener.press('Enter')
  await plan.getByRole('menuitem', { name: 'Rename' }).click()
  const dialog = await openedDialog(plan)
  await expect(dialog).toHaveAccessibleName('Rename the session')
  await dialog.getByLabel('Name', { exact: true }).fill('  ')
  await expect(dialog.getByText('A session needs a name.')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Rename' })).toBeDisabled()
  await dialog.getByLabel('Name', { exact: true }).fill('Thursday, slower')
  await dialog.getByLabel('Name', { exact: true }).press('Enter')
  const renamed = plan.getByRole('button', { name: 'Thursday, slower', exact: true })
  await expect(renamed).toBeFocused()
  await renamed.click()
  await plan.getByRole('menuitem', { name: 'History' }).click()
  await expect(plan.getByRole('dialog', { name: 'History of Thursday, slower' })).toBeVisible()
  await plan.keyboard.press('Escape')
  await renamed.click()
  await plan.getByRole('menuitem', { name: 'Versions' }).click()
  await expect(plan.getByLabel('Length of a new version')).toBeVisible()
  await plan.getByRole('button', { name: 'Undo: rename the session' }).click()
  await expect(opener).toBeVisible()
  await saved(plan)
})

test('on a narrow screen the two groups of the bar fold into two menus', async ({ plan }) => {
  await plan.setViewportSize({ width: 1024, height: 768 })
  await plan.getByRole('button', { name: 'Thursday slow hour', exact: true }).click()
  await plan.getByRole('menuitem', { name: 'Set-ups' }).click()
  await expect(plan.getByRole('navigation', { name: 'Set-ups of the session' })).toBeVisible()
  await plan.getByRole('button', { name: 'Sessions, People, Cupboard and Journal' }).press('Enter')
  await plan.getByRole('menuitem', { name: 'Journal' }).click()
  await expect(plan.getByRole('heading', { name: 'Journal' })).toBeVisible()
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

import { blockNames, expect, saved, test } from './fixtures.ts'

test('a session is composed from nothing without touching the mouse', async ({ page, house }) => {
  await page.goto(`${house.address}sessions`)
  await page.getByRole('button', { name: 'New session' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Nothing on the spine yet')).toBeVisible()
  const find = page.getByRole('textbox', { name: 'Find a pose or breath' })
  const put = async (typed: string) => {
    await page.keyboard.press('/')
    await expect(find).toBeFocused()
    await page.keyboard.type(typed)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('listbox')).toBeFocused()
  }
  await put('talk')
  await put('balasana')
  await put('deer')
  await put('sama vrtti')
  await put('closing')
  expect(await blockNames(page)).toEqual(['Talk', 'Wide-knee fold', 'Deer', 'Even breath', 'Closing'])

  // The closing was chosen last; up over the breath to Deer's right wing.
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  const deer = (side: string, time: string) => page.getByRole('option', { name: `Deer, ${side}, ${time}, block` })
  await expect(deer('right', '3:30')).toHaveAttribute('aria-selected', 'true')
  await page.keyboard.press(']')
  await expect(deer('left', '4:00')).toBeAttached()
  await expect(deer('right', '4:00')).toBeAttached()
  await page.keyboard.press('Shift+BracketLeft')
  await expect(deer('right', '3:30')).toBeAttached()
  await expect(deer('left', '4:00')).toBeAttached()
  await expect(page.getByTestId('unlinked')).toContainText('Right side 0:30 short. The sides are unlinked.')
  await expect(page.getByTestId('sides')).toHaveText('Left 4:00 · Right 3:30 · right 0:30 short, 13 % apart')

  await page.keyboard.press('Alt+ArrowUp')
  expect(await blockNames(page)).toEqual(['Talk', 'Deer', 'Wide-knee fold', 'Even breath', 'Closing'])
  await page.keyboard.press('d')
  expect(await blockNames(page)).toEqual(['Talk', 'Deer', 'Deer', 'Wide-knee fold', 'Even breath', 'Closing'])
  await page.keyboard.press('Delete')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  expect(await blockNames(page)).toEqual(['Talk', 'Wide-knee fold', 'Deer', 'Even breath', 'Closing'])
  await page.keyboard.press('Control+Shift+z')
  expect(await blockNames(page)).toEqual(['Talk', 'Deer', 'Wide-knee fold', 'Even breath', 'Closing'])
  await expect(page.getByRole('status').last()).toHaveText('Done again: move Deer')

  await saved(page)
  await page.reload()
  expect(await blockNames(page)).toEqual(['Talk', 'Deer', 'Wide-knee fold', 'Even breath', 'Closing'])
})

test('the closing stays last: no key moves it, nothing goes after it, and there is one', async ({ plan }) => {
  await plan.getByRole('option', { name: /Closing/ }).click()
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Alt+ArrowUp')
  await plan.keyboard.press('/')
  await plan.keyboard.type('closing')
  await plan.keyboard.press('Enter')
  await expect(plan.getByText('There is a closing already')).toBeAttached()
  await plan.keyboard.press('/')
  await plan.keyboard.type('rest')
  // What Enter takes is seen, though others are found above it.
  await expect(plan.getByRole('button', { name: /^Add Rest, / })).toBeInViewport()
  await plan.keyboard.press('Enter')
  expect((await blockNames(plan)).slice(-2)).toEqual(['Rest', 'Closing'])
})

test('letters are typed in a field and command nothing', async ({ plan }) => {
  await plan.getByRole('option', { name: /Arrive/ }).click()
  const title = plan.getByLabel('Name')
  await title.fill('Bad dziz ?, [and] so on')
  await title.press('Tab')
  expect((await blockNames(plan))[0]).toBe('Bad dziz ?')
  expect(await blockNames(plan)).toHaveLength(9)
})

test('the list of keys opens on ? and closes on Escape', async ({ plan }) => {
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('?')
  await expect(plan.getByRole('dialog', { name: 'Keys in Plan' })).toBeVisible()
  await plan.keyboard.press('Escape')
  await expect(plan.getByRole('dialog')).toBeHidden()
})

test('single characters can be switched off, and stay off', async ({ plan }) => {
  await plan.getByRole('button', { name: 'The list of keys' }).click()
  await plan.getByLabel('Single characters act as commands').uncheck()
  await plan.keyboard.press('Escape')
  await plan.reload()
  await plan.getByRole('option', { name: /Sphinx/ }).click()
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('d')
  await plan.keyboard.press(']')
  await plan.keyboard.press('ArrowDown')
  await expect(plan.getByRole('option', { name: /Figure four, lying, left/ })).toHaveAttribute('aria-selected', 'true')
  expect(await blockNames(plan)).toHaveLength(9)
  await expect(plan.getByRole('option', { name: 'Sphinx, 3:00' })).toBeAttached()
})

test('Z steps through the scales', async ({ plan }) => {
  const sphinx = plan.getByRole('option', { name: /Sphinx/ })
  const before = (await sphinx.boundingBox())?.height ?? 0
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('z')
  await expect.poll(async () => ((await sphinx.boundingBox())?.height ?? 0) / before).toBeCloseTo(26 / 18, 1)
})

import { blockNames, expect, saved, test } from './fixtures.ts'

test('several blocks are chosen by keys, moved, duplicated and removed as one step each', async ({ plan }) => {
  await plan.getByRole('option', { name: /Wide-knee fold/ }).click()
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Shift+ArrowDown')
  await expect(plan.getByRole('heading', { name: '2 blocks chosen' })).toBeVisible()
  await plan.keyboard.press('Alt+ArrowUp')
  expect((await blockNames(plan)).slice(0, 4)).toEqual(['Arrive', 'Wide-knee fold', 'Sphinx', 'Even breath'])
  await plan.keyboard.press('d')
  expect((await blockNames(plan)).slice(1, 6)).toEqual([
    'Wide-knee fold',
    'Sphinx',
    'Wide-knee fold',
    'Sphinx',
    'Even breath',
  ])
  await plan.keyboard.press('Delete')
  await plan.keyboard.press('Control+z')
  await plan.keyboard.press('Control+z')
  await plan.keyboard.press('Control+z')
  expect((await blockNames(plan)).slice(0, 4)).toEqual(['Arrive', 'Even breath', 'Wide-knee fold', 'Sphinx'])
  await plan.keyboard.press('Control+a')
  await expect(plan.getByRole('heading', { name: '9 blocks chosen' })).toBeVisible()
})

test('blocks are chosen by clicks with Ctrl and Shift, and dragged together', async ({ plan }) => {
  await plan.getByRole('option', { name: /Arrive/ }).click()
  await plan.getByRole('option', { name: /Wide-knee fold/ }).click({ modifiers: ['Shift'] })
  await expect(plan.getByRole('heading', { name: '3 blocks chosen' })).toBeVisible()
  await plan.getByRole('option', { name: /Even breath/ }).click({ modifiers: ['ControlOrMeta'] })
  await expect(plan.getByRole('heading', { name: '2 blocks chosen' })).toBeVisible()
  const target = plan.getByRole('option', { name: /Sphinx/ })
  const box = await target.boundingBox()
  await plan
    .getByRole('option', { name: /Arrive/ })
    .dragTo(target, { targetPosition: { x: 100, y: (box?.height ?? 12) - 8 } })
  expect((await blockNames(plan)).slice(0, 4)).toEqual(['Even breath', 'Sphinx', 'Arrive', 'Wide-knee fold'])
  await saved(plan)
})

test('blocks are copied, cut and pasted within a session, into another one, and into another window', async ({
  plan,
  house,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await plan.getByRole('option', { name: /Deer, left/ }).click()
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Control+c')
  await expect(plan.getByText('1 block copied')).toBeAttached()
  expect(JSON.parse(await plan.evaluate(() => navigator.clipboard.readText()))).toMatchObject({
    format: 'zovrin.session',
    version: 2,
    blocks: [{ poseId: 'deer' }],
  })
  await plan.keyboard.press('Control+v')
  expect((await blockNames(plan)).filter((name) => name === 'Deer')).toHaveLength(2)
  await plan.keyboard.press('Control+x')
  expect((await blockNames(plan)).filter((name) => name === 'Deer')).toHaveLength(1)
  await saved(plan)

  const other = await context.newPage()
  await other.goto(`${house.address}plan/short-evening-rest`)
  await other.getByRole('listbox').focus()
  await other.keyboard.press('Control+v')
  await expect(other.getByRole('option', { name: /Deer, left, 3:30/ })).toBeAttached()
  const names = await blockNames(other)
  expect(names.indexOf('Deer')).toBe(names.length - 2)
  await saved(other)
  await other.evaluate(() => navigator.clipboard.writeText('just words'))
  await other.getByRole('listbox').focus()
  await other.keyboard.press('Control+v')
  await expect(other.getByText('The clipboard holds no blocks')).toBeAttached()
})

test('in a field the clipboard’s keys belong to what is typed', async ({ plan }) => {
  await plan.getByRole('option', { name: /Arrive/ }).click()
  await plan.getByLabel('Name', { exact: true }).focus()
  await plan.keyboard.press('Control+a')
  await plan.keyboard.press('Control+x')
  expect(await blockNames(plan)).toContain('Arrive')
  await expect(plan.getByLabel('Name', { exact: true })).toHaveValue('')
})

test('the lower edge of a wing draws both sides together, in times one can say', async ({ plan }) => {
  await plan.getByRole('option', { name: /Figure four, lying, left/ }).scrollIntoViewIfNeeded()
  const edge = plan.getByTestId('edge-left').first()
  const box = await edge.boundingBox()
  if (!box) throw new Error('the wing has no edge')
  await plan.mouse.move(box.x + 100, box.y + 4)
  await plan.mouse.down()
  // 18 px are a minute: 20 px draw 3:30 to about 4:37, said as 4:30.
  await plan.mouse.move(box.x + 100, box.y + 24, { steps: 4 })
  await plan.mouse.up()
  await expect(plan.getByRole('option', { name: /Figure four, lying, left, 4:30/ })).toBeAttached()
  await expect(plan.getByRole('option', { name: /Figure four, lying, right, 4:30/ })).toBeAttached()
  await expect(plan.getByRole('button', { name: 'Undo: draw Figure four, lying to 4:30' })).toBeVisible()
})

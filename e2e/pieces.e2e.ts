import { blockNames, expect, saved, test } from './fixtures.ts'

test('a run of blocks is kept under a name, found on the shelf, put in as ordinary blocks, renamed and deleted', async ({
  plan,
}) => {
  await plan.getByRole('option', { name: /Wide-knee fold/ }).click()
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Shift+ArrowDown')
  await plan.getByRole('button', { name: 'Keep on the shelf…' }).click()
  await plan.keyboard.type('Warm and arch')
  await plan.keyboard.press('Enter')
  await expect(plan.getByText('Warm and arch kept on the shelf, 2 blocks')).toBeAttached()

  // Found by name; what holds it, too, would find it.
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('/')
  await plan.keyboard.type('warm and')
  await plan.keyboard.press('Enter')
  expect((await blockNames(plan)).slice(0, 6)).toEqual([
    'Arrive',
    'Even breath',
    'Wide-knee fold',
    'Sphinx',
    'Wide-knee fold',
    'Sphinx',
  ])
  await expect(plan.getByRole('heading', { name: '2 blocks chosen' })).toBeVisible()
  await plan.keyboard.press('Control+z')
  expect((await blockNames(plan)).filter((name) => name === 'Sphinx')).toHaveLength(1)
  await saved(plan)

  // The same name twice would not be told apart.
  await plan.getByRole('option', { name: /Arrive/ }).click()
  await plan.getByRole('button', { name: 'Keep on the shelf…' }).click()
  await plan.getByLabel('Keep 1 block on the shelf as').fill('Warm and arch')
  await expect(plan.getByText('There is a piece of that name: give it another.')).toBeVisible()
  await plan.keyboard.press('Escape')

  await plan.getByRole('link', { name: 'All of the shelf' }).click()
  await plan.getByRole('link', { name: 'Warm and arch' }).click()
  await expect(plan.getByRole('heading', { level: 1, name: 'Warm and arch' })).toBeVisible()
  await plan.getByRole('button', { name: 'Add to Thursday slow hour' }).click()
  await plan.getByLabel('Name of the piece').fill('Arch gently')
  await plan.getByRole('button', { name: 'Rename' }).click()
  await expect(plan.getByRole('heading', { level: 1, name: 'Arch gently' })).toBeVisible()
  await plan.getByRole('button', { name: 'Delete' }).click()
  await expect(plan.getByText('Arch gently is deleted.')).toBeVisible()
  await plan.getByRole('button', { name: 'Undo' }).click()
  await expect(plan.getByRole('link', { name: 'Arch gently' })).toBeVisible()
  await plan.getByRole('link', { name: 'Back to the plan' }).click()
  expect((await blockNames(plan)).filter((name) => name === 'Sphinx')).toHaveLength(2)
  await saved(plan)
})

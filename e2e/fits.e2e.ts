import type { Page } from '@playwright/test'
import { blockNames, expect, openedDialog, saved, test } from './fixtures.ts'

/** The demo hour with less time than it takes. */
async function openAt(plan: Page, length: string): Promise<void> {
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Escape')
  const field = plan.getByRole('textbox', { name: 'Length to fill', exact: true })
  await field.fill(length)
  await field.press('Enter')
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('f')
  await openedDialog(plan)
}
const column = (plan: Page, name: string) => plan.getByRole('region', { name })

test('an hour for three quarters of one: three ways side by side with their cost, one of them taken and undone as one step', async ({
  plan,
}) => {
  await openAt(plan, '45')
  await expect(plan.getByRole('dialog').getByText(/over/).first()).toBeVisible()
  await expect(column(plan, 'Shorter holds').getByText(/holds \d+ % shorter, shortest \d:\d\d/)).toBeVisible()
  await expect(column(plan, 'Fewer poses').getByText(/^drops /)).toBeVisible()
  await expect(column(plan, 'Fewer poses').getByText('every hold as written')).toBeVisible()
  const before = await blockNames(plan)

  await plan.getByRole('button', { name: 'Take this: Shorter holds' }).click()
  await expect(plan.getByTestId('gauge')).toContainText('45:00 of 45:00')
  await expect(plan.getByText('The holds are shorter')).toBeAttached()
  expect(await blockNames(plan)).toEqual(before)
  await plan.getByRole('button', { name: 'Undo: fit by shorter holds' }).click()
  await expect(plan.getByTestId('first-finding')).toContainText('Does not fit')
  await saved(plan)
})

test('the slider goes from dropping to shortening, and what must stay is never dropped', async ({ plan }) => {
  await openAt(plan, '45')
  const both = column(plan, 'Both')
  const slider = both.getByRole('slider')
  await slider.focus()
  await slider.press('Home')
  await expect(both.getByText('every hold as written')).toBeVisible()
  const dropped = await both.getByText(/^drops /).innerText()
  await expect(column(plan, 'Fewer poses').getByText(dropped, { exact: true })).toBeVisible()
  await slider.press('End')
  await expect(both.getByText(/^drops /)).toHaveCount(0)
  await plan.keyboard.press('Escape')

  await plan.getByRole('option', { name: /Deer, left/ }).click()
  await plan.getByRole('combobox', { name: 'When time is short, Deer' }).click()
  await plan.getByRole('option', { name: 'must stay' }).click()
  await plan.getByRole('listbox').first().focus()
  await plan.keyboard.press('f')
  await openedDialog(plan)
  await expect(column(plan, 'Fewer poses').getByText(/^drops /)).not.toContainText('Deer')
  await plan.getByRole('button', { name: 'Take this: Fewer poses' }).click()
  await expect(plan.getByText(/Does not fit/)).toHaveCount(0)
  expect(await blockNames(plan)).toContain('Deer')
})

test('where nothing fits, what stands in the way is named with its least time', async ({ plan }) => {
  await openAt(plan, '15')
  await expect(column(plan, 'Shorter holds').getByText(/still \d+:\d\d too long/)).toBeVisible()
  await expect(column(plan, 'Shorter holds').getByText(/In the way.*Deer 2:00 a side.*Final rest 3:00/)).toBeVisible()
})

test('spare time is offered, and used only when it is taken', async ({ plan }) => {
  await openAt(plan, '1h10')
  await expect(column(plan, 'Use the spare time').getByText(/final rest \d+:\d\d to 1\d:\d\d/)).toBeVisible()
  await plan.keyboard.press('Escape')
  await expect(plan.getByTestId('gauge')).toContainText('to spare')
  await plan.keyboard.press('f')
  await openedDialog(plan)
  await plan.getByRole('button', { name: 'Take this: Use the spare time' }).click()
  await expect(plan.getByTestId('gauge')).toContainText('1:10:00 of 1:10:00')
})

test('an order that moves less is shown with what it saves, and taken as one step', async ({ plan, house }) => {
  const session = await house.session('thursday-slow-hour')
  const hold = (id: string) => ({ kind: 'hold' as const, id, poseId: id })
  await house.create({
    ...session,
    id: 'to-and-fro',
    name: 'To and fro',
    blocks: ['cross-legged-seat', 'crescent-lying', 'one-leg-fold', 'figure-four-lying'].map(hold),
  })
  await plan.goto(`${house.address}plan/to-and-fro`)
  await plan.getByRole('button', { name: 'Fit', exact: true }).click()
  await plan.getByRole('button', { name: 'The order' }).click()
  await expect(plan.getByText(/^Changes take 1:\d\d instead of 2:\d\d: saves /)).toBeVisible()
  await plan.getByRole('button', { name: 'Take this order' }).click()
  await expect.poll(() => blockNames(plan)).toEqual(['Cross-legged seat', 'One-leg fold', 'Crescent', 'Figure four'])
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Control+z')
  await expect.poll(async () => (await blockNames(plan))[1]).toBe('Crescent')
})

test('a shorter version is fitted when it is made, and says what it changed', async ({ plan }) => {
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Escape')
  const field = plan.getByRole('textbox', { name: 'Length of a new version' })
  await field.fill('40')
  await field.press('Enter')
  await plan.getByRole('button', { name: 'Make it' }).click()
  await expect(plan.getByTestId('version-of')).toContainText('A version of')
  await expect(plan.getByText(/Does not fit/)).toHaveCount(0)
  await expect(plan.getByText(/ dropped$/).first()).toBeVisible()
})

test('a session is chosen from wishes: the same number gives the same, another one another, each block with its rule', async ({
  plan,
}) => {
  await plan.getByRole('link', { name: 'Zovrin' }).click()
  await plan.getByRole('button', { name: 'Choose one for me' }).click()
  const dialog = plan.getByRole('dialog')
  await expect(dialog.getByRole('rowheader').first()).toHaveText('Arrive')
  const names = () => dialog.getByRole('rowheader').allInnerTexts()
  const first = await names()
  await expect(dialog.getByText(/^deep: works on the/).first()).toBeVisible()
  await dialog.getByRole('button', { name: 'Another one' }).click()
  await expect(dialog.getByTestId('variation')).toHaveText('2')
  await expect.poll(names).not.toEqual(first)
  await dialog.getByRole('button', { name: 'The one before' }).click()
  await expect.poll(names).toEqual(first)
  await dialog.getByRole('button', { name: 'Take it to Plan' }).click()
  await expect(plan.getByRole('listbox')).toBeVisible()
  // The names of blocks are read up to their first comma.
  await expect.poll(() => blockNames(plan)).toEqual(first.map((name) => name.split(',')[0]))
  await expect(plan.getByRole('link', { name: 'Lead' }).first()).toBeVisible()
})

test('a dialog left open does not come back by itself, neither here nor in another session', async ({
  plan,
  house,
}) => {
  await plan.getByRole('link', { name: 'Sessions' }).click()
  await plan.getByRole('link', { name: 'Thursday slow hour' }).first().click()
  await openAt(plan, '45')
  await expect(column(plan, 'Shorter holds')).toBeVisible()
  await plan.goBack()
  await expect(plan.getByRole('heading', { name: 'Sessions' })).toBeVisible()
  await expect(plan.getByRole('dialog')).toHaveCount(0)
  await plan.goForward()
  await expect(plan.getByTestId('gauge')).toContainText('of 45:00')
  await expect(plan.getByRole('dialog')).toHaveCount(0)
  await plan.goto(`${house.address}plan/sunday-long-rest`)
  await expect(plan.getByTestId('gauge')).toBeVisible()
  await expect(plan.getByRole('dialog')).toHaveCount(0)
})

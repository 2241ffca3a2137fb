import type { Page } from '@playwright/test'
import { expect, saved, test } from './fixtures.ts'

const pick = async (page: Page, box: string | RegExp, option: string) => {
  await page.getByRole('combobox', { name: box }).click()
  await page.getByRole('option', { name: option, exact: true }).click()
}
const deerOf = async (house: { session(id: string): Promise<{ blocks: { kind: string; id: string }[] }> }) =>
  (await house.session('thursday-slow-hour')).blocks.find(({ id }) => id === 'deer')

test('a hold is edited in full: order of sides, phases, cues with sides marked, times around it, breath over it', async ({
  plan,
  house,
}) => {
  await plan.getByRole('option', { name: /Deer, left/ }).click()
  await pick(plan, 'First side of Deer', 'right first')
  await expect(plan.getByRole('option', { name: /^Deer/ }).first()).toHaveAccessibleName(/Deer, right/)

  await plan.getByRole('button', { name: 'Divide the hold into phases' }).click()
  await plan.getByRole('textbox', { name: 'Name of phase 1' }).fill('Tall')
  await plan.getByRole('textbox', { name: 'Name of phase 1' }).press('Tab')
  await pick(plan, 'How long phase 1 is', 'for breaths')

  // Three breaths and 30 s for the rest: drawn shorter, the hold keeps what its phases need.
  await plan.getByLabel('Left', { exact: true }).fill('30s')
  await plan.getByLabel('Left', { exact: true }).press('Enter')
  await expect(plan.getByText('Its phases need 0:48')).toBeAttached()
  await expect(plan.getByRole('option', { name: /Deer, left, 0:48/ })).toBeAttached()
  await plan.getByRole('button', { name: /^Undo: change the hold/ }).click()

  const words = plan.getByRole('textbox', { name: 'Words of cue 1' })
  await words.fill('Left hip heavy, right hand free')
  await words.press('Tab')
  const marked = plan.getByRole('button', { name: 'left', exact: true, pressed: true })
  await expect(marked).toBeVisible()
  await plan.getByRole('button', { name: 'right', exact: true, pressed: true }).click()
  await expect(plan.getByRole('button', { name: 'right', exact: true, pressed: false })).toBeVisible()
  await pick(plan, 'Sound of cue 1', 'wood')

  await plan.getByLabel('Settle', { exact: true }).fill('20s')
  await plan.getByLabel('Settle', { exact: true }).press('Enter')
  await expect(plan.getByRole('button', { name: 'Settle: take the usual time again' })).toBeVisible()
  await plan.getByText('What this hold does otherwise').click()
  await pick(plan, /^After a hold/, 'movement first')
  await plan.getByRole('button', { name: 'Count a breath over this hold' }).click()
  await pick(plan, 'Breath over the hold', 'Even breath')
  await saved(plan)
  expect(await deerOf(house)).toMatchObject({
    firstSide: 'right',
    phases: [
      { name: 'Tall', length: { breaths: 3 } },
      { name: 'Folded', length: { rest: true } },
    ],
    times: { settleS: 20 },
    answers: { betweenSides: 'stillness', afterHold: 'movement' },
    breathOver: { techniqueId: 'even-breath' },
  })
  const deer = (await deerOf(house)) as { cues?: { text?: string; sound?: { kind: string } }[] } | undefined
  expect(deer?.cues?.[0]).toMatchObject({ text: '{this} hip heavy, right hand free', sound: { kind: 'wood' } })

  await plan.getByRole('button', { name: 'Settle: take the usual time again' }).click()
  await expect(plan.getByLabel('Settle', { exact: true })).toHaveValue('0:10')
  await plan.getByRole('button', { name: 'Take the usual cues again' }).click()
  await expect(words).toHaveValue('Soften the jaw')
})

test('a breath block changes technique, counts, pace and how much, and tells what fits', async ({ plan, house }) => {
  await plan.getByRole('option', { name: /Even breath/ }).click()
  await pick(plan, 'How much, as sets or as a time', 'as many as fit a time')
  await expect(plan.getByText('Then natural breath')).toBeVisible()
  await plan.getByLabel('Out, counts').fill('5,6')
  await expect(plan.getByText('= 5.5')).toBeVisible()
  await plan.getByLabel('Out, counts').press('Tab')
  await expect(plan.getByLabel('Out, counts')).toHaveValue('5.5')
  await plan.getByLabel('Out, counts').fill('6')
  await plan.getByLabel('Out, counts').press('Tab')
  await expect(plan.getByText('24 rounds')).toBeVisible()
  await pick(plan, 'Technique', 'Watching the breath')
  await expect(plan.getByRole('option', { name: /Watching the breath, 5:00/ })).toBeAttached()
  await saved(plan)
  expect((await house.session('thursday-slow-hour')).blocks[1]).toMatchObject({
    kind: 'breath',
    sections: [{ techniqueId: 'watching-the-breath' }],
  })
})

test('a number is taken with a comma, and what is out of range is refused instead of being bent', async ({
  plan,
  house,
}) => {
  await plan.getByRole('option', { name: /Even breath/ }).click()
  const pace = plan.getByLabel('One count, s')
  await pace.fill('1,2')
  await pace.press('Enter')
  await expect(pace).toHaveValue('1.2')
  await saved(plan)
  expect((await house.session('thursday-slow-hour')).blocks[1]).toMatchObject({
    sections: [{ pace: { num: 1200, den: 1 } }],
  })
  await pace.fill('12')
  await pace.press('Enter')
  await expect(plan.getByRole('alert')).toHaveText('12 is outside 0.25 to 10.')
  await expect(pace).toHaveValue('12')
  await pace.press('Escape')
  await pace.press('ArrowUp')
  await expect(pace).toHaveValue('1.3')
})

test('talk is timed by its words at a pace of one’s own; the closing rolls to the side it is told', async ({
  plan,
}) => {
  await plan.getByRole('option', { name: /Arrive/ }).click()
  await plan.getByLabel('What to say').fill(Array.from({ length: 55 }, () => 'word').join(' '))
  await plan.getByLabel('What to say').press('Tab')
  await expect(plan.getByTestId('speaking')).toHaveText('55 words take about 0:30.')
  await plan.getByLabel('Words a minute').fill('66')
  await plan.getByLabel('Words a minute').press('Tab')
  await plan.getByRole('button', { name: 'Make it 0:50' }).click()
  await expect(plan.getByRole('option', { name: 'Arrive, 0:50' })).toBeAttached()
  await plan.getByRole('option', { name: /Closing/ }).click()
  await pick(plan, 'Roll to', 'the left, or as preferred')
  await saved(plan)
})

test('the plan is printed as a sheet, not as the screen', async ({ plan }) => {
  await plan.emulateMedia({ media: 'print' })
  const sheet = plan.getByTestId('sheet')
  await expect(sheet.getByRole('row', { name: /26:16 Deer/ })).toContainText(
    /3:30\s*Left: left knee in front, right knee behind/,
  )
  await expect(sheet).toContainText('Ease out, breathe as you like')
  await expect(plan.getByRole('listbox')).toBeHidden()
  await expect(plan.getByRole('link', { name: 'Lead', exact: true })).toBeHidden()
  await plan.emulateMedia({ media: 'screen' })
  await expect(sheet).toBeHidden()
})

test('a rest in the middle comes up in steps where it is ticked, with times of its own, and not where people sit', async ({
  plan,
  house,
}) => {
  await plan.getByRole('option', { name: /Deer, left/ }).click()
  await plan.getByRole('button', { name: /^Add Rest, stillness/ }).click()
  await pick(plan, 'Position', 'on the back')
  const total = () => plan.getByTestId('gauge').innerText()
  const before = await total()
  await plan.getByRole('checkbox', { name: 'Comes up in steps, as at the end' }).check()
  await expect.poll(total).not.toBe(before)
  await expect(plan.getByRole('option', { name: /^Rest/ })).toContainText('coming up 2:00')
  await plan.getByLabel('On the side', { exact: true }).fill('1:15')
  await plan.getByLabel('On the side', { exact: true }).press('Enter')
  await expect(plan.getByRole('option', { name: /^Rest/ })).toContainText('coming up 2:30')
  await saved(plan)
  const { blocks } = await house.session('thursday-slow-hour')
  expect(blocks.find(({ kind }) => kind === 'rest')).toMatchObject({ ending: { rollS: 75 } })
  await pick(plan, 'Position', 'seated')
  await expect(plan.getByRole('checkbox', { name: 'Comes up in steps, as at the end' })).toHaveCount(0)
  await expect(plan.getByRole('option', { name: /^Rest/ })).not.toContainText('coming up')
})

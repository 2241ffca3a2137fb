import type { Page } from '@playwright/test'
import { expect, saved, test } from './fixtures.ts'

const figure = (page: Page) => page.getByRole('img', { name: /person of/ })
const list = (page: Page) => page.getByRole('navigation', { name: 'Set-ups of the session' })
const open = async (page: Page, address: string, name: string): Promise<void> => {
  await page.goto(`${address}props/sunday-long-rest`)
  await list(page)
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  await expect(figure(page)).toBeVisible()
  await expect(page.getByText('From the cupboard of Bellows House')).toBeAttached()
}
/** What is written in the picture. */
const labels = (page: Page) => figure(page).locator('text').allTextContents()
const pick = async (page: Page, field: string, choice: string): Promise<void> => {
  await page.getByRole('combobox', { name: field }).click()
  await page.getByRole('option', { name: choice, exact: true }).click()
}

/** The form with a block on its end and one half way up. */
const withFewProps = (page: Page) => page.getByRole('button', { name: 'With few props' }).click()

test('from Plan to Props: the session’s set-ups in its order, each with its figure and what it takes', async ({
  plan,
}) => {
  await plan.getByRole('navigation', { name: 'Views of the session' }).getByRole('link', { name: 'Set-ups' }).click()
  await expect(list(plan).getByRole('button')).toHaveText([
    /^Wide-knee fold/,
    /^Sphinx/,
    /^Figure four, lying/,
    /^Deer/,
    /^Crescent, lying\s*no props/,
    /^Calves on a chair\s*chair/,
    /^Final rest/,
  ])
  await list(plan)
    .getByRole('button', { name: /^Calves/ })
    .click()
  await expect(figure(plan)).toHaveAccessibleName(
    /Calves on a chair, on the back · seen from the right · person of 170 cm/,
  )
  await expect(figure(plan).getByText('seat 45 cm')).toBeVisible()
  await plan.getByRole('button', { name: 'Calves on bolsters' }).click()
  await expect(figure(plan).getByText('seat 28 cm')).toBeVisible()
})

test('fold, turn, count and kind can be changed; the figure and the heights follow, and every step can be taken back', async ({
  page,
  house,
}) => {
  await open(page, house.address, 'Inclined rest')
  await withFewProps(page)
  expect(await labels(page)).toEqual(expect.arrayContaining(['blanket 4 cm', 'block 22 cm', '23°']))
  await page.getByRole('button', { name: /^1 block, on its end/ }).click()
  await pick(page, 'Turned', 'flat')
  await expect(figure(page).getByText('block 10 cm', { exact: true })).toBeVisible()
  // The block half way up is now the steeper one, and carries the bolster.
  await expect(figure(page).getByText('13°')).toBeVisible()
  await expect(page.getByText(/hangs .* free above its head block/).first()).toBeVisible()
  await page.getByRole('textbox', { name: 'How many' }).fill('2')
  await page.getByRole('textbox', { name: 'How many' }).press('Enter')
  await expect(figure(page).getByText('2 blocks 19.5 cm')).toBeVisible()
  await pick(page, 'Kind under the upper back', 'cork block')
  await expect(figure(page).getByText('2 cork blocks 15 cm')).toBeVisible()
  const head = page.getByRole('button', { name: /^1 blanket, standard fold/ }).first()
  await head.click()
  await pick(page, 'Fold', 'double fold')
  await expect(figure(page).getByText('blanket 2 cm', { exact: true })).toHaveCount(2)
  for (let step = 0; step < 4; step += 1) await page.getByRole('button', { name: /^Undo: / }).click()
  await expect(figure(page).getByText('block 22 cm', { exact: true })).toBeVisible()
  // Choosing another of the usual ways is a step like any other.
  await page.getByRole('button', { name: 'Undo: choose a set-up' }).click()
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeDisabled()
  await page.keyboard.press('Control+Shift+Z')
  await expect(figure(page).getByText('block 22 cm', { exact: true })).toBeVisible()
})

test('what changes hands between set-ups stands under the figure, follows what is tried, and opens to its order', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}props/sunday-long-rest`)
  const between = page.getByRole('region', { name: 'Between set-ups' })
  const row = between.getByRole('row', { name: /Twist over a bolster → Calves on a chair/ })
  await expect(row).toContainText('1 chair, 1 eye pillow')
  await expect(between.getByRole('row', { name: /^Whole session/ })).toContainText('trips to where the props lie')
  await row.getByRole('button').press('Enter')
  await expect(row.getByRole('button')).toHaveAttribute('aria-expanded', 'true')
  await expect(between.getByRole('listitem').first()).toHaveText(/^put aside the /)
  await expect(between.getByRole('listitem').filter({ hasText: 'bring 1 eye pillow to the eyes' })).toHaveCount(1)

  await between.getByRole('button', { name: 'Look at Calves on a chair' }).click()
  await expect(page.getByRole('heading', { name: 'Calves on a chair', level: 1 })).toBeVisible()
  await page.getByRole('button', { name: 'Calves on bolsters' }).click()
  await expect(row).not.toContainText('1 chair')
})

test('a class with what a house has is planned in one choice', async ({ page, house }) => {
  await page.goto(`${house.address}plan/sunday-long-rest`)
  await page.getByRole('combobox', { name: 'Set up with' }).click()
  await page.getByRole('option', { name: 'what a house has' }).click()
  await saved(page)
  expect(await house.session('sunday-long-rest')).toMatchObject({ extent: 'household' })
  await page.getByRole('navigation', { name: 'Views of the session' }).getByRole('link', { name: 'Set-ups' }).click()
  const ofHouse = page.getByRole('button', { name: 'With what a house has' })
  for (const name of [/^Wide-knee fold/, /^Inclined rest/, /^Twist over a bolster/]) {
    await list(page).getByRole('button', { name }).click()
    await expect(ofHouse).toHaveAttribute('aria-pressed', 'true')
  }
})

test('what is changed is the session’s: Plan says it, and it goes back to the usual one in one step', async ({
  page,
  house,
}) => {
  await open(page, house.address, 'Inclined rest')
  await withFewProps(page)
  await page.getByRole('button', { name: /^1 block, on its end/ }).click()
  await page.getByRole('button', { name: 'Take 1 block away' }).click()
  await expect(figure(page).getByText('23°')).toHaveCount(0)
  await list(page)
    .getByRole('button', { name: /^Final rest/ })
    .click()
  await page.getByRole('link', { name: 'Plan' }).click()
  await saved(page)
  await page.getByRole('navigation', { name: 'Views of the session' }).getByRole('link', { name: 'Set-ups' }).click()
  await list(page)
    .getByRole('button', { name: /^Inclined rest/ })
    .click()
  await expect(page.getByRole('button', { name: 'As in this session' })).toHaveAttribute('aria-pressed', 'true')
  await expect(figure(page).getByText('23°')).toHaveCount(0)
  await page.getByRole('button', { name: 'Back to the usual one' }).click()
  await expect(page.getByRole('button', { name: 'As in this session' })).toHaveCount(0)
  await expect(page.getByText('In this session only')).toHaveCount(0)
})

test('the figure goes with the height of the person; a number in metres is asked about, not converted', async ({
  page,
  house,
}) => {
  await open(page, house.address, 'Inclined rest')
  const field = page.getByRole('textbox', { name: /Person’s height/ })
  await field.fill('1.9')
  await field.press('Enter')
  await expect(page.getByRole('alert')).toContainText('1.9 looks like metres.')
  await page.getByRole('button', { name: 'Take 190 cm' }).click()
  await expect(page.getByText('person of 190 cm')).toBeVisible()
  await expect(figure(page).getByText('limit 9.5')).toBeVisible()
  await field.fill('90')
  await field.press('Enter')
  await expect(page.getByRole('alert')).toContainText('120 to 220 cm')
  await page.getByRole('slider').focus()
  await page.keyboard.press('Home')
  await expect(page.getByText('person of 150 cm')).toBeVisible()
  await expect(figure(page).getByText('limit 7.5')).toBeVisible()
  await page.reload()
  await expect(page.getByText('person of 150 cm')).toBeVisible()
})

test('a finding names its number and its mend; the mend is one press, and the foot line counts it', async ({
  page,
  house,
}) => {
  await open(page, house.address, 'Calves on a chair')
  await page.getByRole('button', { name: /^1 blanket, double fold/ }).click()
  await pick(page, 'Fold', 'standard, half lengthwise')
  const padded = page.getByRole('listitem').filter({ hasText: 'Head pad 8.5 cm, at most 8 cm' })
  await expect(padded).toBeVisible()
  await expect(page.getByText('Lower it until the head is level with the shoulders or a little above.')).toBeVisible()
  await expect(
    page.getByText('Comfort decides. Stop with pain, numbness or dizziness; ask a professional.'),
  ).toBeVisible()
  await expect(page.getByRole('contentinfo')).toContainText(/to look at Calves on a chair: Head pad/)
  // Plan counts it too, leads here, and keeps it where it is set aside.
  await page.getByRole('link', { name: 'Plan' }).click()
  await expect(page.getByTestId('gauge')).toBeVisible()
  await page
    .getByRole('contentinfo')
    .getByRole('button', { name: /to look at/ })
    .click()
  const inPlan = page.getByRole('listitem').filter({ hasText: 'Head pad 8.5 cm, at most 8 cm' })
  await inPlan.getByRole('button', { name: 'Look at the set-up' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Calves on a chair' })).toBeVisible()
  await padded.getByRole('button', { name: 'Set aside: Head pad 8.5 cm, at most 8 cm' }).click()
  await page.getByLabel('Why it can stay').fill('they lie on the mat’s end')
  await page.getByLabel('Why it can stay').press('Enter')
  await expect(padded.getByText('Set aside: they lie on the mat’s end')).toBeVisible()
  await expect(page.getByRole('contentinfo')).not.toContainText('Head pad')
  await padded.getByRole('button', { name: /^Take back/ }).click()
  await padded.getByRole('button', { name: /^Fold the blanket under the head/ }).click()
  await expect(padded).toHaveCount(0)
})

test('what lies under the parts does not move under the hand when a mend has been found', async ({ page, house }) => {
  await page.addInitScript(() => {
    const ask = Reflect.get(Worker.prototype, 'postMessage') as (this: Worker, message: unknown) => void
    const waiting: (() => void)[] = []
    Worker.prototype.postMessage = function (this: Worker, message: unknown) {
      waiting.push(() => {
        ask.call(this, message)
      })
    }
    addEventListener('let-workers-in', () => {
      for (const go of waiting) go()
    })
  })
  await open(page, house.address, 'Inclined rest')
  await page.getByRole('button', { name: 'With what a house has' }).click()
  const block = page.getByRole('button', { name: /^1 chair, turned over/ })
  await expect(page.getByText('Looking for a mend…').first()).toBeVisible()
  const before = await block.boundingBox()
  await expect(async () => {
    await page.evaluate(() => dispatchEvent(new Event('let-workers-in')))
    await expect(page.getByRole('button', { name: /under the arms$/ })).toBeVisible({ timeout: 500 })
  }).toPass()
  expect(await block.boundingBox()).toEqual(before)

  await expect(page.getByText(/^Stands firmly/)).toBeVisible()
  await withFewProps(page)
  await expect(page.getByText(/^A stack wants a look/)).toBeVisible()
})

test('a height is reached with what the cupboard has, and what has no way says the nearest', async ({
  page,
  house,
}) => {
  await open(page, house.address, 'Final rest')
  const reach = page.getByRole('region', { name: 'Reach a height' })
  await expect(reach.getByText('From the cupboard of Bellows House')).toBeVisible()
  await pick(page, 'Part to build under', 'Knees')
  // Bent so far, the knees would want a look: what its own findings forbid is not offered.
  const height = reach.getByRole('textbox', { name: /Height/ })
  await height.fill('19,5')
  await height.press('Enter')
  await expect(reach.getByRole('status')).toContainText('What comes to 19.5 cm would not lie well here. The nearest:')
  await height.fill('16')
  await height.press('Enter')
  await reach.getByRole('button', { name: /^Use / }).first().click()
  await expect(figure(page).getByText(/knees (about )?1[567]/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Keep it for this pose…' })).toBeVisible()
  await reach.getByRole('textbox', { name: /Height/ }).fill('110')
  await reach.getByRole('textbox', { name: /Height/ }).press('Enter')
  await expect(reach.getByRole('status')).toHaveText('Nothing here comes to 110 cm.')
})

test('a twist is shown from above, where that says more, and from the side when asked', async ({ page, house }) => {
  await open(page, house.address, 'Twist over a bolster')
  await expect(page.getByText('seen from above')).toBeVisible()
  await page.getByRole('button', { name: 'From the side' }).click()
  await expect(page.getByText('seen from the right')).toBeVisible()
  await list(page)
    .getByRole('button', { name: /^Final rest/ })
    .click()
  await page.getByRole('button', { name: 'Above' }).click()
  await expect(page.getByText('seen from above')).toBeVisible()
})

test('something can be added, moved and taken away by the keyboard alone', async ({ page, house }) => {
  await open(page, house.address, 'Final rest')
  await page.getByRole('combobox', { name: 'What to add' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('towel')
  await page.keyboard.press('Enter')
  await page.getByRole('combobox', { name: 'Add it at a part' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('Ankles')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 3, name: /^Ankles/ })).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'How many' })).toBeVisible()
  await expect(page.getByRole('listbox')).toHaveCount(0)
  await pick(page, 'At which part', 'Head')
  await expect(page.getByRole('heading', { level: 3, name: /^Ankles/ })).toHaveCount(0)
  const head = page.locator('section', { has: page.getByRole('heading', { level: 3, name: /^Head/ }) })
  await expect(head.locator('.what')).toHaveText([/^1 blanket/, /^1 towel/])
  await head.getByRole('button', { name: /^1 towel/ }).focus()
  await page.keyboard.press('Alt+ArrowUp')
  await expect(head.locator('.what')).toHaveText([/^1 towel/, /^1 blanket/])
  await page.keyboard.press('Delete')
  await expect(head.locator('.what')).toHaveText([/^1 blanket/])
})

test('what lies there is dragged to another part, lies over it, and has a heap each side', async ({ page, house }) => {
  await open(page, house.address, 'Final rest')
  const blanket = page.getByRole('button', { name: /^1 blanket/ }).first()
  const pillow = page.getByRole('button', { name: /^1 eye pillow/ })
  await expect(blanket).toBeVisible()
  await pillow.dragTo(blanket, { targetPosition: { x: 20, y: 4 } })
  const head = page.locator('section', { has: page.getByRole('heading', { level: 3, name: /^Head/ }) })
  await expect(head.locator('.what')).toHaveText([/^1 eye pillow/, /^1 blanket/])
  await page.getByRole('button', { name: 'Undo: move in the set-up' }).click()
  await expect(page.getByRole('heading', { level: 3, name: /^Eyes/ })).toBeVisible()

  await page.getByRole('combobox', { name: 'Add it at a part' }).click()
  await page.getByRole('option', { name: 'Knees' }).click()
  await pick(page, 'In one heap or two', 'a heap each side')
  await expect(page.getByRole('button', { name: /^2 blankets, standard fold, one each side/ })).toBeVisible()
  await pick(page, 'Under it, over it, round it', 'laid over it')
  await expect(page.getByRole('button', { name: /^2 blankets.*laid over/ })).toBeVisible()
})

test('a set-up is kept for its pose, offered in another session, renamed, and deleted where nothing uses it', async ({
  page,
  house,
  expectFailures,
}) => {
  // In use, it is not deleted.
  expectFailures('409')
  await open(page, house.address, 'Final rest')
  await page
    .getByRole('button', { name: /^1 blanket/ })
    .first()
    .click()
  await pick(page, 'Fold', 'standard fold')
  await page.getByRole('button', { name: 'Keep it for this pose…' }).click()
  await page.getByLabel('Keep it for this pose as').fill('With what a house has')
  await expect(page.getByText('This pose has a set-up of that name')).toBeVisible()
  await page.getByLabel('Keep it for this pose as').fill('Rest by the reeds')
  await page.getByLabel('Keep it for this pose as').press('Enter')
  await expect(page.getByRole('button', { name: 'Rest by the reeds', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await saved(page)

  const mine = page.getByRole('region', { name: 'Kept by you for this pose' })
  await mine.getByRole('button', { name: 'Rename Rest by the reeds' }).click()
  await page.getByLabel('Call it').fill('Reeds')
  await page.getByLabel('Call it').press('Enter')
  await expect(mine.getByText('Reeds, in use here')).toBeVisible()
  await mine.getByRole('button', { name: 'Delete Reeds' }).click()
  await expect(mine.getByRole('alert')).toContainText('Sunday long rest')

  // Another session keeps its usual one and can take it.
  await page.goto(`${house.address}props/thursday-slow-hour`)
  await list(page)
    .getByRole('button', { name: /^Final rest/ })
    .click()
  await expect(page.getByRole('button', { name: 'Reeds', exact: true })).toHaveAttribute('aria-pressed', 'false')
  await page.goto(`${house.address}props/sunday-long-rest`)
  await list(page)
    .getByRole('button', { name: /^Final rest/ })
    .click()
  await page.getByRole('button', { name: 'Back to the usual one' }).click()
  await saved(page)
  await mine.getByRole('button', { name: 'Delete Reeds' }).click()
  await expect(page.getByText('Reeds is deleted.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Reeds', exact: true })).toHaveCount(0)
  await page.getByText('Reeds is deleted.').getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Reeds', exact: true })).toBeVisible()
})

test('a step in mid-hold has its moment, its own props and words, and is looked at where it comes late', async ({
  page,
  house,
}) => {
  await open(page, house.address, 'Final rest')
  await list(page)
    .getByRole('button', { name: /^Calves/ })
    .click()
  await page.getByRole('button', { name: 'A step in the hold' }).click()
  const stages = page.getByRole('group', { name: 'When in the hold' })
  await expect(stages.getByRole('button', { name: 'From 3:30 on' })).toHaveAttribute('aria-pressed', 'true')
  const head = page.locator('section', { has: page.getByRole('heading', { level: 3, name: /^Head/ }) })
  await head.getByRole('button', { name: /^1 blanket/ }).press('Delete')
  await expect(head).toHaveCount(0)
  await expect(page.getByPlaceholder('Put aside the blanket at the head')).toBeVisible()
  await page.getByLabel('What is said').fill('Draw the blanket out')
  await page.getByLabel('What is said').press('Enter')
  await page.getByRole('textbox', { name: 'From' }).fill('6:30')
  await page.getByRole('textbox', { name: 'From' }).press('Enter')
  // Before the step everything lies as it did.
  await stages.getByRole('button', { name: 'As it begins' }).click()
  await expect(head.getByRole('button', { name: /^1 blanket/ })).toBeVisible()
  await saved(page)
  const { blocks } = await house.session('sunday-long-rest')
  expect(blocks.find(({ id }) => id === 'calves')).toMatchObject({
    steps: [{ at: { fromStartS: 390 }, text: 'Draw the blanket out' }],
  })
  await page.getByRole('link', { name: 'Plan' }).click()
  await expect(page.getByTestId('gauge')).toBeVisible()
  await page
    .getByRole('contentinfo')
    .getByRole('button', { name: /to look at/ })
    .click()
  const findings = page.getByRole('region', { name: 'Findings' })
  await expect(findings.getByText('A step of the set-up begins with 0:30 left')).toBeVisible()
  // Without its blanket the head lies bare from then on.
  await expect(findings.getByText('No head pad')).toBeVisible()
})

test('what another order would save is worked out when it is asked for, and taken as one step', async ({
  page,
  house,
}) => {
  const session = await house.session('sunday-long-rest')
  const hold = (id: string, poseId: string) => ({ kind: 'hold' as const, id, poseId })
  await house.create({
    ...session,
    id: 'twice-fetched',
    name: 'Twice fetched',
    blocks: [hold('a', 'calves-on-a-chair'), hold('b', 'deer'), hold('c', 'calves-on-a-chair')],
  })
  await page.goto(`${house.address}props/twice-fetched`)
  const between = page.getByRole('region', { name: 'Between set-ups' })
  await expect(between.getByText('The chair is fetched twice.')).toBeVisible()
  await between.getByRole('button', { name: 'What would another order save?' }).click()
  await expect(between.getByText('The chair is fetched twice; once in this order.')).toBeVisible()
  await between.getByRole('button', { name: 'Take this order' }).click()
  await expect(between.getByText(/The chair is fetched/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo: take another order' }).click()
  await expect(between.getByText('The chair is fetched twice.')).toBeVisible()
})

test('breath work is given what it is sat on, which is listed and fetched', async ({ page, house }) => {
  await page.goto(`${house.address}props/breath-week-6`)
  await page.getByRole('combobox', { name: 'Set up breath work or a rest' }).click()
  await page
    .getByRole('option', { name: /^Even breath/ })
    .first()
    .click()
  await expect(page.getByText('Breath work and rests are not drawn')).toBeVisible()
  await pick(page, 'What to add', 'seat cushion')
  await pick(page, 'Add it at a part', 'Pelvis')
  await expect(list(page).getByRole('button', { name: /^Even breath\s*seat cushion/ })).toBeVisible()
  await saved(page)
  const { blocks } = await house.session('breath-week-6')
  expect(blocks.find((block) => 'setUpItems' in block)).toMatchObject({ setUpItems: [{ kind: 'seatCushion' }] })
})

test('a change that cannot be computed keeps the picture’s place and says what is wrong', async ({ page, house }) => {
  await open(page, house.address, 'Inclined rest')
  await withFewProps(page)
  await page.getByRole('button', { name: /^1 block, on its end/ }).click()
  await page.getByRole('textbox', { name: 'How many' }).fill('3')
  await page.getByRole('textbox', { name: 'How many' }).press('Enter')
  await expect(page.getByText(/^This cannot be drawn as it stands/)).toBeVisible()
  await expect(
    page.getByRole('complementary').getByText(/No body of this height lies like that|would stand steeper/),
  ).toBeVisible()
  await page.getByRole('button', { name: /^Undo: / }).click()
  await expect(figure(page)).toBeVisible()
})

test('on paper the picture and the heights stay, the lists and controls go', async ({ page, house }) => {
  await open(page, house.address, 'Inclined rest')
  await page.emulateMedia({ media: 'print' })
  await expect(figure(page)).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Under each part' })).toBeVisible()
  await expect(list(page)).toBeHidden()
  await expect(page.getByRole('region', { name: 'Reach a height' })).toBeHidden()
})

test('a session with no poses says what belongs here', async ({ page, house }) => {
  await house.create({
    schema: 2,
    id: 'empty',
    name: 'Empty',
    practice: 'restorative',
    level: 'regular',
    lengthS: 1800,
    schoolId: 'restorative',
    blocks: [],
  })
  await page.goto(`${house.address}props/empty`)
  await expect(page.getByText('This one has none yet: add a pose in Plan.')).toBeVisible()
  await page.getByRole('link', { name: 'Add a pose in Plan' }).click()
  await expect(page.getByText('Nothing on the spine yet')).toBeVisible()
})

test('below 1180 px what lies under each part is a drawer', async ({ page, house }) => {
  await page.setViewportSize({ width: 1024, height: 700 })
  await open(page, house.address, 'Final rest')
  await page.getByRole('button', { name: 'Under each part' }).click()
  await expect(page.getByRole('complementary', { name: 'Under each part' })).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('complementary', { name: 'Under each part' })).toBeHidden()
})

import type { Page } from '@playwright/test'
import type { Section } from '#model/section'
import type { Session } from '#model/session'
import { thursdaySlowHour } from '#server/demo/sessions'
import { expect, saved, test } from './fixtures.ts'

const open = async (page: Page, address: string, id = 'thursday-slow-hour') => {
  await page.goto(`${address}breath/${id}`)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
}
const sections = (page: Page) => page.getByRole('list', { name: 'Sections of this block' }).getByRole('listitem')
const putIn = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Breath work and techniques' }).getByRole('button', { name }).last().click()
const pick = async (page: Page, label: string, option: string) => {
  await page.getByRole('combobox', { name: label, exact: true }).click()
  await page.getByRole('option', { name: option, exact: true }).click()
}
const breathIn = ({ blocks }: Session): readonly Section[] =>
  blocks.flatMap((block) => (block.kind === 'breath' ? block.sections : []))

/** A breath session of these sections, at stage 6. */
const session = (all: Section[]): Session => ({
  ...thursdaySlowHour,
  id: 'reed-and-bellows',
  name: 'Reed and bellows',
  practice: 'breath',
  level: 'experienced',
  stage: 6,
  blocks: [{ kind: 'breath', id: 'all', sections: all }],
})

test('a block is composed of sections: put in, changed, moved and taken back, and kept', async ({ page, house }) => {
  await open(page, house.address)
  await expect(page.getByRole('img', { name: 'One round: in 4, out 4' })).toBeVisible()

  // Natural breath, and ten rounds of places for the hands.
  await putIn(page, 'Natural breath')
  await page.getByLabel('What is attended to').fill('The breath as it comes')
  await page.getByLabel('What is attended to').press('Enter')
  await putIn(page, 'Three-part breath')
  await pick(page, 'Done as', 'breaths, uncounted')
  await expect(sections(page)).toHaveCount(3)

  // A ratio typed in one line, of a base.
  await sections(page).first().getByRole('button').click()
  const ratio = page.getByLabel('As a ratio, like 1:4:2 of 4')
  await ratio.fill('1:1.25 of 3')
  await ratio.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('That does not come to whole half-counts. A base of 2 or 4 does.')
  await ratio.fill('1:1.25 of 4')
  await ratio.press('Enter')
  await expect(page.getByRole('img', { name: 'One round: in 4, out 5' })).toBeVisible()
  await pick(page, 'The breath goes', 'hands from place to place')
  await page.getByLabel('Place 1').fill('Hands on the belly')
  await page.getByLabel('Place 1').press('Enter')

  // Moved by the keys, and one step taken back.
  await sections(page).first().getByRole('button').focus()
  await page.keyboard.press('Alt+ArrowRight')
  await expect(sections(page).nth(0)).toContainText('Natural breath')
  await expect(sections(page).nth(1).getByRole('button')).toBeFocused()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Three-part breath')
  await expect(sections(page).nth(2).getByRole('button')).toBeFocused()
  await page.keyboard.press('ArrowLeft')
  await page.getByRole('button', { name: 'Undo: move a section' }).click()
  await expect(sections(page).nth(0)).toContainText('Even breath')
  await saved(page)
  expect(breathIn(await house.session('thursday-slow-hour'))).toMatchObject([
    {
      kind: 'rounds',
      techniqueId: 'even-breath',
      pattern: { in: 8, full: 0, out: 10, empty: 0 },
      stations: [{ place: 'Hands on the belly', rounds: 5 }, { rounds: 5 }, { rounds: 5 }],
      shown: 3,
    },
    { kind: 'natural', attend: 'The breath as it comes' },
    { kind: 'rounds', techniqueId: 'three-part-breath', amount: { breaths: 23, aboutS: 8 } },
  ])

  // Plan has the same block, and says what is in it.
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByRole('option', { name: /Even breath/ })).toContainText('3 places')
  await page.getByRole('option', { name: /Even breath/ }).click()
  await page.getByRole('link', { name: 'Open it in Breath' }).click()
  await expect(sections(page)).toHaveCount(3)
})

test('what may not be held at the stage is said beside the block, and mended', async ({ page, house }) => {
  await open(page, house.address)
  await page.getByLabel('Held full', { exact: true }).fill('4')
  await page.getByLabel('Held full', { exact: true }).press('Enter')
  const checks = page.getByRole('list', { name: 'To look at' })
  await expect(checks).toContainText('Held full for 4 counts, 4 s')
  await expect(page.getByTestId('first-finding')).toHaveText('Held full for 4 counts, 4 s')
  await checks.getByRole('button', { name: 'Leave the breath unheld' }).click()
  await expect(checks).toHaveCount(0)
  await expect(page.getByLabel('Held full', { exact: true })).toHaveValue('0')
})

test('the ladder of weeks is drawn from the step it begins at, and says where one stands', async ({ page, house }) => {
  await open(page, house.address)
  const ladder = page.getByRole('region', { name: 'The ladder of weeks' })
  const ask = async (label: string, value: string) => {
    await ladder.getByLabel(label, { exact: true }).fill(value)
    await ladder.getByLabel(label, { exact: true }).press('Enter')
  }
  await ask('Even weeks before', '6')
  await ask('Now in week', '6')
  await expect(ladder).toContainText('Week 6: step 9')
  const steps = await ladder.getByRole('listitem').allTextContents()
  expect(steps.map((text) => Number(/Step (\d+)/.exec(text)?.[1]))).toEqual([6, 6, 7, 8, 9, 9, 10, 10])
})

test('a session without breath work says how to begin, and a technique begins it', async ({ page, house }) => {
  await page.goto(`${house.address}breath/sunday-long-rest`)
  await expect(page.getByText('No breath work in this session yet.')).toBeVisible()
  await putIn(page, 'Long exhale')
  await expect(page.getByRole('img', { name: 'One round: in 4, out 6' })).toBeVisible()
  await saved(page)
  expect(breathIn(await house.session('sunday-long-rest'))).toMatchObject([{ techniqueId: 'long-exhale' }])
})

test('Lead says which section, which place and nostril, and counts a held breath down', async ({ page, house }) => {
  const second = { num: 1000, den: 1 }
  await house.create(
    session([
      {
        kind: 'rounds',
        id: 'places',
        techniqueId: 'three-part-breath',
        pattern: { in: 8, full: 0, out: 8, empty: 0 },
        pace: second,
        stations: [{ place: 'Hands in front', rounds: 5 }],
        leadInS: 6,
        wayOutS: 0,
      },
      {
        kind: 'rounds',
        id: 'nostrils',
        techniqueId: 'nostrils-in-turn',
        pattern: { in: 20, full: 0, out: 20, empty: 0 },
        pace: second,
        amount: { sets: 1, roundsPerSet: 2 },
        leadInS: 0,
      },
      { kind: 'natural', id: 'quiet', s: 60 },
      {
        kind: 'retention',
        id: 'held',
        held: 'full',
        half: 32,
        lead: { in: 8, out: 8 },
        times: 1,
        leadInS: 0,
      },
    ]),
  )
  // The class's clock stands where it is put: what is shown depends on nothing else.
  await page.addInitScript(() => {
    const steadyMs = () => Number((window as unknown as { pushedMs?: number }).pushedMs ?? 0)
    const zeroMs = Date.now()
    Object.assign(window, { zovrinPorts: { epochMs: () => zeroMs + steadyMs(), steadyMs } })
  })
  const at = (seconds: number) => page.evaluate((s) => Object.assign(window, { pushedMs: s * 1000 }), seconds)
  await page.goto(`${house.address}lead/reed-and-bellows`)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  const lit = page.getByRole('region', { name: 'Now' })
  await at(3)
  await expect(lit).toContainText('breathe out')
  await at(9)
  await expect(lit).toContainText('section 1 of 4 · Hands in front · round 1 of 5')
  await at(50)
  await expect(lit).toContainText('section 2 of 4 · round 1 of 2')
  await expect(lit).toContainText('in left')
  await at(60)
  await expect(lit).toContainText('out right')
  await at(140)
  await expect(lit).toContainText('Natural breath')
  await at(210)
  await expect(lit).toContainText('section 4 of 4')
  await expect(lit).toContainText('hold full 16')
  await expect(lit.locator('.count')).toHaveText('8')
  await at(215)
  await expect(lit.locator('.count')).toHaveText('3')
})

test('what may not be led as planned is told before Start, and led as natural breath by one press', async ({
  page,
  house,
}) => {
  const held: Section = { kind: 'retention', id: 'held', held: 'full', half: 16, lead: { in: 8, out: 8 }, times: 2 }
  await house.create({ ...session([{ kind: 'natural', id: 'quiet', s: 300 }, held]), stage: 2 })
  await page.goto(`${house.address}plan/reed-and-bellows`)
  await page.getByRole('button', { name: /^1 to mend/ }).click()
  await expect(page.getByText('Held full for 8 counts, 8 s').last()).toBeVisible()
  await expect(page.getByRole('button', { name: /^Set aside: Held/ })).toHaveCount(0)
  await page.getByRole('link', { name: 'Lead', exact: true }).click()
  const told = page.getByRole('region', { name: 'Not led as it is planned' })
  await expect(told).toContainText('natural breath for 1:44 in its place')
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'Start with natural breath there' }).click()
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('section 1 of 2')
  await expect(page.getByRole('region', { name: 'Next' })).toContainText('Natural breath')
})

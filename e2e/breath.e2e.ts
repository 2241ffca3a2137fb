import type { Page } from '@playwright/test'
import type { Section } from '#model/section'
import type { Session } from '#model/session'
import type { Settings } from '#model/settings'
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

interface Handed {
  readonly kind: string
  readonly when: number
}
/** An audio device that plays nothing and writes down what it is handed; its clock and the page's stand still. */
async function handedOver(page: Page): Promise<() => Promise<Handed[]>> {
  await page.addInitScript(() => {
    let handed: Handed[] = []
    const audio = {
      now: () => 0,
      isRunning: () => true,
      resume: () => Promise.resolve(),
      schedule: ({ kind }: Handed, when: number) => handed.push({ kind, when }),
      cancel: () => (handed = []),
    }
    Object.assign(window, { handed: () => handed, zovrinPorts: { steadyMs: () => 0, audio: () => audio } })
  })
  return () => page.evaluate(() => (window as unknown as { handed: () => Handed[] }).handed())
}

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

  // A technique to learn is its first week's one new thing: the ratio waits for it.
  await ladder.getByRole('combobox', { name: 'Lessons beside it' }).press('ArrowDown')
  await page.getByRole('option', { name: 'Three-part breath' }).click()
  await page.keyboard.press('Escape')
  // The list leaves slowly, and has the hands as long as it stands.
  await expect(page.getByRole('option')).toHaveCount(0)
  await ask('Lessons from week', '3')
  await expect(ladder).toContainText('Three-part breath, lesson 4 of 4: The three as one, eyes closed.')
  await expect(ladder.getByRole('listitem').nth(2)).toContainText('Step 6: ')
  await expect(ladder.getByRole('listitem').nth(2)).toContainText('Three-part breath, lesson 1')

  await page.reload()
  await expect(ladder).toContainText('Three-part breath, lesson 4 of 4')
})

test('sections are kept as a protocol, offered in Breath and on the shelf, and put in are sections as any other', async ({
  page,
  house,
}) => {
  await open(page, house.address, 'breath-week-6')
  const left = page.getByRole('navigation', { name: 'Breath work and techniques' })
  await expect(left.getByRole('button', { name: /^Bellows breath/ })).toContainText('in person · from stage 5')
  await expect(left.getByRole('button', { name: /^Even breath/ }).last()).toHaveText(/4.:.4$/)

  await page.getByRole('button', { name: 'Keep as a protocol…' }).click()
  await page.getByLabel('Keep 3 sections as a protocol named').fill('Ten, then three parts')
  await page.getByLabel('Keep 3 sections as a protocol named').press('Enter')
  await left.getByLabel('Find a technique').fill('ten, th')
  await left.getByRole('button', { name: 'Ten, then three parts your own, 3 sections' }).click()
  await expect(sections(page)).toHaveCount(6)
  await saved(page)
  const ids = breathIn(await house.session('breath-week-6')).map(({ id }) => id)
  expect(new Set(ids).size).toBe(ids.length)

  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByText('a protocol of yours')).toBeVisible()
  await page.getByRole('link', { name: 'All of the shelf' }).click()
  await page.getByRole('link', { name: 'Ten, then three parts' }).click()
  await expect(page.getByText('Three-part breath, lesson 4')).toBeVisible()
  await page.getByLabel('Name of the protocol').fill('Ten and three')
  await page.getByRole('button', { name: 'Rename' }).click()
  await expect(page.getByRole('heading', { name: 'Ten and three' })).toBeVisible()
  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('Ten and three is deleted')).toBeVisible()
})

test('a session without breath work says how to begin, and a technique begins it', async ({ page, house }) => {
  await page.goto(`${house.address}breath/sunday-long-rest`)
  await expect(page.getByText('No breath work in this session yet.')).toBeVisible()
  await putIn(page, 'Long exhale')
  await expect(page.getByRole('img', { name: 'One round: in 4, out 6' })).toBeVisible()
  await saved(page)
  expect(breathIn(await house.session('sunday-long-rest'))).toMatchObject([{ techniqueId: 'long-exhale' }])
})

test('a block is heard from any of its sections at its pace, with what was chosen for inhale and exhale', async ({
  page,
  house,
}) => {
  const asked = await handedOver(page)
  await open(page, house.address)
  await pick(page, 'Inhale', 'a tone that rises')
  await pick(page, 'Exhale', 'a low bowl')
  await expect
    .poll(async () => ((await (await fetch(`${house.address}api/settings`)).json()) as Settings).breathSounds?.out.kind)
    .toBe('bowl')
  await page.getByRole('button', { name: 'Hear it from here' }).click()
  await expect(page.getByText(/Even breath.*· in · 1/)).toBeVisible()
  const handed = await asked()
  const breaths = handed.filter(({ kind }) => kind !== 'lowBell')
  // Thirty rounds of in 4, out 4.
  expect(breaths.map(({ kind }) => kind)).toEqual(Array.from({ length: 30 }, () => ['tone', 'lowBowl']).flat())
  const [first = NaN] = breaths.map(({ when }) => when)
  breaths.forEach(({ when }, at) => {
    expect(when - first).toBeCloseTo(4 * at, 3)
  })
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('button', { name: 'Hear it from here' })).toBeVisible()
  expect(await asked()).toEqual([])
  // One thing sounds at a time: a count that is tapped ends what is heard.
  await page.getByRole('button', { name: 'Hear it from here' }).click()
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible()
  await page.getByRole('button', { name: 'Tap a count' }).click()
  await expect(page.getByRole('button', { name: 'Hear it from here' })).toBeVisible()
  await expect.poll(async () => (await asked()).map(({ kind }) => kind)).toEqual(['wood', 'wood', 'wood', 'wood'])
  await page.reload()
  await expect(page.getByRole('combobox', { name: 'Inhale' })).toHaveText('a tone that rises')
})

test('a time is filled with sets of one’s choice, as it is offered', async ({ page, house }) => {
  await open(page, house.address)
  await page.getByLabel('I have', { exact: true }).fill('6:00')
  await page.getByLabel('I have', { exact: true }).press('Enter')
  const choice = page.getByRole('button', { name: /left over/ }).first()
  const words = await choice.innerText()
  await choice.click()
  await expect(choice).toHaveAttribute('aria-pressed', 'true')
  await saved(page)
  const [section] = breathIn(await house.session('thursday-slow-hour'))
  expect(section).toMatchObject({ kind: 'rounds', amount: { fillS: 360 } })
  const size = section?.kind === 'rounds' && section.amount && 'fillS' in section.amount && section.amount.roundsPerSet
  expect(words).toContain(` of ${String(size)}`)
  await expect(page.getByRole('listitem').filter({ hasText: 'Even breath' }).last()).toContainText('6:00')
})

test('a count that is tapped along is told by its numbers', async ({ page, house }) => {
  await page.addInitScript(() => {
    const steadyMs = () => Number((window as unknown as { pushedMs?: number }).pushedMs ?? 0)
    Object.assign(window, { zovrinPorts: { steadyMs } })
  })
  await open(page, house.address)
  await page.getByRole('button', { name: 'Tap a count' }).click()
  const pad = page.locator('.pad')
  await expect(pad).toBeFocused()
  for (let count = 0; count <= 57; count += 1) {
    await page.evaluate((ms) => Object.assign(window, { pushedMs: ms }), 1000 + count * 1050)
    await page.keyboard.press('Space')
  }
  await expect(pad).toContainText('57 counts')
  await page.evaluate(() => Object.assign(window, { pushedMs: 62_000 }))
  await expect(page.getByText('5.0 % slower than wanted on the whole')).toBeVisible()
  await expect(page.getByRole('img', { name: '57 counts beside 1 s' })).toBeVisible()
  await page.getByRole('button', { name: 'Once more' }).click()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByRole('button', { name: 'Tap a count' })).toBeVisible()
})

test('the end of a part is drawn to another count by hand and by keys, as one step to undo', async ({
  page,
  house,
}) => {
  await open(page, house.address)
  const inhale = page.getByRole('slider', { name: 'in, counts' })
  const field = page.getByLabel('In', { exact: true })
  const box = await inhale.boundingBox()
  const drawing = await page.getByRole('img', { name: 'One round: in 4, out 4' }).boundingBox()
  if (!box || !drawing) throw new Error('no drawing')
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  // The round is 8 counts wide, less its margins.
  const count = (drawing.width - 52) / 8
  await page.mouse.move(middle.x, middle.y)
  await page.mouse.down()
  await page.mouse.move(middle.x + count, middle.y, { steps: 4 })
  await expect(page.getByRole('img', { name: 'One round: in 5, out 4' })).toBeVisible()
  await page.mouse.up()
  await expect(field).toHaveValue('5')
  await inhale.press('ArrowRight')
  await expect(field).toHaveValue('5.5')
  await page.keyboard.press('Control+z')
  await expect(field).toHaveValue('5')
  await page.keyboard.press('Control+z')
  await expect(field).toHaveValue('4')
})

test('what is asked before breath work stands before Start and on the sheet, and can be one’s own', async ({
  page,
  house,
}) => {
  await open(page, house.address, 'breath-week-6')
  const field = page.getByLabel('Asked and said before, a line each')
  await expect(field).toHaveValue(/^Nothing eaten for 2 hours\?/)
  await field.fill('Who has a cold?\n\n  Where do you sit?  ')
  await field.blur()
  await saved(page)
  expect((await house.session('breath-week-6')).before).toEqual(['Who has a cold?', 'Where do you sit?'])
  await page.goto(`${house.address}lead/breath-week-6`)
  const asked = page.getByRole('region', { name: 'Ask and say first' }).getByRole('listitem')
  await expect(asked).toHaveText(['Who has a cold?', 'Where do you sit?'])
  await page.goto(`${house.address}plan/breath-week-6`)
  await page.getByTestId('gauge').waitFor()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByTestId('sheet')).toContainText('Ask and say first: Who has a cold? Where do you sit?')
  await page.emulateMedia({ media: 'screen' })
  await page.goto(`${house.address}breath/breath-week-6`)
  await page.getByRole('button', { name: 'What the techniques want again' }).click()
  await expect(field).toHaveValue(/^Nothing eaten for 2 hours\?/)
  await saved(page)
  expect((await house.session('breath-week-6')).before).toBeUndefined()
})

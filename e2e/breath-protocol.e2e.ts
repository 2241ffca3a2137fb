import type { Page } from '@playwright/test'
import type { Session } from '#model/session'
import { beginLead, blockHeard, ledStart, soundsDue, usualBreathSounds } from '#core/lead'
import type { LeadPlan } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aSession } from '#testing/sessions'
import { expect, saved, test } from './fixtures.ts'

interface Handed {
  readonly kind: string
  readonly when: number
}

/** The clock of page and audio stands where it is put, and the device writes down what it is handed. */
async function standing(page: Page) {
  await page.addInitScript(() => {
    const seconds = () => Number((window as unknown as { pushedS?: number }).pushedS ?? 0)
    let handed: Handed[] = []
    const audio = {
      now: seconds,
      isRunning: () => true,
      resume: () => Promise.resolve(),
      schedule: ({ kind }: Handed, when: number) => handed.push({ kind, when }),
      cancel: () => (handed = []),
    }
    const zeroMs = Date.now()
    const steadyMs = () => seconds() * 1000
    Object.assign(window, {
      handed: () => handed,
      zovrinPorts: { epochMs: () => zeroMs + steadyMs(), steadyMs, audio: () => audio },
    })
  })
  return {
    at: (s: number) => page.evaluate((pushedS) => Object.assign(window, { pushedS }), s),
    handed: () => page.evaluate(() => (window as unknown as { handed: () => Handed[] }).handed()),
  }
}

/** Composes, by hand, a block with a section of every kind. */
async function composeEveryKind(page: Page): Promise<void> {
  const left = page.getByRole('navigation', { name: 'Breath work and techniques' })
  const putIn = async (name: string) => {
    await left
      .getByRole('button', { name: new RegExp(`^${name}`) })
      .last()
      .click()
  }
  const pick = async (label: string, option: string) => {
    await page.getByRole('combobox', { name: label, exact: true }).click()
    await page.getByRole('option', { name: option, exact: true }).click()
  }
  const fill = async (label: string, value: string) => {
    const field = page.getByLabel(label, { exact: true })
    await field.fill(value)
    await field.press('Enter')
  }
  await putIn('Natural breath')
  await putIn('Three-part breath')
  await pick('Done as', 'a lesson of it')
  await putIn('Belly breath')
  await pick('Done as', 'breaths, uncounted')
  await fill('Breaths', '12')
  await putIn('Front, sides and back')
  await pick('Done as', 'counted rounds')
  await pick('The breath goes', 'hands from place to place')
  await putIn('Nostrils in turn')
  await putIn('Breath in steps')
  await pick('Done as', 'counted rounds')
  await fill('Rounds a set', '3')
  await putIn('Long exhale')
  await pick('From set to set', 'the exhale changes')
  await putIn('Natural breath')
  await putIn('A held breath')
  await pick('Full or empty', 'held empty')
  await fill('Counts held', '4')
  await page.getByRole('checkbox', { name: 'root' }).check()
  await fill('Belly strokes', '1')
  await putIn('Natural breath')
  await putIn('Short exhales')
}

/** The plan of a session as the core makes it. */
function planOf(session: Session): LeadPlan {
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const nobody = { id: 'x', people: 0, startedAtMs: 0, promisedEndMs: 0 }
  return ledStart(session, timeline, { ...nobody, nameOf: () => 'x', sectionNameOf: () => 'x' }).plan
}
const secondsOf = (sounds: readonly { atMs: number; sound: { kind: string } }[]) =>
  sounds.map(({ atMs, sound }) => ({ kind: sound.kind, when: atMs / 1000 }))
const byTime = (sounds: readonly Handed[]) => sounds.toSorted((a, b) => a.when - b.when || (a.kind < b.kind ? -1 : 1))
function expectSame(handed: readonly Handed[], wanted: readonly Handed[]): void {
  const [are, should] = [byTime(handed), byTime(wanted)]
  expect(are.map(({ kind }) => kind)).toEqual(should.map(({ kind }) => kind))
  // The device begins a moment later than it is told, the same for every sound.
  const later = (are[0]?.when ?? 0) - (should[0]?.when ?? 0)
  are.forEach(({ when }, index) => {
    expect(when - later).toBeCloseTo(should[index]?.when ?? NaN, 2)
  })
}

test('a protocol with every kind of section is composed, heard, led with every sound in its place, and left free', async ({
  page,
  house,
}) => {
  // It only ends a test that hangs.
  test.setTimeout(120_000)
  await house.create({ ...aSession([], { practice: 'breath', level: 'experienced', stage: 5 }), id: 'every-kind' })
  const { at, handed } = await standing(page)
  await page.goto(`${house.address}breath/every-kind`)
  await composeEveryKind(page)
  await saved(page)
  const session = await house.session('every-kind')
  const plan = planOf(session)
  const [block] = orThrow(compileTimeline(session, shippedCatalog)).blocks.map((span) => span.block)
  if (block?.kind !== 'breath') throw new Error('no breath work was composed')
  const kinds = block.sections.map(({ kind }) => kind)
  expect(kinds).toEqual(
    'natural lesson uncounted rounds rounds rounds rounds natural retention natural strokes'.split(' '),
  )

  // Heard from its fifth section on: all that sounds in it and after it.
  await page.getByRole('list', { name: 'Sections of this block' }).getByRole('button').nth(4).click()
  await page.getByRole('button', { name: 'Hear it from here' }).click()
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible()
  const heard = blockHeard(plan, block.block.id, 4)
  expectSame(await handed(), secondsOf(soundsDue(heard.plan, heard.state, usualBreathSounds)))
  await page.getByRole('button', { name: 'Stop' }).click()
  expect(await handed()).toEqual([])

  // Led: nothing may be held before everybody was asked.
  await page.getByRole('link', { name: 'Lead', exact: true }).click()
  await page.getByRole('button', { name: 'Everybody was asked, in private' }).click()
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  const lit = page.getByRole('region', { name: 'Now' })
  await expect(lit).toBeVisible()
  const wanted = secondsOf(soundsDue(plan, beginLead(plan), usualBreathSounds))
  expectSame(await handed(), wanted)
  // Strokes are a tick each, and a held breath hears its own count alone.
  const startS = (section: number): number => {
    const first = plan.segments.findIndex(({ doing }) => doing.kind === 'breath' && doing.section === section)
    return plan.segments.slice(0, first).reduce((sum, { lengthMs }) => sum + lengthMs, 0) / 1000
  }
  const strokes = block.sections[10]
  if (strokes?.kind !== 'strokes') throw new Error('the last section is strokes')
  const woodFrom = (fromS: number, toS: number) =>
    wanted.filter(({ kind, when }) => kind === 'wood' && when >= fromS && when < toS).map(({ when }) => when - fromS)
  expect(woodFrom(startS(10), Infinity)).toHaveLength(strokes.section.strokes * strokes.section.rounds)
  // Out 6 s before it, in 4, out 4: held from second 14 to 18, the root lock a second on and off, a stroke between.
  expect(woodFrom(startS(8) + 14, startS(8) + 18)).toEqual([0, 1])

  for (const [section, words] of [
    [0, 'natural breath'],
    [1, 'lesson 1'],
    [3, 'Hands in front'],
    [4, 'in left'],
    [5, 'Breath in steps'],
    [6, 'round 1 of'],
  ] as const) {
    await at(startS(section) + (section > 2 ? 9 : 1))
    await expect(lit).toContainText(`section ${String(section + 1)} of 11`)
    await expect(lit).toContainText(words)
  }
  await at(startS(8) + 15.5)
  await expect(lit).toContainText('section 9 of 11')
  await expect(lit).toContainText('hold empty 4')

  // Left free among the strokes: nothing of them sounds any more.
  await at(startS(10) + 7)
  await expect(lit).toContainText('section 11 of 11')
  await page.keyboard.press('o')
  await expect(lit).toContainText('natural breath')
  expect((await handed()).filter(({ kind, when }) => kind === 'wood' && when > startS(10) + 7.1)).toEqual([])
})

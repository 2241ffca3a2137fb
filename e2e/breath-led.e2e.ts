import type { Page } from '@playwright/test'
import type { Section } from '#model/section'
import type { Session } from '#model/session'
import { thursdaySlowHour } from '#server/demo/sessions'
import { expect, test } from './fixtures.ts'

/** A breath session of these sections, at stage 5. */
const session = (all: Section[]): Session => ({
  ...thursdaySlowHour,
  id: 'reed-and-bellows',
  name: 'Reed and bellows',
  practice: 'breath',
  level: 'experienced',
  stage: 5,
  blocks: [{ kind: 'breath', id: 'all', sections: all }],
})

/** The class's clock stands where it is put: what is shown depends on nothing else. */
async function frozen(page: Page): Promise<(seconds: number) => Promise<void>> {
  await page.addInitScript(() => {
    const steadyMs = () => Number((window as unknown as { pushedMs?: number }).pushedMs ?? 0)
    const zeroMs = Date.now()
    Object.assign(window, { zovrinPorts: { epochMs: () => zeroMs + steadyMs(), steadyMs } })
  })
  return async (seconds) => {
    await page.evaluate((s) => Object.assign(window, { pushedMs: s * 1000 }), seconds)
  }
}

/** What has to be said before anything that is held is led. */
const asked = (page: Page) => page.getByRole('button', { name: 'Everybody was asked, in private' }).click()

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
        half: 16,
        lead: { in: 8, out: 8 },
        times: 1,
        leadInS: 0,
      },
    ]),
  )
  const at = await frozen(page)
  await page.goto(`${house.address}lead/reed-and-bellows`)
  await asked(page)
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
  await expect(lit).toContainText('natural breath')
  await at(204)
  await expect(lit).toContainText('section 4 of 4')
  await expect(lit).toContainText('hold full 8')
  await expect(lit.locator('.count')).toHaveText('6')
  await at(207)
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

test('after a stop sign nothing is counted until it is asked for, no breath is held, and the record says so', async ({
  page,
  house,
}) => {
  const even: Section = {
    kind: 'rounds',
    id: 'even',
    techniqueId: 'even-breath',
    pattern: { in: 8, full: 0, out: 8, empty: 0 },
    pace: { num: 1000, den: 1 },
    amount: { sets: 1, roundsPerSet: 20 },
    leadInS: 6,
  }
  const held: Section = { kind: 'retention', id: 'held', held: 'full', half: 8, lead: { in: 8, out: 8 }, times: 1 }
  const planned = session([even])
  await house.create({
    ...planned,
    stage: 4,
    blocks: [
      { kind: 'breath', id: 'first', sections: [even] },
      { kind: 'breath', id: 'second', sections: [even, { kind: 'natural', id: 'quiet', s: 60 }, held] },
      { kind: 'closing', id: 'closing', finalRestS: 300 },
    ],
  })
  const at = await frozen(page)
  await page.goto(`${house.address}lead/reed-and-bellows`)
  const told = page.getByRole('region', { name: 'Asked in private' })
  await expect(told).toContainText('Held full 4 in Even breath is natural breath for 0:48')
  await expect(page.getByRole('button', { name: 'Start with natural breath there' })).toBeVisible()
  await asked(page)
  await expect(told).toContainText('Everybody was asked in private, said at ')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  const lit = page.getByRole('region', { name: 'Now' })
  const again = page.getByRole('button', { name: 'Count again' })
  await at(40)
  await expect(lit).toContainText('round')
  await page.keyboard.press('x')
  const card = page.getByRole('dialog', { name: 'Stop signs' })
  await expect(card).toContainText('Natural breath for 3:00 at least')
  await page.keyboard.press('Escape')
  await at(219)
  await expect(lit).toContainText('Natural breath for 0:01 at least')
  await expect(again).toHaveCount(0)
  // The second block stands as natural breath, until counting is asked for.
  await at(240)
  await expect(lit).toContainText('natural breath')
  await expect(lit).toContainText('Nothing is counted until you press Count again')
  await expect(again).toBeVisible()
  await page.keyboard.press('c')
  await expect(again).toHaveCount(0)
  await expect(lit).toContainText('breathe out')
  await at(250)
  await expect(lit).toContainText(/round \d+ of 20/)
  await at(470)
  await expect(lit).toContainText('natural breath')
  await expect(lit).toContainText('No breath is held or stroked any more today')
  await at(3600)
  await page.getByRole('button', { name: 'easy' }).click()
  await page.getByRole('button', { name: 'for somebody’s comfort' }).click()
  await page.getByRole('button', { name: 'Save and open the record' }).click()
  await expect(page.getByText('Everybody was asked in private before held breath and strokes')).toBeVisible()
  const breath = page.getByRole('region', { name: 'Breath' })
  await expect(breath).toContainText('at 0:40, after a stop sign')
  await expect(breath.getByRole('button', { name: 'easy' })).toHaveAttribute('aria-pressed', 'true')
  await breath.getByRole('button', { name: 'strained' }).click()
  await expect(breath.getByRole('button', { name: 'strained' })).toHaveAttribute('aria-pressed', 'true')
  await page.reload()
  await expect(breath.getByRole('button', { name: 'strained' })).toHaveAttribute('aria-pressed', 'true')
  await expect(breath.getByRole('button', { name: 'for somebody’s comfort' })).toHaveAttribute('aria-pressed', 'true')
})

test('what stands wrong and may be led is told before Start; the sixth stage is led at the fifth', async ({
  page,
  house,
}) => {
  const even: Section = { kind: 'rounds', id: 'even', techniqueId: 'even-breath', amount: { sets: 1, roundsPerSet: 6 } }
  const held: Section = { kind: 'retention', id: 'held', held: 'full', half: 32, lead: { in: 8, out: 8 }, times: 1 }
  // Nothing quiet stands before the held breath, to say it in.
  await house.create({ ...session([even, held]), stage: 6 })
  await page.goto(`${house.address}lead/reed-and-bellows`)
  await expect(page.getByRole('region', { name: 'Not led as it is planned' })).toContainText('Stage 6 is led in')
  await house.create({ ...session([even, { ...held, half: 16 }]), id: 'unsaid' })
  await page.goto(`${house.address}lead/unsaid`)
  await asked(page)
  const wrong = page.getByRole('region', { name: 'Stands wrong in the plan' })
  await expect(wrong).toContainText('A breath held 0:08 is not announced, Even breath')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Now' })).toBeVisible()
})

test('the sixth stage is led as planned with people who are all there by name, marked for it and asked', async ({
  page,
  house,
}) => {
  const even: Section = { kind: 'rounds', id: 'even', techniqueId: 'even-breath', amount: { sets: 1, roundsPerSet: 6 } }
  const held: Section = { kind: 'retention', id: 'held', held: 'full', half: 32, lead: { in: 8, out: 8 }, times: 1 }
  await house.create({ ...session([even, { kind: 'natural', id: 'quiet', s: 60 }, held]), stage: 6 })
  const put = async (path: string, based: number, document: object) => {
    const reply = await fetch(`${house.address}api/${path}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': `"${String(based)}"` },
      body: JSON.stringify(document),
    })
    expect(reply.status).toBe(200)
  }
  const today = new Date().toISOString().slice(0, 10)
  const person = { id: 'one', name: 'Somebody', conditions: [], consents: [], askedOn: today, sixthStageOn: today }
  const planned = {
    ...{ id: 'sixth', sessionId: 'reed-and-bellows', placeId: 'bellows-house', day: '2099-01-01', guests: 1 },
    ...{ people: [{ personId: 'one' }], forms: [], substitutes: [], setAside: [] },
  }
  await put('people/one', 0, person)
  await put('planned-classes/sixth', 0, planned)
  const instead = page.getByRole('region', { name: 'Not led as it is planned' })
  await page.goto(`${house.address}lead/reed-and-bellows`)
  await expect(instead).toContainText('Stage 6 is led in')
  // Without the one nobody knows, it is.
  await put('planned-classes/sixth', 1, { ...planned, guests: 0 })
  await page.reload()
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible()
  await expect(instead).toBeHidden()
  await expect(page.getByRole('region', { name: 'Asked in private' })).toBeHidden()
})

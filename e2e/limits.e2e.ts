import type { Session } from '#model/session'
import { expect, saved, test } from './fixtures.ts'

/** The demo hour as an older Zovrin could have kept it, with a breath past what is planned today. */
const withBreath = (session: Session, details: object): Session => ({
  ...session,
  blocks: session.blocks.map((block) =>
    block.kind === 'breath'
      ? { ...block, sections: block.sections.map((section) => ({ ...section, ...details })) as typeof block.sections }
      : block,
  ),
})

test('a breath past its limits is refused beside its block, and the plan stays', async ({ plan }) => {
  await plan.getByRole('option', { name: /Even breath/ }).click()
  const rounds = plan.getByLabel('Rounds in each')
  await plan.getByRole('textbox', { name: 'Sets', exact: true }).fill('3')
  await plan.getByRole('textbox', { name: 'Sets', exact: true }).press('Enter')
  await rounds.fill('401')
  await rounds.press('Enter')
  await expect(plan.getByRole('alert')).toHaveText(
    'Block 2, section 1, rounds: 1203 rounds in one block: at most 1200, or divide it.',
  )
  await expect(plan.getByRole('option', { name: /Even breath, 13:30/ })).toBeAttached()
  await expect(rounds).toHaveValue('401')
  await rounds.press('Tab')
  await expect(rounds).toHaveValue('30')
  await rounds.fill('31')
  await rounds.press('Enter')
  await expect(plan.getByRole('alert')).toBeHidden()
  await expect(plan.getByRole('option', { name: /Even breath, 13:54/ })).toBeAttached()

  await plan.getByLabel('In, counts').fill('21')
  await plan.getByLabel('In, counts').press('Enter')
  await expect(plan.getByRole('alert')).toHaveText(
    'Block 2, section 1, breathing in: 21 s, at most 20 s: take fewer counts or a quicker pace.',
  )
  await plan.getByRole('option', { name: /Sphinx/ }).click()
  await expect(plan.getByRole('alert')).toBeHidden()
  await saved(plan)
})

test('an older session past the limits opens and says so, cannot be led, and can be mended', async ({
  plan,
  house,
  expectFailures,
}) => {
  expectFailures('422')
  const before = await house.session('thursday-slow-hour')
  await plan.route('**/api/sessions/thursday-slow-hour', async (route) => {
    if (route.request().method() !== 'GET') return route.continue()
    const reply = await route.fetch()
    const amount = { sets: 20, roundsPerSet: 500 }
    return route.fulfill({ response: reply, json: withBreath((await reply.json()) as Session, { amount }) })
  })
  await plan.reload()
  await expect(plan.getByRole('heading', { name: 'Something in this session is past what can be led' })).toBeVisible()
  await expect(
    plan.getByText('Block 2, section 1, rounds: 10000 rounds in one block: at most 1200, or divide it.'),
  ).toBeVisible()
  await plan.getByRole('link', { name: 'Lead', exact: true }).click()
  await expect(plan.getByText('This session cannot be led as it stands.')).toBeVisible()
  await plan.getByRole('link', { name: 'See in its plan what stands in the way' }).click()
  await plan.getByRole('button', { name: 'Take it out' }).click()
  await expect(plan.getByRole('option', { name: /Sphinx/ })).toBeAttached()
  await saved(plan)
  expect((await house.session('thursday-slow-hour')).blocks).toHaveLength(before.blocks.length - 1)
})

test('a session this Zovrin does not read is told as such, not as lost', async ({ plan, house, expectFailures }) => {
  expectFailures('409')
  const problem = { code: 'SCHEMA_NEWER', status: 409, title: 'Written by a newer Zovrin', detail: 'Update Zovrin.' }
  await plan.route('**/api/sessions/thursday-slow-hour', (route) =>
    route.fulfill({ status: 409, contentType: 'application/problem+json', body: JSON.stringify(problem) }),
  )
  await plan.goto(`${house.address}plan/thursday-slow-hour`)
  await expect(plan.getByRole('heading', { name: 'This Zovrin does not read this session' })).toBeVisible()
  await expect(plan.getByText('was left as it is')).toBeVisible()
})

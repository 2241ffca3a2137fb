import type { SetUpItem } from '#model/set-up'
import { orThrow } from '#core/result'
import { settingAside, withSetAside } from '#core/finding'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aClosing, aHold, aSession } from '#testing/sessions'
import { checkSession, checkWithSetUps } from './index.ts'
import type { LyingOn } from './index.ts'

const usual: LyingOn = { statureCm: 170, kinds: shippedCatalog.propKinds }
/** A block on its side under the head: too high for anybody. */
const high: SetUpItem[] = [{ id: 'h', kind: 'foamBlock', count: 1, under: 'head', turn: 'side' }]
const inputOf = (session: ReturnType<typeof aSession>) => ({
  session,
  timeline: orThrow(compileTimeline(session, shippedCatalog)),
  catalog: shippedCatalog,
  book: cautionBook,
})
const setUpsFound = (session: ReturnType<typeof aSession>, on = usual) =>
  checkWithSetUps(inputOf(session), on).flatMap((finding) => ('setUp' in finding ? [finding] : []))

test('what a set-up wants looked at is found at its block, beside what the plan wants', () => {
  const session = aSession([aHold('calves-on-a-chair', { id: 'calves', setUpItems: high }), aClosing()])
  const found = setUpsFound(session)
  expect(found.map(({ code, place }) => [code, place.blockId])).toContainEqual(['HEAD_PAD_HIGH', 'calves'])
  const all = checkWithSetUps(inputOf(session), usual)
  expect(all.length - found.length).toBe(checkSession(inputOf(session)).length)
  const grades = all.map(({ grade }) => grade)
  expect(grades).toEqual([...grades].sort((a, b) => 'must look tip'.indexOf(a) - 'must look tip'.indexOf(b)))
})

test('tips stay with the set-up, and what is not drawn is not looked at', () => {
  expect(setUpsFound(aSession([{ ...aBreath('even-breath'), setUpItems: high }]))).toEqual([])
  const grades = [...shippedCatalog.poses.keys()].flatMap((id) =>
    setUpsFound(aSession([aHold(id)])).map(({ grade }) => grade),
  )
  expect(grades).not.toContain('tip')
})

test('set aside, it stays so until its numbers change: for another person, with other props', () => {
  const session = aSession([aHold('calves-on-a-chair', { id: 'calves', setUpItems: high })])
  const [one] = setUpsFound(session)
  if (!one) throw new Error('nothing found')
  const aside = { ...session, setAside: settingAside(session, one, 'a tall class', '2026-03-12T17:00:00.000Z') }
  const judge = (on: LyingOn) =>
    withSetAside(setUpsFound(aside, on), aside).find(({ finding }) => finding.code === one.code)
  expect(judge(usual)?.aside?.reason).toBe('a tall class')
  const cupboard = { ...usual.kinds, foamBlock: { ...usual.kinds.foamBlock, widthCm: 17 } }
  expect(judge({ ...usual, kinds: cupboard })).toMatchObject({ aside: undefined, isBack: true })
})

test('what a step in mid-hold brings is found at its block too, and told once where the set-up has it already', () => {
  const hold = (setUpItems: SetUpItem[]) =>
    aHold('calves-on-a-chair', {
      ...{ id: 'calves', setUpItems, hold: { holdS: 600 } },
      steps: [{ id: 'step', at: { fromStartS: 120 }, items: high }],
    })
  const codes = (items: SetUpItem[]) =>
    setUpsFound(aSession([hold(items)])).flatMap(({ code }) => (code === 'HEAD_PAD_HIGH' ? [code] : []))
  expect(codes([])).toEqual(['HEAD_PAD_HIGH'])
  expect(codes(high)).toEqual(['HEAD_PAD_HIGH'])
})

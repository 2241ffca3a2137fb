import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { formatMs } from '#core/units'
import { shippedCatalog as catalog } from '#library/shipped'
import { sheetBlocks } from '#words/class-sheet'
import { floorLines, floorSize } from '#formats/sheets/floor-card'
import { homeParts } from '#formats/sheets/home-parts'
import { pdfOf } from '#formats/sheets/pdf'
import { bellowsHouse } from '#server/demo/bellows-house'
import { demoSessions, thursdaySlowHour } from '#server/demo/sessions'
import { readPdf } from '#testing/read-pdf'
import { sheetFonts } from '#testing/sheet-fonts'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { sheetOf } from './sheet-work.ts'
import type { ClassQuestion, HomeQuestion, SheetKind, SheetQuestion } from './sheet-work.ts'

const asked = { own: [], paper: 'A4', kinds: catalog.propKinds } as const
const askedOfClass = {
  ...{ unit: 'cm' as const, who: { statureCm: 170 }, statures: [170] },
  ...{ about: ['Thu 12 Mar, 11 people'], fetch: ['1 bolster, 2 blankets'], fetchAll: [], lookTo: [] },
}
type More = Partial<Omit<HomeQuestion, 'kind' | 'session'> & Omit<ClassQuestion, 'kind' | 'session'>>
function questionOf(kind: SheetKind, session: Session, more: More): SheetQuestion {
  if (kind === 'home') return { ...asked, kind, session, learned: catalog.learned, ...more }
  return { ...asked, ...askedOfClass, kind, session, timeline: timelineOf(session), ...more }
}
/** As a worker has what it is asked: without anything that is not plain data. */
const posted = (question: SheetQuestion) => structuredClone(question)
const made = (kind: SheetKind, session: Session, more: More = {}): Promise<Uint8Array> =>
  pdfOf(sheetOf(posted(questionOf(kind, session, more))), sheetFonts)
const pagesOf = async (...of: Parameters<typeof made>) => readPdf(await made(...of))
/** All that stands on the pages, without what is at the foot of each. */
const textOf = (pages: Awaited<ReturnType<typeof pagesOf>>): string =>
  pages.map((lines) => lines.slice(0, -1).join(' ')).join(' ')
/** Each of some words in this order, or the first that is not. */
function firstMissing(text: string, words: readonly string[]): string | undefined {
  let from = 0
  return words.find((word) => {
    const at = text.indexOf(word, from)
    from = at + word.length
    return at < 0
  })
}
const plain = (text: string): string => text.replaceAll('\u202f', '\u2009')
const timelineOf = (session: Session) => orThrow(compileTimeline(session, catalog))
/** Poses one after the other, as many as are asked for. */
const many = (count: number): Block[] =>
  [...catalog.poses.keys()]
    .slice(0, count)
    .map((poseId, at): Block => aHold(poseId, { id: `b${String(at)}`, hold: { holdS: 45 } }))

test('the teacher’s sheet tells every block at its time, all that is said in it, in order; an hour goes on two pages', async () => {
  for (const session of demoSessions) {
    const pages = await pagesOf('teacher', session, {
      fetchAll: ['11 bolsters, 22 blankets', '11 bolsters wanted, 9 here'],
      lookTo: session.blocks.map(({ id }) => [id, ['front leg long · 2', 'some: chair']]),
    })
    const text = textOf(pages)
    const timeline = timelineOf(session)
    const blocks = sheetBlocks(timeline, session.practice)
    expect(
      firstMissing(
        text,
        blocks.flatMap(({ startMs, name }) => [`${formatMs(startMs)} `, plain(name)]),
      ),
    ).toBeUndefined()
    for (const { name, parts } of blocks) {
      const said = parts
        .filter(({ isAgain }) => !isAgain)
        .flatMap(({ startMs, endMs, marks }) => [
          formatMs(endMs - startMs),
          ...marks.flatMap(({ atMs, text: words }) => [...(atMs >= 1000 ? [formatMs(atMs)] : []), plain(words)]),
        ])
      const from = text.indexOf(plain(name))
      expect(firstMissing(text.slice(from), said)).toBeUndefined()
    }
    expect(text).toContain('Look to: front leg long · 2; some: chair')
    expect(text).toContain('To fetch: 1 bolster, 2 blankets · 11 bolsters')
    expect(text).toContain('Ease out, breathe as you like')
    expect(pages.length).toBeLessThanOrEqual(session.lengthS <= 3600 ? 2 : 3)
  }
})

test('it is the class as the window has it: what is offered to all, and the pace of the teacher’s own words', async () => {
  const session = aSession([
    aHold('deer', { id: 'deer', hold: { holdS: 120 } }),
    aClosing({
      script: { sentences: [1, 2, 3].map((at) => ({ text: `Let the floor have all your weight ${String(at)}` })) },
    }),
  ])
  const offers = new Map([['deer', 'Whoever likes: with a block under the hip.']])
  const timeline = orThrow(compileTimeline(session, { ...catalog, offers, wordsAMinute: 60 }))
  const text = textOf(await pagesOf('teacher', session, { timeline }))
  const said = sheetBlocks(timeline, session.practice).flatMap(({ parts }) =>
    parts.flatMap(({ marks, isAgain }) => (isAgain ? [] : marks)),
  )
  expect(
    firstMissing(
      text,
      said
        .filter(({ is }) => is === 'said')
        .map((mark) => `${mark.atMs >= 1000 ? `${formatMs(mark.atMs)} ` : ''}${mark.text}`),
    ),
  ).toBeUndefined()
  expect(text).toContain('Whoever likes: with a block')
  // At home there is no class to which it would be offered.
  const { parts } = homeParts(session, { ...catalog, offers })
  expect(JSON.stringify(parts)).not.toContain('Whoever likes')
})

test('with a class’s hour it tells the time of day', async () => {
  const text = textOf(await pagesOf('teacher', thursdaySlowHour, { startsAtMin: 18 * 60 + 45 }))
  expect(firstMissing(text, ['18:45 Arrive', '18:48 Even breath', '19:11 Deer', '19:35 Closing'])).toBeUndefined()
})

test('forty blocks, long names, a long script and signs the font lacks: nothing is lost, and the font is in it', async () => {
  const sentences = Array.from({ length: 120 }, (_, at) => ({
    text: `Sentence number ${String(at + 1)} of the script`,
    pauseAfterS: 2,
  }))
  const session = aSession(
    [
      {
        ...aTalk('long', 900),
        title: 'A very long title that goes on and on over more than one line '.repeat(2).slice(0, 118).trim(),
        script: { sentences },
      },
      ...many(40),
      aClosing({ note: 'Śānti 静 🙏 ⅓' }),
    ],
    { name: 'Śavāsana and viparīta karaṇī: an evening', lengthS: 14_400 },
  )
  const bytes = await made('teacher', session, { paper: 'LETTER' })
  const pages = await readPdf(bytes)
  const text = textOf(pages)
  expect(
    firstMissing(text, ['Śavāsana and viparīta karaṇī', 'A very long title', ...sentences.map((one) => one.text)]),
  ).toBeUndefined()
  const names = sheetBlocks(timelineOf(session), session.practice).map(({ name }) => name)
  expect(firstMissing(text, names.slice(1))).toBeUndefined()
  expect(text).toContain('Note: Śānti ¤ ¤ ¤')
  const file = new TextDecoder('latin1').decode(bytes)
  expect(
    [...new Set(file.match(/\/FontName \/[A-Z]+\+[\w-]+/g)?.map((name) => name.replace(/.*\+/, '')))].toSorted(),
  ).toEqual(['YsabeauOffice-Bold', 'YsabeauOffice-Medium'])
  expect(file.match(/\/FontFile2/g)?.length).toBeGreaterThan(1)
  expect(file).toContain('/MediaBox [0 0 612 792]')
})

test('every sheet of a session without blocks is a page that says so or nothing', async () => {
  for (const kind of ['teacher', 'cards', 'floor', 'home', 'room'] as const) {
    const pages = await pagesOf(kind, aSession([]))
    expect(pages).toHaveLength(1)
    expect(pages[0]?.join(' ')).toContain('A session')
  }
})

test('the floor card is one page, large up to a dozen lines, with each side’s minutes and the props', async () => {
  const pages = await pagesOf('floor', thursdaySlowHour)
  expect(pages).toHaveLength(1)
  expect(
    firstMissing(textOf(pages), [
      'Even breath',
      '4:00',
      'Wide-knee fold',
      'Figure four, lying',
      'L 3:30 · R 3:30',
      'Closing',
      '6:00',
    ]),
  ).toBeUndefined()
  expect(textOf(pages)).not.toContain('Arrive')
  const lines = floorLines(sheetBlocks(timelineOf(thursdaySlowHour), 'yin'))
  expect(floorSize(lines, 'A4')).toBe(24)
  for (const count of [12, 40, 60])
    expect(await pagesOf('floor', aSession(many(count), { lengthS: 14_400 }))).toHaveLength(1)
})

test('set-up cards go six a page, with the things from the floor up and the measures, for as many heights as are asked', async () => {
  const pages = await pagesOf('cards', thursdaySlowHour, { statures: [155, 170, 185] })
  const text = textOf(pages)
  expect(pages.length).toBe(3)
  for (const cm of [155, 170, 185]) expect(text).toContain(`person of ${String(cm)} cm`)
  const [first] = await pagesOf('cards', aSession([aHold('wide-knee-fold')]))
  const lines = first?.filter((line) => /^\d +[A-Z]/.test(line)) ?? []
  expect(lines.map((line) => line.replace(/:.*/, ''))).toEqual([
    '1 Pelvis',
    '2 Chest',
    '3 Chest',
    '4 Ankles',
    '5 Belly',
  ])
})

test('a home sheet has no strong or held breath, no talk and no name but the one it is made for, and says when to stop', async () => {
  const session = aSession(
    [
      { ...aTalk(), title: 'Private words' },
      aBreath('long-exhale', { id: 'quiet' }),
      aBreath('pause-full', { id: 'held' }),
      aBreath('short-exhales', { id: 'strong' }),
      aHold('deer', { hold: { holdS: 180 }, breathOver: { techniqueId: 'pause-full' } }),
      aHold('legs-up-the-wall', { setUpItems: [{ id: 'b', kind: 'sandbag', count: 1 }] }),
      aClosing({ finalRestS: 480 }),
    ],
    { setting: 'room', stage: 5 },
  )
  const text = textOf(await pagesOf('home', session))
  expect(
    firstMissing(text, [
      'Stop if',
      'Long exhale',
      'Deer 3:00 each side, left first',
      'Legs up the wall (viparīta karaṇī)',
      'Closing 8:00',
      'no medical advice',
    ]),
  ).toBeUndefined()
  expect(text).not.toMatch(/Private|Pause after|Short exhales|Hold full|sandbag|For /)
  expect(textOf(await pagesOf('home', session, { madeFor: 'Hilde' }))).toContain('For Hilde')
})

test('at home it speaks of nothing that is not used there', async () => {
  const text = textOf(
    await pagesOf(
      'home',
      aSession([aHold('wide-knee-fold', { id: 'fold' }), aHold('calves-on-a-chair', { id: 'calves' })]),
    ),
  )
  expect(text).toContain('Hips on the heels')
  expect(text).not.toMatch(/The bolster reaches|Calves wholly on the seat/)
})

test('the room from above stands with what is fetched, and without a room the lists alone', async () => {
  const [room] = bellowsHouse.rooms
  const text = textOf(await pagesOf('room', thursdaySlowHour, { people: 11, room, fetchAll: ['11 bolsters'] }))
  expect(
    firstMissing(text, ['11 mats of', 'Each fetches', '1 bolster, 2 blankets', 'All together', '11 bolsters']),
  ).toBeUndefined()
  expect(text).toContain('door')
  expect(textOf(await pagesOf('room', thursdaySlowHour))).toContain('Each fetches')
})

import type { Block, HoldBlock } from '#model/block'
import type { Session } from '#model/session'
import { checkSession, rules } from '#core/checks'
import { settingAside, takingBack, withSetAside } from '#core/finding'
import type { Asked, Noticed } from '#core/checks'
import { orThrow } from '#core/result'
import { applyEdit } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { cautionBook } from '#library/cautions/book'
import { shippedCatalog } from '#library/shipped'
import { templates } from '#library/templates'
import { thursdaySlowHour } from '#server/demo/sessions'
import { aRetention, breathDocuments, breathing, someRounds } from '#testing/breath-documents'
import { scriptDocuments } from '#testing/script-documents'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'

const check = (session: Session, asked?: Asked): Noticed[] => {
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  return checkSession({ session, timeline, catalog: shippedCatalog, book: cautionBook, asked, names: ['Ilka'] })
}
const found = (session: Session, code: string): Noticed | undefined =>
  check(session, code === 'HOLD_UNASKED' ? { everybody: false, sixthStage: true } : undefined).find(
    (one) => one.code === code,
  )

/** A quiet hour that nothing is said against, to put one thing wrong in. */
const told: Block = { ...aTalk('arrive', 120), text: 'The stop signs' }
const quiet = (blocks: Block[], details: Partial<Session> = {}): Session =>
  aSession([told, ...blocks, aClosing({ finalRestS: 480 })], details)
const cue = (
  text: string,
  at: HoldBlock['cues'] extends readonly (infer C)[] | undefined ? (C extends { at: infer A } ? A : never) : never = {
    fromStartS: 40,
  },
) => [{ id: 'own', at, text }]
const said = (poseId: string, holdS: number, ...cues: NonNullable<HoldBlock['cues']>) =>
  aHold(poseId, { hold: { holdS }, cues })
/** A blanket under the head, taken away so many seconds into three minutes. */
const stepped = (fromStartS: number, more: Partial<HoldBlock> = {}) =>
  aHold('sphinx', {
    hold: { holdS: 180 },
    cues: [],
    setUpItems: [{ id: 'pad', kind: 'blanket', count: 1, under: 'head' }],
    steps: [{ id: 'away', at: { fromStartS }, items: [] }],
    ...more,
  })
const breath: Block = aBreath('even-breath')
const noRest = { times: { afterRestS: 0 } }
const folds = ['long-leg-fold', 'one-leg-fold', 'straddle-fold', 'cross-legged-fold']
const sided = ['figure-four-lying', 'crescent-lying', 'leg-up-with-a-strap', 'half-frog-on-the-belly']
const holds = (ids: readonly string[], details: Partial<HoldBlock> = {}) =>
  ids.map((id) => aHold(id, { ...details, id }))

/** For every rule a document that makes it appear, and the smallest change that makes it go. */
const cases: Readonly<Record<string, { readonly with: Session; readonly without: Session; readonly count?: number }>> =
  {
    DOES_NOT_FIT: {
      with: quiet([aHold('sphinx', { hold: { holdS: 180 } })], { lengthS: 600 }),
      without: quiet([aHold('sphinx', { hold: { holdS: 180 } })], { lengthS: 1200 }),
    },
    LENGTH_OUT_OF_RANGE: { with: aSession([aTalk('a', 299)]), without: aSession([aTalk('a', 300)]) },
    SIDES_UNEVEN: {
      with: quiet([aHold('deer', { hold: { leftS: 200, rightS: 179 } })]),
      without: quiet([aHold('deer', { hold: { leftS: 200, rightS: 180 } })]),
    },
    OUTSIDE_USUAL: {
      with: quiet([aHold('sphinx', { hold: { holdS: 45 } })]),
      without: quiet([aHold('sphinx', { hold: { holdS: 60 } })]),
    },
    PAST_FIRST_CEILING: {
      with: quiet([aHold('sphinx', { hold: { holdS: 181 } })]),
      without: quiet([aHold('sphinx', { hold: { holdS: 180 } })]),
    },
    NO_AFTER_REST: {
      with: quiet([aHold('sphinx', noRest)]),
      without: quiet([aHold('sphinx', { times: { afterRestS: 1 } })]),
    },
    AFTER_RESTS_SHRINK: {
      with: quiet(
        [60, 45, 30].map((afterRestS, at) => aHold('sphinx', { id: `s${String(at)}`, times: { afterRestS } })),
      ),
      without: quiet(
        [60, 45, 31].map((afterRestS, at) => aHold('sphinx', { id: `s${String(at)}`, times: { afterRestS } })),
      ),
    },
    RUN_OF_ONE_DIRECTION: {
      with: quiet([aHold('hanging-fold'), ...holds(folds)]),
      without: quiet([aHold('hanging-fold'), ...holds(folds).toSpliced(2, 0, aHold('sphinx'))]),
    },
    DEEP_BEFORE_WARM: {
      with: quiet(holds(['deer', 'figure-four-lying'])),
      without: quiet(holds(['figure-four-lying', 'deer'])),
    },
    ASYMMETRY_UNANSWERED: {
      with: quiet(holds(sided, { times: { afterRestS: 20 } })),
      without: quiet(holds(sided, { times: { afterRestS: 30 } })),
    },
    MANY_POSITION_CHANGES: {
      with: quiet(
        holds(['sphinx', 'wide-knee-fold', 'long-leg-fold', 'knees-to-chest', 'side-rest', 'belly-rest', 'heel-sit'], {
          hold: { holdS: 30 },
        }),
      ),
      without: quiet(
        holds(['sphinx', 'belly-rest', 'wide-knee-fold', 'long-leg-fold', 'knees-to-chest', 'side-rest'], {
          hold: { holdS: 30 },
        }),
      ),
    },
    BACK_AND_FORTH: {
      with: quiet([aHold('sphinx'), aHold('wide-knee-fold'), aHold('belly-rest'), aHold('heel-sit')]),
      without: quiet([aHold('sphinx'), aHold('wide-knee-fold'), aHold('belly-rest')]),
    },
    FINAL_REST_SHORT: {
      with: aSession([told, aClosing({ finalRestS: 359 })]),
      without: aSession([told, aClosing({ finalRestS: 360 })]),
    },
    NO_CLOSING: { with: aSession([told, aHold('sphinx')]), without: aSession([told, aHold('sphinx'), aClosing()]) },
    SILENT_BEFORE_HOLD: {
      with: quiet([aHold('sphinx', { hold: { holdS: 180 }, times: { setUpS: 5, settleS: 4 } })]),
      without: quiet([aHold('sphinx', { hold: { holdS: 180 }, times: { setUpS: 5, settleS: 5 } })]),
    },
    TALKED_THROUGH: {
      with: quiet([said('sphinx', 60, ...cue(Array.from({ length: 40 }, () => 'word').join(' ')))]),
      without: quiet([said('sphinx', 120, ...cue(Array.from({ length: 40 }, () => 'word').join(' ')))]),
    },
    LATE_CHANGE: {
      with: quiet([said('sphinx', 180, ...cue('Slide the bolster out', { beforeEndS: 59 }))]),
      without: quiet([said('sphinx', 180, ...cue('Slide the bolster out', { beforeEndS: 60 }))]),
    },
    STEP_IN_HOLD: {
      with: quiet([stepped(59)]),
      without: quiet([stepped(60)]),
    },
    ONE_CHEEK: {
      with: quiet([said('wide-knee-fold', 240, ...cue('Turn the head', { share: 0.2 }))]),
      without: quiet([said('wide-knee-fold', 240, ...cue('Turn the head', { share: 0.5 }))]),
    },
    CUES_CLOSE: {
      with: quiet([said('sphinx', 180, ...cue('Soften'), { id: 'two', at: { fromStartS: 49 }, text: 'Breathe' })]),
      without: quiet([said('sphinx', 180, ...cue('Soften'), { id: 'two', at: { fromStartS: 50 }, text: 'Breathe' })]),
    },
    WRONG_SIDE_SAID: {
      with: quiet([said('figure-four-lying', 180, ...cue('The left hip grows heavy'))]),
      without: quiet([said('figure-four-lying', 180, ...cue('The {this} hip grows heavy'))]),
    },
    WRONG_POSITION_SAID: {
      with: quiet([said('knees-to-chest', 120, ...cue('Stay face down a little'))]),
      without: quiet([said('belly-rest', 120, ...cue('Stay face down a little'))]),
    },
    LAST_NOT_LAST: {
      with: quiet([said('sphinx', 120, ...cue('This is the last pose')), aHold('knees-to-chest')]),
      without: quiet([aHold('knees-to-chest'), said('sphinx', 120, ...cue('This is the last pose'))]),
    },
    OTHER_TIME_SAID: {
      with: quiet([said('sphinx', 180, ...cue('Four minutes here', { fromStartS: 0 }))]),
      without: quiet([said('sphinx', 180, ...cue('Three minutes here', { fromStartS: 0 }))]),
    },
    BREATHS_DO_NOT_FIT: {
      with: quiet([said('sphinx', 120, ...cue('Ten more breaths', { beforeEndS: 30 }))]),
      without: quiet([said('sphinx', 120, ...cue('Five more breaths', { beforeEndS: 30 }))]),
    },
    RETENTION_UNANNOUNCED: {
      with: quiet([
        aHold('knees-to-chest', {
          hold: { holdS: 120 },
          breathOver: { techniqueId: 'long-exhale', pattern: { in: 8, full: 4, out: 12, empty: 0 } },
        }),
      ]),
      without: quiet([
        aHold('knees-to-chest', {
          hold: { holdS: 120 },
          breathOver: { techniqueId: 'long-exhale', pattern: { in: 8, full: 0, out: 12, empty: 0 } },
        }),
      ]),
    },
    BREATH_AFTER_STRONG: {
      with: quiet([aHold('sphinx', { times: { afterRestS: 29 } }), breath]),
      without: quiet([aHold('sphinx', { times: { afterRestS: 30 } }), breath]),
    },
    ...breathDocuments,
    ...scriptDocuments,
    NAME_TYPED: {
      with: quiet([aHold('deer', { note: 'Ilka’s knee' })]),
      without: quiet([aHold('deer', { note: 'the knee' })]),
    },
    CAUTIONS_UNSAID: {
      with: aSession([aHold('deer'), aClosing()]),
      without: aSession([told, aHold('deer'), aClosing()]),
    },
  }

test('every rule has its two documents, and no document is for a rule that is not there', () => {
  expect(Object.keys(cases).toSorted()).toEqual(rules.map(({ code }) => code).toSorted())
})

test.each(Object.entries(cases))('%s appears, and goes with the smallest change', (code, { with: wrong, without }) => {
  expect(found(wrong, code)).toBeDefined()
  expect(found(without, code)).toBeUndefined()
})

test.each(Object.entries(cases).filter(([code, { with: wrong }]) => found(wrong, code)?.mend?.by === 'edits'))(
  '%s goes when its mend is taken',
  (code, { with: wrong }) => {
    const mend = found(wrong, code)?.mend
    const edits = mend?.by === 'edits' ? mend.edits : []
    const mended = orThrow(applyEdit(wrong, { type: 'several', edits })).session
    expect(found(mended, code)).toBeUndefined()
  },
)

test('findings stand worst first, then by their time in the session, then by code', () => {
  const order = ['must', 'look', 'tip']
  const all = check({ ...cases['MANY_POSITION_CHANGES']?.with, lengthS: 600 } as Session)
  expect(all[0]?.code).toBe('DOES_NOT_FIT')
  const grades = all.map(({ grade }) => order.indexOf(grade))
  expect(grades).toEqual(grades.toSorted((a, b) => a - b))
})

test('a step of the set-up is late in the last minute, and wants room, reach and quick hands', () => {
  const late = (fromStartS: number) => found(quiet([stepped(fromStartS)]), 'LATE_CHANGE')
  expect(late(121)?.facts).toEqual({ leftS: 59, what: 'step' })
  expect(late(120)).toBeUndefined()
  const why = (more: Partial<HoldBlock>, atS = 70) => found(quiet([stepped(atS, more)]), 'STEP_IN_HOLD')?.facts
  expect(why({})).toBeUndefined()
  expect(why({ hold: { holdS: 179 } })).toMatchObject({ why: 'short' })
  const chest: HoldBlock['setUpItems'] = [{ id: 'roll', kind: 'rectBolster', count: 1, under: 'pelvis' }]
  expect(why({ setUpItems: chest })).toMatchObject({ why: 'reach', part: 'pelvis' })
  const many: HoldBlock['setUpItems'] = [{ id: 'pad', kind: 'towel', count: 7, under: 'head' }]
  expect(why({ setUpItems: many })).toEqual({ why: 'long', s: 21, part: '' })
  // Each step is taken from what the one before it left.
  const steps = [60, 90].map((fromStartS, at) => ({ id: `s${String(at)}`, at: { fromStartS }, items: [] }))
  expect(why({ setUpItems: many.map((one) => ({ ...one, count: 4 })), steps })).toBeUndefined()
})

test('a difference of sides with a reason is a tip', () => {
  const hold = { leftS: 240, rightS: 120, why: 'a stiff right hip' }
  expect(found(quiet([aHold('deer', { hold })]), 'SIDES_UNEVEN')?.grade).toBe('tip')
})

test('what breath work says of its retentions by itself counts as announced', () => {
  const session = quiet([aBreath('even-breath', { id: 'b', pattern: { in: 8, full: 4, out: 8, empty: 0 } })])
  expect(found(session, 'RETENTION_UNANNOUNCED')).toBeUndefined()
})

test('nothing is said against the shipped templates, and the demo hour has three findings that want a look', () => {
  for (const template of templates) expect(check(template).filter(({ grade }) => grade !== 'tip')).toEqual([])
  expect(
    check(thursdaySlowHour)
      .filter(({ grade }) => grade !== 'tip')
      .map(({ code }) => code),
  ).toEqual(['OTHER_TIME_SAID', 'WRONG_SIDE_SAID', 'NO_AFTER_REST'])
})

test('nothing at all is said of a session without blocks', () => {
  expect(check(aSession([]))).toEqual([])
})

describe('set aside', () => {
  const wrong = quiet([aHold('sphinx', noRest)])
  const finding = found(wrong, 'NO_AFTER_REST')
  if (!finding) throw new Error('no finding')
  const aside: Session = {
    ...wrong,
    setAside: settingAside(wrong, finding, 'they sit up at once', '2026-03-12T17:00:00Z'),
  }

  test('a finding stays there with its reason while its numbers are the same', () => {
    const [judged] = withSetAside(check(aside), aside).filter((one) => one.finding.code === 'NO_AFTER_REST')
    expect(judged).toMatchObject({ aside: { reason: 'they sit up at once' }, isBack: false })
  })

  test('it comes back when its numbers change, and says so', () => {
    const longer: Session = {
      ...aside,
      blocks: aside.blocks.with(1, aHold('sphinx', { ...noRest, hold: { holdS: 120 } })),
    }
    const [judged] = withSetAside(check(longer), longer).filter((one) => one.finding.code === 'NO_AFTER_REST')
    expect(judged).toMatchObject({ aside: undefined, isBack: true })
  })

  test('set aside again it stands once; taken back it is gone from the list', () => {
    const again = { ...aside, setAside: settingAside(aside, finding, 'still so', '2026-03-13T17:00:00Z') }
    expect(again.setAside).toHaveLength(1)
    expect(takingBack(again, finding)).toEqual([])
  })
})

describe('words that only sound like it', () => {
  const inPose = (poseId: string, text: string, at = { fromStartS: 40 }) =>
    quiet([aHold(poseId, { hold: { holdS: 180 }, cues: [{ id: 'own', at, text }] })])

  test.each([
    ['knees-to-chest', 'Rest the hands on the belly'],
    ['knees-to-chest', 'A blanket on the feet'],
    ['belly-rest', 'A hand on the back of the head'],
    ['threaded-arm', 'Weight on the back of the {this} shoulder'],
  ])('in %s “%s” names no other base position', (poseId, text) => {
    expect(found(inPose(poseId, text), 'WRONG_POSITION_SAID')).toBeUndefined()
  })

  test.each([
    ['sphinx', 'Roll over onto the back', 'supine'],
    ['knees-to-chest', 'Come slowly onto your belly', 'prone'],
    ['sphinx', 'Come up to your feet', 'standing'],
  ])('in %s “%s” does', (poseId, text, said) => {
    expect(found(inPose(poseId, text), 'WRONG_POSITION_SAID')?.facts).toMatchObject({ said })
  })

  test.each([
    'The knee at a right angle',
    'Stay if it feels right',
    'Nothing to do right now',
    'Notice what is left',
    'Two minutes left',
  ])('“%s” names no side', (text) => {
    expect(found(inPose('figure-four-lying', text), 'WRONG_SIDE_SAID')).toBeUndefined()
  })

  test('the mend of a plain side leaves a right angle one', () => {
    const session = inPose('figure-four-lying', 'The right knee at a right angle')
    const mend = found(session, 'WRONG_SIDE_SAID')?.mend
    const edits = mend?.by === 'edits' ? mend.edits : []
    expect(edits).toMatchObject([{ block: { cues: [{ text: 'The {other} knee at a right angle' }] } }])
  })

  test.each(['Put no weight on the chair', 'Move the attention to the block under the head'])(
    '“%s” changes no support',
    (text) => {
      expect(found(quiet([said('sphinx', 180, ...cue(text, { beforeEndS: 30 }))]), 'LATE_CHANGE')).toBeUndefined()
    },
  )

  test('a retention is announced in words as in figures', () => {
    const held = (text: string) =>
      quiet([
        aHold('knees-to-chest', {
          hold: { holdS: 120 },
          cues: [{ id: 'own', at: { fromStartS: 0 }, text }],
          breathOver: { techniqueId: 'long-exhale', pattern: { in: 8, full: 4, out: 12, empty: 0 } },
        }),
      ])
    expect(found(held('Hold the breath full for two counts'), 'RETENTION_UNANNOUNCED')).toBeUndefined()
    expect(found(held('Hold one hand with the other'), 'RETENTION_UNANNOUNCED')).toBeDefined()
  })

  test.each(['A painting by the window', 'Air conditioning is on', 'Tell me your name'])(
    '“%s” says nothing of cautions',
    (text) => {
      const session = aSession([{ ...aTalk('arrive', 120), text }, aHold('deer'), aClosing()])
      expect(found(session, 'CAUTIONS_UNSAID')).toBeDefined()
    },
  )
})

describe('both sides are looked at', () => {
  const unlinked = (leftS: number, rightS: number, ...cues: NonNullable<HoldBlock['cues']>) =>
    quiet([aHold('deer', { hold: { leftS, rightS, why: 'a stiff hip' }, cues })])

  test('a time that is true on the first side only', () => {
    expect(
      found(unlinked(240, 180, { id: 'c', at: { fromStartS: 0 }, text: 'Four minutes here' }), 'OTHER_TIME_SAID')
        ?.facts,
    ).toMatchObject({ saidS: 240, leftS: 180 })
  })

  test('cues that come close together on the second side only', () => {
    const cues = [
      { id: 'a', at: { fromStartS: 95 }, text: 'Soften' },
      { id: 'b', at: { beforeEndS: 80 }, text: 'Breathe' },
    ] as const
    expect(found(unlinked(240, 180, ...cues), 'CUES_CLOSE')?.facts).toMatchObject({ gapS: 5 })
    expect(found(unlinked(240, 240, ...cues), 'CUES_CLOSE')).toBeUndefined()
  })

  test('a second side with no time before it', () => {
    const times = { betweenSidesS: 0, secondSetUpS: 0, settleS: 0 }
    const session = quiet([aHold('deer', { hold: { holdS: 200 }, times: { setUpS: 30, ...times } })])
    const finding = found(session, 'SILENT_BEFORE_HOLD')
    expect(finding?.facts).toMatchObject({ beforeS: 0 })
    const edits = finding?.mend?.by === 'edits' ? finding.mend.edits : []
    const mended = orThrow(applyEdit(session, { type: 'several', edits })).session
    expect(found(mended, 'SILENT_BEFORE_HOLD')).toBeUndefined()
  })

  test('one cheek on the second side only; the mend also stands where the hold has phases', () => {
    const { poses } = shippedCatalog
    const turned = [...poses.values()].filter(({ head }) => head.turned === 'half time')
    expect(turned.length).toBeGreaterThan(0)
    for (const { id, sides } of turned) {
      const phases = [
        { id: 'first', name: 'First', length: { s: 30 } },
        { id: 'rest', name: 'Then', length: { rest: true } },
      ] as const
      const hold = sides ? { leftS: 170, rightS: 600, why: 'stiff' } : { holdS: 400 }
      const session = quiet([aHold(id, { hold, phases: [...phases], cues: [] })])
      const finding = found(session, 'ONE_CHEEK')
      expect(finding).toBeDefined()
      const edits = finding?.mend?.by === 'edits' ? finding.mend.edits : []
      const mended = orThrow(applyEdit(session, { type: 'several', edits })).session
      expect(found(mended, 'ONE_CHEEK')).toBeUndefined()
    }
  })
})

describe('the mend of a pose that comes before what warms it', () => {
  const cold = (session: Session) => check(session).filter(({ code }) => code === 'DEEP_BEFORE_WARM')
  const taken = (session: Session, finding: ReturnType<typeof cold>[number] | undefined): Session =>
    finding?.mend?.by === 'edits'
      ? orThrow(applyEdit(session, { type: 'several', edits: finding.mend.edits })).session
      : session

  test('takes the finding away and brings no other, or is not offered', () => {
    const shapes = [
      ['straddle-fold', 'long-leg-fold', 'wide-knee-fold', 'one-leg-fold'],
      ['low-squat', 'sphinx', 'low-squat'],
      ['deer', 'figure-four-lying', 'straddle-fold', 'long-leg-fold', 'bound-angle-fold', 'low-squat'],
    ]
    for (const ids of shapes) {
      const session = quiet(
        ids
          .filter((id) => shippedCatalog.poses.has(id))
          .map((poseId, at) => aHold(poseId, { id: `${poseId}-${String(at)}` })),
      )
      const before = cold(session)
      for (const finding of before.filter(({ mend }) => mend)) {
        const after = cold(taken(session, finding)).map(({ place }) => place.blockId)
        const others = before.map(({ place }) => place.blockId).filter((id) => id !== finding.place.blockId)
        expect(others).toEqual(expect.arrayContaining(after))
        expect(after).not.toContain(finding.place.blockId)
      }
    }
  })

  test('is not offered where nothing later warms all it wants', () => {
    const [squat, other] = cold(
      quiet([aHold('low-squat', { id: 'one' }), aHold('sphinx'), aHold('low-squat', { id: 'two' })]),
    )
    expect(squat?.mend).toBeUndefined()
    expect(other?.mend).toBeUndefined()
  })
})

test('a pose put in as it comes has no cues too close and is not talked through, for any practice and level', () => {
  const amiss = [...shippedCatalog.poses.keys()].flatMap((poseId) =>
    (['restorative', 'yin'] as const).flatMap((practice) =>
      (['new', 'regular', 'experienced'] as const).flatMap((level) =>
        check(aSession([aHold(poseId), aClosing()], { practice, level }))
          .filter(({ code }) => code === 'CUES_CLOSE' || code === 'TALKED_THROUGH')
          .map(({ code }) => `${poseId} ${practice} ${level}: ${code}`),
      ),
    ),
  )
  expect(amiss).toEqual([])
})

describe('held breaths are told in the quiet before them', () => {
  const found7 = (...sections: Parameters<typeof breathing>[0]) =>
    found(breathing(sections, { stage: 6 }), 'RETENTION_UNANNOUNCED')
  const quietFor = (s: number) => ({ kind: 'natural', id: 'quiet', s }) as const
  const sloped = (restS: number) =>
    someRounds({
      pattern: { in: 8, full: 2, out: 8, empty: 0 },
      amount: { sets: 3, roundsPerSet: 2 },
      slope: { part: 'full', byHalf: 2, everySets: 1, to: 6 },
      restS,
    })

  test('with eight seconds of it nothing is missed, with less its mend makes it eight', () => {
    expect(found7(someRounds({ wayOutS: 0 }), quietFor(8), aRetention())).toBeUndefined()
    const short = found7(someRounds({ wayOutS: 0 }), quietFor(7), aRetention())
    expect(short?.facts).toEqual({ heldS: 8 })
    expect(short?.mend).toMatchObject({ edits: [{ block: { sections: [{}, { kind: 'natural', s: 8 }, {}] } }] })
  })

  test('where none stands before it, its mend puts it in', () => {
    const none = found7(someRounds(), aRetention())
    expect(none?.mend).toMatchObject({ edits: [{ block: { sections: [{}, { kind: 'natural', s: 8 }, {}] } }] })
  })

  test('a slope of what is held has each change told in the rest before it', () => {
    expect(found7(sloped(8))).toBeUndefined()
    expect(found7(sloped(5))?.mend).toMatchObject({ edits: [{ block: { sections: [{ restS: 8 }] } }] })
  })

  test('the first section is told as the block begins, and what is not held needs no words', () => {
    expect(found7(aRetention())).toBeUndefined()
    expect(found7(someRounds(), someRounds({ id: 'again' }))).toBeUndefined()
  })
})

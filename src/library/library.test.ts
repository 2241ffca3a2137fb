import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { create } from 'fontkit'
import { schoolSchema } from '#model/answers'
import { basePositions, levels } from '#model/common'
import { families } from '#model/family'
import { movementSchema } from '#model/movement'
import { poseSchema } from '#model/pose'
import type { Pose } from '#model/pose'
import { techniqueSchema } from '#model/technique'
import { firstCeilingS } from '#core/session'
import { ceilings, familiesWithoutPose } from '#library/cautions/register'
import { changeSeconds } from '#library/changes'
import { changeWords } from '#words/positions'
import { movements } from '#library/movements'
import { poses } from '#library/poses'
import { schools } from '#library/schools'
import { techniques } from '#library/techniques'

const everyPose = test.each(poses.map((pose) => [pose.id, pose] as const))
const ids = [...poses, ...techniques, ...movements].map(({ id }) => id)

/** The texts of a thing, without its ids, that a teacher reads or says. */
function textsOf(value: unknown, key = ''): string[] {
  if (typeof value === 'string')
    return /^(id|kind|question|answer|cautionId|phaseId|turned|fromLevel)$/.test(key) ? [] : [value]
  if (Array.isArray(value))
    return /^(families|targets|directions|counterposes|places|warms|wantsWarm|practices|cannot|easy)$/.test(key)
      ? []
      : value.flatMap((one) => textsOf(one, key))
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([name, inner]) => textsOf(inner, name))
}

everyPose('pose %s is valid', (_, pose) => {
  expect(poseSchema.parse(pose)).toEqual(pose)
})

test('techniques, movements and schools are valid', () => {
  expect(techniques.map((technique) => techniqueSchema.parse(technique))).toEqual(techniques)
  expect(movements.map((movement) => movementSchema.parse(movement))).toEqual(movements)
  expect(schools.map((school) => schoolSchema.parse(school))).toEqual(schools)
})

test('the shelf is full: 48 poses or more on all base positions and families, 6 movements or more', () => {
  expect(poses.length).toBeGreaterThanOrEqual(48)
  expect(movements.length).toBeGreaterThanOrEqual(6)
  expect(new Set(poses.map((pose) => pose.base.enter))).toEqual(new Set(basePositions))
  const carried = new Set([...poses, ...movements].flatMap((pose) => pose.families))
  expect(families.filter((family) => !carried.has(family))).toEqual(Object.keys(familiesWithoutPose))
})

test('ids are used once, and every id a pose or technique names is on the shelf', () => {
  expect(new Set(ids).size).toBe(ids.length)
  const poseIds = new Set(poses.map(({ id }) => id))
  expect(poses.flatMap((pose) => pose.counterposes).filter((id) => !poseIds.has(id))).toEqual([])
  expect(
    techniques
      .flatMap((technique) => technique.startsWhen.easy)
      .filter((id) => !techniques.some((one) => one.id === id)),
  ).toEqual([])
})

test('names are told apart: no two things carry the same English name', () => {
  const names = [...poses, ...techniques, ...movements].map((thing) => thing.names.english)
  expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([])
})

everyPose('usual holds of %s are ordered, grow with the level, and stay within the first ceilings', (_, pose: Pose) => {
  for (const holds of Object.values(pose.holds)) {
    for (const level of levels) {
      expect(holds[level].toS).toBeLessThanOrEqual(firstCeilingS(ceilings, pose, level))
    }
    expect(holds.new.toS).toBeLessThanOrEqual(holds.regular.toS)
    expect(holds.regular.toS).toBeLessThanOrEqual(holds.experienced.toS)
  }
})

test('most poses have two graded variants or more, and none fewer than one', () => {
  const counts = poses.map((pose) => pose.variants.length)
  expect(Math.min(...counts)).toBeGreaterThanOrEqual(1)
  expect(counts.filter((count) => count >= 2).length / counts.length).toBeGreaterThan(0.9)
  expect(
    poses
      .filter((pose) => !pose.variants.some(({ grade }) => grade === 'easier') && pose.fromLevel !== 'new')
      .map(({ id }) => id),
  ).toEqual([])
})

test('each-side poses and movements name both sides differently, in the body’s terms', () => {
  for (const { sides } of [...poses, ...movements]) {
    if (!sides) continue
    expect(sides.left).toMatch(/left/)
    expect(sides.right).toMatch(/right/)
    expect(sides.left).not.toBe(sides.right)
  }
})

test('no other shipped text speaks of left or right', () => {
  const spoken = [...poses, ...movements].flatMap(({ id, sides: _sides, ...rest }) =>
    // Which side a figure draws is no text.
    textsOf({ ...rest, figure: undefined }).map((text) => `${id}: ${text}`),
  )
  expect(spoken.filter((text) => /\b(left|right)\b/i.test(text))).toEqual([])
})

test('tokens for a side stand only in poses that have sides', () => {
  const wrong = [...poses, ...movements].filter((pose) => !pose.sides && /\{(this|other)\}/.test(JSON.stringify(pose)))
  expect(wrong.map(({ id }) => id)).toEqual([])
})

test('a head that is turned is turned back at half time by a cue', () => {
  const silent = poses.filter(
    ({ head, cues }) =>
      head.turned === 'half time' &&
      !cues.some(({ at, text }) => 'share' in at && at.share === 0.5 && /head|cheek/i.test(text ?? '')),
  )
  expect(silent.map(({ id }) => id)).toEqual([])
})

test('every roll out of lying leaves the side to the person', () => {
  const rolls = poses.flatMap(({ comingOut }) => comingOut).filter((step) => /\{roll\}|\broll to\b/i.test(step))
  expect(rolls.length).toBeGreaterThan(10)
  expect(new Set(rolls)).toEqual(new Set(['{roll}']))
})

test('every pose with the head below the heart or the pelvis raised says how it is done with the head level', () => {
  const low = poses.filter(({ families: of }) => of.includes('head_low') || of.includes('pelvis_raised'))
  const silent = low.filter(({ meanings }) => !meanings?.some(({ question }) => question === 'headBelowHeart'))
  expect(silent.map(({ id }) => id)).toEqual([])
})

test('what is taught in person is not offered to new people, and all the register’s breaths are there', () => {
  expect(techniques.filter(({ inPerson, forNew }) => inPerson && forNew !== undefined)).toEqual([])
  expect(techniques.filter(({ strong, inPerson }) => strong && !inPerson)).toEqual([])
  expect(techniques).toHaveLength(22)
})

const fontFolder = join(process.cwd(), 'node_modules/@fontsource-variable/ysabeau-office/files')

test('every name and text can be set in the shipped font', () => {
  const fonts = readdirSync(fontFolder)
    .filter((file) => file.endsWith('-normal.woff2'))
    .map((file) => create(readFileSync(join(fontFolder, file))))
  const canBeSet = (letter: string) =>
    fonts.some((font) => 'hasGlyphForCodePoint' in font && font.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0))
  const letters = new Set(textsOf([poses, movements, techniques, schools]).join('').normalize('NFC'))
  expect(letters.size).toBeGreaterThan(60)
  expect([...letters].filter((letter) => letter !== ' ' && !canBeSet(letter))).toEqual([])
})

test('no text is longer than a teacher reads at a glance', () => {
  const long = (texts: string[], most: number) => texts.filter((text) => text.length > most)
  expect(
    long(
      [...poses, ...movements, ...techniques].map(({ names }) => names.english),
      36,
    ),
  ).toEqual([])
  expect(
    long(
      poses.flatMap(({ cues }) => cues.map(({ text }) => text ?? '')),
      70,
    ),
  ).toEqual([])
  expect(
    long(
      poses.flatMap(({ mistakes, looksFor, comingOut }) => [...mistakes, ...looksFor, ...comingOut]),
      100,
    ),
  ).toEqual([])
  expect(
    long(
      poses.flatMap(({ variants }) => variants.map(({ name }) => name)),
      36,
    ),
  ).toEqual([])
})

/** Whole words that claim what nobody can promise. */
const claims = /\b(safe|safely|heals|treats|cures|detox)\b/i

test('no shipped text makes a claim', () => {
  expect(textsOf([poses, movements, techniques, schools]).filter((text) => claims.test(text))).toEqual([])
})

test('every change of base position has a time and words, and staying has neither', () => {
  for (const from of basePositions) {
    for (const to of basePositions) {
      expect(changeSeconds[from][to] === 0).toBe(from === to)
      expect(changeWords(from, to) === undefined).toBe(from === to)
    }
  }
})

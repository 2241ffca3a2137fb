import { namedScriptSchema } from '#model/script'
import { copyOfScript, scriptParts, spokenIn, timedScript } from '#core/session'
import { paceLimits, usualPace } from '#core/units'
import { shippedScripts } from './scripts.ts'

describe.each(shippedScripts.map((script) => [script.name, script] as const))('%s', (_, script) => {
  it('is a script that can be kept, in named parts', () => {
    expect(namedScriptSchema.parse(script)).toEqual(script)
    expect(scriptParts(script).every(({ name }) => name !== '')).toBe(true)
  })

  it('promises nothing, and leaves what is done to who lies there', () => {
    const said = script.sentences.map(({ text }) => text).join(' ')
    expect(said).not.toMatch(/\b(safe|safely|treats?|heals?|cures?|must|should|\{this\}|left|right)\b/i)
  })

  it('has a quiet of its own in a rest of ten minutes, also spoken slowly', () => {
    const said = spokenIn(timedScript(copyOfScript(script), paceLimits.least), 600_000)
    expect(said.lackMs).toBe(0)
    const { quiet } = spokenIn(timedScript(copyOfScript(script), usualPace), 600_000)
    expect(quiet.toMs - quiet.fromMs).toBeGreaterThan(180_000)
  })
})

test('the body scan goes from the feet to the face', () => {
  const names = scriptParts(shippedScripts[0] ?? { sentences: [] }).map(({ name }) => name)
  expect(names.indexOf('Feet')).toBeLessThan(names.indexOf('Pelvis'))
  expect(names.indexOf('Pelvis')).toBeLessThan(names.indexOf('Face'))
})

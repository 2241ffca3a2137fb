import { execFileSync } from 'node:child_process'
import { readdirSync } from 'node:fs'
import { coreOrder } from '../../walls.js'

/**
 * ESLint reads its configuration by a late import, which Jest's sandbox does not allow: all planted texts
 * are linted by one Node process of their own, as if they stood in the files they name.
 */
const lintAll = `
  import { ESLint } from 'eslint'
  const planted = JSON.parse(process.argv[1])
  const eslint = new ESLint()
  const told = await Promise.all(planted.map(async ([filePath, text]) => {
    const [result] = await eslint.lintText(text, { filePath })
    return (result?.messages ?? []).map(({ ruleId, message }) => ruleId ?? message)
  }))
  console.log(JSON.stringify(told))
`

type Planted = readonly [name: string, file: string, text: string]

const imports = '@typescript-eslint/no-restricted-imports'
const use = (from: string) => `import { something } from '${from}'\nexport const used = something\n`
const useType = (from: string) => `import type { Something } from '${from}'\nexport type Used = Something\n`

const violations: readonly Planted[] = [
  ['model reaches for core', 'src/model/planted.ts', use('#core/units')],
  ['model takes another package', 'src/model/planted.ts', use('nanoid')],
  ['library reaches for core', 'src/library/planted.ts', use('#core/units')],
  ['core takes a package', 'src/core/timeline/planted.ts', use('zod')],
  ['core takes Node', 'src/core/timeline/planted.ts', use('node:fs')],
  ['core takes values from the model', 'src/core/timeline/planted.ts', use('#model/session')],
  ['core takes a value beside the limits', 'src/core/timeline/planted.ts', use('#model/limits-and-more')],
  ['core reaches for the words', 'src/core/timeline/planted.ts', use('#words/blocks')],
  ['core’s folder reaches out of its module', 'src/core/fit/order/planted.ts', use('../../units/index.ts')],
  ['core’s folder reaches for a module below', 'src/core/fit/order/planted.ts', use('#core/checks')],
  ['the library reaches for the words', 'src/library/planted.ts', use('#words/blocks')],
  ['words reach for the web', 'src/words/planted.ts', use('#web/shared/ui/download.ts')],
  ['words take another package', 'src/words/planted.ts', use('vue')],
  ['core reaches for the library', 'src/core/timeline/planted.ts', use('#library/poses')],
  ['core reaches for a module below', 'src/core/session/planted.ts', use('#core/timeline')],
  ['core reaches for a lower module’s types', 'src/core/session/planted.ts', useType('#core/timeline')],
  ['core reaches inside another module', 'src/core/timeline/planted.ts', use('#core/units/format-duration')],
  ['core reaches another module by path', 'src/core/timeline/planted.ts', use('../units/index.ts')],
  ['core re-exports from below', 'src/core/session/planted.ts', "export { compileTimeline } from '#core/timeline'\n"],
  ['formats reach for the server', 'src/formats/planted.ts', use('#server/app')],
  ['the server reaches for the web', 'src/server/planted.ts', use('#web/shared/api/client.ts')],
  ['the web reaches for the server', 'src/web/shared/planted.ts', use('#server/app')],
  ['the web reaches by a deep path', 'src/web/shared/planted.ts', use('../../core/units/index.ts')],
  ['a feature imports a feature', 'src/web/features/plan/planted.ts', use('../sessions/planted.ts')],
  ['a feature imports a feature by name', 'src/web/features/plan/planted.ts', use('#web/features/sessions/planted.ts')],
  ['a feature’s folder reaches out', 'src/web/features/plan/spine/planted.ts', use('../../sessions/planted.ts')],
  ['a feature imports the shell', 'src/web/features/plan/planted.ts', use('#web/app/router.ts')],
  ['shared imports a feature', 'src/web/shared/planted.ts', use('#web/features/plan/use-plan.ts')],
  ['shipped code imports testing', 'src/web/shared/planted.ts', use('#testing/sessions')],
  ['the server imports testing', 'src/server/planted.ts', use('#testing/sessions')],
]

const impure: readonly (readonly [name: string, text: string, rule: string])[] = [
  ['asks the clock', 'export const now = () => Date.now()\n', 'no-restricted-properties'],
  ['rolls dice', 'export const roll = () => Math.random()\n', 'no-restricted-properties'],
  ['makes a date of now', 'export const now = () => new Date()\n', 'no-restricted-syntax'],
  ['loads something late', "export const late = () => import('./index.ts')\n", 'no-restricted-syntax'],
]

const allowed: readonly Planted[] = [
  ['core takes the model’s types', 'src/core/timeline/planted.ts', useType('#model/session')],
  ['core takes the limits', 'src/core/timeline/planted.ts', use('#model/limits')],
  ['core’s folder takes its module’s own', 'src/core/fit/order/planted.ts', use('../fit.ts')],
  ['words take core and library', 'src/words/planted.ts', use('#core/timeline') + use('#library/poses')],
  ['formats take words', 'src/formats/planted.ts', use('#words/blocks')],
  ['core takes the modules above', 'src/core/timeline/planted.ts', use('#core/breath')],
  ['the server takes core and library', 'src/server/planted.ts', use('#core/timeline') + useType('#library/poses')],
  ['a feature takes shared', 'src/web/features/plan/planted.ts', use('#web/shared/api/client.ts')],
  ['tests take testing', 'src/server/planted.test.ts', use('#testing/sessions')],
  [
    'a date of a given instant in core',
    'src/core/timeline/planted.ts',
    'export const at = (ms: number) => new Date(ms)\n',
  ],
]

const texts = [
  ...violations.map(([, file, text]) => [file, text]),
  ...impure.map(([, text]) => ['src/core/timeline/planted.ts', text]),
  ...allowed.map(([, file, text]) => [file, text]),
]
let told: string[][] = []
beforeAll(() => {
  const out = execFileSync(process.execPath, ['--input-type=module', '-e', lintAll, JSON.stringify(texts)], {
    encoding: 'utf8',
  })
  told = JSON.parse(out) as string[][]
})

test.each(violations.map(([name], index) => [name, index] as const))('%s and is caught', (_, index) => {
  expect(told[index]).toContain(imports)
})

test.each(impure.map(([name, , rule], index) => [name, rule, violations.length + index] as const))(
  'core that %s is caught',
  (_, rule, index) => {
    expect(told[index]).toContain(rule)
  },
)

test.each(allowed.map(([name], index) => [name, violations.length + impure.length + index] as const))(
  '%s, which is allowed',
  (_, index) => {
    expect(told[index]?.filter((rule) => rule.includes('restricted'))).toEqual([])
  },
)

test('the order of core names the folders of core, no more and no less', () => {
  expect(coreOrder.toSorted()).toEqual(
    readdirSync('src/core', { withFileTypes: true })
      .filter((entry) => entry.isDirectory())
      .map(({ name }) => name)
      .toSorted(),
  )
})

test('core’s folders are one deep, as its walls suppose', () => {
  const files = readdirSync('src/core', { recursive: true, encoding: 'utf8' })
  expect(files.filter((file) => file.split('/').length > 3)).toEqual([])
})

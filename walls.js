// The walls of the house as data: who may import whom. ESLint's rules are generated from these lists,
// and walls.test.ts plants a violation of each kind and sees it caught.

/** Core's modules from the bottom up: each may import only those above it in this list. */
export const coreOrder = [
  'result',
  'units',
  'finding',
  'breath',
  'props',
  'figure',
  'comfort',
  'handling',
  'session',
  'timeline',
  'fit',
  'cautions',
  'class',
  'checks',
  'lead',
  'saving',
  'journal',
  'captions',
  'series',
  'long-day',
]

/** Areas and the `#` names each may import besides its own files. */
export const areas = {
  model: { may: [], packages: ['zod'] },
  library: { may: ['model'], packages: [] },
  words: { may: ['core', 'library', 'model'], packages: ['luxon'] },
  formats: { may: ['core', 'library', 'model', 'words'], packages: null },
  server: { may: ['core', 'formats', 'library', 'model', 'server', 'words'], packages: null },
  web: { may: ['core', 'formats', 'library', 'model', 'web', 'words'], packages: null },
}

const deepPath = {
  regex: '^(\\.\\./)+(core|model|library|words|formats|server|web|testing)/',
  message: 'Name the area with its # name instead of a path.',
}
const testingOnlyInTests = { regex: '^#testing/', message: 'Only tests may use #testing.' }

const restrict = (patterns, paths = []) => ({
  'no-restricted-imports': ['error', { patterns: [deepPath, ...patterns], paths }],
})

const only = (allowed, message) => ({ regex: `^(?!(${allowed.join('|')}))`, message })

/**
 * Rules for one core module: its own files, the modules above it, the model's types and its limits. A module's
 * folders are one deep, so that one step up stays inside it.
 */
const coreRules = (name) => {
  const above = coreOrder.slice(0, coreOrder.indexOf(name))
  const names = above.map((module) => `#core/${module}$`)
  const message = `core/${name} may import only its own files, #model types and: ${above.join(', ') || 'nothing'}.`
  const rules = (own) =>
    restrict([
      only([...own, '#model/', ...names], message),
      { regex: '^#model/(?!limits$)', message: 'Core takes only types from the model.', allowTypeImports: true },
      testingOnlyInTests,
    ])
  const ignores = ['**/*.test.ts']
  return [
    { files: [`src/core/${name}/*.ts`], ignores, rules: rules(['\\./']) },
    { files: [`src/core/${name}/*/*.ts`], ignores, rules: rules(['\\./', '\\.\\./(?!\\.\\.)']) },
  ]
}

const areaRules = ([name, { may, packages }]) => {
  const own = ['\\./', '\\.\\./', ...may.map((area) => `#${area}/`)]
  const patterns =
    packages === null
      ? [{ regex: `^#(?!(${may.join('|')})/)`, message: `${name} may import only: ${may.join(', ')}.` }]
      : [
          only(
            [...own, ...packages.map((id) => `${id}$`)],
            `${name} may import only its own files, ${[...may, ...packages].join(', ')}.`,
          ),
        ]
  return {
    files: [`src/${name}/**/*.{ts,vue}`],
    ignores: ['**/*.test.ts'],
    rules: restrict([...patterns, testingOnlyInTests]),
  }
}

/** A feature of the web never imports another feature; shared never imports a feature. */
const inFeature = (files, outward) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: restrict([
    {
      regex: '^#(?!(core|formats|library|model|web|words)/)',
      message: 'web may import only: core, formats, library, model, words.',
    },
    { regex: '^#web/(features|app)', message: 'A feature never imports another feature or the shell.' },
    { regex: outward, message: 'A feature never reaches out of its own folder.' },
    testingOnlyInTests,
  ]),
})

const featureRules = [
  inFeature(['src/web/features/*/*.{ts,vue}'], '^\\.\\./'),
  inFeature(['src/web/features/*/*/**/*.{ts,vue}'], '^\\.\\./\\.\\./'),
  {
    files: ['src/web/shared/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts'],
    rules: restrict([
      {
        regex: '^#(?!(core|formats|library|model|web|words)/)',
        message: 'web may import only: core, formats, library, model, words.',
      },
      { regex: '^#web/(features|app)|/features/', message: 'Shared never imports a feature or the shell.' },
      testingOnlyInTests,
    ]),
  },
]

/** Core is pure: no clock, no randomness, nothing loaded late. */
const purity = {
  files: ['src/core/**/*.ts'],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-properties': [
      'error',
      { object: 'Date', property: 'now', message: 'Core has no clock: take the time as an argument.' },
      { object: 'Math', property: 'random', message: 'Core has no randomness: take it as an argument.' },
    ],
    'no-restricted-syntax': [
      'error',
      {
        selector: "NewExpression[callee.name='Date'][arguments.length=0]",
        message: 'Core has no clock: take the time as an argument.',
      },
      { selector: 'ImportExpression', message: 'Core loads nothing late.' },
    ],
  },
}

export const walls = [...Object.entries(areas).map(areaRules), ...featureRules, ...coreOrder.flatMap(coreRules), purity]

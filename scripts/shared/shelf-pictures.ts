import { join } from 'node:path'
import { runnerImport } from 'vite'
import type { Plugin } from 'vite'

const id = 'virtual:shelf-pictures'
const source = 'src/web/shared/figures/thumbnails/shelf-pictures.ts'

/** Draws the pictures of the shelf once, with the pages: nobody waits for them at the first opening. */
export function shelfPictures(root: string): Plugin {
  let isBuild = false
  return {
    name: 'shelf-pictures',
    configResolved: ({ command }) => {
      isBuild = command === 'build'
    },
    resolveId: (asked) => (asked === id ? `\0${id}` : undefined),
    async load(asked) {
      if (asked !== `\0${id}`) return undefined
      // While the code is worked on, the pictures are drawn as the others are: by what stands there now.
      if (!isBuild) return 'export const shelfPictures = {}'
      const { module } = await runnerImport<{ drawShelf: () => unknown }>(join(root, source), {
        ...{ root, configFile: false, logLevel: 'warn' },
      })
      // A browser reads JSON in a string much faster than the same as code.
      return `export const shelfPictures = JSON.parse(${JSON.stringify(JSON.stringify(module.drawShelf()))})`
    },
  }
}

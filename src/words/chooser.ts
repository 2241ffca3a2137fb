import type { ChooserRule } from '#core/fit'
import type { Catalog } from '#core/session'
import { poseIn } from '#core/session'
import { targetNames } from './targets.ts'

/** Why a block was chosen, in a few words. */
export function whyWords(why: ChooserRule | undefined, catalog: Catalog): string {
  switch (why?.rule) {
    case 'arrives':
      return 'arriving'
    case 'breathes':
      return 'breath'
    case 'opens':
      return 'opening: asks little, the same on both sides'
    case 'warms':
      return `warms the ${targetNames[why.target]} for what comes later`
    case 'moves':
      return `moves the ${targetNames[why.target]} with the breath`
    case 'works':
      return `deep: works on the ${targetNames[why.target]}`
    case 'counters':
      return `counters ${poseIn(catalog, why.poseId)?.names.english ?? 'the pose before'}`
    case 'settles':
      return 'settling before the end'
    case 'closes':
      return 'closing'
    case undefined:
      return ''
  }
}

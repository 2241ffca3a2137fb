import type { Stage } from '#core/lead'
import { capital } from './text.ts'
import { basePositionNames, changeWords } from './positions.ts'

type Running = Exclude<Stage, { is: 'ended' }>

const closingWords = {
  finalRest: 'Rest',
  comingOut: 'Slowly back',
  roll: 'Roll to the side',
  sittingUp: 'Come up to sit',
}

/** What is done between holds, as students read it; nothing where the pose's own name says it. */
export function doneNow({ segment: { doing } }: Running): string {
  switch (doing.kind) {
    case 'change':
      return capital(changeWords(doing.from, doing.to) ?? basePositionNames[doing.to])
    case 'setUp':
      return doing.second ? 'Arrange the other side' : 'Arrange yourself'
    case 'settle':
      return 'Settle'
    case 'comingOut':
      return 'Come out slowly'
    case 'betweenSides':
      return { nothing: 'The other side comes', stillness: 'Stillness', movement: 'Small movement' }[doing.form]
    case 'afterRest':
      return doing.form === 'stillness' ? 'Stillness' : 'Small movement'
    case 'closing':
      return closingWords[doing.step]
    default:
      return ''
  }
}

import { clear } from './recordings/clear.ts'
import { automatic } from './recordings/automatic.ts'
import { chatty } from './recordings/chatty.ts'
import { garbled } from './recordings/garbled.ts'
import { restful } from './recordings/restful.ts'
import { moving } from './recordings/moving.ts'
import { rambling } from './recordings/rambling.ts'
import { spare } from './recordings/spare.ts'
import { studio } from './recordings/studio.ts'
import { lazy } from './recordings/lazy.ts'
import { long } from './recordings/long.ts'
import { bedtime } from './recordings/bedtime.ts'
import { short } from './recordings/short.ts'
import { talker } from './recordings/talker.ts'
import { paragraphs } from './recordings/paragraphs.ts'
import { chairs } from './recordings/chairs.ts'
import { misheard } from './recordings/misheard.ts'
import { evening } from './recordings/evening.ts'
import { morning } from './recordings/morning.ts'
import type { Recording } from './recordings/recording.ts'

export type { Heard, Recording } from './recordings/recording.ts'

/** Recordings of classes nobody gave, in words of our own and as messy as captions are; what they are judged by stands in each. */
export const recordings: readonly Recording[] = [
  clear,
  automatic,
  chatty,
  garbled,
  restful,
  moving,
  rambling,
  spare,
  studio,
  lazy,
  long,
  bedtime,
  short,
  talker,
  paragraphs,
  chairs,
  misheard,
  evening,
  morning,
]

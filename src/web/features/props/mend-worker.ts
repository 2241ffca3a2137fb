import { mendsFor } from './mend-work.ts'
import type { MendQuestion } from './mend-work.ts'

// Trying out changes takes some tenths of a second: long enough to be felt where the hands are.
addEventListener('message', ({ data }: MessageEvent<MendQuestion>) => {
  postMessage({ asked: data.asked, mends: mendsFor(data) })
})

import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:05 Welcome.
0:10 Sit down in the middle of your mat.
0:20 Left heel in towards you, right leg long.
0:30 Fold over the long leg as far as is kind.
0:40 Four minutes.
4:42 Come up.
4:50 Change legs.
4:58 Right heel in, left leg long.
5:06 Fold.
9:12 Come up.
9:20 Lie on your back.
9:28 Right ankle on left thigh.
9:36 Draw the leg towards you.
12:40 Let go.
12:48 Left ankle on right thigh.
12:56 And towards you.
16:00 Let go.
16:10 Feet wide, knees together.
16:16 Rest.
16:50 Knees to your chest, then both to the right.
17:00 Three minutes.
20:04 Back to the middle.
20:10 To the left.
23:16 Back to the middle.
23:24 Stretch out for the final rest.
23:34 Stay.
29:30 Move your fingers.
29:44 Sit up. Thank you.
`

export const spare: Recording = {
  name: 'spare',
  captions: captionsOf(script),
  holds: [
    { startS: 40, endS: 282, side: 'left', announcedS: 240 },
    { startS: 306, endS: 552, side: 'right' },
    { startS: 577, endS: 760, side: 'right' },
    { startS: 777, endS: 960, side: 'left' },
    { startS: 1018, endS: 1204, side: 'right', announcedS: 180 },
    { startS: 1212, endS: 1396, side: 'left' },
  ],
  talk: [[5, 9]],
}

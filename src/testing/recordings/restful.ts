import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 Let us take our time tonight. There are only four shapes, and each of them is long.
0:10 The first one is with the legs up the wall. Bring your mat with its short end against the wall.
0:20 Put a folded blanket a hand away from the wall, and sit sideways on it, with one hip close to the wall.
0:32 Now swing the legs up as you lie down. Shuffle closer if the backs of the legs are long enough.
0:44 Place a strap around the shins so that the legs need not hold themselves. An eye pillow, if you have one.
0:56 Let the weight of the legs drop into the hips. I will be quiet now for ten minutes.
5:00 If the feet tingle, bend the knees and put the soles together.
11:02 Slowly bend your knees and slide your feet down the wall. Undo the strap.
11:12 Roll to your right side and wait there for a few breaths.
11:40 Press yourself up to sitting, the head last.
11:50 We take the bolster for the next one. Set it on two blocks, one high and one low, so that it slopes.
12:04 Sit with your back to its low end and lie back over it. This is bound angle, so bring the soles of the feet together.
12:18 Put a rolled blanket under each thigh, so that the knees are carried, and a strap around the feet if you know how.
12:32 Cover yourself. Close your eyes. We'll be here for twelve minutes.
16:30 Nothing to do.
24:40 Bring the knees together with your hands. Roll off the bolster to your side.
24:52 Rest on your side for a moment.
25:20 Now we sit for the breath. Come to sit on your block, tall and easy.
25:34 Breathe in for a count of four, and breathe out for a count of six.
25:44 In, two, three, four. Out, two, three, four, five, six.
25:56 In, two, three, four. Out, two, three, four, five, six.
26:10 Keep that count by yourself for a few rounds. Inhale for four, exhale for six.
27:30 And let the breath be as it likes. No more counting.
27:42 Lie down on your back for the final rest, with the bolster under your knees.
27:54 Blanket over you. Settle in, and let the floor have you. Ten minutes.
37:56 Start to deepen the breath, and move the fingers.
38:10 Roll over to your side, and come up when you are ready. Thank you.
`

export const restful: Recording = {
  name: 'restful',
  captions: captionsOf(script),
  holds: [
    { startS: 60, endS: 662, announcedS: 600 },
    { startS: 755, endS: 1480, announcedS: 720 },
  ],
  talk: [[0, 9]],
}

import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 hey good morning you guys it's your twenty minute wake up yin let's get into it
0:05 no warm up no talking just kidding there'll be talking
0:09 so starting on your back draw both knees into your chest give yourself a squeeze
0:16 rock a little from side to side massage the low back
0:24 and then grab the outsides of your feet for happy baby
0:30 knees toward the armpits tailbone heavy and hold two minutes
0:37 you can hold behind the thighs if the feet are far away that's totally fine
1:10 relax your shoulders and your face
2:32 release your feet hug your knees
2:37 plant the feet cross your right thigh over your left like eagle legs
2:44 and let the legs fall to the left open the right arm
2:51 two minutes breathe
3:30 let that right shoulder get heavy
4:52 come back to the middle uncross
4:57 left thigh over right legs fall to the right
5:03 open your left arm two minutes
7:04 back to middle uncross the legs rock up to a seat
7:12 come around to all fours
7:16 walk your hands forward hips over the knees melting heart
7:22 chin or forehead down arms straight
7:27 ninety seconds
8:58 walk the hands back sit on your heels shake out the shoulders
9:06 step your right foot forward outside the right hand back knee down
9:13 that's your dragon sink the hips
9:19 two minutes and you can stay high or come onto blocks
10:00 you got this it's intense on purpose
10:30 soften your jaw
11:21 tuck the back toes press back to down dog for a breath or two
11:34 left foot forward outside the left hand right knee down
11:41 sink it two minutes
13:44 down dog one more time
13:56 drop your knees big toes together child's pose
14:02 let's take one minute
15:04 roll up to a seat legs out long
15:09 fold forward caterpillar no effort two minutes
16:00 round everything
17:11 roll up slowly lie back savasana
17:18 two minutes
19:20 alright wiggle your fingers and toes have the best day bye
`

/** Twenty quick minutes, one shape on the heels of the other, without a stop or a comma. */
export const morning: Recording = {
  name: 'morning',
  captions: captionsOf(script, true),
  holds: [
    { startS: 36, endS: 152, announcedS: 120 },
    { startS: 171, endS: 292, side: 'left', announcedS: 120 },
    { startS: 303, endS: 424, side: 'right', announcedS: 120 },
    { startS: 447, endS: 538, announcedS: 90 },
    { startS: 559, endS: 681, side: 'right', announcedS: 120 },
    { startS: 701, endS: 824, side: 'left', announcedS: 120 },
    { startS: 842, endS: 904, poseId: 'wide-knee-fold', announcedS: 60 },
    { startS: 913, endS: 1031, announcedS: 120 },
  ],
  talk: [[0, 8]],
}

import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 namaste everyone and well come to this yen practise
0:07 today we focus on the liver and goal bladder mer idiots
0:14 so please take your seat on the mat and cloths your eyes for a moment
0:22 just arriving and feeling the sit bones on the earth
0:58 okay then open the eyes and we go in to the first posture butter fly
1:06 souls of the feet together knees fall open and the feet quite far a weigh from the pelvis
1:14 then round the spine and come forward head heavy
1:22 you can put a block or bold stir under the four head
1:28 and find your edge and then still ness for four min its
2:30 the first min it the body is asking many questions
2:38 and you don't have to answer any
4:00 breathing in to the inner thighs and the groins
5:28 slow ly rise up with a round back the head comes last
5:36 use your hands under the thighs to close the knees like a book
5:44 lean back and take a rebound for one min it in silence
6:48 then we come in to dragon fly so open the legs wide
6:56 and turn to the write leg and side bend over it
7:04 so write fore arm inside the write leg and left arm over the ear
7:12 or you support the head with the hand we stay here three min its
8:20 opening the gate of the left ribs
9:40 soften the brow
10:14 let go of the arm and come back up to center
10:22 and straight a way to the other side left fore arm inside the left leg
10:30 the write arm over the ear or on the hip
10:36 three min its also here
12:00 the liver is the general of the army they say in the old texts
13:36 come up to center and close the legs
13:42 and stretch them out shake them
13:50 now we lie down on the back for sleeping swan which we do as a figure for
13:58 so left ankle on write thigh and thread the left arm threw
14:06 pull the write knee towards you and we hold it for three min its
15:00 shoulders stay down on the earth
17:08 and release place the foot down and change the legs
17:16 write ankle on left thigh thread the write arm threw and pull
17:24 three min its
20:26 and release both feet on the earth
20:34 arms to the side knees together and let them fall to the left
20:42 look to the write and stay for two min its
22:44 center and fall to the write
22:50 look to the left two min its
24:54 center and now stretch out the legs for shava sauna
25:02 i will let you rest here for six min its
31:06 slow ly come back take a deep breath in
31:14 namaste and thank you
`

/** Automatic captions of somebody whose first language is another: many words are not what was said. */
export const misheard: Recording = {
  name: 'misheard',
  captions: captionsOf(script, true),
  holds: [
    { startS: 88, endS: 328 },
    { startS: 432, endS: 614, side: 'right' },
    { startS: 636, endS: 816, side: 'left' },
    { startS: 846, endS: 1028, side: 'left' },
    { startS: 1044, endS: 1226, side: 'right' },
    { startS: 1242, endS: 1364, side: 'left' },
    { startS: 1370, endS: 1494, side: 'right' },
  ],
  talk: [[0, 13]],
}

import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 Good morning. Before anything else, find your props: one bolster, three blankets, and a chair if you have it.
0:10 We spend the whole hour in five places. Nothing here should pull.
0:20 Lie on your side for the first. A bolster behind your back, a blanket between the knees, another under the head.
0:34 Left side down to begin with. The top arm rests on a folded blanket. I'll leave you here for eight minutes.
4:00 Let the breath move in the side of the ribs.
8:40 Begin to bend and straighten your fingers. Then roll on to your back, and over to the right side.
8:56 Arrange everything again: blanket between the knees, blanket under the head, something behind the back.
9:12 Eight minutes on this side.
17:16 Begin to move again. Come up through your hands.
17:30 Now the chair. Sit in front of it, lie back, and lay your calves on its seat.
17:48 The thighs hang straight down into the hips. A blanket over the belly if you like weight. Ten minutes here.
27:52 Draw one knee in, then the other, and tip over to the side.
28:10 Stay on your side for two or three breaths before you sit up.
28:40 For the fourth, the bolster lies along the spine, and you recline over it with your head on a blanket.
28:56 Arms wide, palms up. The soles of the feet can meet or the legs can be long. Seven minutes.
36:02 Roll to one side, off the bolster. Push it away with a foot.
36:20 And the last place of all: flat on the floor. Knees over the bolster, blanket over the whole of you. Twelve minutes.
48:30 Stretch as if it were early. Turn on to your side. When you sit, sit slowly. Thank you.
`

export const long: Recording = {
  name: 'long',
  captions: captionsOf(script),
  holds: [
    { startS: 44, endS: 520, announcedS: 480 },
    { startS: 552, endS: 1036, announcedS: 480 },
    { startS: 1078, endS: 1672, announcedS: 600 },
    { startS: 1746, endS: 2162, announcedS: 420 },
    { startS: 2194, endS: 2910, announcedS: 720 },
  ],
  talk: [[0, 18]],
}

import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 Good evening, everybody, and welcome. It is lovely to see the room this full on such a wet night.
0:09 We have a quiet hour in front of us. There is nothing to get right tonight.
0:16 If anything pinches or tingles, make the shape smaller, or leave it.
0:24 Let's begin on the floor. Come to sit at the front edge of your folded blanket.
0:31 Bring the soles of your feet together and let your knees go wide for our first shape, butterfly.
0:40 Slide your heels a hand away from you and walk your hands forward, just until you feel something.
0:50 Let the head hang, or put a block under your forehead. We'll stay here for three minutes.
1:32 Notice where the breath goes by itself.
2:20 Soften the jaw.
3:15 A few more breaths.
3:52 Now slowly walk your hands back in and come all the way up.
4:00 Use your hands to lift your knees together, and lean back on your hands for a moment.
4:22 From there swing both knees to one side for deer. Your left leg is in front, the right one goes behind you.
4:35 Left shin parallel to the front of your mat, right heel away from your seat.
4:46 Turn your chest over the left thigh and lower down on the bolster. We're here for three and a half minutes.
5:40 If it is too much in the knee, bring the heel closer.
6:50 Let the belly be round.
8:18 Gently press the hands into the floor and come back up. Unwind the legs.
8:28 Stretch both legs out and shake them a little.
8:38 And the other side. Right leg in front this time, left leg behind.
8:50 Turn over the right thigh, and lower down. Three and a half minutes here as well.
9:40 Can the shoulders be heavier?
12:20 Press the floor away and come up slowly. Unwind.
12:30 Come down onto your belly for sphinx. Place your elbows under your shoulders, or a little ahead.
12:42 Bring a folded blanket under the hip bones if you like. Stay here for three minutes.
13:50 Let the low back be heavy.
15:40 Lower the chest to the floor, slide the arms out, and let the head turn to one side.
15:48 Rest here on your belly for a moment and notice how that feels.
16:30 Bring your hands under your shoulders and push back. Thank you all for coming, have a good evening, see you next week.
`

export const clear: Recording = {
  name: 'clear',
  captions: captionsOf(script),
  holds: [
    { startS: 54, endS: 232, poseId: 'bound-angle-seated', announcedS: 180 },
    { startS: 290, endS: 498, poseId: 'deer', side: 'left', announcedS: 210 },
    { startS: 535, endS: 740, poseId: 'deer', side: 'right', announcedS: 210 },
    { startS: 767, endS: 940, poseId: 'sphinx', announcedS: 180 },
  ],
  talk: [[0, 22]],
}

import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 okay i think we're recording hi guys so this is um a little practice for people who sit
0:06 at a desk all day like i do and like my brother who keeps complaining about his back
0:12 and i said to him you know you could just lie on the floor for twenty minutes a day and
0:18 he said i don't have twenty minutes and i said you have a television
0:25 so this one's for you if you're watching alright
0:30 we're gonna start lying down on the belly and just propping up on the forearms so sphinx pose
0:36 elbows a bit in front of the shoulders and kind of let everything from the waist down go to sleep
0:43 and we'll do three minutes of that
1:20 and if it pinches in the low back widen the legs or slide the elbows further away
1:30 and i know that you want to check your phone
2:00 just breathing here
2:58 so what i notice is that around the two minute mark i get really bored and then it passes
3:46 alright walk the elbows wide and lower yourself down
3:52 stack the hands and put your forehead there and just breathe for a moment
4:15 and then we're gonna draw the right knee up to the side like you're climbing so half frog
4:22 head can look to the right and you're gonna hang out here two minutes
5:10 and relax the right buttock if you can
6:20 okay slide that leg back down
6:25 left knee comes up second side two minutes
7:05 so same thing here let the thigh be heavy on the floor
8:28 slide it back down and press yourself up onto all fours and back to your heels
8:38 bring the knees wide big toes touching and walk your hands forward child's pose
8:44 forehead down on a block or on your fists let's hang here for three minutes
9:30 breathing into the back of the ribs
10:50 we've got another thirty seconds or so
11:32 and then come all the way up
11:36 swing your legs out in front of you and we'll do a forward fold so caterpillar legs can be bent
11:45 put the bolster on the legs and just drape yourself over it about four minutes
13:00 and nothing to achieve really
15:40 roll up slowly stacking the spine
15:46 and that's the whole thing you made it thank you so much and tell my brother
`

export const rambling: Recording = {
  name: 'rambling',
  captions: captionsOf(script, true),
  holds: [
    { startS: 43, endS: 226, poseId: 'sphinx', announcedS: 180 },
    { startS: 264, endS: 380, side: 'right', announcedS: 120 },
    { startS: 390, endS: 508, side: 'left', announcedS: 120 },
    { startS: 524, endS: 692, announcedS: 180 },
    { startS: 708, endS: 940, poseId: 'long-leg-fold', announcedS: 240 },
  ],
  talk: [[0, 28]],
}

import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:03 so good to be with you all again for our wednesday yin
0:09 um few announcements the studio is closed on the twentieth and the workshop still has four places
0:18 okay let's find ourselves in a comfortable seat and just drop the gaze
0:26 maybe take a breath in through the nose and a sigh out of the mouth
0:40 good so tonight the kidneys and the water element which in the chinese system is winter
0:50 and winter is about storing and resting and not pushing
1:00 so coming forward onto your tummy we'll begin in sphinx for four minutes
1:08 forearms parallel
1:15 and if that's a lot just rest on the ribs
2:00 the breath can be quiet
3:30 imagine the spine as a river bed
5:08 mindfully begin to lower the ribs down and turn your cheek to one side
5:16 arms alongside and just absorb that
5:50 press back through table top and sit
5:58 we are moving toward half butterfly so extend the right leg and tuck the left foot in
6:06 and then over that straight leg or right down the centre it's up to you we fold
6:15 this is a four minute hold
7:00 you can ask yourself what's here
8:30 halfway there
10:12 inhale to rise up
10:16 shift your legs about whatever feels natural
10:30 and the second side so left leg long right foot in
10:38 fold in and find your stillness
12:10 softening the space behind the eyes
14:36 and rising up
14:42 let's come to lie on our backs bring the knees in give them a squeeze
14:52 let the knees drop over to the right arms wide
15:00 we'll be here a good three minutes
17:58 knees back through centre
18:02 and over to the left
18:08 gaze can go right
21:04 and knees back through centre
21:10 soles of the feet together knees apart reclined butterfly for five minutes and place your hands on your belly
26:20 draw the knees together
26:26 and long legs now for savasana
26:34 let go completely
32:10 begin to invite a little movement back
32:20 and come up to sit and thank you for your practice
`

export const studio: Recording = {
  name: 'studio',
  captions: captionsOf(script, true),
  holds: [
    { startS: 60, endS: 308, poseId: 'sphinx', announcedS: 240 },
    { startS: 370, endS: 612, poseId: 'one-leg-fold', side: 'left', announcedS: 240 },
    { startS: 638, endS: 876, poseId: 'one-leg-fold', side: 'right' },
    { startS: 895, endS: 1078, side: 'right', announcedS: 180 },
    { startS: 1084, endS: 1264, side: 'left' },
    { startS: 1275, endS: 1580, poseId: 'reclined-bound-angle', announcedS: 300 },
  ],
  talk: [
    [3, 24],
    [40, 58],
  ],
}

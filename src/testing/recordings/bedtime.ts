import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 thank you for pressing play on this one it's a bedtime practice so dim the lights
0:08 put your phone on silent unless you're using it to listen which i guess you are
0:16 we start sitting cross legged on something soft whichever shin is in front just notice
0:26 walk the hands out along the floor and fold until the head finds something
0:34 let's give it two minutes
1:30 shoulders away from the ears
2:36 come on up and swap the cross of the legs so the other shin is in front
2:46 same fold two minutes
3:40 long slow out breaths
4:48 come on up
4:54 swing the legs to the front and lie down and pull the bolster under the backs of the knees
5:06 actually no take it out again sorry we do that at the end
5:14 hug the right knee in and let the left leg be long on the floor
5:22 and then take the right knee across the body to the left so it's a twist
5:32 right arm can go out or rest on the ribs this is yours for three minutes
6:40 the left hand can be a weight on the knee
8:36 unwind come back hug the right knee and let it go
8:46 now left knee in and across to the right
8:56 left arm out three minutes again
10:10 and you might hear the street or the fridge and it's fine it's just the world being there without needing you for anything
11:58 unwind and let both legs go long
12:06 scoot over to the wall if there's one near and send the legs up
12:20 hips as close as is easy and then we do nothing five minutes
15:00 nothing at all
17:26 slide the feet down the wall and roll to one side
17:40 crawl to bed goodnight
`

export const bedtime: Recording = {
  name: 'bedtime',
  captions: captionsOf(script, true),
  holds: [
    { startS: 34, endS: 156, announcedS: 120 },
    { startS: 168, endS: 288, announcedS: 120 },
    { startS: 330, endS: 516, side: 'left', announcedS: 180 },
    { startS: 538, endS: 718, side: 'right', announcedS: 180 },
    { startS: 745, endS: 1046, announcedS: 300 },
  ],
  talk: [[0, 15]],
}

import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 alright friends it's sunday it's raining and we have nowhere to be
0:06 before we start a quick reminder that the retreat list is open
0:12 and you don't have to be flexible for this you just have to show up
0:20 go ahead and find your way onto your back knees bent feet planted
0:30 pick your right ankle up and park it on the left thigh just above the knee
0:38 if that's plenty stay there otherwise clasp behind your thigh and pull it in
0:48 i'm setting the timer for three minutes
1:30 so the outer hip might be talking
2:40 keep the shoulders lazy
3:50 and unhook that foot both feet down
3:58 take a second here
4:10 left ankle goes across now
4:18 same deal draw it in or leave it
5:40 you know there's a heron that lives by the canal near me and it stands on one leg all morning
5:50 and i always think how is it not bored but it's fishing it's totally awake
6:30 alright still with me
7:22 unhook and give your legs a wobble
7:35 roll to one side and push up to seated
7:50 we're gonna make a diamond with the legs so feet together far away from you
8:00 round over head heavy
8:08 four minutes
10:00 the back of the neck can get long
12:10 use your hands to push the floor and stack back up
12:20 swing around so you're on your hands and knees
12:30 left foot outside the left hand back knee on a blanket lizard or dragon whatever you call it
12:42 two minutes go
14:40 knee down shuffle back
14:52 right foot up
15:00 two minutes here too
17:02 shuffle back and take child's pose for a few breaths
17:40 onto the back one more time for our last shape
17:50 legs long arms wherever they land eyes closed this is your savasana i'll see you in five
23:00 small movements first
23:10 roll over take your time sit up and that's us thanks everyone
`

export const lazy: Recording = {
  name: 'lazy',
  captions: captionsOf(script, true),
  holds: [
    { startS: 48, endS: 230, side: 'right', announcedS: 180 },
    { startS: 258, endS: 442, side: 'left' },
    { startS: 480, endS: 730, announcedS: 240 },
    { startS: 750, endS: 880, poseId: 'low-lunge', side: 'left', announcedS: 120 },
    { startS: 895, endS: 1022, side: 'right', announcedS: 120 },
  ],
  talk: [[0, 18]],
}

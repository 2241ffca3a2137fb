import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 [Music]
0:12 hello my lovely people welcome welcome today short one for tired legs
0:20 fremd wok lanter pollin gree mast orbel tine
0:28 okay so sit down on your heels and tuck your toes under for toe squat
0:36 sit back as far as you can bare we'll hold this one for two minutes ouch yes
1:10 [laughter]
1:35 breathing into the feet and the soles
2:05 and lean forward release the toes point the feet and tap the tops of the feet on the floor
2:20 so now come onto your belly for seal place your hands out in front
2:28 straighten the arms turn the hands out a little and stay here for four minutes
2:36 varn kellip morsa tindle prow esket alder wimmy
3:00 let the buttocks be soft
4:10 [Music]
4:32 that will do today lower down slowly onto the belly slide the arms away
4:40 turn the head and rest here for a few moments
5:10 push back to child's pose now knees wide apart big toes together
5:18 arms long or by the side and just melt here
6:30 holm brask unter fell ockin tarry spoon weft glim
7:40 sorry about the dog
8:24 walk your hands back up and come to sit
8:32 stretch your legs out in front of you for caterpillar round forward and let the head hang
8:40 so heavy here for five minutes
9:30 [Music]
10:30 mm
11:15 okay come up slowly lean back on your hands
11:24 lie down on your back for a spinal twist knees to the chest and over to the right
11:32 look the other way if your neck likes it and stay
13:20 back to the middle slowly
13:27 and over to the left look to the right
13:34 stay here
15:20 bring the knees back to the middle and hug them in thank you bye bye my lovelies
`

export const garbled: Recording = {
  name: 'garbled',
  captions: captionsOf(script, true),
  holds: [
    { startS: 40, endS: 125, poseId: 'toes-tucked-kneel', announcedS: 120 },
    { startS: 152, endS: 272, announcedS: 240 },
    { startS: 320, endS: 504 },
    { startS: 522, endS: 675, announcedS: 300 },
    { startS: 694, endS: 800, side: 'right' },
    { startS: 814, endS: 920, side: 'left' },
  ],
  talk: [[12, 27]],
}

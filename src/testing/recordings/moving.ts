import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 Hey there, today we're doing thirty minutes for the shoulders and the side body.
0:07 Start on all fours. Inhale and arch the back, look up, exhale and round, cat and cow.
0:18 Inhale, lift the chest. Exhale, curl in. Follow your own breath for a while, back and forth.
0:50 Make circles with the hips, any size. And the other way.
1:15 Come back to the middle. Take your right arm under the left for thread the needle.
1:23 Lower the right shoulder and the side of the head to the floor. Stay for a minute and a half here.
2:10 Left hand can walk to the front.
2:56 Press into the left hand and slip out of it, back to all fours. Sway a little.
3:06 Left arm under the right this time. Lower the left shoulder down.
3:14 Same amount here. Settle in.
4:46 Push up gently and come out. Sit back on your heels for two breaths.
5:00 Now lie on your back, legs long and together. Walk both feet over to the right corner of the mat.
5:10 Then the arms and the upper body over to the right too, so that you look like a banana.
5:18 Cross the left ankle over the right if you want more. Three minutes, stay heavy in the hip.
6:30 Feel the whole left side of you, from the hip to the armpit.
8:22 Uncross, walk everything back to the centre, and just be neutral for a moment.
8:45 And over to the left. Feet first, then the arms.
8:55 Three minutes here too. Let gravity work.
11:58 Come back to the centre, hug your knees, rock from side to side.
12:15 Now there's a shape I don't have a name for. Lie on your belly and bring the left arm out wide, palm down.
12:27 Bend the right knee and roll on to the left side until you feel the front of the shoulder. Stay for two minutes.
13:30 Small is fine.
14:32 Roll back on to your belly slowly. Make fists, let go.
14:42 Other arm. Right arm wide, left knee bends, and roll to the right. Settle.
16:46 Roll back. Rest with the cheek on the hands for a few breaths.
17:10 Push up to sitting. That's it, thanks for moving with me, and drink some water.
`

export const moving: Recording = {
  name: 'moving',
  captions: captionsOf(script),
  holds: [
    { startS: 88, endS: 176, side: 'right', announcedS: 90 },
    { startS: 194, endS: 286, side: 'left' },
    { startS: 322, endS: 502, side: 'right', announcedS: 180 },
    { startS: 534, endS: 718, side: 'left', announcedS: 180 },
    { startS: 753, endS: 872, side: 'left', announcedS: 120 },
    { startS: 892, endS: 1006, side: 'right' },
  ],
  talk: [[0, 6]],
}

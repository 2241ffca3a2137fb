import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 Good morning and welcome to this recording of our Saturday class. My name is on the door, so I will not say it again. We have seventy-five minutes on the paper, but today it is going to be shorter. Have two blankets, one bolster, two blocks and a strap near you.
0:28 If you have a new injury, or if you are expecting, please send me a message before you do this one. The usual rule stands: what pinches or burns or goes numb is left.
0:52 Let us start lying down. Roll one blanket and put it across the mat, where the lower edge of your shoulder blades will be. Lie back over it and let the arms rest out to the sides. If the head hangs, fold the second blanket under it. And here we remain for three minutes. Eyes closed.
2:10 Notice the front of the chest. It may take a while.
4:26 Good. Roll to one side, off the blanket, and stay there for a breath or two. Then push yourself up to a seat. Move the blanket out of the way.
4:50 The next one is shoelace. Come to sit with both legs in front. Bend the left knee and slide that foot beside the right hip, then stack the right knee over the left one. Sit on a block if one hip lifts. You can stay upright or fold. Take a moment to find it, and then be still. We hold this for four minutes.
6:30 If the knees complain, undo the top leg and keep only the bottom one.
9:14 Slowly walk your hands back and uncross the legs. Stretch them out in front and give them a shake. Lean back on your hands for a few breaths.
9:40 Now the other side. Right knee bends, foot beside the left hip, and the left knee stacks on top. Upright or folded, as you did it before. And four minutes.
11:00 Perhaps this side tells you something else.
13:52 And come out of it as slowly as you came in. Legs long, a little shake.
14:10 Turn around and lie on the belly. Elbows under the shoulders, forearms forward, for sphinx. The feet as wide as your mat. Let the belly be soft. Two and a half minutes.
16:46 Lower the chest to the floor, make a pillow of the hands and turn the head to one side. Rest here for a minute.
17:50 Press back to child's pose, knees together or apart, the forehead on the mat or on a block. Let us spend two minutes here.
20:00 Come up to sit on your heels. We will finish with the breath. Sit against the wall if you like. Inhale for four, exhale for six, through the nose. I count the first few. In, two, three, four. Out, two, three, four, five, six. In, two, three, four. Out, two, three, four, five, six. Now by yourself.
22:30 Let the count go. Lie down for the last rest, the bolster under your knees. Six minutes.
28:40 Move the fingers and toes. Roll to the right side. Sit up when you are ready, and thank you for practising with me.
`

/** Captions as long as paragraphs: a hold begins in the middle of one, and nobody knows where. */
export const paragraphs: Recording = {
  name: 'paragraphs',
  captions: captionsOf(script),
  holds: [
    { startS: 74, endS: 266, announcedS: 180 },
    { startS: 317, endS: 554, poseId: 'stacked-knees', announcedS: 240 },
    { startS: 594, endS: 832, announcedS: 240 },
    { startS: 864, endS: 1006, poseId: 'sphinx', announcedS: 150 },
    { startS: 1080, endS: 1200, poseId: 'wide-knee-fold', announcedS: 120 },
  ],
  talk: [[0, 50]],
}

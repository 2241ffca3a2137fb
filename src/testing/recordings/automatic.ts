import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 hi everyone welcome back to another slow class um today we are going to work into
0:06 the hips and the inner legs and uh you will need a bolster or a couple of
0:12 cushions and maybe a blanket and if you have blocks grab them but you don't need to
0:18 have any of that you know i used to practice on the carpet with two pillows off the couch
0:25 so um yeah i want to talk a little bit about patience today because i was
0:31 stuck on a train yesterday for three hours and i noticed how i kept asking what is
0:37 next what is next and i think a lot of us live like that so this practice is
0:43 a little bit of an antidote to that okay so
0:48 let's get started come to a seat on the mat and then we're gonna come into a straddle
0:54 so open your legs out wide for dragonfly doesn't need to be super wide
1:00 and then you're gonna walk your hands forward between your legs and maybe put the bolster under
1:06 the chest or the forehead whatever feels good for you and we'll be here for about four minutes
1:13 so just finding your stillness
2:05 if the mind is racing that's okay just notice it
3:10 you're about half way
4:30 and one more minute here
5:22 okay so start to make your way out of that nice and slow walk the hands back
5:28 bring the hands under the knees and kind of help them to bend yeah
5:35 and just take a moment here hug the knees in and notice the effects
5:58 alright so next pose we're coming onto our hands and knees for dragon
6:05 step your right foot forward between your hands slide the left knee back behind you a little
6:12 and let the hips drop down towards the floor hands can be on blocks okay about two minutes in here
6:20 so settling in
7:00 feel free to stay up on the hands or come down on the forearms if that's available
8:05 deep breath in and then tuck the back toes lift the hips step back
8:12 out of it shake it out maybe sway the hips side to side
8:20 and then switching sides left foot comes forward slide the right knee back
8:28 drop the hips down and again stay for two minutes
9:15 so what comes up when it gets strong
10:26 okay come out slowly tuck the toes and step back
10:34 come down on to your back now for savasana let the feet fall open
10:42 cover yourself with a blanket let the body be heavy and i'll let you know when it's time
14:50 start to wiggle the fingers and the toes
14:58 roll over to one side and make your way up to a seat thank you so much for joining me i'll see you next time
`

export const automatic: Recording = {
  name: 'automatic',
  captions: captionsOf(script, true),
  holds: [
    { startS: 72, endS: 322, poseId: 'straddle-fold', announcedS: 240 },
    { startS: 378, endS: 485, poseId: 'low-lunge', side: 'right', announcedS: 120 },
    { startS: 510, endS: 626, poseId: 'low-lunge', side: 'left', announcedS: 120 },
  ],
  talk: [[0, 46]],
}

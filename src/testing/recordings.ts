import type { Caption } from '#core/captions'

/** A hold a careful listener marks in a recording. */
export interface Heard {
  readonly startS: number
  readonly endS: number
  readonly poseId?: string
  readonly side?: 'left' | 'right'
  readonly announcedS?: number
}

/** A made-up recording: its captions, the holds in it, and stretches that are talk alone. */
export interface Recording {
  readonly name: string
  readonly captions: readonly Caption[]
  readonly holds: readonly Heard[]
  readonly talk: readonly (readonly [startS: number, endS: number])[]
}

const secondsOf = (time: string): number => time.split(':').reduce((sum, part) => sum * 60 + Number(part), 0)

/**
 * Captions from lines of "m:ss words": each stands as long as it takes to say it, or, as automatic programs leave them,
 * until the next one begins.
 */
function captionsOf(script: string, isAutomatic = false): readonly Caption[] {
  const lines = script
    .trim()
    .split('\n')
    .map((line) => /^\s*(\d+:\d\d) (.*)$/.exec(line))
    .flatMap((match) => (match ? [{ at: secondsOf(match[1] ?? ''), text: match[2] ?? '' }] : []))
  return lines.map(({ at, text }, index) => {
    const next = lines[index + 1]?.at ?? at + 8
    const said = at + text.split(' ').length / 2.6 + 0.5
    return { startMs: at * 1000, endMs: Math.round((isAutomatic ? next : Math.min(next, said)) * 1000), text }
  })
}

const clear = `
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

const automatic = `
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

const chatty = `
0:00 So I wanted to tell you about my grandmother, who never in her life sat on a yoga mat.
0:07 She would sit by the stove in the evening with her hands in her lap, and you could not get a word out of her.
0:15 I used to think she was asleep. She was not. She heard everything we said about her.
0:23 And I think about that when people ask me what this practice is for. I don't have a clever answer.
0:32 The tradition has many, and some of them are beautiful, but I was never very good at remembering them.
0:41 Anyway. That is enough from me for the moment, though I warn you, there is more.
0:50 Lie down on your back with your knees bent and your feet flat on the floor.
0:58 Cross your right ankle over your left knee. This is figure four.
1:06 Reach through and hold the back of the left thigh, or leave the foot down. You choose. Settle in here.
1:16 My grandmother had a chair by that stove, and the chair had one leg that was shorter than the others.
1:24 Everybody in the family knew it, and nobody mended it, and she would rock a little without noticing.
1:33 I asked her once why she did not have it fixed. She said then she would have nothing to do.
1:42 I think about that in these shapes. There is always one leg that is shorter.
1:51 We want to get up and mend it. And here we are, with nothing to do but feel it.
2:00 So where are you gripping? In the face? In the hands? Is there a little bit you could give back to the floor?
2:12 And the breath comes and goes, and nobody asked it to.
2:40 You may find that what was strong a minute ago is less now, or has gone elsewhere.
3:20 Stay with it.
3:58 All right. Let go of the leg and uncross it. Put both feet down.
4:06 Let the knees go from side to side like a slow pendulum.
4:20 And we change sides. Left ankle over the right knee now.
4:28 Hold behind the right thigh, and settle in again.
4:40 She also kept one drawer that nobody was allowed to open. After the funeral we opened it, of course.
4:50 It was full of string. Pieces of string, sorted by their length, and one box with a label in her hand.
5:00 The label said: pieces too short to use.
5:08 I have thought about that for twenty years, and I still don't know what to say about it.
5:30 Notice which side is different tonight, without having to mend it.
6:20 One more minute.
7:16 Release the leg slowly. Both feet to the floor, and rest for a few breaths with the knees together.
7:50 Now let both knees fall over to the left for a twist, and open the right arm out along the floor.
7:58 A blanket between the knees if there is a gap. Stay here for three minutes.
8:40 And the weight of the legs does all of it.
10:58 Bring the knees back to the middle, one at a time.
11:04 Then both knees over to the right, and the left arm opens out. Three minutes.
12:30 Still here.
14:08 And slowly bring the knees back to the middle. Hug them in.
14:16 That's all from me tonight. Thank you for listening to an old story, and get home well.
`

const garbled = `
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

const restful = `
0:00 Let us take our time tonight. There are only four shapes, and each of them is long.
0:10 The first one is with the legs up the wall. Bring your mat with its short end against the wall.
0:20 Put a folded blanket a hand away from the wall, and sit sideways on it, with one hip close to the wall.
0:32 Now swing the legs up as you lie down. Shuffle closer if the backs of the legs are long enough.
0:44 Place a strap around the shins so that the legs need not hold themselves. An eye pillow, if you have one.
0:56 Let the weight of the legs drop into the hips. I will be quiet now for ten minutes.
5:00 If the feet tingle, bend the knees and put the soles together.
11:02 Slowly bend your knees and slide your feet down the wall. Undo the strap.
11:12 Roll to your right side and wait there for a few breaths.
11:40 Press yourself up to sitting, the head last.
11:50 We take the bolster for the next one. Set it on two blocks, one high and one low, so that it slopes.
12:04 Sit with your back to its low end and lie back over it. This is bound angle, so bring the soles of the feet together.
12:18 Put a rolled blanket under each thigh, so that the knees are carried, and a strap around the feet if you know how.
12:32 Cover yourself. Close your eyes. We'll be here for twelve minutes.
16:30 Nothing to do.
24:40 Bring the knees together with your hands. Roll off the bolster to your side.
24:52 Rest on your side for a moment.
25:20 Now we sit for the breath. Come to sit on your block, tall and easy.
25:34 Breathe in for a count of four, and breathe out for a count of six.
25:44 In, two, three, four. Out, two, three, four, five, six.
25:56 In, two, three, four. Out, two, three, four, five, six.
26:10 Keep that count by yourself for a few rounds. Inhale for four, exhale for six.
27:30 And let the breath be as it likes. No more counting.
27:42 Lie down on your back for the final rest, with the bolster under your knees.
27:54 Blanket over you. Settle in, and let the floor have you. Ten minutes.
37:56 Start to deepen the breath, and move the fingers.
38:10 Roll over to your side, and come up when you are ready. Thank you.
`

const moving = `
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

const rambling = `
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

const spare = `
0:05 Welcome.
0:10 Sit down in the middle of your mat.
0:20 Left heel in towards you, right leg long.
0:30 Fold over the long leg as far as is kind.
0:40 Four minutes.
4:42 Come up.
4:50 Change legs.
4:58 Right heel in, left leg long.
5:06 Fold.
9:12 Come up.
9:20 Lie on your back.
9:28 Right ankle on left thigh.
9:36 Draw the leg towards you.
12:40 Let go.
12:48 Left ankle on right thigh.
12:56 And towards you.
16:00 Let go.
16:10 Feet wide, knees together.
16:16 Rest.
16:50 Knees to your chest, then both to the right.
17:00 Three minutes.
20:04 Back to the middle.
20:10 To the left.
23:16 Back to the middle.
23:24 Stretch out for the final rest.
23:34 Stay.
29:30 Move your fingers.
29:44 Sit up. Thank you.
`

const studio = `
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

const lazy = `
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

const long = `
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

const bedtime = `
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

const short = `
0:02 Today: hips. You need two blocks.
0:06 I will say when to move. Otherwise, please don't.
0:14 Table top.
0:18 Right knee to the right wrist, shin across, left leg back: swan.
0:26 Fold.
0:30 Four minutes on the clock.
2:00 If your knee complains, come off.
2:30 If it does not complain, be grateful to it.
4:34 Hands under you. Up.
4:42 Tuck the toes, table top.
4:50 Left side. Left knee to left wrist.
5:00 Fold. Four minutes.
9:04 Up. Table top.
9:16 Shoelace. Sit back between your heels, left knee over right knee.
9:30 Sit on a block if you are crooked.
9:36 Fold. Three minutes.
12:40 Up. Legs forward. Shake.
12:54 Right knee on top.
13:04 Three.
16:10 Up.
16:20 Squat. Heels down or on the blanket.
16:26 One minute.
17:28 Sit. Hands behind you. Look at the ceiling.
17:40 Two breaths.
17:50 Lie down. Savasana. Five minutes.
22:50 Sit up. Finished.
`

export const recordings: readonly Recording[] = [
  {
    name: 'clear',
    captions: captionsOf(clear),
    holds: [
      { startS: 54, endS: 232, poseId: 'bound-angle-seated', announcedS: 180 },
      { startS: 290, endS: 498, poseId: 'deer', side: 'left', announcedS: 210 },
      { startS: 535, endS: 740, poseId: 'deer', side: 'right', announcedS: 210 },
      { startS: 767, endS: 940, poseId: 'sphinx', announcedS: 180 },
    ],
    talk: [[0, 22]],
  },
  {
    name: 'automatic',
    captions: captionsOf(automatic, true),
    holds: [
      { startS: 72, endS: 322, poseId: 'straddle-fold', announcedS: 240 },
      { startS: 378, endS: 485, poseId: 'low-lunge', side: 'right', announcedS: 120 },
      { startS: 510, endS: 626, poseId: 'low-lunge', side: 'left', announcedS: 120 },
    ],
    talk: [[0, 46]],
  },
  {
    name: 'chatty',
    captions: captionsOf(chatty),
    holds: [
      { startS: 72, endS: 238, poseId: 'figure-four-lying', side: 'right' },
      { startS: 272, endS: 436, poseId: 'figure-four-lying', side: 'left' },
      { startS: 480, endS: 658, side: 'left', announcedS: 180 },
      { startS: 670, endS: 848, side: 'right', announcedS: 180 },
    ],
    talk: [[0, 48]],
  },
  {
    name: 'garbled',
    captions: captionsOf(garbled, true),
    holds: [
      { startS: 40, endS: 125, poseId: 'toes-tucked-kneel', announcedS: 120 },
      { startS: 152, endS: 272, announcedS: 240 },
      { startS: 320, endS: 504 },
      { startS: 522, endS: 675, announcedS: 300 },
      { startS: 694, endS: 800, side: 'right' },
      { startS: 814, endS: 920, side: 'left' },
    ],
    talk: [[12, 27]],
  },
  {
    name: 'restful',
    captions: captionsOf(restful),
    holds: [
      { startS: 60, endS: 662, announcedS: 600 },
      { startS: 755, endS: 1480, announcedS: 720 },
    ],
    talk: [[0, 9]],
  },
  {
    name: 'moving',
    captions: captionsOf(moving),
    holds: [
      { startS: 88, endS: 176, side: 'right', announcedS: 90 },
      { startS: 194, endS: 286, side: 'left' },
      { startS: 322, endS: 502, side: 'right', announcedS: 180 },
      { startS: 534, endS: 718, side: 'left', announcedS: 180 },
      { startS: 753, endS: 872, side: 'left', announcedS: 120 },
      { startS: 892, endS: 1006, side: 'right' },
    ],
    talk: [[0, 6]],
  },
  {
    name: 'rambling',
    captions: captionsOf(rambling, true),
    holds: [
      { startS: 43, endS: 226, poseId: 'sphinx', announcedS: 180 },
      { startS: 264, endS: 380, side: 'right', announcedS: 120 },
      { startS: 390, endS: 508, side: 'left', announcedS: 120 },
      { startS: 524, endS: 692, announcedS: 180 },
      { startS: 708, endS: 940, poseId: 'long-leg-fold', announcedS: 240 },
    ],
    talk: [[0, 28]],
  },
  {
    name: 'spare',
    captions: captionsOf(spare),
    holds: [
      { startS: 40, endS: 282, side: 'left', announcedS: 240 },
      { startS: 306, endS: 552, side: 'right' },
      { startS: 577, endS: 760, side: 'right' },
      { startS: 777, endS: 960, side: 'left' },
      { startS: 1018, endS: 1204, side: 'right', announcedS: 180 },
      { startS: 1212, endS: 1396, side: 'left' },
    ],
    talk: [[5, 9]],
  },
  {
    name: 'studio',
    captions: captionsOf(studio, true),
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
  },
  {
    name: 'lazy',
    captions: captionsOf(lazy, true),
    holds: [
      { startS: 48, endS: 230, side: 'right', announcedS: 180 },
      { startS: 258, endS: 442, side: 'left' },
      { startS: 480, endS: 730, announcedS: 240 },
      { startS: 750, endS: 880, poseId: 'low-lunge', side: 'left', announcedS: 120 },
      { startS: 895, endS: 1022, side: 'right', announcedS: 120 },
    ],
    talk: [[0, 18]],
  },
  {
    name: 'long',
    captions: captionsOf(long),
    holds: [
      { startS: 44, endS: 520, announcedS: 480 },
      { startS: 552, endS: 1036, announcedS: 480 },
      { startS: 1078, endS: 1672, announcedS: 600 },
      { startS: 1746, endS: 2162, announcedS: 420 },
      { startS: 2194, endS: 2910, announcedS: 720 },
    ],
    talk: [[0, 18]],
  },
  {
    name: 'bedtime',
    captions: captionsOf(bedtime, true),
    holds: [
      { startS: 34, endS: 156, announcedS: 120 },
      { startS: 168, endS: 288, announcedS: 120 },
      { startS: 330, endS: 516, side: 'left', announcedS: 180 },
      { startS: 538, endS: 718, side: 'right', announcedS: 180 },
      { startS: 745, endS: 1046, announcedS: 300 },
    ],
    talk: [[0, 15]],
  },
  {
    name: 'short',
    captions: captionsOf(short),
    holds: [
      { startS: 28, endS: 274, poseId: 'folded-pigeon', side: 'right', announcedS: 240 },
      { startS: 302, endS: 544, poseId: 'folded-pigeon', side: 'left', announcedS: 240 },
      { startS: 576, endS: 760, poseId: 'stacked-knees', side: 'left', announcedS: 180 },
      { startS: 780, endS: 970, poseId: 'stacked-knees', side: 'right' },
      { startS: 984, endS: 1048, poseId: 'low-squat', announcedS: 60 },
    ],
    talk: [[2, 12]],
  },
]

### Techniques, beat by beat.

score-fault = Line { $line }, column { $column }: expected { $expected }.
score-fault-mendable = Line { $line }, column { $column }: expected { $expected }. { $mend }
score-expected-statement = a touch, a step or another statement
score-expected-joinable = something that can share a beat
score-expected-closing = a “{"}"}” that closes this block
score-expected-opening = “{"{"}”
score-expected-times = how many times, 1 to { $most }
score-expected-beats = how many beats, 1 to { $most }
score-expected-name = a name
score-expected-left = left or right
score-expected-surface = what meets the ball, or “step”
score-expected-action = what the touch does
score-expected-way = which way
score-expected-way-asked = which way this { $action } goes
score-expected-surface-for = a surface that can { $action }
score-expected-way-for = a way that { $surface } and { $action } allow: { $ways }
score-expected-length = a length in metres, as 0.4
score-expected-length-between = a length of { $least } to { $most } m
score-expected-degrees = how far to turn, in degrees
score-expected-degrees-at-most = { $most } degrees at most
score-expected-turn = left, right or around
score-expected-step = over, round or which way
score-expected-over = in or out
score-expected-height = knee, waist, head or over
score-expected-feint = pass or shot
score-expected-ball = “ball”
score-expected-lie = where the ball is: left, right, middle or hands
score-expected-end = the end of the statement
score-expected-bytes-at-most = { $most } bytes at most
score-expected-statements-at-most = { $most } statements at most
score-expected-nested-at-most = { $most } blocks inside each other at most
score-expected-beats-at-most = { $most } beats at most, each repeat counted out
score-expected-before-first-beat = this before the first beat
score-expected-a-beat = something that takes a beat
score-expected-free-name = a name that is not used yet
score-expected-part = the name of a part
score-expected-skill = a skill that has a score
score-expected-sound-skill = a score without faults in the skill “{ $skill }”
score-expected-no-circle = parts that do not play themselves: { $path }
score-expected-reach = the ball within { $most } m of { $from ->
        [left] the left foot
        [right] the right foot
       *[body] the body
    }; it is { $away } m away
score-expected-free-foot = a foot that is free: this one carries all the weight
score-expected-ball-on-floor = a ball on the floor; it is in the air
score-expected-ball-in-air = a ball in the air; it is on the floor
score-expected-ball-in-hands = a ball in the hands; it is not there any more
score-expected-ball-thrown = a ball that can be played; it is in the hands
score-expected-ball-still = a ball that is still there; it was struck away

score-mend-did-you-mean = Did you mean “{ $word }”?
score-mend-one-of = The words are { $known }.
score-mend-split-text = The text has { $bytes } bytes. Make two skills of it.
score-mend-close = Write “{"}"}” after the last statement of the block.
score-mend-closes-nothing = This “{"}"}” closes nothing. Remove it, or begin a block with “repeat 2 {"{"}”.
score-mend-write-block = Write it as { $head } {"{"} right inside tap {"}"}.
score-mend-write-out = Write the inner ones out.
score-mend-repeat-less = Repeat fewer times.
score-mend-new-statement = “{ $written }” does not belong here. Begin a new beat after “,” or on its own line.
score-mend-on-its-own = Write it on its own, without “and”.
score-mend-move-up = Move it to the top.
score-mend-add-beat = Write a touch, a step or “wait 1”.
score-mend-name-taken = Line { $line } uses “{ $name }” already. Choose another name.
score-mend-no-part = No part is called “{ $name }”. Write part { $name } {"{"} … {"}"}.
score-mend-no-skill = No skill “{ $id }” has a score.
score-mend-mend-skill = { $faults ->
    [one] Mend its fault first.
   *[other] Mend its { $faults } faults first.
}
score-mend-leave-out = Leave this one out.
score-mend-this-length = This one is { NUMBER($metres, maximumFractionDigits: 2) } m.
score-mend-less-or-step = Play it less far before, or step after it.
score-mend-other-foot-first = Touch or step with the other foot first.
score-mend-other-surface = For { $way } use { $surfaces }.
score-mend-bounce-or-cushion = Let it bounce, or cushion it to the floor first.
score-mend-lift-or-toss = Lift or toss it first.
score-mend-toss-first = Toss it first.
score-mend-start-in-hands = Toss before the first touch.
score-mend-strike-last = Strike last, or play it less hard.
score-mend-which-side = Write right { $surface } or left { $surface }.

surface-inside = inside
surface-outside = outside
surface-sole = sole
surface-laces = laces
surface-toe = toe
surface-heel = heel
surface-thigh = thigh
surface-chest = chest
surface-head = head
surface-shoulder = shoulder

way-in = in
way-out = out
way-ahead = ahead
way-back = back
way-left = left
way-right = right
way-ahead-in = ahead and in
way-ahead-out = ahead and out
way-back-in = back and in
way-back-out = back and out

action-tap = tap
action-push = push
action-cut = cut
action-roll = roll
action-drag = drag
action-rock = rock
action-touch = touch on top
action-stop = stop dead
action-chop = chop
action-lift = lift
action-cushion = cushion
action-wedge = wedge
action-strike = strike

height-knee = knee
height-waist = waist
height-head = head
height-over = over the head

count-in = in
count-out = out
count-sole = sole
count-laces = laces
count-toe = toe
count-heel = heel
count-roll = roll
count-drag = drag
count-rock = rock
count-stop = stop
count-chop = chop
count-up = up
count-soft = soft
count-wedge = wedge
count-away = away
count-step = step
count-over = over
count-round = round
count-hop = hop
count-lunge = lunge
count-fake = fake
count-drop = drop
count-turn = turn
count-look = look
count-bounce = bounce
count-toss = toss
count-wait = wait

limb-foot = { $side } { $surface }
limb-body = { $surface }

move-touch = { $limb }: { $action }
move-touch-to = { $limb }: { $action } { $way }
move-lift = { $limb }: { $action } to { $height }
move-step-over = { $side } foot steps over the ball, { $way }
move-step-round = { $side } foot steps round the ball
move-step-to = { $side } foot steps { $way }
move-hop = hop
move-lunge = lunge { $way }
move-fake-pass = fake a pass
move-fake-shot = fake a shot
move-drop = drop the { $side } shoulder
move-turn-to = turn { $side } { $degrees }°
move-turn-around = turn around
move-look-up = look up
move-look-to = look { $side }
move-look-behind = look behind
move-bounce = the ball bounces
move-toss = toss the ball up
move-wait = wait

surfaces-lopsided = { $percent } % of the touches of { $strand } are with one surface: { $surface }.
surfaces-missing = “{ $skill }” is played with this surface, and nothing in the plan is: { $surface }.

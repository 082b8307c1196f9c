### What is asked of a library (`jogo library check`).

library-skill-not-dosed = “{ $skill }” begins with { $band }, and no drill begins it there: give a drill that serves it at Form a dose for { $band }, or begin it in another band
library-no-ball = the ball is touched, and none lies there: add `ball` where it lies at the start
library-home-too-small = at home it has { $width } × { $depth } m, and what is laid needs { $needs_width } × { $needs_depth } m: ask for that much, or lay less
library-home-for-more = it is for { $people } people, and at home there is one: take `home` out
library-too-few = { $people } people stand on the ground, and a station may have { $least }: let it have { $people }
library-rung-serves-nothing = it is at { $stage }, and no skill is served there: add the stage to a skill, or take the rung out
library-caution-missing = what it does asks for the caution `{ $caution }`: add it
library-caution-without = nothing in it asks for the caution `{ $caution }`: take it out, or say what does
library-never-planned = no block of { $band } is long enough for half of it: make the dose shorter
library-never-begun = every skill that it serves begins after { $band }: take the dose out, or begin a skill earlier
library-long-point = has { $words } words, and at most { $most } can be called across a hall: say less
library-alike = “{ $text }” is what “{ $other }” says: say what is different about it
library-says-other = says “{ $says }”, and the test takes { $has }: let both say { $says_number } or { $has }
library-other-points = “{ $drill }” leads to this test and does not look for “{ $point }”: look for the same points in the same words
library-not-asked = no milestone, no gate and no drill asks for “{ $test }”: let one, or take the test out
library-too-quick = { $level } asks { $band } for { $speed } m/s, and { $most } m/s is the most they can do: ask for less
library-other-skill = “{ $test }” shows “{ $shows }”, and the milestone is for “{ $skill }”: use a test of its own
library-goal-not-shown = the goal of { $curriculum } is { $stage }, and no milestone of { $band } shows that of “{ $skill }”: write one, or aim lower

### What is asked of a library (`jogo library check`).

library-skill-not-dosed = “{ $skill }” begins with { $band }, and no drill begins it there: give a drill that serves it at Form a dose for { $band }, or begin it in another band
library-no-ball = the ball is touched, and none lies there: add `ball` where it lies at the start
library-home-too-small = the space at home is { $width } × { $depth } m, and the layout needs { $needs_width } × { $needs_depth } m: ask for that much, or make the layout smaller
library-home-for-more = it takes { $people } people, and a child at home is alone: remove `home`
library-too-few = the layout has { $people } people, and a station may have only { $least }: raise `min` to { $people }
library-rung-serves-nothing = this rung is at { $stage }, and the drill serves no skill at that stage: add the stage to a skill, or remove the rung
library-caution-missing = the drill needs the caution `{ $caution }`: add it
library-caution-without = nothing in the drill calls for the caution `{ $caution }`: remove it, or add what calls for it
library-never-planned = even half of this dose does not fit into a block of { $band }: make it shorter
library-never-begun = every skill that it serves begins after { $band }: remove the dose, or begin a skill earlier
library-long-point = has { $words } words, too many to call across a hall: use { $most } at most
library-alike = “{ $text }” is already said by “{ $other }”: say what is different here
library-says-other = says “{ $says }”, and the test takes { $has }: make both { $says_number } or both { $has }
library-other-points = “{ $drill }” leads to this test and does not look for “{ $point }”: look for the same points in the same words
library-not-asked = no milestone, no gate and no drill uses “{ $test }”: use it, or remove it
library-too-quick = { $level } asks { $band } for { $speed } m/s, and { $most } m/s is the most they can do: ask for less
library-other-skill = “{ $test }” shows “{ $shows }”, and the milestone is for “{ $skill }”: use a test of that skill
library-goal-not-shown = the goal of { $curriculum } is { $stage }, and no milestone of { $band } shows that of “{ $skill }”: write one, or aim lower

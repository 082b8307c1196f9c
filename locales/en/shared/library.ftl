### What is asked of the library as a whole.

library-skill-not-dosed = “{ $skill }” begins with { $band }, and no drill begins it there. Give a drill that serves it at Form a dose for { $band }, or begin it in another band.
library-no-ball = The ball is touched, and none lies there. Add a ball to the layout where it lies at the start.
library-home-too-small = The room at home is { $width } × { $depth } m, and the layout needs { $needs_width } × { $needs_depth } m. Ask for that much, or make the layout smaller.
library-home-for-more = It takes { $people } people, and a child at home is alone. Take it off the list for home.
library-too-few = The layout has { $people } people, and a station may have only { $least }. Let a station begin at { $people }.
library-rung-serves-nothing = A rung is at { $stage }, and the drill serves no skill at that stage. Add the stage to a skill, or remove the rung.
library-caution-missing = The drill needs the caution “{ $caution }”. Add it.
library-caution-without = Nothing in the drill calls for the caution “{ $caution }”. Remove it, or add what calls for it.
library-never-planned = Even half of the dose does not fit into a block of { $band }. Make it shorter.
library-never-begun = Every skill that it serves begins after { $band }. Remove the dose of { $band }, or begin a skill earlier.
library-long-point = “{ $point }” has { $words } words, too many to call across a hall. Use { $most } at most.
library-alike = “{ $text }” is already said by “{ $other }”. Say what is different here.
library-says-other = It says “{ $says }”, and the test takes { $has }. Make both { $says_number } or both { $has }.
library-other-points = “{ $drill }” leads to this test and does not look for “{ $point }”. Look for the same points in the same words.
library-not-asked = No milestone, no gate and no drill uses “{ $test }”. Use it, or remove it.
library-too-quick = { $level } asks { $band } for { $speed } m/s, and { $most } m/s is the most they can do. Ask for less.
library-other-skill = “{ $test }” shows “{ $shows }”, and the milestone is for “{ $skill }”. Use a test of that skill.
library-goal-not-shown = The goal of “{ $curriculum }” is { $stage }, and no milestone of { $band } shows that of “{ $skill }”. Write one, or aim lower.

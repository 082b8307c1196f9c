### Skills, tests, milestones and standards.

map-circle = These skills need each other in a circle, so none of them can begin: { $path }. Remove one of the needs.
map-unknown = “{ $skill }” names “{ $named }”, and the library has no such skill. Remove it.
map-later-band = “{ $skill }” starts in { $band } and needs “{ $need }” at { $stage }, which starts in { $need_band }. Start that one earlier, or remove the need.
map-no-drill = “{ $skill }” has no drill at { $stage }. Write one, or add the stage to a drill that there is.
map-unused-test = The gate of “{ $skill }” asks for the test “{ $test }”, which no band uses. Set a standard for it, or remove the gate.
map-no-milestone = The gate of “{ $skill }” asks for the milestone “{ $milestone }”, which is not there, so nobody passes. Choose a milestone, or remove the gate.
map-redundant = “{ $skill }” needs “{ $need }” at { $stage }, and “{ $through }”, which it also needs, asks for that already. You can remove this need.
map-unset = “{ $skill }” joins “{ $from }” and “{ $to }”: the ball is not where the second one begins. “{ $touch }” between them would set it.
map-unjoined = “{ $skill }” joins “{ $from }” and “{ $to }”, and no single touch brings the ball to where the second one begins. Write a score for it.
skill-played-by = The score of “{ $skill }” plays this one and would have faults. Change that one too.
skill-counted-by = The test “{ $test }” counts this score and could not be counted then. Change the test first.
map-lonely = Nothing leads to “{ $skill }” or away from it. This is only a note.

map-change-new = “{ $skill }” is new.
map-change-gone = “{ $skill }” was removed.
map-change-renamed = “{ $before }” is now called “{ $skill }”.
map-change-band = “{ $skill }” now starts in { $now }; before, in { $before }.
map-change-strand = “{ $skill }” now belongs to { $now }; before, to { $before }.
map-change-need-added = “{ $skill }” now needs “{ $need }” at { $stage }.
map-change-need-stage = “{ $skill }” needs “{ $need }” at { $now }; before, at { $before }.
map-change-need-dropped = “{ $skill }” no longer needs “{ $need }”.
map-change-gate = The gate of “{ $skill }” has changed.
map-change-helps-or-feet = What helps “{ $skill }”, or its feet, has changed.

gate-look = { $times } of the last { $of_last } is not possible. Use something like 3 of the last 4, and { $most } at most.
map-would-circle = That would make a circle in which no skill can begin: { $path }.
skill-served-by-drill = The drill “{ $drill }” trains “{ $id }”. Change the drill first.
skill-shown-by-test = The test “{ $test }” shows “{ $id }”. Let it show another skill first.
skill-shown-by-milestone = The milestone “{ $milestone }” shows “{ $id }”. Change it first.
skill-named-by-skill = “{ $skill }” names “{ $id }”. Change it first.

test-range = { $from } to { $to } cannot be the range. It rises, from { $least } to { $most } at the widest.
test-other-protocol = Results were taken with another protocol. Write a new test beside this one.
test-other-feet = Results were taken with another rule for the feet. Write a new test beside this one.
test-no-points = “{ $test }” has no coaching points to look at.
test-marks = “{ $test }” has { $points } coaching points, and there are { $marks } marks. Give one mark for each.
test-no-such-mark = { $mark } is not a mark. A point is marked 0 for no, 1 for partly or 2 for yes.
result-out-of-range = { $value } is out of range. “{ $test }” is between { $least } and { $most }.
test-too-fine = { $value } is more exact than this test is read. Give it in steps of { $step }.
test-score-without-count = Only a test of how many in a given time is counted beat by beat. Remove the score, or choose that protocol.
test-score-opens = The round does not end where it began, so it cannot be counted over and over. Add the touch that brings the ball back.
test-score-without-touch = The score has no touch to count. Write at least one.

milestone-look = { $times } of the last { $of_last } is not possible. Use something like 2 of the last 3, and { $most } at most.
milestone-no-such-point = There is no point { $point }. The test has points 1 to { $points }.
milestone-no-points = The test “{ $test }” has no coaching points to look at.
milestone-asked-by-gate = The gate of “{ $skill }” asks for this milestone. Let it ask for another one first.
milestone-would-not-hold = The milestone “{ $milestone }” could not be shown any more. { $fault }

missing-need = { $skill } at { $stage }
missing-milestone = “{ $milestone }”, { $times } of the last { $of_last }
missing-no-milestone = { $milestone } (there is no such milestone)
missing-test = { $test } { $value }, { $times } of the last { $of_last }
missing-gate = its gate

standard-percentiles = Percentiles rise from Building to Stretching, between 0 and 100.
standard-levels-meet = { $band }: each level has to ask for more than the one before it.
standard-falls-with-age = { $level } asks for less in { $older } ({ $old }) than in { $younger } ({ $young }). A standard never falls with age.
standard-too-fast = { $level } in { $band } asks for { $count }: a beat every { $beat_s } s. Nobody that age keeps up a beat shorter than { $least_s } s. Ask for { $most } at most.

note-seen = { $name } says, and we have seen it:
note-working-on = What { $name } is working on now:
note-milestone = “{ $says }”
note-begun = { $name } has begun. What { $name } can do is shown here after the first test.

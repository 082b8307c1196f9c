### Plans: rules that are broken, settings that clash, what a change costs, and why a block is where it is.

broken-sessions = The plan has { $laid } sessions and the curriculum has { $wanted }. Plan the same number.
broken-no-variant = There is no drill “{ $id }” in this curriculum. Choose one that there is.
broken-length = “{ $title }” takes { $least } to { $most } min and has { $minutes } min. Give it { $better } min.
broken-time = Blocks and layout changes take { $used } min, and the session has { $minutes } min. Take { $over } min out.
broken-time-with-tests = Tests, blocks and layout changes take { $used } min, and the session has { $minutes } min. Take { $over } min out.
broken-fit = “{ $title }” does not fit. { $why } Choose another drill.
broken-half = “{ $title }” does not fit on half of the ground with half of the squad. Do it with the whole squad.
broken-beside = “{ $title }” and “{ $beside }” side by side are not two rungs for one skill. Choose another rung.
broken-barred = “{ $title }” cannot be used. { $why } Choose another drill.
broken-bout = “{ $title }” works { NUMBER($seconds, maximumFractionDigits: 0) } s without a pause, and { $most } s is the limit. Shorten its dose, or choose another drill.
broken-long-block = This block takes { $minutes } min, and { $most } min is the limit. Shorten it.
broken-aerial = { $minutes } min of balls out of the air, and { $most } min is the limit. Take { $over } min out.
broken-headers = { $count } headers for each player in week { $week }, and { $most } is the limit. Shorten or remove a block with headers.
broken-cold-start = The session begins with “{ $title }”, which is not a warm-up. Begin with something easier.
broken-new-late = “{ $skill }” is new and comes in the second half. Plan it earlier in the session.
broken-after-contest = “{ $skill }” is contested before it is done on its own here. Put this block before the Contest block.
broken-hard-twice = “{ $title }” is the second very hard block in a row. Put something calmer between them.
broken-twice = “{ $title }” comes twice in this session. Take one of them out, or use another rung.
broken-one-drill = “{ $title }” takes { $minutes } min of this session in several blocks, and { $most } min is the limit for one drill. Shorten it, or use another drill.
broken-lock-gone = “{ $title }” ({ $minutes } min) is locked into this session but is not there. Plan it, or unlock it.
broken-test-early = “{ $test }” is taken before “{ $skill }” was met. Meet it in an earlier session, or take the test later.
broken-ladder = “{ $skill }” comes to { $stage } before { $before } is done. Show { $before } more often in earlier sessions, or move this later.
broken-ladder-first = “{ $skill }” comes to { $stage } before it was shown at { $before }. Show { $before } in an earlier session, or move this later.
broken-ladder-contest = “{ $skill }” begins with Contest here, and Scan is not done yet. Put an easier block of it before this one.
broken-needs = “{ $skill }” needs “{ $need }” at { $stage } first. Move it to a later session.
broken-newness = { $count } new skills in week { $week }, and { $most } is the limit. Move { $over } to another week.

do-minutes = Give { $block } { $minutes } min
do-stage = Do { $block } at { $stage } instead
do-replace = Do “{ $other }” instead of { $block }
do-remove = Remove { $block }
do-show = Show “{ $skill }” on { $date }
do-place = Do { $block } as block { $place } of the session
do-move = Move { $block } to { $date }
do-whole = Do { $block } with the whole squad
do-beside = Do “{ $other }” beside { $block }
do-lock = Lock { $block }
do-unlock = Unlock { $block }
do-forget = Remove the lock of “{ $title }”
do-no-block = a block that is not there any more

clash-goal = “{ $skill }” to { $stage }
clash-session = Session { $session } on { $date } has { $minutes } min, and the shortest drill of this curriculum needs { $least } min.
clash-session-with-tests = Session { $session } on { $date } has { $minutes } min left beside its tests, and the shortest drill of this curriculum needs { $least } min.
clash-strand = You want { $percent } % of the time for { $strand }, and no drill for these goals that fits this ground, kit and squad trains it.
clash-stage = “{ $skill }” is to come to { $goal }, and no drill that fits this ground, kit and squad trains it at { $stage }.
clash-chain = { $goals }: with everything that has to come before, this takes at least { $asked } sessions one after the other, and there are { $sessions }.
clash-circle = { $goals } need each other in a circle, so none of them can begin.
clash-newness = { $goals }: together these are { $asked } new skills, and { $weeks } weeks with { $per_week } new skills a week have room for { $room }.
clash-minutes = { $goals }: together these need at least { $asked } min, and all sessions have { $minutes } min.
clash-looked = { $count ->
    [one] { $goals }: no plan reaches it in these sessions.
   *[other] { $goals }: no plan reaches them together in these sessions.
}
clash-held = No plan keeps all the rules with { $held }.
clash-held-unproved = No plan was found that keeps all the rules with { $held }.
clash-held-lock = “{ $title }” locked into session { $session } on { $date }
clash-held-test = the test “{ $test }” in session { $session } on { $date }

relax-session-minutes = Give the session at least { $minutes } min
relax-drop-session = Remove that session
relax-strand-to-nothing = Set the share of { $strand } to 0 %
relax-goal-in-strand = Add a goal in { $strand }
relax-goal-to = Set the goal to { $stage }
relax-larger-ground = Plan for a larger ground or more markers
relax-drop-goal = Remove the goal
relax-lower-goal = Lower the goal by a stage
relax-lower-one-goal = Lower one of the goals by a stage
relax-add-weeks = Add weeks
relax-add-week = Add a week
relax-add-session = Add a session
relax-further-already = Say that the squad has come further already
relax-drop-one-goal = Remove one of them
relax-more-minutes = Give the sessions more minutes
relax-minutes-more = Give the sessions { $minutes } more minutes altogether
relax-unlock = Unlock one of the blocks
relax-test-later = Take the test in a later session

edit-lasts = “{ $title }” takes { $least } to { $most } min. Use a number between.
edit-no-lock = There are only { $locks } locks. Choose one of them.
edit-no-block = Session { $session } has { $blocks } blocks. Choose one of them.
edit-no-session = There is no session { $session }: the curriculum has { $sessions }. Choose one of them.
edit-no-variant = This curriculum has no drill “{ $id }”. Choose one that it has.
edit-no-stage = No drill that fits trains { $skills } at { $stage }. Choose another stage.
edit-no-goal = This skill is not a goal of the curriculum. Choose one of its goals.
edit-no-drill = No drill that fits this ground, kit and squad trains “{ $skill }”. Write one, or plan for another ground.
edit-unknown-variant = The drill of this block is not known any more. Remove the block.
edit-breaks = This plan breaks a rule in { $places ->
    [one] one place
   *[other] { $places } places
}: solve again.
edit-nothing-to-lay = There is no drill to choose from. Choose another session or skill.

price-nothing = costs nothing
price-more = +{ NUMBER($points, minimumFractionDigits: 1, maximumFractionDigits: 1) }
price-less = −{ NUMBER($points, minimumFractionDigits: 1, maximumFractionDigits: 1) }
price-more-because = +{ NUMBER($points, minimumFractionDigits: 1, maximumFractionDigits: 1) }: { $reasons }
price-less-because = −{ NUMBER($points, minimumFractionDigits: 1, maximumFractionDigits: 1) }: { $reasons }
price-goals-more = a goal is further away
price-goals-less = a goal is nearer
price-strands-more = the strands are further from their shares
price-strands-less = the strands are nearer to their shares
price-rhythm-more = something that is being learned rests too long
price-rhythm-less = less rests too long while it is being learned
price-maintenance-more = something that was reached is not kept up
price-maintenance-less = what was reached is kept up better
price-open-play-more = a week has too little open play
price-open-play-less = more open play where it is wanted
price-jumps-more = a larger jump in difficulty
price-jumps-less = smaller jumps in difficulty
price-repetition-more = more of the same
price-repetition-less = less of the same
price-unused-more = minutes are unused
price-unused-less = fewer minutes are unused
price-other-foot-more = the other foot gets less
price-other-foot-less = the other foot gets more
price-laying-out-more = more laying out
price-laying-out-less = less laying out
price-standing-more = more standing time
price-standing-less = less standing time
price-edge-more = more is too hard or too easy
price-edge-less = less is too hard or too easy
price-focus-more = sessions are less focused
price-focus-less = sessions are more focused
price-arc-more = sessions build up less well
price-arc-less = sessions build up better
price-weekly-more = weekly wishes are missed
price-weekly-less = weekly wishes are met more often
price-short-blocks-more = blocks are shorter than usual
price-short-blocks-less = fewer blocks are shorter than usual
price-evidence-more = a test comes before what it is to show
price-evidence-less = tests come after what they are to show

points-missing = { $skill }: { $count } × { $stage } missing
points-reached = Goals are reached after { $sessions } sessions on average
points-strand = { $strand }: { $percent } % of { $target } %
points-rested = { $skill }: { $days } days before { $date }
points-not-kept = { $skill }: { $days } days until { $date }
points-open-play = Week { $week }: { $percent } % of { $line } %
points-harder = { $skill }: { NUMBER($points, maximumFractionDigits: 1) } harder on { $date }
points-easier = { $skill }: { NUMBER($points, maximumFractionDigits: 1) } easier on { $date }
points-again = “{ $title }” again on { $date }
points-unused = { $date }: { $minutes } min
points-other-foot = { $percent } % of { $touches } touches, { $target } % wanted
points-laying-out = { $changes } layout changes take { $minutes } min, { $percent } % of the time
points-standing = { $percent } % of the time, { $free } % is allowed
points-too-hard = { $minutes } min should come off only { $percent } % of the time; at least { $least } % is wanted
points-too-easy = { $minutes } min should come off { $percent } % of the time; at most { $most } % is wanted
points-weekly = Week { $week }: “{ $what }” comes { $times ->
    [one] once
   *[other] { $times } times
}, { $least } to { $most } were wished
points-off-theme = Week { $week }: { $percent } % of the minutes are for its theme
points-unfocused = { $date }: { $skills } skills, { $most } are enough
points-not-open = { $date }: ends at { $stage } and could end at { $open }
points-easier-after = { $date }: { $blocks ->
        [one] 1 block is
       *[other] { $blocks } blocks are
    } easier than an earlier one of the same skill
points-short = { $blocks } blocks are { $minutes } min shorter than usual altogether
points-early = “{ $test }” on { $date } is to show “{ $skill }” at { $stage }, which is not done by then

short-of-skill = { $skill }: { $exposures }
short-of-stage = { $count } × { $stage }

why-asked-as-goal = “{ $skill }” asked for it: exposure { $nth } of { $of } at { $stage }, which is its goal.
why-asked-on-the-way = “{ $skill }” asked for it: exposure { $nth } of { $of } at { $stage }, on the way to { $goal }.
why-again = It shows “{ $skill }” at { $stage } once more: both blocks of the session count as one exposure.
why-keeps = It keeps up “{ $skill }”: the last time was { $days ->
    [one] one day
   *[other] { $days } days
} before.
why-besides = It also shows “{ $skill }”, which did not ask for it.
why-weekly = “{ $what }” is wished { $least } to { $most } times every week.
why-waited-for-needs = “{ $skill }” had to wait for { $needs }.
why-done-on = “{ $skill }” at { $stage }, done on { $date }
why-waited-for-stage = { $stage } had to wait for { $before }, done on { $date }.
why-waited-for-first = { $stage } had to wait until { $before } had been shown once, on { $date }.
why-opens = After it, { $skills } can begin.
why-comes-off = “{ $skill }”: about { NUMBER($tenths, maximumFractionDigits: 1) } of ten should come off, as wanted ({ $least } to { $most }).
why-comes-off-seldom = “{ $skill }”: about { NUMBER($tenths, maximumFractionDigits: 1) } of ten should come off. That is hard for now: { $least } to { $most } are wanted.
why-comes-off-easily = “{ $skill }”: about { NUMBER($tenths, maximumFractionDigits: 1) } of ten should come off. That is easy by now: { $least } to { $most } are wanted.
why-locked = It is locked here.
why-present-at = The squad is at { $stage } with it already.
why-first-met = It is first met on { $date }.
why-never = It does not come in this plan.
why-need-done = It needs “{ $need }” at { $stage }, which is done on { $date }.
why-need-never-done = It needs “{ $need }” at { $stage }, and this plan does not complete that.
why-full-week = Week { $week } has { $most } new skills already, and there is no room for more.
why-full-weeks = Weeks { $weeks } have { $most } new skills each already, and there is no room for more.
why-earlier-costs = To meet it on { $date } already would cost { NUMBER($points, maximumFractionDigits: 1) } points.
why-earlier-free = It could be met on { $date } already at no cost: press Solve.
why-no-room = No earlier session has room for it without breaking a rule.
why-missing-too-late = { $count } × { $stage } missing: { $before } is done only in the last session.
why-missing-few-left = { $count } × { $stage } missing: { $before } is done on { $date }, and the { $sessions } sessions after it have other things that count more.
why-missing-others = { $count } × { $stage } missing: other things count more in these sessions.

edition-other-days = It runs on other days.
edition-other-ground = The ground, the kit or the squad has changed.
edition-other-approach = The approach has changed.
edition-other-feet = Which foot works has changed.
edition-other-shares = The shares of the strands have changed.
edition-other-themes = Weeks have other themes.
edition-other-weekly = What is wished for every week has changed.
edition-other-mastery = Which skills wait until a squad is ready has changed.
edition-other-tests = Tests are taken in other sessions.
edition-other-minutes = Session { $session }: { $now } min instead of { $then } min.
edition-new-goal = New goal: “{ $skill }” to { $stage }.
edition-other-goal = “{ $skill }” to { $now } instead of { $then }.
edition-no-goal = “{ $skill }” is not a goal any more.
edition-drill-rewritten = The text of “{ $title }” has changed.
edition-block-minutes = Session { $session }: { $block } takes { $now } min instead of { $then } min.
edition-block-moved = Session { $session }: { $block } moves to session { $to }.
edition-block-left-out = Session { $session }: { $block } is left out.
edition-block-added = Session { $session }: { $block } is new.

curriculum-minutes-for-each = There are { $numbers } numbers for { $sessions } sessions. Give one for each.
curriculum-tests-too-long = The tests take { $taken } min, and the session has { $minutes } min. Use 1 to { $minutes } min.
curriculum-test-twice = “{ $test }” is taken twice in this session. Keep one.
curriculum-lock-without-session = There is no session { $session } for this lock. Unlock the block, or put the session back.
curriculum-no-goal = No goal is chosen. Choose at least one skill.
curriculum-need-is-no-goal = “{ $skill }” needs “{ $need }” at { $stage }. Add it to the goals.
curriculum-weekdays = Choose one to seven different weekdays, Monday 1 to Sunday 7.
curriculum-holiday = Week { $week }: name each week without sessions once, 1 to { $weeks }.
curriculum-no-week-left = No week is left with a session. Remove a holiday or a day off.

problem-version = This is version { $version }, and this program reads versions up to { $known }.
problem-order = Sessions come in the order of their dates and weeks. Move this one.
problem-tests-too-long = The tests take { $tests } min of { $minutes } min. Remove one.
problem-no-skill = No skill is called “{ $id }”. Add it to “skills”, or remove it here.
problem-skill-twice = A skill is listed twice. Keep one.
problem-other-id = “{ $id }” is not its drill at its stage. Write “{ $wanted }”.
problem-block-minutes = A block takes 1 to 240 min, and its least is not more than its most.
problem-no-session = There is no session { $session }: there are { $sessions }, counted from 0.
problem-no-variant = No variant is called “{ $id }”. Unlock it, or add it.
problem-no-window = The window has no width. Let it begin below where it ends.
problem-theme-skills = A theme has one to { $most } skills.
problem-weekly-times = Give a smaller number first, and at most { $most } times a week.
problem-no-drill = No variant is of the drill “{ $id }”.
problem-theme-week = Week { $week } has no sessions. Choose another week.
variant-no-stage = “{ $written }” is not a drill at a stage. Write it as weave-there-and-back@flow.

year-untaught = “{ $skill }” begins in { $band } on the map, but no curriculum of the season teaches it.
year-not-reached = “{ $curriculum }” expects “{ $skill }” at { $stage }, which nothing before it reaches.
year-rests = “{ $skill }” rests { $days } days before “{ $curriculum }” takes it up again. By then { $percent } % of the practice is left.
year-share = The share of { $strand } in the minutes of the season is { $percent } %; { $wished } % was wished.
year-begun-twice = “{ $skill }” begins as new, although { $band } already begins it.
year-on-days-off = “{ $curriculum }” has { $sessions ->
    [one] a session on { $date }, which is off
   *[other] { $sessions } sessions from { $date } on days that are off
} ({ $off }). Take them out in its settings, so that what they bring is planned elsewhere.
season-change-too-many = { $team } would have { $players } players, more than { $most }.
season-change-empty = Nobody is left in { $team }.
season-change-no-coach = Nobody coaches { $team } yet.
season-change-one-name = Two players called “{ $name }” would be in { $team }. Choose another team for one of them, or add an initial on their page.
season-change-out-of-ages = { $players ->
    [one] { $players } player is
   *[other] { $players } players are
} outside the ages of { $team }, because you said so.
season-change-no-band = { $players ->
    [one] { $players } player stays
   *[other] { $players } players stay
} in { $team }, because no band has their age.
season-change-unsure = { $players ->
    [one] { $players } player was
   *[other] { $players } players were
} born in the month of the cut-off day. They count as born after it.

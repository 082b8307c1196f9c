### The plan, what is wished for, and publishing.

plan-choose = Curriculum
plan-solve = Solve
plan-solving = Solving…
plan-publish = Publish edition { $n }
plan-saved = saved { $time }
plan-saving = saving…
plan-draft = draft
plan-published = edition { $n } published { $day }
plan-changed = changed since
plan-week = Week { $n }
plan-session = Session { $n }, { $day }, { $minutes } min
plan-minutes-of = Minutes of session { $n }, { $day }
plan-minutes-there = available minutes
plan-shares = Shares
plan-share-of = Share of { $strand } in percent
plan-laid = now { $percent }
plan-sum = { $n } %: must add up to 100
plan-shares-wait = The shares are saved once they add up to 100 %.
plan-missing = { $n } missing
plan-no-plan = No plan yet. Press Solve, and Jogo plans the weeks.
plan-score = Score
plan-score-means = lower is better
plan-price = What the last change cost
plan-part-S1 = Goals
plan-part-S2 = Strands
plan-part-S3 = Rhythm
plan-part-S4 = Maintenance
plan-part-S5 = Open play
plan-part-S6 = Difficulty jumps
plan-part-S7 = Repetition
plan-part-S8 = Unused time
plan-part-S9 = Other foot
plan-part-S10 = Laying out
plan-part-S11 = Standing time
plan-part-S12 = Challenge
plan-part-S13 = Weekly wishes
plan-part-S14 = Focus
plan-part-S15 = Build-up
plan-part-S16 = Short blocks
plan-part-S17 = Evidence
plan-part-means-S1 = { $points } points for each exposure that a goal is missing (half of it on the ladder of the other foot), { $than } for each session until it is reached
plan-part-means-S2 = { $points ->
        [one] { $points } point
       *[other] { $points } points
    } for each percentage point away from the wanted shares
plan-part-means-S3 = { $points ->
        [one] { $points } point
       *[other] { $points } points
    } for each day over { $than } without a skill that is being learned
plan-part-means-S4 = { $points } points for each week over { $than } days without a skill that has reached its goal
plan-part-means-S5 = { $points } points for each percentage point of Scan and Contest that a week is missing
plan-part-means-S6 = { $points } points for each point of difficulty over { $than } from one time to the next
plan-part-means-S7 = { $points ->
        [one] { $points } point
       *[other] { $points } points
    } for the same drill a third session in a row
plan-part-means-S8 = { $points } points for each unused minute
plan-part-means-S9 = { $points } points for each percentage point that the other foot is missing
plan-part-means-S10 = { $points } points for each minute of laying out between blocks
plan-part-means-S11 = { $points } points for each percentage point of standing time over { $than }
plan-part-means-S12 = { $points } points for each percentage point that the expected success lies outside the success window, averaged over all minutes
plan-part-means-S13 = { $points } points for each time too few or too many in a week of what is wished every week
plan-part-means-S14 = { $points ->
        [one] { $points } point
       *[other] { $points } points
    } for each skill too many in a session, { $than } for each percentage point that the theme of the week is short of half ({ $wished } for a theme that you chose)
plan-part-means-S15 = { $points } points for a session that could end with more open play, { $than } for a block that is easier than an earlier one
plan-part-means-S16 = { $points } points for each minute that a block is shorter than usual
plan-part-means-S17 = { $points } points for each stage that a test is to show before it is done
plan-part-weight = It counts { $weight } times in this plan.
plan-nothing = nothing to report
plan-clash = These settings clash
plan-forbids = No plan is possible
plan-relax = What would help:
plan-did-what-it-could = This plan does what is possible.
plan-mend = { $says } ({ $points })
plan-more-breaches = … and { $n } more, marked on the plan
plan-breaches = { $n ->
        [one] { $n } rule
       *[other] { $n } rules
    } broken by this plan
plan-in-session = Session { $n }
plan-stands-running = Running
plan-stands-coming = To come
plan-stands-over = Over
plan-empty = There is no curriculum yet.
plan-make-first = Create the first one
plan-make-new = New curriculum…
plan-undoes = Undoes: { $what }
plan-look-longer = Keep improving
plan-stop = Improving… stop
plan-offer = A better plan was found:
plan-offer-moves = { $moved } of { $blocks } blocks would change their session.
plan-offer-take = Take it
plan-offer-leave = Leave it
plan-week-short = W{ $n }
plan-panels = Panel
plan-panel-session = Session
plan-panel-wishes = Settings
plan-panel-compare = Compare
plan-panel-feet = Feet
plan-feet-about = Touches of one player over the whole plan: the strong foot to the right, the other to the left. Drills on the spot are counted from their scores; the others share their touches among their surfaces.
plan-feet-of = { $surface }: { $strong } with the strong foot, { $other } with the other
plan-panel-forecast = Forecast
plan-stitch = { $stage } { $nth }/{ $of }, { $minutes } min; about { NUMBER($tenths, maximumFractionDigits: 0) } of ten should come off
plan-test-in = Test: { $name }, { $minutes } min
plan-locked = locked
plan-beside-it = for those who move on: { $what }
plan-why = Why is this here?
plan-why-late = Why at that time? { $skill }
plan-without = Without it: { $price }
plan-add-here = Show “{ $skill }” here
plan-block-longer = Longer
plan-block-shorter = Shorter
plan-block-up = Stage up
plan-block-down = Stage down
plan-block-earlier = Earlier
plan-block-later = Later
plan-block-lock = Lock
plan-block-unlock = Unlock
plan-block-remove = Remove
plan-block-instead = Use another drill
plan-block-as-it-is = unchanged
plan-block-beside = At the same time, for those who move on
plan-block-together = everyone does the same
plan-approach-repetition_first = Repetition first
plan-approach-balanced = Balanced
plan-approach-decision_first = Decision first
plan-approach-means-repetition_first = Many clean repetitions alone, opponents last.
plan-approach-means-balanced = A bit of both: clean repetitions first, cues and opponents from the middle on.
plan-approach-means-decision_first = A cue or an opponent almost from the start.
plan-side-equal = Both feet equally
plan-side-other_more = More with the other foot
plan-side-strong_first = Strong foot first
plan-side-not_sided = Does not matter
plan-wishes-about = Every change is saved at once; the plan stays until you press Solve.
plan-wishes-approach = Approach
plan-wishes-times = { $stage }
plan-wishes-open-play-first = Open play at first, %
plan-wishes-open-play-last = At the end, %
plan-wishes-ladder = The next stage begins
plan-ladder-strict = When the stage before is done
plan-ladder-overlapping = When the stage before has begun
plan-ladder-open = Any time, even in the first session
plan-wishes-success-least = One down below, %
plan-wishes-success-most = One up above, %
plan-mastery = Begins
plan-mastery-of = Begins: { $skill }
plan-mastery-none = as planned
plan-mastery-share = once { $share } of a squad pass its gate
plan-mastery-word = when the coach says so
plan-weekly = Every week
plan-weekly-about = Skills or drills that should come up every week, as soon as they can begin.
plan-weekly-what = Skill or drill
plan-weekly-none = choose one
plan-weekly-least = At least
plan-weekly-most = At most
plan-weekly-drop = no longer every week
plan-themes = Theme of the week
plan-themes-about = At least half of each session should go to the theme of its week. Leave it to the plan, or choose what a week is about.
plan-theme-proposed = Left to the plan: { $theme }
plan-theme-none = Left to the plan
plan-theme-and = and
plan-theme-no-more = nothing else
plan-theme-title = { $theme }: { $skills }
plan-theme-of = { $theme } ({ $share } of the minutes)
plan-weights = How much each part counts
plan-weights-about = Every plan is a compromise. Choose what counts more in yours, and what less: from 0 (not at all) to 3 times.
plan-weight-of = Weight of { $part }
plan-weights-plain = Count everything once
plan-wishes-assumptions = Rules of thumb: assumptions until your own results say otherwise.
plan-wishes-side = Which foot
plan-wishes-side-own = as set for each skill
plan-wishes-goals = Goals
plan-line-other-foot = other foot
plan-other-foot = { $name }, other foot
plan-wishes-other-foot = Other foot
plan-wishes-other-foot-waits = waits for the strong foot
plan-wishes-not-parted = Both feet progress together: for at least one stage, no drill works one foot alone.
plan-wishes-present = The squad is at
plan-wishes-not-met = not met yet
plan-wishes-goal = Goal
plan-wishes-take-out = Remove { $what }
plan-wishes-from-squads = What do today’s milestones say?
plan-wishes-from-nobody = choose a squad…
plan-wishes-all-squads = all squads of the band
plan-wishes-stands = { $skill }: { $before } → { $now }
plan-wishes-stands-alike = The squad is where these settings say.
plan-wishes-take-stands = Start from there ({ $n ->
        [one] { $n } skill
       *[other] { $n } skills
    })
plan-wishes-add-goal = Add a skill
plan-wishes-choose-skill = choose…
plan-wishes-when = When
plan-wishes-start = First day
plan-wishes-weeks = Weeks
plan-wishes-weekdays = Weekdays
plan-wishes-holidays = Weeks without sessions
plan-wishes-day-off = Add a day off
plan-wishes-last-shown = Last shown on { $day }.
plan-wishes-before-planned = The curricula before, as planned
plan-wishes-before-forecast = The curricula before, as forecast
plan-making-before-about = Each skill begins where the curricula of the band before this one end, and its rest counts from when it was last shown.
plan-making-terms = Terms
plan-making-term = { $term } { $season }, from { $first }
plan-wishes-save-season = Move the plan to this season
plan-wishes-season-moves = Sessions that stay keep their blocks; new ones are empty until you press Solve.
plan-wishes-tests = Tests
plan-wishes-min = min
plan-wishes-test-session = In session
plan-wishes-add-test = Add a test
plan-wishes-choose-test = choose…
plan-wishes-where = Name, ground and squad
plan-wishes-name = Name
plan-wishes-ground-width_m = Width m
plan-wishes-ground-depth_m = Depth m
plan-wishes-ground-margin_m = Margin m
plan-wishes-ground-run_off_m = Run-off m
plan-wishes-ground-squad = Squad
plan-wishes-ground-markers = Markers
plan-wishes-ground-adults = Adults
plan-wishes-ground-wall = A wall or board gives the ball back
plan-wishes-files = For other programs
plan-wishes-file-problem = What is asked of a plan (JSON)
plan-wishes-file-plan = This plan (JSON)
plan-wishes-replan = Plan from scratch
plan-wishes-replan-means = Reconsiders everything except what is locked. Solve stays close to the current plan.
plan-compared-about = This plan ({ $name }) next to one with the same settings and another approach, or next to an edition. Nothing changes until you use it.
plan-compared-draft = This plan
plan-compared-edition = Edition { $number }
plan-compared-shared = { $shared } of { $blocks ->
        [one] { $blocks } block
       *[other] { $blocks } blocks
    } are in the same place.
plan-compared-with = Compare with
plan-compared-own-numbers = own numbers
plan-compared-minutes-at = Minutes at { $stage }
plan-compared-meets = What the children meet, and when
plan-compared-meets-means = The week in which each stage begins: this plan above, the other below.
plan-compared-never = never
plan-compared-take = Use the plan “{ $name }”
plan-forecast-sum = At the end { $share } of all goals are reached; in eight of ten squads between { $low } and { $high }.
plan-forecast-about = { $players ->
        [one] { $players } virtual player
       *[other] { $players } virtual players
    } in squads of { $squad }, if everything happens as planned.
plan-forecast-came-off = It counts with what came off for the squads that run it: { $came } of ten, { $expected } were expected ({ $n ->
        [one] one block
       *[other] { $n } blocks
    }; θ { $theta }, 90%: { $least } to { $most }).
plan-forecast-dots = Dots: what { $squads ->
        [one] { $squads } squad
       *[other] { $squads } squads
    } following it have reached so far, of the { $goals } of { $of ->
        [one] { $of } goal
       *[other] { $of } goals
    } that milestones can show. Dotted line: the forecast for the same goals.
plan-forecast-no-dots = No squad that follows it has results yet.
plan-forecast-dot = Reached by week { $week }: { $share }, forecast { $foreseen }
plan-forecast-now = now { $had } of { $of ->
        [one] { $of } player
       *[other] { $of } players
    }, forecast { $foreseen }
plan-forecast-rate-seen = results give a rate of { $rate } ({ $steps ->
        [one] { $steps } step
       *[other] { $steps } steps
    } in { $exposures ->
        [one] { $exposures } exposure
       *[other] { $exposures } exposures
    })
plan-forecast-seen = Results of squads in this band cover { $skills ->
        [one] { $skills } skill
       *[other] { $skills } skills
    }. The rate for all skills weighs as much as 20 exposures of one player against them.
plan-forecast-take = Use these rates
plan-forecast-taken = These rates are in use.
plan-forecast-chart = Goals reached by week, in percent
plan-forecast-skill = Skill
plan-forecast-end = at the goal
plan-forecast-rate = rate
plan-forecast-rate-of = Rate of { $skill }
plan-forecast-assumes = Assumptions
plan-forecast-rate-all = Rate for all skills
plan-forecast-present = Come to a session, %
plan-forecast-coming = { $share } of the players came, in { $n ->
        [one] one session
       *[other] { $n } sessions
    } of which that was said.
plan-forecast-take-coming = Count with that
plan-forecast-spread = How much players differ
plan-forecast-means = At rate 1, six minutes of work on something without difficulty move 63 of 100 players to the next stage; each point of difficulty slows that by 15 %. A break of four weeks halves what was gained within a stage.
plan-making-title = New curriculum
plan-making-steps-whom = For whom
plan-making-steps-what = From what
plan-making-steps-when = When
plan-making-steps-how = How
plan-making-band = { $minutes } min a session, { $n ->
        [one] { $n } new skill
       *[other] { $n } new skills
    } a week
plan-making-nothing = There is no template and no earlier season for this band, and no skill begins in it. Add skills under Progressions first.
plan-making-template = Template: { $name }
plan-making-again = Copy of { $name }
plan-making-skills = The skills that begin in { $band }
plan-making-contains = { $start ->
        [none] { $weeks ->
            [one] { $weeks } week
           *[other] { $weeks } weeks
        } × { $days }, { $goals ->
            [one] { $goals } skill
           *[other] { $goals } skills
        }
       *[other] { $weeks ->
            [one] { $weeks } week
           *[other] { $weeks } weeks
        } × { $days }, { $goals ->
            [one] { $goals } skill
           *[other] { $goals } skills
        }, began { $start }
    }
plan-making-minutes = Minutes per session
plan-making-name = Name
plan-making-approach-there = as before
plan-making-approach-there-means = With the numbers of the curriculum it is based on.
plan-making-ground = Ground, kit and squad
plan-making-own-ground = as before
plan-making-largest-ground = the largest there is
plan-making-no-ground = a small hall, until you add your own
plan-making-present = Where the squads are now
plan-making-as-written = as written there
plan-making-not-met = nothing met yet
plan-making-of-band = as shown by all squads of { $band }
plan-making-of-team = as shown by { $team }
plan-making-present-about = Each skill starts at the stage that two out of three players have reached by their milestones. Skills without a milestone start as written.
plan-making-back = Back
plan-making-next = Next
plan-making-create = Create it and plan
plan-making-laying = Planning…
plan-changes-title = Changed since edition { $n }
plan-publish-title = Publish edition { $n } of “{ $name }”?
plan-publish-says = Every team in this band gets it at once. An edition never changes: later changes come as the next edition.
plan-note = A note for the coaches (optional)
plan-publish-go = Publish
plan-tour-lines = Each line is a skill, and each stitch on it is a session that practises it. A tall stitch is a long one; its fill is the stage.
plan-tour-change = Select a stitch and change it, or drag it: the cost appears above at once. Press Solve, and Jogo repairs the plan around what is locked.
plan-tour-session = Select a session to see its running order, kit and ground. When it looks right, publish it to the clubs.
plan-tour-next = Next
plan-tour-done = Got it

plan-testing = How it is to be measured
plan-testing-before = Before
plan-testing-on_the_way = On the way
plan-testing-at_the_end = At the end
plan-testing-most_in_session = most min in a session
plan-testing-most_in_all = most min in all
plan-testing-means = { $n ->
    [0] No test is planned yet.
    [one] One test is planned, { $minutes } min.
   *[other] { $n } tests are planned, { $minutes } min in all.
} Tests are placed when you press Solve; a pinned one stays in its session.
plan-test-laid = placed in session
plan-test-pinned = pinned to session
plan-test-pin = Keep here
plan-density = How close the plan is shown
plan-density-fit = Fit
plan-density-close = Close
plan-delivered = { $share } of what was logged was done
plan-looks = What the plan is shown as
plan-look-weeks = Weeks
plan-look-benchmarks = Benchmarks

benchmarks-title = Benchmark map
benchmarks-head = { $shown } of { $of } goals can be shown by week { $week }
benchmarks-can-be-shown = goals can be shown by week { $week }
benchmarks-goal = Goal
benchmarks-shown-by = Shown by
benchmarks-practised = Practised before
benchmarks-so-far = So far
benchmarks-foreseen = Foreseen
benchmarks-can = By the end
benchmarks-yes = yes
benchmarks-not-yet = not yet
benchmarks-none = No milestone at { $stage } yet
benchmarks-behind = Taken to be there already
benchmarks-taken = { $test }: { $when }
benchmarks-not-taken = { $test }: in no session yet
benchmarks-looked-for = Looked for in { $n ->
    [one] one session, on { $day }
   *[other] { $n } sessions, from { $day }
}
benchmarks-not-seen = No session to look for it yet
benchmarks-looks = Milestones that a coach judges ask for { $asked ->
        [one] { $asked } look
       *[other] { $asked } looks
    } at a squad of { $n }.
benchmarks-looks-all = At four players a block and two blocks a session, all of them find room.
benchmarks-looks-missing = At four players a block and two blocks a session, { $missing } of them will be missing.
benchmarks-looks-short = { $missing ->
        [one] { $missing } look finds no room
       *[other] { $missing } looks find no room
    }
benchmarks-no-standard-here = no standard for this band
benchmarks-no-findings = Every goal has a milestone, and every milestone a session that can show it.
benchmarks-findings = { $n ->
    [one] One thing keeps goals from being shown
   *[other] { $n } things keep goals from being shown
}
benchmarks-mend-milestone = Propose a milestone
benchmarks-mend-points = Add points to be seen
benchmarks-mend-schedule = Take it on { $when }
benchmarks-mend-move = Move it to { $when }
benchmarks-mend-standard = Begin a standard
benchmarks-mend-from-results = Take the standard from results
benchmarks-mend-goal = Make it a goal
benchmarks-proposed-title = A milestone for “{ $skill }” at { $stage }
benchmarks-propose-form = I can do “{ $skill }” slowly, without losing the ball
benchmarks-propose-flow = I can do “{ $skill }” in rhythm and on the move
benchmarks-propose-scan = I can do “{ $skill }” and look up
benchmarks-propose-contest = I can do “{ $skill }” against a defender and keep the ball
benchmarks-new-points = These points are looked for, in a new test. Empty lines are left out.
benchmarks-points-of = All points of “{ $test }” are looked for.
benchmarks-point = Point { $n }
benchmarks-test-name = { $skill }, seen
benchmarks-test-how = In an ordinary block: look at one player at a time.

plan-forecast-can-be-shown = can be shown by the end
plan-forecast-not-shown = cannot be shown yet

## The curriculum as a book

book-title = Curriculum as a book
book-open = Read or print it as a book
book-open-band = The band’s curricula as a book
book-parts = What is in it
book-part-approach = How we teach
book-part-year = Weeks at a glance
book-part-weeks = Week by week
book-part-skills = Skills and milestones
book-part-tests = Tests and levels
book-part-kit = Kit and safety
book-part-parents = A page for parents
book-paper = Paper
book-none = Open a curriculum or a band of the year, and choose its book there.
book-span = { $band }, { $first } to { $last }
book-draft = draft
book-contents = Contents
book-contents-of = Contents: { $name }
book-approach = How we teach
book-stages = A skill grows in four stages. Each needs several sessions; a session counts once.
book-stage = { $stage }: { $means }, in { $n ->
    [one] { $n } session
   *[other] { $n } sessions
}.
book-ladder-strict = The next stage begins when the one before is done.
book-ladder-overlapping = The next stage may begin once the one before has begun.
book-ladder-open = Any stage may come at any time, even in the first session.
book-open-play = At least { $first } of the minutes are play with open decisions at first, { $last } at the end.
book-success = If less than { $least } of the tries come off, the drill is made easier; above { $most }, harder.
book-shares = So the minutes are shared:
book-year = Weeks at a glance
book-column-week = Week
book-column-sessions = Sessions
book-column-theme = Theme
book-column-tests = Tests
book-day = { $day } ({ $minutes } min)
book-week-theme = Week { $n }: { $theme }
book-session = { $day }, session { $n }, { $minutes } min
book-skills = Skills and milestones
book-from-to = from { $from } to { $to }
book-new-to = new, to { $to }
book-measured = { $test }: { $reach } with { $feet }, on { $times } of the last { $of ->
    [one] { $of } date
   *[other] { $of } dates
}
book-seen = { $test }: seen on { $days ->
    [one] { $days } day
   *[other] { $days } days
}
book-tests = Tests and levels
book-level-from = { $level } from { $value }
book-level-to = { $level } up to { $value }
book-taken = Taken on { $days }
book-kit = Kit and safety
book-kit-about = The most that any session needs.
book-parents-title = What your child learns: { $name }
book-parents-about = From { $first } to { $last }, in { $sessions } sessions. Every child learns at its own speed; these sentences are where the way leads.
book-parents-home = Ten minutes with a ball at home help most. Ask the coach for the code of the practice page: it shows how the feet move.

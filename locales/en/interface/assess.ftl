### Squads, tests, milestones, groups, standards and levels.

board-open = Squad board
board-open-of = Squad board of { $team }
board-view = Show
board-views-board = Board
board-views-groups = Groups
board-views-list = Results
board-views-handover = Handover
board-milestones = Milestones
board-player = Player
board-other-foot = Other foot
board-next-week = For week { $week }, from { $from }
board-no-week = There is no session ahead: groups are based on all milestones of the band.
board-state-not_seen = not seen
board-state-on_the_way = on the way
board-state-met = met
board-state-kept = kept
board-state-slipped = slipped
board-state-means-not_seen = no evidence yet
board-state-means-on_the_way = some evidence
board-state-means-met = the evidence is there
board-state-means-kept = shown again three weeks later
board-state-means-slipped = was there, but not on the last two dates
board-since = since { $day }
board-cell = { $player }, { $milestone }: { $state }
board-group-move_on = Move on
board-group-other_foot = Other foot
board-group-consolidate = Consolidate
board-group-means-move_on = Has everything for this week: one up.
board-group-means-other_foot = Has it with the strong foot; the other foot is clearly behind.
board-group-means-consolidate = Stay with it until it is there.
board-nobody = nobody
board-nothing-seen = nothing seen yet
board-missing = { $more ->
        [0] still: { $names }
       *[other] still: { $names } and { $more } more
    }
board-all-met = { $n ->
        [one] has it
       *[other] has all { $n }
    }
board-behind = { $test }: other foot { $percent } behind
board-feet = { $called ->
        [yes] { $test }: other foot { $percent } behind
       *[other] { $test }: other foot { $percent } behind, within test error
    }
board-sort = Order
board-sorts-list = squad list
board-sorts-decide = what to decide next
board-overridden = { $by } says so since { $day }:
board-evidence = By the evidence alone: { $state }.
board-say-otherwise = Do you see it differently?
board-away = Was away whenever this was shown: { $skills }
board-reason = Why? This is kept, with your name.
board-verdict-met = Can do it
board-verdict-not_yet = Not yet
board-verdict-as_evidence = Back to the evidence
board-reason-missing = Please give a reason first, in a few words.
board-progress-sheet = Progress sheet
board-progress-sheets = Print progress sheets
board-print = Print
board-empty = There are no milestones for this band yet.

progress-back = Back to the squad
progress-lines = The four strands so far
progress-had = { $n } of { $of }
progress-can-do = Can do
progress-results = Results
progress-test = Test
progress-last = Last
progress-change = Change
progress-real = a real change
progress-noise = within test error
progress-unknown = too few pairs to tell
progress-today = today: { $level }
progress-near = close to the line: { $level } with { $percent }
progress-touch = a touch every { NUMBER($seconds, minimumFractionDigits: 2, maximumFractionDigits: 2) } s
progress-both-feet = Both feet
progress-away = Was away whenever this was shown: { $skills }.
progress-next = What comes next
progress-ready = ready
progress-missing = still: { $what }
progress-unspoken = no milestone covers { $what }: your eye decides
progress-note = For the guardians
progress-data = Stored data
progress-export = Download everything that is stored
progress-correct = Correct the details
progress-correct-name = Name
progress-correct-born = Born (year and month)
progress-correct-foot = Strong foot
progress-foot-left = Left
progress-foot-right = Right
progress-correct-save = Save
progress-move = Move to another team
progress-move-about = { $name } moves to another squad with everything that is kept. Coaches of this squad will no longer see it.
progress-move-to = New team
progress-move-choose = Choose a team
progress-move-none = You look after no other team. Ask your club lead or the technical director.
progress-move-go = Move
progress-leave = Has left the squad
progress-leave-about = { $name } is no longer in the squad. Everything that is kept is erased after the time that the academy has set; until then { $name } can come back with it.
progress-waits = Deleted. A copy is being read just now, so a file on the server still holds traces. Jogo removes them by itself as soon as it can.
left-title = Left the squad
left-line = { $name }, left { $left }, erased on { $erased }
left-return = Back in the squad
progress-erase = Delete this player
progress-erase-about = Deletes { $name } and every result, permanently. What remains of the team’s sessions names nobody. Notes that you wrote yourself stay: please check them.
progress-erase-sure = Type the name to confirm
progress-keep = Cancel

standards-tests = Tests
standards-no-bands = no standard yet
standards-bands = { $first } to { $last }
standards-results = { $n ->
        [one] { $n } result
       *[other] { $n } results
    }
standards-no-results = No results within a year.
standards-no-standard = No standard yet.
standards-begin = Set a standard for { $band }
standards-from = since { $day }
standards-handle = { $level } begins, { $band }
standards-repeat = Test reliability
standards-typical-error = Typical error
standards-smallest-real = Smallest real change (MDC95)
standards-bias = Second try compared with the first
standards-variation = As a share of the mean
standards-agreement = Agreement (ICC 2,1)
standards-pairs = { $n ->
        [one] { $n } pair
       *[other] { $n } pairs
    }
standards-old = now
standards-thought = as moved
standards-quarters = By quarter of birth
standards-quarter-1 = oldest
standards-quarter-2 = 2nd
standards-quarter-3 = 3rd
standards-quarter-4 = youngest
standards-quarter-about = Secure or better. Children born late in the year are compared with older ones.
standards-suggestion = What the results suggest
standards-percentiles = Levels begin at these percentiles of the results
standards-take = Use the suggestion
standards-take-all = Use all suggestions
standards-raw = own results give { $value } ({ $low } to { $high })
standards-tempo = From touch to touch
standards-tempo-touch = { NUMBER($seconds, minimumFractionDigits: 2, maximumFractionDigits: 2) } s
standards-tempo-measured = Results show { NUMBER($seconds, minimumFractionDigits: 2) } s a beat (the median of { $n }). The band’s fast tempo is { NUMBER($fast, minimumFractionDigits: 2) } s.
standards-tempo-few = Too few results to show a tempo. The band’s fast tempo is { NUMBER($fast, minimumFractionDigits: 2) } s a beat.
standards-holds-from = Valid from
standards-set = Set the standard
standards-reset = Undo changes
standards-set-done = Set for { $bands ->
        [one] { $bands } band
       *[other] { $bands } bands
    }. Old results keep the level they had on their day.
standards-milestones = Milestones based on it
standards-no-milestones = None yet.
standards-add-milestone = Add a milestone
standards-since = since { $day }: { $thresholds }
standards-drop-milestone = Remove it
standards-making-title = New milestone for { $band }
standards-making-value = At least this value
standards-making-says = What a child can say
standards-making-example = I can weave there and back with either foot
standards-making-short = Short name
standards-making-stage = Stage it shows
standards-making-evidence = Evidence
standards-making-level = At least
standards-making-feet = With
standards-making-foot-both = both feet
standards-making-foot-either = either foot
standards-making-foot-strong = the strong foot
standards-making-foot-other = the other foot
standards-making-times = Dates
standards-making-of-last = of the last
standards-making-days = Days
standards-making-keep = Save
standards-write = New test
standards-change-test = Change the test
standards-writing-fresh = New test
standards-writing-change = Change “{ $name }”
standards-writing-name = Name
standards-writing-short = Short name
standards-writing-skill = Skill it shows
standards-writing-choose-skill = choose…
standards-writing-how = Instructions, in one or two sentences
standards-writing-how-example = Weave through six markers and back. A missed marker costs a second.
standards-writing-recorded = What is recorded
standards-writing-fixed = Results have been taken with this test, so what it records cannot change. To measure something else, create a new test.
standards-writing-protocol = Protocol
standards-writing-kind-count = how many in a given time
standards-writing-kind-course = seconds for a course
standards-writing-kind-streak = how many in a row
standards-writing-kind-hits = hits out of a number of tries
standards-writing-kind-bounces = bounces before control, averaged
standards-writing-kind-distance = metres
standards-writing-kind-points = points that a coach looks for
standards-writing-seconds = Time, s
standards-writing-penalty = A missed marker costs, s
standards-writing-streak-cap = Stop at
standards-writing-of = Tries
standards-writing-services = Services
standards-writing-bounce-cap = Bounces counted at most
standards-writing-better = Better is
standards-writing-betters-higher = farther
standards-writing-betters-lower = nearer
standards-writing-points = Points, one per line
standards-writing-points-example = knees are bent
    ball stays within a step
    looks up before the turn
standards-writing-points-fixed = There are still { $n } points; you may change the wording.
standards-writing-per-side = each foot separately
standards-writing-trials = Tries per day
standards-writing-summary = What counts
standards-writing-summaries-best = the best
standards-writing-summaries-mean = the mean
standards-writing-summaries-median = the median
standards-writing-rest = Rest between, s
standards-writing-least = Lowest
standards-writing-most = Highest
standards-writing-layout = Markers to set out, as on the drill desk (optional)
standards-writing-layout-example = mark A red
    player P
    ball
    walk 3
    mark B blue
    path dribble A -> B -> A
standards-writing-counted = Counted beat by beat
standards-writing-counted-none = not said
standards-writing-counted-touches = every touch counts as one
standards-writing-counted-rounds = every whole round counts as one
standards-writing-counted-about = With this, every result shows its tempo, and you are warned when a standard asks for more than feet can do.
standards-writing-keep = Save the test
standards-writing-drop = Remove the test
standards-keys = Arrow keys move a threshold by one step, with Shift by ten.
standards-history = Earlier standards

gates-about = Timing gates connect to this test over the network and send in the times.
gates-open = Let gates connect
gates-there = The gates are connected.
gates-away = Enter this address in the gates:
gates-waiting = No run yet.
gates-running = running…
gates-entered = entered
gates-doubtful = Doubtful, please run again
gates-doubt-line_missing = a message from the gates is missing
gates-doubt-no_start = no start
gates-doubt-no_stop = no stop
gates-doubt-started_twice = started twice
gates-doubt-said_twice = two different messages with one number
gates-doubt-clock_went_back = the stop is not after the start
gates-doubt-out_of_range = the time cannot be right

squad-title = { $n ->
        [one] { $n } player
       *[other] { $n } players
    }
squad-none = Your squad is empty. Import players from a spreadsheet or a CSV file: name, birth month, strong foot.
squad-load = Import players
squad-export = Download the list:
squad-point = Which column is which?
squad-column = column { $n }
squad-column-of-name = Name
squad-column-of-birth_month = Birth month
squad-column-of-strong_foot = Strong foot
squad-choose-column = choose a column
squad-columns = name, birth month, strong foot
squad-example = See an example file
squad-nothing-yet = Nothing has been saved yet.
squad-line = line { $n }
squad-ready = { $n ->
        [one] { $n } player
       *[other] { $n } players
    } can be added
squad-faulty = { $n ->
        [one] { $n } row
       *[other] { $n } rows
    } cannot
squad-add = Add { $n ->
        [one] { $n } player
       *[other] { $n } players
    }
squad-leave-out = and leave out { $n ->
        [one] { $n } row
       *[other] { $n } rows
    }
squad-added = { $n ->
        [one] { $n } player
       *[other] { $n } players
    } added.
squad-strong = { $side ->
        [left] left foot
       *[right] right foot
    }
squad-born = born
squad-no-results = no results yet
squad-choose = Choose a file
squad-large = This file is too large for a squad list: 200 kB at most.

test-title = Test
test-no-squad = Import your squad first, then test it.
test-to-squad = Go to the squad
test-round = Round { $n }
test-before = last: { $value }
test-enter = Enter
test-entry = { $side ->
        [left] { $player }, left foot, round { $round }
        [right] { $player }, right foot, round { $round }
       *[other] { $player }, round { $round }
    }
test-delete = Delete digit
test-out-of-range = Between { $least } and { $most }.
test-whole = A whole number.
test-finer = To { NUMBER($step, maximumFractionDigits: 2) }.
test-sure = Far from the last result, { $before }. Are you sure? Press Enter again to keep it.
test-rest = { $seconds } s rest between tries
test-services = all bounces of { $n } services together
test-mean = { $value } each
test-tools = Enter with
test-tool-keys = Keys
test-tool-stopwatch = Stopwatch
test-tool-tapper = Tapper
test-tool-ticks = Ticks
test-tool-points = Points
test-tool-gates = Gates
test-start = Start (space)
test-stop = Stop (space)
test-lap = Lap (L)
test-missed = { $seconds ->
        [0] Missed marker (M): 0
       *[other] Missed marker (M): +{ $seconds } s
    }
test-tap = Tap (space)
test-over = Time is up
test-one-less = −1
test-clock = Start the clock
test-hit = Hit (space)
test-miss = Miss (X)
test-tick-back = Undo
test-ticked = { $hits } hits in { $tries } tries, { $of } in total
test-mark-0 = not seen
test-mark-1 = partly
test-mark-2 = seen
test-mark-short-0 = no
test-mark-short-1 = ½
test-mark-short-2 = yes
test-on = Results from
test-on-paper = entered from paper
test-paper = Print sheet
test-lists = Results as a list
test-read-list = Import a list
test-list-columns = player, test, side, day, value: one line per try
test-will-read = { $n ->
        [one] { $n } line
       *[other] { $n } lines
    } can be imported
test-faulty-lines = { $n ->
        [one] { $n } line
       *[other] { $n } lines
    } cannot
test-read-in = Import { $n ->
        [one] { $n } line
       *[other] { $n } lines
    }
test-was-read = { $n ->
        [one] { $n } line
       *[other] { $n } lines
    } imported.
test-complete = All entered.
test-back = All tests
test-no-standard = There is no standard for today: results are kept, levels come later.
test-left = L
test-right = R

levels-title = Levels
levels-between = between { $low } and { $high }
levels-band = Band
levels-view = Show
levels-views-milestones = Milestones
levels-views-tests = Tests
levels-about-milestones = How many players have each milestone, by the evidence and the word of their coach. The line shows how certain the share is.
levels-about-tests = Players by level, from each player’s latest result under the standard of that day.
levels-milestones = Clubs and milestones
levels-all-clubs = All clubs
levels-have = { $n } of { $of }
levels-none = No team of this band has players yet.
levels-without = { $n } not tested
levels-players = { $n ->
        [one] { $n } player
       *[other] { $n } players
    }
levels-secure = Secure or above
levels-club = Club
levels-counts = { $level }: { $n }
levels-few = few results: read with care

board-scrolls = Table that scrolls sideways
levels-promised = What this term promises
levels-others = Others
progress-promised = What this term promises
progress-others = Other milestones
progress-later = { $n ->
    [one] One more milestone belongs to another term.
   *[other] { $n } more milestones belong to other terms.
}
standards-none = There is no test yet. A test says how well a skill is done, and its standards say what is good at which age.
levels-no-bands = There is no band yet. Levels show how far the clubs have come, band by band.

## Handover

handover-to = What these { $players } players bring to “{ $name }” (from { $day }).
handover-to-draft = What these { $players } players bring to the draft “{ $name }” (from { $day }).
handover-to-none = What these { $players } players bring. No curriculum for them is published yet.
handover-short = Expected, and not there for everybody
handover-skill = { $skill }, { $stage }
handover-have = { $have } of { $of } have it
handover-needed-by = Needed for { $skills }
handover-not-yet = Not yet: { $names }
handover-at = { $name } ({ $stage })
handover-unseen = Not looked at: { $names }
handover-bridge = { $n ->
    [one] Bridge: show it { $n } more time
   *[other] Bridge: show it { $n } more times
} within the first three weeks ({ $sessions } sessions).
handover-there = Expected, and everybody has it
handover-unspoken = Expected, but no milestone shows it: use your own eyes
handover-foot = Other foot behind
handover-new = New here
handover-new-from = { $name } (from { $team })
handover-milestones = Milestones
handover-milestone = Milestone
handover-head-have = have it
handover-head-slipped = slipped
handover-head-on_the_way = on the way
handover-head-never_seen = never looked at
handover-nobody = { $n ->
    [one] { $n } more at which nobody has been looked yet.
   *[other] { $n } more at which nobody has been looked yet.
}

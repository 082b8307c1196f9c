### Squads, tests, milestones, groups, standards and levels.

board-open = Squad board
board-open-of = Squad board of { $team }
board-view = Show
board-views-board = Board
board-views-groups = Groups
board-views-list = Results
board-milestones = Milestones
board-player = Player
board-other-foot = Other foot
board-next-week = For week { $week }, from { $from }
board-no-week = No evening lies ahead: groups go by all milestones of the band.
board-state-not_seen = not seen
board-state-on_the_way = on the way
board-state-met = met
board-state-kept = kept
board-state-slipped = slipped
board-state-means-not_seen = no evidence yet
board-state-means-on_the_way = some evidence
board-state-means-met = the evidence is there
board-state-means-kept = there again three weeks later
board-state-means-slipped = was there, and the last two dates say otherwise
board-since = since { $day }
board-cell = { $player }, { $milestone }: { $state }
board-group-move_on = Move on
board-group-other_foot = Other foot
board-group-consolidate = Consolidate
board-group-means-move_on = Everything of this week is there: one up.
board-group-means-other_foot = The strong foot is there, the other one is clearly behind.
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
       *[other] { $test }: other foot { $percent } behind, within the noise of the test
    }
board-sort = In the order of
board-sorts-list = the squad list
board-sorts-decide = what to decide next
board-overridden = { $by } says so since { $day }:
board-evidence = By the evidence alone: { $state }.
board-say-otherwise = You see it differently?
board-reason = Why? It is kept, with your name.
board-verdict-met = Can do it
board-verdict-not_yet = Not yet
board-verdict-as_evidence = Back to the evidence
board-reason-missing = Write a reason first, in a few words.
board-passport = Passport
board-passports = Print passports
board-print = Print
board-empty = No milestone has been set for this band yet.

passport-back = To the squad
passport-lines = The four lines so far
passport-had = { $n } of { $of }
passport-can-do = Can do
passport-results = Results
passport-test = Test
passport-last = Last
passport-change = Change
passport-real = a real change
passport-noise = within the noise of the test
passport-unknown = too few pairs to say
passport-today = today: { $level }
passport-near = near the line: { $level } with { $percent }
passport-both-feet = Both feet
passport-next = What comes next
passport-ready = ready
passport-missing = still: { $what }
passport-unspoken = no milestone speaks of { $what }: your eye decides
passport-note = For the guardians
passport-data = What is kept
passport-export = Everything that is kept, as a file
passport-erase = Erase this player
passport-erase-about = Erases { $name } with every result, for good. What remains of the team's evenings names nobody. Lines of note that you wrote yourself stay: look through them.
passport-erase-sure = Write the name to go on
passport-keep = Keep

standards-tests = Tests
standards-no-bands = no standard yet
standards-bands = { $first } to { $last }
standards-results = { $n ->
        [one] { $n } result
       *[other] { $n } results
    }
standards-no-results = No results within a year.
standards-no-standard = No standard yet.
standards-begin = Begin a standard for { $band }
standards-from = since { $day }
standards-handle = { $level } begins, { $band }
standards-repeat = How well it repeats itself
standards-typical-error = Typical error
standards-smallest-real = Smallest real difference
standards-bias = Second try against the first
standards-variation = Of the mean
standards-agreement = Agreement, ICC(2,1)
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
standards-quarter-about = Secure or better. Children born late in the year are judged against older ones.
standards-suggestion = Where the results would put it
standards-percentiles = Levels begin at these percentiles of the results
standards-take = Take the suggestion
standards-take-all = Take all suggestions
standards-raw = own results say { $value } ({ $low } to { $high })
standards-holds-from = Holds from
standards-set = Set the standard
standards-reset = Back to what holds
standards-set-done = Set for { $bands ->
        [one] { $bands } band
       *[other] { $bands } bands
    }. Old results keep the level of their day.
standards-milestones = Milestones that rest on it
standards-no-milestones = None yet.
standards-add-milestone = Add a milestone
standards-since = since { $day }: { $thresholds }
standards-drop-milestone = Take it out
standards-making-title = A milestone for { $band }
standards-making-value = At least this value
standards-making-says = What a child can say
standards-making-example = I can weave there and back with either foot
standards-making-short = In a narrow table
standards-making-stage = Stage that it shows
standards-making-evidence = What meets it
standards-making-level = At least
standards-making-feet = With
standards-making-foot-both = both feet
standards-making-foot-either = either foot
standards-making-foot-strong = the strong foot
standards-making-foot-other = the other foot
standards-making-times = Dates
standards-making-of-last = of the last
standards-making-days = Days
standards-making-keep = Keep it
standards-write = Write a test
standards-change-test = Change the test
standards-writing-fresh = A new test
standards-writing-change = Change “{ $name }”
standards-writing-name = Name
standards-writing-short = In a narrow table
standards-writing-skill = Skill that it shows
standards-writing-choose-skill = choose…
standards-writing-how = How it is taken, in one or two sentences
standards-writing-how-example = Weave through six markers and back. A marker that is left out costs a second.
standards-writing-recorded = What is recorded
standards-writing-fixed = Results were taken with it, so what it records stays. To measure something else, write a new test.
standards-writing-protocol = Protocol
standards-writing-kind-count = how many in a time
standards-writing-kind-course = seconds for a course
standards-writing-kind-streak = how many in a row
standards-writing-kind-hits = hits of so many tries
standards-writing-kind-bounces = bounces before control, the mean of some services
standards-writing-kind-distance = metres
standards-writing-kind-points = points that a coach sees
standards-writing-seconds = Time, s
standards-writing-penalty = A missed marker costs, s
standards-writing-streak-cap = Nobody goes on beyond
standards-writing-of = Tries
standards-writing-services = Services
standards-writing-bounce-cap = Most bounces that count
standards-writing-better = Better is
standards-writing-betters-higher = farther
standards-writing-betters-lower = nearer
standards-writing-points = Points, one a line
standards-writing-points-example = knees are bent
    ball stays within a step
    looks up before the turn
standards-writing-points-fixed = Their number stays at { $n }; their words may change.
standards-writing-per-side = each foot on its own
standards-writing-trials = Trials a day
standards-writing-summary = What counts
standards-writing-summaries-best = the best
standards-writing-summaries-mean = the mean
standards-writing-summaries-median = the middle
standards-writing-rest = Rest between, s
standards-writing-least = Least
standards-writing-most = Most
standards-writing-layout = Markers to lay out, as on the drill desk (may stay empty)
standards-writing-layout-example = mark A red
    player P
    ball
    walk 3
    mark B blue
    path dribble A -> B -> A
standards-writing-keep = Keep the test
standards-writing-drop = Take it out
standards-keys = Arrow keys move a threshold by one step, with Shift by ten.
standards-history = Earlier standards

gates-about = Timing gates join this evening over the network and bring the times in.
gates-open = Let gates join
gates-there = The gates are there.
gates-away = Give the gates this address:
gates-waiting = No run yet.
gates-running = on the way…
gates-entered = entered
gates-doubtful = Doubtful, run again
gates-doubt-line_missing = a line of the gates is missing
gates-doubt-no_start = no start
gates-doubt-no_stop = no stop
gates-doubt-started_twice = started twice
gates-doubt-said_twice = two different lines with one number
gates-doubt-clock_went_back = the stop is not after the start
gates-doubt-out_of_range = the time cannot be true

squad-title = { $n ->
        [one] { $n } player
       *[other] { $n } players
    }
squad-none = Your squad is empty. Load a list from a spreadsheet or a CSV file: name, birth month, strong foot.
squad-load = Load a list
squad-export = The list to keep:
squad-point = Which column of your list is which?
squad-column = column { $n }
squad-column-of-name = Name
squad-column-of-birth_month = Birth month
squad-column-of-strong_foot = Strong foot
squad-choose-column = choose a column
squad-columns = name, birth month, strong foot
squad-example = See an example file
squad-nothing-yet = Nothing has been written yet.
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
squad-strong = { $side } foot
squad-born = born
squad-no-results = no results yet
squad-choose = Choose a file
squad-large = This file is too large for a squad list: at most 200 kB.

test-title = Test
test-no-squad = First load your squad, then test it.
test-to-squad = To the squad
test-round = Round { $n }
test-before = before: { $value }
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
test-sure = Far from the last one, { $before }. Sure? Enter again keeps it.
test-rest = { $seconds } s rest between tries
test-services = all bounces of { $n } services together
test-mean = { $value } each
test-tools = Enter by
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
test-over = Time is over
test-one-less = −1
test-clock = Start the clock
test-hit = Hit (space)
test-miss = Miss (X)
test-tick-back = One back
test-ticked = { $hits } hits of { $tries } tries, { $of } in all
test-mark-0 = not seen
test-mark-1 = partly
test-mark-2 = seen
test-mark-short-0 = no
test-mark-short-1 = ½
test-mark-short-2 = yes
test-on = Results of
test-on-paper = read back from paper
test-paper = Paper sheet
test-lists = Results as a list
test-read-list = Read a list in
test-list-columns = player, test, side, day, value: one line for each try
test-will-read = { $n ->
        [one] { $n } line
       *[other] { $n } lines
    } can be read in
test-faulty-lines = { $n ->
        [one] { $n } line
       *[other] { $n } lines
    } cannot
test-read-in = Read { $n ->
        [one] { $n } line
       *[other] { $n } lines
    } in
test-was-read = { $n ->
        [one] { $n } line
       *[other] { $n } lines
    } read in.
test-complete = All entered.
test-back = All tests
test-no-standard = No standard holds today: results are kept, levels come later.
test-left = L
test-right = R

levels-title = Levels
levels-between = between { $low } and { $high }
levels-band = Band
levels-view = Show
levels-views-milestones = Milestones
levels-views-tests = Tests
levels-about-milestones = How many have each milestone: met or kept, by the evidence and the word of their coach. The line says how sure the share is.
levels-about-tests = Players by level, from each player’s latest result under the standard of its day.
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

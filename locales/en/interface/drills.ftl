### Drills, levers, calls and the drill desk.

desk-part-title = Title
desk-part-id = Title
desk-part-purpose = Purpose
desk-part-in_game = In a game
desk-part-points = Coaching points
desk-part-faults = Common faults
desk-part-serves = Skills
desk-part-strands = Strands
desk-part-station = Station
desk-part-doses = Dose
desk-part-rungs = Ladder
desk-part-touches_per_s = Touches
desk-part-difficulty = Difficulty
desk-part-cautions = Cautions
desk-part-home = At home
desk-part-stand_ins = Stand-ins
desk-part-cues = Calls

pace-mine = { $pace ->
        [none] My pace: 0.75 m, assumed
       *[other] My pace: { $pace } m
    }
pace-title = How long is your pace?
pace-how = Walk ten paces the way you set out markers. Measure the distance and enter it in metres. Every ground you see is then given in your paces.
pace-metres = Metres in ten paces
pace-one = One pace is { NUMBER($pace, maximumFractionDigits: 2) } m.
pace-keep = Save my pace
pace-forget = Reset


settings-tempo-own_pace = own pace
settings-tempo-in_rhythm = in rhythm
settings-tempo-fast = as fast as you can
settings-motion-on_the_spot = on the spot
settings-motion-forward = forward
settings-motion-both_directions = both directions
settings-eyes-free = free
settings-eyes-up = up
settings-eyes-call = call it out
settings-side-strong = strong
settings-side-alternate = left and right in turn
settings-side-other = other foot only
foot-only-strong = strong foot only
foot-only-other = other foot only
settings-surface-as_drilled = as the drill says
settings-surface-inside = inside
settings-surface-sole = sole
settings-surface-outside = outside
settings-surface-laces = laces
settings-surface-thigh = thigh
settings-surface-chest = chest
settings-touches-free = free
settings-touches-two = two
settings-touches-one = one
settings-space-wide = wide
settings-space-usual = usual
settings-space-tight = tight
settings-ball-age_size = age size
settings-ball-one_smaller = one smaller
settings-ball-tennis_ball = tennis ball
settings-service-own_toss = own toss
settings-service-rolled = rolled
settings-service-self_kicked = kicked up by oneself
settings-service-thrown = thrown underarm
settings-service-firm = firm
settings-service-mixed_speeds = mixed speeds
settings-service-high = high
settings-chain-single = single
settings-chain-two_joined = two joined
settings-chain-three_or_more = three or more
settings-pressure-none = none
settings-pressure-shadow = shadow
settings-pressure-passive = passive
settings-pressure-live = live
settings-contest-none = none
settings-contest-own_score = own score
settings-contest-partner = a partner or the clock

drills-search = Find a drill
drills-found = { $n ->
        [one] { $n } drill
       *[other] { $n } drills
    }
drills-none = There is no drill yet. Write one, or take the library that comes with Jogo.
drills-nothing = No drill matches all of that. Remove a filter to see more.
questions-open = Library check
questions-title = { $n ->
    [0] Nothing to ask
    [one] One question
   *[other] { $n } questions
}
questions-about = What a good coach would ask of the library as a whole. Each answer says where, and how to mend it.
questions-of-skill = Skills
questions-of-drill = Drills
questions-of-test = Tests, standards and milestones
questions-of-curriculum = Curricula
questions-asks-skill = Does a drill begin each skill in the band that begins it? Is it called like no other?
questions-asks-drill = Is there a ball where there are touches, room at home, and people enough? Do cautions and rungs fit? Does half a dose fit into a block? Can each point be called across a hall? Does each say something of its own?
questions-asks-test = Is each test asked for, and does it take what its words say? Does the drill that leads to it look for the same points? Do standards rise with age and stay within what feet can do? Is each milestone shown by its own skill?
questions-asks-curriculum = Does a milestone show the end of every goal?
drills-write = New drill
drills-back-to-all = ← All drills
drills-words = Search
drills-words-hint = title, coaching points, skills
drills-strand = Strand
drills-stage = Stage
drills-skill = Skill
drills-any = any
drills-no-matter = any
drills-band = Band
drills-minutes = Minutes
drills-minutes-need-band = Choose a band first: its dose decides the minutes.
drills-at-station = Per station
drills-most-markers = Markers, at most
drills-wide = Ground width, m
drills-deep = Ground depth, m
drills-surface = Surface
drills-without = Leave out
drills-where = Where
drills-switches-home = at home
drills-switches-plain = balls and markers only
drills-switches-archived = archived
voices = From the teams
voices-used = { $runs ->
        [one] Run once
       *[other] Run { $runs } times
    }, by { $teams ->
        [one] one team.
       *[other] { $teams } teams.
    }
voices-came-off = { $came } of ten came off ({ $n ->
        [one] one count
       *[other] { $n } counts
    }).
voices-answer = Answer { $n ->
        [one] the coach who has spoken
       *[other] all { $n } coaches who have spoken
    }
voices-send = Answer
drills-voices = { $unanswered ->
        [0] { $n ->
            [one] one coach has spoken
           *[other] { $n } coaches have spoken
        }
        [one] one coach waits for an answer
       *[other] { $unanswered } coaches wait for an answer
    }
drills-switches-unanswered = coaches wait for an answer
drills-switches-never_run = never run yet
drills-switches-less = comes off less than expected
drills-more-wishes = More filters
drills-fewer-wishes = Fewer filters
drills-everything = Show all
drills-keys = / to search · Enter to the drawings · arrow keys between drills · N for a new drill
drills-players = { $alike ->
        [yes] { $min ->
            [one] { $min } player
           *[other] { $min } players
        }
       *[other] { $min }–{ $max } players
    }
drills-markers = { $n ->
        [0] no markers
        [one] { $n } marker
       *[other] { $n } markers
    }
drills-home = home { NUMBER($w, maximumFractionDigits: 1) } × { NUMBER($d, maximumFractionDigits: 1) } m
drills-care = { $n ->
        [one] a caution
       *[other] { $n } cautions
    }
drills-scale = 5 m on every card

desk-layout = Layout, in a coach’s words
desk-about = About this drill
desk-place = Line { $line }, column { $column }:
desk-expected = expected { $what }.
desk-more-faults = and { $n } more
desk-reads = Every line is understood. Point at a line to see what it sets out.
desk-untitled = New drill
desk-new = not saved yet
desk-kept-here = not saved yet, kept on this device
desk-state = version { $version }, saved { $time }
desk-is-away = archived: it is no longer found or planned
desk-copy = Copy
desk-copy-of = { $title }, a copy
desk-put-away = Archive
desk-bring-back = Restore
desk-save = Save
desk-as-far = Drawn as far as the lines are understood. Measurements follow when all of them are.
desk-no-dose = This band has no dose yet: enter one on the right to see the time strip.
desk-from-score = counted from the score, tempo assumed
desk-assumption = touch rate is an assumption
desk-block-minutes = { NUMBER($n, maximumFractionDigits: 1) } min
desk-strip = { $rest ->
        [0] set up { $lay } min, explain { NUMBER($explain, maximumFractionDigits: 1) } s, { $bouts } × { NUMBER($work, maximumFractionDigits: 1) } s work
       *[other] set up { $lay } min, explain { NUMBER($explain, maximumFractionDigits: 1) } s, { $bouts } × { NUMBER($work, maximumFractionDigits: 1) } s work, { NUMBER($rest, maximumFractionDigits: 1) } s rest
    }
desk-work-to-rest = work to rest { $ratio }
desk-levers = Levers
desk-ladder = Ladder
desk-rung = Stage and difficulty
desk-rung-at = { $stage }, difficulty { $difficulty }
desk-one-down = − One down
desk-one-up = + One up
desk-difficulty = difficulty { $n }
desk-success = Success, %
desk-proposes = Next: { $lever } to “{ $setting }” ({ $difficulty }).
desk-stays = Within the window, or nothing left to change: stay here.
desk-do-so = Apply
desk-no-levers = No lever applies yet. Choose what this drill offers.
desk-offer = Choose what it offers
desk-offered = Done
desk-make-rung = Save these settings as a rung
desk-no-rung = These settings are a rung: remove it
desk-ground = Ground
desk-own-ground = own size
desk-wide = wide, m
desk-deep = deep, m
desk-squad = players
desk-bag = markers
desk-fits = { $squad } players → { $stations ->
        [one] { $stations } station
       *[other] { $stations } stations
    }, { $markers ->
        [one] { $markers } marker
       *[other] { $markers } markers
    }, fits { $wide } × { $deep } m with { $spare } m to spare
desk-misfit = Does not fit. { $says }
desk-working = { $share } working at any time: { $stations }
desk-footprint = { NUMBER($w, maximumFractionDigits: 1) } × { NUMBER($d, maximumFractionDigits: 1) } m, that is { NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } paces
desk-path = { $turning ->
        [0] { $kind } { NUMBER($length, maximumFractionDigits: 1) } m
       *[other] { $kind } { NUMBER($length, maximumFractionDigits: 1) } m, { $changes ->
            [one] { $changes } turn
           *[other] { $changes } turns
        } over 30°, { $turning }° in all
    }
desk-path-kind-dribble = dribble
desk-path-kind-run = run
desk-path-kind-pass = pass
desk-path-kind-serve = serve
desk-what = About this drill
desk-title = Title
desk-purpose = Purpose, in one sentence
desk-in-game = When it is used in a game
desk-points = Coaching points, as they read on the phone
desk-points-hint = 3 to 7, one per line, in order
desk-doses = Dose and station
desk-band = Band
desk-dose-kind = Dose
desk-not-done = not done in this band
desk-dose-kinds-timed = work and rest by the clock
desk-dose-kinds-reps = repetitions
desk-dose-kinds-laps = laps
desk-dose-kinds-tries = tries
desk-dose-kinds-streak = until a streak
desk-dose-kinds-until_told = until I say change
desk-dose-kinds-series = series of moves
desk-dose-numbers-least_s = at least, s
desk-dose-numbers-most_s = at most, s
desk-dose-numbers-moves = moves
desk-dose-numbers-rounds = rounds
desk-dose-numbers-break_s = break, s
desk-dose-numbers-challenge_s = challenge, s
desk-no-challenge = none
desk-series = Moves of the series
desk-series-move = Move { $n }
desk-series-add = Add a move
desk-series-up = Up
desk-series-skill = Skill
desk-series-no-skill = none
desk-series-foot = Foot
desk-series-both = both
desk-series-says = Name, if not that of the skill
desk-series-points = What to look for, a line each
desk-series-challenge = Challenge at the end
desk-series-test = It is measured by
desk-series-own-best = everybody’s own best
desk-series-challenge-hint = How many whole chains?
desk-dose-numbers-work_s = work, s
desk-dose-numbers-rest_s = rest, s
desk-dose-numbers-sets = sets
desk-dose-numbers-reps = repetitions
desk-dose-numbers-each_s = seconds each
desk-dose-numbers-laps = laps
desk-dose-numbers-directions = ways round
desk-dose-numbers-tries = tries
desk-dose-numbers-target = in a row
desk-dose-numbers-cap_s = at most, s
desk-dose-numbers-try_s = seconds a try
desk-as-path = as the path
desk-sides = Feet
desk-side-rules-together = both in one bout
desk-side-rules-each = each on its own
desk-side-rules-alternate = in turn
desk-station = Players at one station, and how many work at once
desk-station-of-min = least
desk-station-of-usual = usual
desk-station-of-max = most
desk-station-of-working = working
desk-serves = Skills, strands, surfaces
desk-add-skill = Add a skill
desk-choose-skill = choose a skill
desk-share = { $strand }, %
desk-faults = Common faults
desk-fault-see = What you see
desk-fault-why = Why
desk-fault-say = What to say or change
desk-add-fault = Add a fault
desk-take-out = Remove
desk-hardness = Difficulty and touches
desk-base = Base, 0–10
desk-cadence = { $stage }, per s
desk-cadence-says = Touches per second of work at each stage: assumptions until somebody counts.
desk-cautions = Safety
desk-home-and-kit = At home, and without the kit
desk-home = can be done at home
desk-home-only = for home alone
desk-missing = Instead of
desk-instead = use
desk-add-stand-in = Add a stand-in
desk-cues = Calls
desk-history = Earlier versions
desk-in-editions = In the plans { $names }: editions keep their own copy.
desk-saved = { $version }. { $by }, { $at }
desk-came-with = from the library
desk-take-this = Restore this version
desk-before-saving = { $n ->
        [one] One thing before it can be saved
       *[other] { $n } things before it can be saved
    }

cues-now = Call
cues-ready = { $n ->
        [one] { $n } call
       *[other] { $n } calls
    } a bout, nobody can guess them
cues-wait = listen…
cues-aloud = aloud
cues-silent = silent
cues-add = Uses calls
cues-words = Words, separated by spaces
cues-gap = seconds between
cues-back = seconds to get back
cues-trial = Try the calls
cues-stop = Stop
cues-none = No calls
cues-sequence = In order

desk-balls = { $n ->
        [one] { $n } ball
       *[other] { $n } balls
    }
desk-goals = { $n ->
        [one] { $n } goal
       *[other] { $n } goals
    }
desk-walls = { $n ->
        [one] { $n } wall
       *[other] { $n } walls
    }
desk-players = { $n ->
        [one] { $n } player
       *[other] { $n } players
    }
desk-servers = { $n ->
        [one] { $n } server
       *[other] { $n } servers
    }
desk-defenders = { $n ->
        [one] { $n } defender
       *[other] { $n } defenders
    }
desk-no-dose-in = { $band } (no dose)
desk-in-part = { $part }: { $detail }
desk-in-nth = { $part } { $n }: { $detail }
as-written-note = Not translated yet: shown as it was written.
desk-translated = You are editing the text as it was written. It is shown as “{ $said }”, and stays so until you change it.

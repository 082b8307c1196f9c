### Sessions: planned, run, logged, printed, and home practice.

session-kit = Bring
session-markers = { $colour ->
        [any] { $n ->
            [one] { $n } marker of any colour
           *[other] { $n } markers of any colour
        }
       *[other] { $n ->
            [one] { $n } { $name } marker
           *[other] { $n } { $name } markers
        }
    }
session-no-kit = nothing
session-unused = { $n } min unplanned
session-lay-out = { $n } min to set up
session-stay = { $n ->
        [one] 1 marker can stay
       *[other] { $n } markers can stay
    }
session-lay-out-rest = { $n } min to set up, { $stay }
session-theme = Theme of the week: { $theme }
session-theme-strand = { $strand } ({ $skills })
session-bouts = { $rest ->
        [0] { $n } × { NUMBER($work, maximumFractionDigits: 0) } s work
       *[other] { $n } × { NUMBER($work, maximumFractionDigits: 0) } s work, { NUMBER($rest, maximumFractionDigits: 0) } s rest
    }
session-touches = { $strong } touches with the strong foot, { $other } with the other
session-waiting = { $share } standing
session-assumption = Touches are based on an assumed rate until somebody counts.
session-points = Coaching points
session-faults = Common faults
session-cautions = Safety
session-caution-tail = Your association’s rules and qualified people come first.
session-in-game = In a game
session-beside = Those who move on

today-next = Next: { $day }
today-none = No session is planned yet. It appears here as soon as the director publishes an edition.
today-start = Start the clock
today-pause = Pause
today-go-on = Continue
today-again = Restart
today-phase-explain = explain
today-phase-work = work
today-phase-rest = rest
today-phase-challenge = challenge
today-phase-over = time is up
today-bout = { $n ->
        [0] then { $of ->
            [one] { $of } bout
           *[other] { $of } bouts
        }
       *[other] bout { $n } of { $of }
    }
today-more = More
today-less = Less
today-block = Block { $n } of { $of }
today-how-it-went = How did it go?
today-all-said = The session is logged. Thank you.
session-hinge-share = “{ $skill }” begins here once { $share } of a squad pass its gate.
session-hinge-word = “{ $skill }” begins here when the coach says so.
session-hinge-meanwhile = Until then: { $instead }.
session-hinge-left-out = Until then it is left out.
session-hinge-stuck = Nothing else can stand here without breaking a rule, so it begins in any case.
today-hinge-ready = “{ $skill }” begins in this session: { $ready } of { $players } are ready for it, and { $needed } are needed.
today-hinge-begun = “{ $skill }” begins in this session.
today-hinge-waits = “{ $skill }” does not begin yet: { $ready } of { $players } are ready for it, and { $needed } are needed. The session goes on without it.
today-hinge-ask = “{ $skill }” begins when you say so. The session goes on without it.
today-hinge-begin = Begin all the same
today-hinge-begin-word = Let it begin
today-edition = edition { $n }
today-to-today = Go to today
today-sound = Sound on
today-silent = Sound off
today-rungs = Easier or harder

ran-one_down = One down
ran-one_up = One up

stations-title = Groups
stations-how = How are they grouped?
stations-mixed = mixed
stations-like_with_like = by level
stations-again = Shuffle
stations-station = Station { $n }
stations-taps = Tap two names:
stations-tap-swap = swap
stations-tap-apart = keep apart
stations-tap-together = keep together
stations-first-swap = Tap two names, and they swap places in this block.
stations-first-apart = Tap two names, and they are kept apart from now on.
stations-first-together = Tap two names, and they stay together from now on.
stations-second-swap = Who swaps with { $name }?
stations-second-apart = Who is kept apart from { $name }?
stations-second-together = Who stays with { $name }?
stations-wish = { $together ->
        [yes] { $one } and { $other } stay together.
       *[other] { $one } and { $other } are kept apart.
    }
stations-broken = Not possible with these groups.
stations-drop = Forget this about { $one } and { $other }
stations-nobody-said = These are groups of the whole squad: mark in the log who is missing, and the groups are made of those who are here.

next-time = Next time
next-time-of = Next time ({ $day }, { $drill }):
next-time-one_down = One down
next-time-same = As planned
next-time-one_up = One up
next-time-no-one_down = There is no easier rung that the plan allows.
next-time-no-one_up = There is no harder rung that the plan allows.
next-time-change = Change
next-time-just = { $drill }: how it went

next-time-stepped-one_up = One up, as decided after last time
next-time-stepped-one_down = One down, as decided after last time
today-not-met = { $n ->
        [one] { $names } was not here when this began.
       *[other] { $n } were not here when this began: { $names }.
    }
today-not-met-down = One down for a start: { $how }.
stations-one_down = one down together
stations-one-down = one down
session-bibs = { $n ->
        [one] { $n } bib
       *[other] { $n } bibs
    }

voice-open = Tell the director
voice-of = What you tell the director about { $drill }
voice-said = You told the director: { $voice }
voice-line = A line about it
voice-answer = { $by } answers: “{ $says }”
voice-works = works
voice-does_not_fit = did not fit the hall
voice-too_hard = too hard
voice-too_easy = too easy
voice-not_liked = children did not like it
outbox-next-time = Next time: { $next }
outbox-voice = To the director: { $voice }

dose-timed = { $sets } × { NUMBER($work, maximumFractionDigits: 0) } s
dose-reps = { $sets ->
        [1] { $reps ->
            [one] once
           *[other] { $reps } times
        }
       *[other] { $sets } sets of { $reps }
    }
dose-laps = { $reps } × { $laps ->
        [one] one lap
       *[other] { $laps } laps
    }
dose-both-ways = both ways round
dose-tries = { $tries ->
        [one] one try
       *[other] { $tries } tries
    }
dose-streak = until { $target } in a row, at most { NUMBER($cap, maximumFractionDigits: 0) } s
dose-until-told = until I say change, { $sets ->
        [one] once
       *[other] { $sets } times
    }, { NUMBER($least, maximumFractionDigits: 0) } to { NUMBER($most, maximumFractionDigits: 0) } s each
dose-series = { $moves } moves, { NUMBER($work, maximumFractionDigits: 0) } s each
dose-rounds = { $n } rounds
dose-challenge = then a challenge of { NUMBER($s, maximumFractionDigits: 0) } s
series-title = Moves
series-challenge = Challenge
series-enter = Enter results: { $challenge }
today-move-next = next: { $move }
dose-each = each foot
dose-alternate = left and right in turn
dose-rest = { NUMBER($rest, maximumFractionDigits: 0) } s rest
dose-about = about { NUMBER($s, maximumFractionDigits: 0) } s
today-foot-strong = strong foot
today-foot-other = other foot
streak = Clean ones in a row
streak-hit = Another clean one
streak-miss = Missed
streak-done = { $target } in a row!
streak-best = best { $best }

log-title = Log
log-here = Who is here?
log-tap = Tap anyone who is missing
log-count = { $here } of { $all } here
log-everyone = Everyone is here
log-is-missing = { $name } is missing
log-blocks = How did it go?
log-nothing = nothing logged yet
log-minutes = Minutes of { $planned }
log-came-off = Success, out of ten
log-note = A note for next time
log-note-whom = About a player
log-note-whom-chosen = About
log-note-of = About { $names }
log-note-about = About the session only. Nothing about a child’s health or home.
log-note-gone = deleted the note
log-note-said = wrote a note
log-note-delete = Delete the note for good
log-note-deleted = The note is deleted, with everything that it said before.
log-history = Who logged what
log-somebody = a player
log-player = { $present ->
        [yes] { $name } was here after all
       *[other] { $name } was missing after all
    }
log-tenths = { $n } out of ten
log-block = { $success ->
        [none] { $title }: { $outcome }
       *[other] { $title }: { $outcome }, { $success } of ten
    }

upset-open = Cancel or shorten this session
upset-title = { $day }: cancelled or cut short
upset-kinds-out = Cancelled
upset-kinds-short = Cut short
upset-kind = What happened?
upset-left = Minutes left
upset-how = How do you want to continue?
upset-remedy-shift = Shift
upset-remedy-squeeze = Squeeze
upset-remedy-skip = Skip
upset-means-shift = Everything later moves by one session; the last one is dropped.
upset-means-squeeze = What later sessions build on is fitted into the next ones; maintenance gives way.
upset-means-skip = What was planned is left out.
upset-score = Score { $points }, lower is better
upset-moved = { $n ->
        [0] No block moves
        [one] { $n } block changes its session
       *[other] { $n } blocks change their session
    }
upset-enough = Every goal still gets its exposures
upset-short = Too little of: { $what }
upset-sound = No rule is broken
upset-breaks = { $n ->
        [one] Breaks { $n } rule later
       *[other] Breaks { $n } rules later
    }
upset-go = Continue like this
upset-cancelled = This session was cancelled.

own-open = Our days and ground
own-open-theirs = Days and ground of this team
own-title = What is different for this team
own-about = Everything else follows the edition. Where the plan no longer fits, the sessions ahead are planned again, as close to the edition as possible.
own-days-fixed = A session has a log already or was cancelled, so the days can no longer change.
own-as-edition = As in the edition
own-fitting = Fitting…

weeks-came-off = On average { $came } of ten tries came off; { $expected } were expected ({ $n ->
        [one] one block
       *[other] { $n } blocks
    } with a count).
weeks-came-off-more = From now on, changes to this squad’s plan lean towards harder variations.
weeks-came-off-less = From now on, changes to this squad’s plan lean towards easier variations.
weeks-came-off-theta = The planner adds θ { $theta } to what it expects (90%: { $least } to { $most })
weeks-none = No edition has been published to your team yet.
weeks-planned = { $n ->
        [one] { $n } block
       *[other] { $n } blocks
    }
weeks-today = today
weeks-no-log = no log
weeks-cancelled = cancelled
weeks-shortened = cut to { $left } min
weeks-gone-on-shift = everything later moved by one session
weeks-gone-on-squeeze = what is needed was fitted into the next sessions
weeks-gone-on-skip = left out
weeks-back = Undo: { $what }

sessions-title = Sessions
sessions-about = Planned and delivered, in minutes.
sessions-none = No edition of this curriculum has been published. Publish one on the Plan page.
sessions-delivered = delivered
sessions-planned = planned
sessions-logs-missing = { $n ->
        [one] { $n } log
       *[other] { $n } logs
    } missing
sessions-week = Week
sessions-cell = { $team }, week { $week }: { $delivered } of { $planned } min
sessions-share = so far
sessions-cancelled = { $n ->
        [one] { $n } session
       *[other] { $n } sessions
    } cancelled
sessions-short = Too little compared with the edition
sessions-choose = Choose a week to see its strands and its log.

home-title = Home practice
home-how = Ten minutes with a ball. Start the clock and follow the points.
home-foot-strong = Only with your strong foot.
home-foot-other = Only with your other foot.
home-feet = Do it with one foot, then just as often with the other.
home-grown-up = A grown-up knows where you are practising.
home-nothing = There is no home practice this week. It comes with the next sessions.
home-gone = This page has moved
home-ask-coach = Ask your coach for the new address.
home-floor = Space: { NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } m, clear and dry.
home-instead = Without { $kit }: use { $instead }.
home-chain = Make your own: { $n } that join
home-challenge = Challenge of the week: how many clean ones in { $seconds } s? Write down your best.
home-paper = Print cards
home-code = Code to scan
home-hand-out = Players scan the code or open the address. The page asks for no name and shows none.
home-renew = Create a new address and stop the old one
home-came = Results from home
home-came-about = { $drill }: best in { $seconds } s, reported by the players. It shows that they practised; it never counts towards a level.
home-self-reported = self-reported
home-best-of = Best of { $name }, self-reported
home-begin-with = { $side ->
        [left] start with the left foot
       *[right] start with the right foot
    }
home-scores = My scores

print-session = Session card
print-week = { $club }, { $from } to { $to }
print-week-of = Print this week
print-go = Print
print-back = Back
print-no-session = No team in this club trains in these seven days.
print-from = { $start }–{ $end }
print-for-next-time = For next time:
print-card = Print

carried-yes = Your next sessions are saved on this phone and work offline.
carried-not-yet = Still saving your next sessions. Without a connection they may be missing.
carried-cannot = This browser cannot save anything: without a connection your sessions are missing.

outbox-waiting = { $n } not sent yet
outbox-others = { $n } from another coach waiting here
outbox-refused = The server did not accept:
outbox-unkept = This browser cannot save anything (a private window, or a full disk). What you enter is lost if you close the page before it is sent.
outbox-sign-in = { $n ->
        [one] One entry waits on this device. It is sent when whoever entered it signs in.
       *[other] { $n } entries wait on this device. They are sent when whoever entered them signs in.
    }
outbox-again = Try again
outbox-seen = I have noted it, remove it

session-stations-alone = individually
session-stations-of = { $stations } players
session-floor-spot = on the spot
session-floor-line = one station { NUMBER($length, maximumFractionDigits: 1) } m ({ NUMBER($paces, maximumFractionDigits: 1) } paces) long
session-floor-area = one station { NUMBER($w, maximumFractionDigits: 1) } × { NUMBER($d, maximumFractionDigits: 1) } m ({ NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } paces)
weeks-done = { $n } done
weeks-short = { $n } cut short
weeks-skipped = { $n } skipped
sessions-blocks-moved = { $n ->
        [one] { $n } block moved
       *[other] { $n } blocks moved
    }
sessions-blocks-harder = { $n ->
        [one] { $n } block harder
       *[other] { $n } blocks harder
    }
sessions-blocks-easier = { $n ->
        [one] { $n } block easier
       *[other] { $n } blocks easier
    }
sessions-less = Drills that come off less often than expected
sessions-less-everywhere = in every club
sessions-less-of = { $came } of ten came off, { $expected } were expected ({ $n ->
        [one] one block
       *[other] { $n } blocks
    })
sessions-skills-short = { $n ->
        [one] { $n } skill short
       *[other] { $n } skills short
    }
outbox-of-block = { $day } { $outcome }
outbox-of-trial = { $day } { $test } { $value }
outbox-here = { $day } here
outbox-missing = { $day } missing
outbox-says = { $day } “{ $says }”
outbox-takes-back = deleted result

today-tests = First the tests
today-look = Eyes on
today-look-back = Take back what I saw of { $name }
print-look = Eyes on in block { $n }: { $names }.
weeks-looks = { $asked ->
        [one] { $asked } look at a player is still asked for by milestones that a coach judges.
       *[other] { $asked } looks at players are still asked for by milestones that a coach judges.
    }
upset-test-moves = The test “{ $name }” moves to { $day }.
upset-test-lost = The test “{ $name }” finds no room in a later session.

### Evenings: planned, run, logged, printed, and practice at home.

evening-kit = Bring
evening-markers = { $colour ->
        [any] { $n ->
            [one] { $n } marker of any colour
           *[other] { $n } markers of any colour
        }
       *[other] { $n ->
            [one] { $n } { $name } marker
           *[other] { $n } { $name } markers
        }
    }
evening-no-kit = balls only
evening-unused = { $n } min are not planned for
evening-lay-out = { $n } min lay out
evening-bouts = { $rest ->
        [0] { $n } × { NUMBER($work, maximumFractionDigits: 0) } s work
       *[other] { $n } × { NUMBER($work, maximumFractionDigits: 0) } s work, { NUMBER($rest, maximumFractionDigits: 0) } s rest
    }
evening-touches = { $strong } touches strong foot, { $other } other
evening-waiting = waits { $share }
evening-assumption = Touches rest on an assumed cadence until somebody counts.
evening-points = Look for
evening-faults = What goes wrong
evening-cautions = Take care
evening-caution-tail = Your association’s rules and qualified people come first.
evening-in-game = In a game
evening-beside = Those who move on

tonight-next = Next: { $day }
tonight-none = No evening is planned yet. As soon as the director publishes an edition, it stands here.
tonight-start = Start clock
tonight-pause = Pause
tonight-go-on = Go on
tonight-again = From the start
tonight-phase-explain = explain
tonight-phase-work = work
tonight-phase-rest = rest
tonight-phase-over = time is up
tonight-bout = { $n ->
        [0] then { $of ->
            [one] { $of } bout
           *[other] { $of } bouts
        }
       *[other] bout { $n } of { $of }
    }
tonight-more = More
tonight-less = Less
tonight-block = Block { $n } of { $of }
tonight-what-became = What became of it?
tonight-all-said = The evening is noted. Thank you.
tonight-lay = Lay out first: { $n } min
tonight-edition = edition { $n }
tonight-to-tonight = To tonight
tonight-sound = Sound on
tonight-silent = Sound off
tonight-rungs = One up, one down

ran-one_down = One down
ran-one_up = One up

stations-title = Who with whom
stations-how = How are they put together?
stations-mixed = mixed
stations-like_with_like = like with like
stations-again = Another split
stations-station = Station { $n }
stations-taps = Two taps on two names:
stations-tap-swap = change places
stations-tap-apart = keep apart
stations-tap-together = keep together
stations-first-swap = Tap two names, and they change places in this block.
stations-first-apart = Tap two names, and they are kept apart from now on.
stations-first-together = Tap two names, and they stay together from now on.
stations-second-swap = Who changes places with { $name }?
stations-second-apart = Who is kept apart from { $name }?
stations-second-together = Who stays with { $name }?
stations-wish = { $together ->
        [yes] { $one } and { $other } stay together.
       *[other] { $one } and { $other } are kept apart.
    }
stations-broken = Not possible in this split.
stations-drop = Forget the wish about { $one } and { $other }
stations-nobody-said = For the whole squad: say in the log who is missing, and the stations are filled with those who are here.

log-title = Log
log-here = Who is here?
log-tap = Tap who is missing
log-count = { $here } of { $all } here
log-everyone = Everyone is here
log-is-missing = { $name } is missing
log-blocks = How did it go?
log-nothing = nothing said yet
log-minutes = Minutes of { $planned }
log-came-off = Of ten tries came off
log-note = A line for next time
log-note-about = About the practice. Nothing about a child’s health or home.
log-note-gone = took the line away
log-history = Who said what
log-somebody = a player
log-player = { $present ->
        [yes] { $name } was here after all
       *[other] { $name } was missing after all
    }
log-tenths = { $n } of ten
log-block = { $success ->
        [none] { $title }: { $outcome }
       *[other] { $title }: { $outcome }, { $success } of ten
    }

upset-open = The evening falls out or is short
upset-title = { $day } falls out or is short
upset-kinds-out = It falls out
upset-kinds-short = It is short
upset-kind = What happened
upset-left = Minutes that are left
upset-how = How do you go on?
upset-remedy-shift = Shift
upset-remedy-squeeze = Squeeze
upset-remedy-skip = Skip
upset-means-shift = Everything later moves by one evening; the last one falls off.
upset-means-squeeze = What later evenings wait for is placed into the next ones; what only keeps gives way.
upset-means-skip = What fell out is left out.
upset-score = Score { $points }, lower is better
upset-moved = { $n ->
        [0] No block moves
        [one] { $n } block leaves its evening
       *[other] { $n } blocks leave their evening
    }
upset-enough = Nothing falls short
upset-short = Falls short: { $what }
upset-sound = No rule is broken
upset-breaks = { $n ->
        [one] Breaks { $n } rule later
       *[other] Breaks { $n } rules later
    }
upset-go = Go on like this
upset-fell-out = This evening fell out.

own-open = Our days and hall
own-open-theirs = Days and hall of this team
own-title = What this team has of its own
own-about = Everything else is as in the edition. Where the plan no longer fits, the evenings to come are planned anew, near what they had.
own-days-fixed = An evening has a log already or fell out, so the days stay as they are.
own-as-edition = As in the edition
own-fitting = Fitting…

weeks-none = No edition has been published to your team yet.
weeks-planned = { $n ->
        [one] { $n } block
       *[other] { $n } blocks
    }
weeks-today = today
weeks-no-log = no log
weeks-fell-out = fell out
weeks-shortened = { $left } min were left
weeks-gone-on-shift = everything later moved by one evening
weeks-gone-on-squeeze = what is needed was placed into the next evenings
weeks-gone-on-skip = left out
weeks-back = Take back: { $what }

evenings-title = Evenings
evenings-about = Planned against delivered, in minutes.
evenings-none = No edition of this curriculum has been published. Publish one on the Plan.
evenings-delivered = delivered
evenings-planned = planned
evenings-logs-missing = { $n ->
        [one] { $n } log
       *[other] { $n } logs
    } missing
evenings-week = Week
evenings-cell = { $team }, week { $week }: { $delivered } of { $planned } min
evenings-share = so far
evenings-cancelled = { $n ->
        [one] { $n } evening
       *[other] { $n } evenings
    } fell out
evenings-short = Falls short of the edition
evenings-choose = Choose a week to see its strands and its log.

home-title = Practice at home
home-how = Ten minutes with a ball. Start the clock, and do what the points say.
home-feet = Do it with one foot, then as often with the other.
home-grown-up = A grown-up knows where you practise.
home-nothing = No practice at home fits this week. It comes with the next evenings.
home-gone = This page has moved
home-ask-coach = Ask your coach for the new address.
home-floor = Floor: { NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } m, clear and dry.
home-instead = No { $kit }? Take { $instead }.
home-challenge = Challenge of the week: how many clean ones in { $seconds } s? Write down your best.
home-paper = Cards on paper
home-code = Code to scan
home-hand-out = Players scan the code or open the address. The page asks for no name and shows none.
home-renew = Make a new address, the old one stops
home-came = What came back
home-came-about = { $drill }: the best in { $seconds } s, as the players say. It shows that they practised; it never counts for a level.
home-self-reported = self-reported
home-best-of = Best of { $name }, self-reported
home-begin-with = begin with the { $side } foot
home-scores = My scores

print-session = Session card
print-week = { $club }, { $from } to { $to }
print-week-of = Print this week
print-go = Print
print-back = Back
print-no-evening = No team of this club trains in these seven days.
print-from = { $start }–{ $end }
print-for-next-time = For next time:
print-card = On paper

carried-yes = This phone has what your next evenings need, also without network.
carried-not-yet = Still fetching your next evenings. Without network they may be missing.
carried-cannot = This browser stores nothing here: without network your evenings are missing.

outbox-waiting = { $n } not sent yet
outbox-others = { $n } of another coach wait here
outbox-refused = The server did not take this:
outbox-unkept = This browser stores nothing here (a private window, or a full disk). What you enter is lost if you close the page before it is sent.
outbox-sign-in = { $n ->
        [one] One entry waits on this device. It is sent when whoever entered it signs in.
       *[other] { $n } entries wait on this device. They are sent when whoever entered them signs in.
    }
outbox-again = Try again
outbox-seen = I have noted it, take it away

evening-stations-alone = everybody for themselves
evening-stations-of = { $stations } players
evening-floor-spot = on the spot
evening-floor-line = one station { NUMBER($length, maximumFractionDigits: 1) } m ({ NUMBER($paces, maximumFractionDigits: 1) } paces) long
evening-floor-area = one station { NUMBER($w, maximumFractionDigits: 1) } × { NUMBER($d, maximumFractionDigits: 1) } m ({ NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } paces)
weeks-done = { $n } done
weeks-short = { $n } short
weeks-skipped = { $n } skipped
evenings-blocks-moved = { $n ->
        [one] { $n } block moved
       *[other] { $n } blocks moved
    }
evenings-skills-short = { $n ->
        [one] { $n } skill short
       *[other] { $n } skills short
    }
outbox-of-block = { $day } { $outcome }
outbox-of-trial = { $day } { $test } { $value }
outbox-here = { $day } here
outbox-missing = { $day } missing
outbox-says = { $day } “{ $says }”
outbox-takes-back = taking back a trial

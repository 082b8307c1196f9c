### Drills and what is laid on the ground.

layout-fault = Line { $line }, column { $column }: expected { $expected }.
layout-fault-mendable = Line { $line }, column { $column }: expected { $expected }. { $mend }
layout-expected-statement = a statement
layout-expected-word = “{ $word }”
layout-expected-closing = a “{"}"}” that closes this repeat
layout-expected-opening = “{"{"}”
layout-expected-times = how many times, 1 to { $most }
layout-expected-markers = how many markers, 1 to { $most }
layout-expected-unit = a unit of length
layout-expected-turn = left, right or around
layout-expected-degrees = how far to turn, in degrees
layout-expected-degrees-at-most = { $most } degrees at most
layout-expected-path-kind = dribble, run, pass or serve
layout-expected-second-point = “->” and a second point
layout-expected-length = a length, as 3 or 2.5m
layout-expected-length-between = a length of { $least } to { $most } m
layout-expected-name = a name
layout-expected-free-name = a name that is not used yet
layout-expected-point-name = the name of a point
layout-expected-marker-name = the name of a marker to go around
layout-expected-line-name = the name of a line to weave through
layout-expected-name-for-line = a name for the line
layout-expected-colour = a colour
layout-expected-colours = one colour, or four with commas between them
layout-expected-point-to-face = another point to look at
layout-expected-end = the end of the statement
layout-expected-bytes-at-most = { $most } bytes at most
layout-expected-statements-at-most = { $most } statements at most
layout-expected-unrolled-at-most = { $most } statements at most, each repeat counted out
layout-expected-repeats-at-most = { $most } repeats inside each other at most
layout-expected-markers-at-most = { $most } markers at most
layout-expected-stops-at-most = paths of { $most } points at most, all together
layout-expected-within = a place within { $most } m of the start

layout-mend-did-you-mean = Did you mean “{ $word }”?
layout-mend-one-of = The words are { $known }.
layout-mend-split-text = The text has { $bytes } bytes. Split the layout into two drills.
layout-mend-split-drill = Split the layout into two drills.
layout-mend-close = Write “{"}"}” after the last statement of the repeat.
layout-mend-write-out = Write the inner ones out.
layout-mend-closes-nothing = This “{"}"}” closes no repeat. Remove it, or begin with “repeat N {"{"}”.
layout-mend-write-repeat = Write it as repeat 3 {"{"} mark; walk 2 {"}"}.
layout-mend-repeat-less = Repeat fewer times.
layout-mend-repeat-or-weave-less = Repeat or weave fewer times.
layout-mend-colour-order = The order is near left, far left, far right, near right, as in red, blue, green, yellow.
layout-mend-new-statement = “{ $written }” does not belong here. Begin a new statement on its own line or after “;”.
layout-mend-this-length = This one is { NUMBER($metres, maximumFractionDigits: 2) } m.
layout-mend-leads-to = This leads to { $right } m right and { $ahead } m ahead.
layout-mend-turn-instead = You are at “{ $name }”. Turn instead, or go to another place first.
layout-mend-name-line = Write it as line 6 W every 1.
layout-mend-name-taken = Line { $line } uses “{ $name }” already. Choose another name.
layout-mend-no-marker-there = “{ $name }” is a point without a marker. Put one there with “mark”, or remove the “~”.
layout-mend-lay-line = Lay a line first, as line 6 W every 1.
layout-mend-lines-known = The lines are { $known }.
layout-mend-line-not-point = “{ $name }” is a line. Write { $name }* to weave through it, or name a marker, { $name }1 to { $name }{ $count }.
layout-mend-nothing-called = Nothing here is called “{ $name }”.

misfit-ground = The ground has room for { $possible ->
    [one] one station
   *[other] { $possible } stations
}, and { $squad } players need at least { $needed }.
misfit-kit = { $squad } players need at least { $needed } markers, and there are { $markers }.
misfit-wall = It needs a wall or a board that gives the ball back.
misfit-home-only = It is for home practice, not for a session.
misfit-squad = { $squad } players cannot be split into stations of { $least } to { $most }.
would-fit-margin = It fits with { NUMBER($metres, maximumFractionDigits: 1) } m between the stations.
would-fit-groups = It fits with stations of up to { $players } players, and more of them wait.
would-fit-tighter = It fits if you lay it tighter, on { NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } m.
would-fit-fewer = It fits for { $players } players at once, while { $others } do something else.

drill-no-skill = This drill trains no skill. Name at least one.
drill-no-stage = No stage is named. Name at least one.
drill-stage-without-rung = No rung of this drill reaches { $stage }. Add one, or remove the stage.
drill-station = { $least } to { $most } players, usually { $usual }: that does not add up. The usual number is between the least and the most, and { $largest } is the limit.
series-no-dose = No band does the series. Choose “Series” as the dose of a band, or take the moves away.
series-no-series = This dose is a series, but the drill has no moves. Say which moves.
series-moves = The dose asks for { $moves } moves, and the drill has { $of }.
series-no-name = A move needs a skill or a name.
series-not-served = The drill does not serve “{ $skill }”. Add it to the skills that the drill serves.
series-not-a-move = “{ $skill }” is none of the first { $moves } moves of a dose. Make it one of them, or take it from the skills that the drill serves.
series-no-challenge = The dose gives time for a challenge. Say what is tried, or leave the time empty.
drill-no-dose = No band does this drill. Give at least one dose.
drill-no-seconds = No seconds are given, and the layout has no path to take them from. Add one of the two.
drill-long-bout = A bout lasts { NUMBER($seconds, maximumFractionDigits: 0) } s, and { $band } works { $most } s at most without a break. Do less at once, more often.
drill-same-rung = This rung has the same settings as an earlier one. Keep one of them.
drill-not-offered = This drill does not offer this setting of { $lever }. Choose one that it offers.
drill-surface-not-played = This drill does not play the ball with { $surface }. Take the setting out, or add the surface to the drill.
drill-no-touches = The touches at { $stage } are missing, and a rung reaches { $stage }. Add them.
drill-touches-out = Touches are between 0 and { $most } a second.

blocked-no-heading-rule = Blocked: this drill has headers, and the academy has not entered the rule of its association yet.
blocked-too-young = Blocked: this drill has headers. The academy practises them from the age of { $from_age }, and this band begins at { $youngest }.

caution-aerial = Use a slightly softer ball for the first balls out of the air.
caution-heading = Head the ball only as your association’s rule allows. If you suspect a head injury: stop, and no return on the same day.
caution-ball_underfoot = The ball rolls away underfoot: use dry ground and clear space, and hold a partner at first.
caution-contact = Shin guards on, and pair children of similar size.
caution-hard_floor = Hard ground: use a softer ball, and no sliding.
caution-jumping = Warm up first. Pain around the knee or heel: stop, and see a qualified medical person.
caution-reaction_crowding = Everybody moves on one call: keep an arm’s length between children, and nobody runs across another.
caution-throw_in_service = Throw underarm to the feet or thigh, and never at somebody who is not looking.

### The progression map and the bands.

progressions-title = Progressions
progressions-count = { $skills ->
        [one] { $skills } skill
       *[other] { $skills } skills
    }, { $findings ->
        [0] nothing is wrong
        [one] { $findings } finding
       *[other] { $findings } findings
    }
progressions-inspector = Selected skill
progressions-choose = Choose a skill to highlight what it needs and what it opens. Arrow keys: right to what it opens, left to what it needs, up and down to its neighbours. Shift and a click on another skill makes that one need this one.
progressions-plate = { $name }, { $band }, { $strand }
progressions-since = Changes since
progressions-no-since = no comparison
progressions-beginning = the beginning
progressions-same = Nothing has changed since then.
progressions-larger = Larger
progressions-smaller = Smaller
progressions-name = Skill
progressions-side = Feet
progressions-sides-equal = both alike
progressions-sides-other_more = other foot more
progressions-sides-strong_first = strong foot first
progressions-sides-not_sided = does not matter
progressions-rests = { $n ->
        [0] Rests on nothing
        [one] Rests on { $n } skill
       *[other] Rests on { $n } skills
    }
progressions-opens = { $n ->
        [0] Opens nothing yet
        [one] Opens { $n } skill
       *[other] Opens { $n } skills
    }
progressions-stage-of = Stage of { $name } that is needed
progressions-drop = Remove { $name }
progressions-part = a part of it
progressions-helps = helps
progressions-at = asks for { $stage }
progressions-connect = Add a need
progressions-gate = Gate: how a player shows that they are ready
progressions-gate-kind = Shown by
progressions-no-gate = no gate
progressions-milestone = a milestone
progressions-test = a test result
progressions-value = reaches
progressions-times = times
progressions-of-last = of the last
progressions-set-gate = Set the gate
progressions-way = The shortest way
progressions-squad = for the squad of
progressions-there = The squad is there already.
progressions-cost = At least { $exposures ->
        [one] { $exposures } exposure
       *[other] { $exposures } exposures
    }, { $sessions ->
        [one] { $sessions } session
       *[other] { $sessions } sessions
    } in a row, { $weeks ->
        [one] { $weeks } week
       *[other] { $weeks } weeks
    }.
progressions-drills = { $n ->
        [0] No drill yet
        [one] { $n } drill
       *[other] { $n } drills
    }
progressions-reshape = Join and split
progressions-join = Join with another skill into a chain
progressions-split = Split into parts, one per line
progressions-split-hint = tap, stop
    step over
progressions-split-now = { $n ->
        [0] Split
        [one] Split
       *[other] Split into { $n } parts
    }
progressions-mend-drop_need = Remove the need
progressions-mend-move_band = Start the need earlier
progressions-mend-drop_gate = Remove the gate

bands-title = Bands
bands-add = Add a band (ages)
bands-add-go = Add
bands-add-about = It starts with the numbers of the band closest in age.
bands-about = Every number is an assumption until you say where it comes from.
bands-save = Save bands
bands-ages = Ages
bands-ages-note = years on the cut-off day
bands-youngest = from
bands-oldest = to
bands-of = { $row }, { $band }
bands-rows-ball_size = Ball
bands-rows-session_min = Session
bands-rows-new_skills_per_week = New skills
bands-rows-longest_bout_s = Longest bout
bands-rows-longest_block_min = Longest block
bands-rows-explaining_s = Explanation
bands-units-ball_size = size 1 to 5
bands-units-session_min = technical minutes
bands-units-new_skills_per_week = first met in a week
bands-units-longest_bout_s = seconds of work without a break
bands-units-longest_block_min = minutes with one variant
bands-units-explaining_s = seconds to explain and show
bands-tempos = Tempos
bands-tempos-note = seconds of a beat
bands-tempos-shown = { $test }: { NUMBER($seconds, minimumFractionDigits: 2) } s ({ $n } results)
bands-tempos-take = Use { NUMBER($seconds, minimumFractionDigits: 2) } s as fast
bands-tempos-source = { $test }, median of { $n } results
bands-speeds = Speeds
bands-speeds-note = metres per second along a path; assumptions
bands-assumption = assumption
bands-source = Where it comes from
bands-source-of = { $said }: source of { $name } in { $band }
bands-academy = For the whole academy
bands-save-name = Save name and time zone
bands-save-academy = Save academy
bands-cut-off = Cut-off day
bands-cut-off-note = month and day, as 01-01
bands-language = Language of letters and prints
bands-language-note = somebody’s own choice comes first in their letters
bands-heading = Headers
bands-heading-off = Off: no band does drills with headers until the association’s rule is entered here.
bands-heading-on = On from { $age } years, by the rule below.
bands-from-age = From age
bands-per-week = Most in a week
bands-rule-text = The association’s rule you rely on
bands-heading-enter = Enter the association’s rule
bands-heading-stop = Switch headers off
bands-points = Points of the levers
bands-points-note = What each setting adds to a drill’s difficulty. The first values are assumptions.
bands-points-of = Points of { $lever }, { $setting }

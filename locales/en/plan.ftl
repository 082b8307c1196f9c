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
plan-minutes-there = minutes there are
plan-shares = Shares
plan-share-of = Share of { $strand } in percent
plan-laid = laid { $percent }
plan-sum = { $n } %: make it 100
plan-shares-wait = The shares are saved once they make 100 %.
plan-missing = { $n } short
plan-no-plan = No plan yet. Press Solve, and Jogo lays the weeks.
plan-score = Score
plan-score-means = lower is better
plan-price = What the last change cost
plan-part-S1 = Goals
plan-part-S2 = Strands
plan-part-S3 = Rhythm
plan-part-S4 = Keeping
plan-part-S5 = Open play
plan-part-S6 = Jumps
plan-part-S7 = Sameness
plan-part-S8 = Idle
plan-part-S9 = Other foot
plan-part-S10 = Changes
plan-part-S11 = Waiting
plan-part-means-S1 = { $points } points for each exposure that is missing on the way to a goal
plan-part-means-S2 = { $points ->
        [one] { $points } point
       *[other] { $points } points
    } for each percentage point off the wished shares
plan-part-means-S3 = { $points ->
        [one] { $points } point
       *[other] { $points } points
    } for each day over { $than } that a skill under way rests
plan-part-means-S4 = { $points } points for each week over { $than } days that a skill at its goal rests
plan-part-means-S5 = { $points } points for each percentage point that a week has too little Scan and Contest
plan-part-means-S6 = { $points } points for each point of difficulty over { $than } from one time to the next
plan-part-means-S7 = { $points ->
        [one] { $points } point
       *[other] { $points } points
    } for the same drill a third session in a row, { $than } for the same twice in a session
plan-part-means-S8 = { $points } points for each unused minute
plan-part-means-S9 = { $points } points for each percentage point that the other foot gets too little
plan-part-means-S10 = { $points } points for each change of layout
plan-part-means-S11 = { $points } points for each percentage point of waiting over { $than }
plan-nothing = nothing to say here
plan-clash = These wishes cannot hold together
plan-forbids = No plan can be laid
plan-relax = What would help:
plan-did-what-it-could = This plan does what can be done.
plan-mend = { $says } ({ $points })
plan-more-breaches = … and { $n } more, marked on the floor
plan-breaches = { $n ->
        [one] { $n } rule
       *[other] { $n } rules
    } broken by this plan
plan-in-session = Session { $n }
plan-empty = There is no curriculum yet.
plan-make-first = Make the first one
plan-make-new = A new curriculum…
plan-undoes = Takes back: { $what }
plan-look-longer = Look longer
plan-stop = Stop ({ $n } of { $of }, best { $best })
plan-week-short = W{ $n }
plan-panels = Beside the plan
plan-panel-evening = Evening
plan-panel-wishes = Wishes
plan-panel-compare = Compare
plan-panel-forecast = Forecast
plan-stitch = { $stage } { $nth }/{ $of }, { $minutes } min
plan-test-in = Test: { $name }, { $minutes } min
plan-locked = locked
plan-beside-it = who moves on: { $what }
plan-why = Why is this here?
plan-why-late = Why then? { $skill }
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
plan-block-remove = Take out
plan-block-instead = Another drill instead
plan-block-as-it-is = as it is
plan-block-beside = Beside it, for those who move on
plan-block-together = all do the same
plan-approach-repetition_first = Repetition first
plan-approach-balanced = Balanced
plan-approach-decision_first = Decision first
plan-approach-means-repetition_first = Many clean repetitions alone, opponents last.
plan-approach-means-balanced = A little of both: clean repetitions first, cues and opponents from the middle on.
plan-approach-means-decision_first = A cue or an opponent almost from the start.
plan-side-equal = Both feet alike
plan-side-other_more = More with the other foot
plan-side-strong_first = The strong foot first
plan-side-not_sided = Does not matter
plan-wishes-about = Every change is kept at once; the plan stays until you press Solve.
plan-wishes-approach = Approach
plan-wishes-times = { $stage }
plan-wishes-open-play-first = Open play at first, %
plan-wishes-open-play-last = At the end, %
plan-wishes-success-least = One down under, %
plan-wishes-success-most = One up over, %
plan-wishes-assumptions = Rules of thumb: assumptions until your own results say otherwise.
plan-wishes-side = Which foot
plan-wishes-side-own = as each skill says
plan-wishes-goals = Skills to reach
plan-wishes-present = The squad is at
plan-wishes-not-met = not met yet
plan-wishes-goal = To come to
plan-wishes-take-out = Take out { $what }
plan-wishes-from-squads = What do the milestones say of today?
plan-wishes-from-nobody = choose whose…
plan-wishes-all-squads = all squads of the band
plan-wishes-stands = { $skill }: { $before } → { $now }
plan-wishes-stands-alike = The squad stands where these wishes say.
plan-wishes-take-stands = Begin from there ({ $n ->
        [one] { $n } skill
       *[other] { $n } skills
    })
plan-wishes-add-goal = One more skill
plan-wishes-choose-skill = choose…
plan-wishes-when = When
plan-wishes-start = First day
plan-wishes-weeks = Weeks
plan-wishes-weekdays = Weekdays
plan-wishes-holidays = Weeks without sessions
plan-wishes-save-season = Move the plan into this season
plan-wishes-season-moves = Sessions that stay keep their blocks; new ones are empty until you press Solve.
plan-wishes-tests = Tests
plan-wishes-min = min
plan-wishes-test-session = In session
plan-wishes-add-test = Take a test
plan-wishes-choose-test = choose…
plan-wishes-where = Name, floor and squad
plan-wishes-name = Name
plan-wishes-ground-width_m = Width m
plan-wishes-ground-depth_m = Depth m
plan-wishes-ground-margin_m = Margin m
plan-wishes-ground-run_off_m = Run-off m
plan-wishes-ground-squad = Squad
plan-wishes-ground-markers = Markers
plan-wishes-ground-adults = Adults
plan-wishes-lay-anew = Lay the plan anew
plan-wishes-lay-anew-means = Looks at everything again, around what is locked. Solve stays near the plan that is there.
plan-compared-about = This plan ({ $name }) beside one for the same wishes by another approach, or beside an edition. Nothing changes until you take it.
plan-compared-draft = This plan
plan-compared-edition = Edition { $number }
plan-compared-shared = { $shared } of { $blocks ->
        [one] { $blocks } block
       *[other] { $blocks } blocks
    } stand where they stood.
plan-compared-with = Compare with
plan-compared-own-numbers = own numbers
plan-compared-minutes-at = Minutes at { $stage }
plan-compared-meets = What the child meets when
plan-compared-meets-means = The week in which each stage begins: this plan above, the other below.
plan-compared-never = not at all
plan-compared-take = Take the plan “{ $name }”
plan-forecast-sum = In the end { $share } of all goals are reached; in eight of ten squads between { $low } and { $high }.
plan-forecast-about = { $players ->
        [one] { $players } virtual player
       *[other] { $players } virtual players
    } in squads of { $squad }, if everything is done as planned.
plan-forecast-dots = Dots: what { $squads ->
        [one] { $squads } squad
       *[other] { $squads } squads
    } that work by it have reached so far, of the { $goals } of { $of ->
        [one] { $of } goal
       *[other] { $of } goals
    } that milestones can show. Dotted: what was foreseen of the same goals.
plan-forecast-no-dots = No results of squads that work by it stand beside it yet.
plan-forecast-dot = Reached by week { $week }: { $share }, { $foreseen } foreseen
plan-forecast-now = now { $had } of { $of ->
        [one] { $of } player
       *[other] { $of } players
    }, { $foreseen } foreseen
plan-forecast-rate-seen = results say rate { $rate } ({ $steps ->
        [one] { $steps } step
       *[other] { $steps } steps
    } in { $exposures ->
        [one] { $exposures } exposure
       *[other] { $exposures } exposures
    })
plan-forecast-seen = Results of squads of this band speak of { $skills ->
        [one] { $skills } skill
       *[other] { $skills } skills
    }. The rate for all skills weighs as much as 20 exposures of one player against them.
plan-forecast-take = Take these rates over
plan-forecast-taken = These rates are taken over.
plan-forecast-chart = Goals reached by week, in percent
plan-forecast-skill = Skill
plan-forecast-end = at its goal
plan-forecast-rate = rate
plan-forecast-rate-of = Rate of { $skill }
plan-forecast-assumes = What it assumes
plan-forecast-rate-all = Rate of all skills
plan-forecast-spread = How players differ
plan-forecast-means = With rate 1, six working minutes of something without difficulty move 63 of 100 players on to the next stage; each point of difficulty slows that by 15 %. A rest of four weeks halves what was gained inside a stage.
plan-making-title = A new curriculum
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
plan-making-skills = The skills that { $band } begin
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
plan-making-minutes = Minutes of a session
plan-making-name = Name
plan-making-approach-there = as before
plan-making-approach-there-means = With the numbers of the curriculum that this one begins from.
plan-making-ground = Floor, kit and squad
plan-making-own-ground = as before
plan-making-largest-ground = the largest there is
plan-making-no-ground = a small hall, until you say more
plan-making-present = Where the squads stand
plan-making-as-written = as written there
plan-making-not-met = nothing met yet
plan-making-of-band = as all squads of { $band } have shown
plan-making-of-team = as { $team } has shown
plan-making-present-about = Each skill begins at the stage that two of three players have by their milestones. Skills that no milestone speaks of begin as written.
plan-making-back = Back
plan-making-next = Next
plan-making-create = Make it and lay the plan
plan-making-laying = Laying the plan…
plan-changes-title = Changed since edition { $n }
plan-publish-title = Publish edition { $n } of “{ $name }”?
plan-publish-says = Every team of this band gets it at once, and it is never changed: later changes come as the next edition.
plan-note = A note for the coaches (may stay empty)
plan-publish-go = Publish
plan-tour-lines = Each line is a skill, each stitch on it an evening that practises it. Tall means long, the filling is the stage.
plan-tour-change = Choose a stitch and change it, or drag it: the price stands below at once. Press Solve, and Jogo mends the plan around what you locked.
plan-tour-evening = Choose an evening to see its running order, kit and floor. When it looks right, publish it to the clubs.
plan-tour-next = Next
plan-tour-done = Got it

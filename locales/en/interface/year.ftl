### The year: seasons, terms, days off, and what the curricula of a season come to together.

places-year = Year
year-title = Season { $name }
year-sheet = Year sheet
year-panel = What the year comes to
year-part = What is shown
year-whole = Whole season
year-season = Season
year-edit-season = Season and terms
year-add-season = New season
year-drop-season = Remove the season
year-season-about = Curricula begin with a term and take its weeks. Removing a season leaves its curricula as they are.
year-terms = Terms
year-term = Term
year-add-term = Add a term
year-drop-term = Remove { $term }
year-first = First day
year-last = Last day
year-autumn = Autumn
year-winter = Winter
year-spring = Spring
year-empty = Here you see all your curricula of a season at a glance: what each band learns when, what rests too long in between, and what nobody teaches. Begin with a season and its terms.
year-unread = “{ $name }” cannot be read, because the library has changed since. Open its plan.
year-today = Today, { $day }
year-off = { $name }, { $first } to { $last }
year-found = { $n ->
    [one] { $n } finding
   *[other] { $n } findings
}
year-open-band = Look at { $band }
year-close-band = { $band }: back to all bands
year-made-outline = outline
year-made-draft = draft
year-made-published = published
year-strip = { $name }, { $made }, { $first } to { $last }: { $sessions ->
    [one] { $sessions } session
   *[other] { $sessions } sessions
}, { $shown } of { $of } milestones can be shown. Open the plan.
year-path = { $skill }: shown in { $weeks ->
    [one] { $weeks } week
   *[other] { $weeks } weeks
}{ $met ->
    [none] { "" }
   *[other] , met in the week of { $met }
}{ $reached ->
    [none] { "" }
   *[other] , goal reached: { $reached }
}
year-key = A strip is a curriculum, with minutes by strand for each week; pegs are tests. Below it a line for each skill: hollow where it is met, a pennant where its goal is reached, thin where it is kept, and a gap where it rests for more than four weeks. A dashed frame is a draft, a dotted one an outline.
year-bands = Bands
year-about = Look at a band to see its skills by name, what does not fit together, and where to mend it.
year-look = Look
year-all-bands = All bands
year-nothing-planned = Nothing is planned yet.
year-band-line = { $sessions } sessions, { $hours } hours of work with the ball, { $found ->
    [0] no finding
    [one] { $found } finding
   *[other] { $found } findings
}
year-a-child-gets = A child who is always there gets { $sessions } sessions, { $hours } hours of work with the ball and { NUMBER($touches) } touches, { $other } of them with the other foot.
year-shares = Minutes by strand
year-share-of = { $share }, { $wished } wished
year-surfaces = Touches by surface: { $all }
year-surface = { $surface } { NUMBER($touches) }
year-curriculum = { $name }: { $sessions } sessions, { $shown } of { $of } milestones can be shown, up to { $drills ->
    [one] { $drills } new drill
   *[other] { $drills } new drills
} a week
year-beside = “{ $name }” lies in the weeks of another curriculum and is not counted.
year-findings = Findings
year-nothing-found = Everything fits together.
year-to-plan = Open the plan
year-to-map = Look at the map
year-more = Show { $n } more
year-outlines = Outlines
year-outlines-about = For curricula of which you know only the name and the main skills. An outline counts as teaching them.
year-add-outline = Add an outline
year-outline-name = Name
year-outline-skill = Add a skill
year-outline-choose = Choose a skill
year-drop-outline = Remove the outline
year-lay = One after the other
year-lay-about = { $drafts ->
    [one] Replans this band’s draft, starting from where the curriculum before it ends.
   *[other] Replans this band’s { $drafts } drafts, each starting from where the one before it ends.
} Published curricula stay as they are.
year-believed = What the squads bring
year-believed-planned = as planned
year-believed-forecast = as forecast
year-lay-go = Plan the drafts
year-laying = Planning: { $done } of { $of }
year-laid = { $name }: { $moved ->
    [0] begins as before
    [one] { $moved } skill begins at another stage
   *[other] { $moved } skills begin at another stage
}, { $before } → { $after } points
year-not-laid = { $name }: no plan keeps all rules, so it stays as it was. Open it to see what clashes.
year-laid-undo = Undo on each plan brings it back.

off-title = Days off
off-about = No session takes place on them; what it was to bring is fitted into the others.
off-academy = The whole academy
off-span = { $first } to { $last }
off-add = Add days off
off-save = Take these days off
off-whose = For whom
off-name = Name
off-example = Hall closed
off-drop-named = Remove { $name }
off-cancelled = { $n ->
    [one] no session on { $days }
   *[other] no sessions on { $days }
}
off-held = { $n ->
    [one] the session on { $days } takes place after all
   *[other] the sessions on { $days } take place after all
}
off-session = { $name }: no session

## The season change

new-season-title = Change of season { $name }
new-season-open = Season change
new-season-to-year = Back to the year
new-season-about = Everybody goes on in a team of their age, in their own club, with everything that is kept of them. Look through it and change what you know better. Nothing happens before you confirm.
new-season-panel = The change as a whole
new-season-ages-on = Ages count on
new-season-most = Players in a team, at most
new-season-said = { $n ->
    [one] { $n } player by your word
   *[other] { $n } players by your word
}
new-season-said-drop = As proposed for all
new-season-nothing = Everybody stays in their team: nobody is of another age group on that day.
new-season-of-club = { $n ->
    [0] nobody moves
    [one] { $n } player
   *[other] { $n } players
}
new-season-size = { $before } players now, { $after } then
new-season-size-new = new, with { $after } players
new-season-age = { $age } years
new-season-goes = Where { $name } goes on
new-season-as-proposed = As proposed
new-season-stays-in = Stays in { $team }
new-season-leaves = Leaves the academy
new-season-outcome = What it comes to
new-season-sum = { $moved ->
    [one] { $moved } player goes on
   *[other] { $moved } players go on
} in another team, { $leaving ->
    [one] { $leaving } leaves
   *[other] { $leaving } leave
}{ $added ->
    [0] { "" }
    [one] , { $added } team is added
   *[other] , { $added } teams are added
}.
new-season-stops = Mend what is red first.
new-season-go = Change the season
new-season-sure = { $says } You can take it back until something is logged or measured in the new teams. What is kept of whoever leaves is deleted when its time has passed.
new-season-made = Changes so far
new-season-made-line = { $day }, { $by }: { $moved } moved, { $left } left
new-season-is-back = Taken back.
new-season-stays = Something has been logged or measured since: it stays.
new-season-take-back = Take it back
new-season-back-done = { $elsewhere ->
    [0] Everybody is where they were.
    [one] Everybody is where they were, except { $elsewhere } player who has been moved since.
   *[other] Everybody is where they were, except { $elsewhere } players who have been moved since.
}

### What is said everywhere, the legend and the names of places.

loading = One moment…
working-out = { $of ->
    [0] Calculating…
   *[other] Calculating: { $done } of { $of } teams
}

no-network = Jogo is out of reach right now. What you enter is kept on this device and sent later.

fallen = This screen has crashed. What you entered is kept. Please load it again.

no-level = no level yet

close = Close

cancel = Cancel

undo = Undo

retry = Try again

minutes = { $n } min

floor-of = Drawing: { $title }

legend-title = How to read this
legend-strands = A strand is a line pattern
legend-stages = A stage is a fill
legend-levels = A level is a height
legend-states = A milestone is a ring
legend-words = Words
legend-keys = Keys
legend-open = How to read this (?)
legend-keys-page = this page
legend-keys-sideways = on the plan: previous or next session; on the map: what it needs, what it opens
legend-keys-lines = on the plan: previous or next line; on the map: neighbours
legend-keys-more = a minute more or less; one up or one down on the drill desk; zoom the map
legend-keys-stage = one stage up or down for the block
legend-keys-block = lock the block, remove it, show the skill here
legend-keys-move = move the block to the previous or next session
legend-keys-open = open the block
legend-keys-solve = solve: repair the plan around what is locked
legend-keys-publish = publish
legend-keys-undo = undo the last change to a plan, a drill or the map
legend-keys-search = search the library
legend-keys-save = save the drill

look-title = Appearance
look-light = Light
look-dark = Dark
look-pitch = Pitch: large, black on white

language-title = Language
language-en = English
language-de = Deutsch

sign-out = Sign out

done = Done

link-address = Address to share
link-copy = Copy
link-copied = Copied

places-clubs = Clubs
places-drills = Drills
places-progressions = Progressions
places-plan = Plan
places-sessions = Sessions
places-levels = Levels
places-standards = Standards
places-today = Today
places-test = Test
places-squad = Squad
places-weeks = Weeks

new-version = A new version is ready: load it

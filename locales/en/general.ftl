### What is said everywhere, the legend and the names of places.

loading = One moment…

no-network = Jogo cannot be reached just now. What you enter stays on this device and is sent later.

fallen = This screen has stumbled. What you entered is kept. Load it again.

no-level = no level yet

close = Close

cancel = Cancel

undo = Undo

retry = Try again

minutes = { $n } min

floor-of = Floor drawing: { $title }

legend-title = How to read this
legend-strands = A strand is a line
legend-stages = A stage is a filling
legend-levels = A level is a height
legend-states = A milestone is a ring
legend-keys = Keys
legend-open = How to read this (?)
legend-keys-page = this page
legend-keys-sideways = on the plan the evening before, after; on the map what is needed, what is opened
legend-keys-lines = on the plan the line above, below; neighbours on the map
legend-keys-more = a minute more, less; one up, one down on the drill desk; the map larger, smaller
legend-keys-stage = the block a stage up, down
legend-keys-block = lock, take out, show the skill here
legend-keys-move = move the block to the evening before, after
legend-keys-open = open the block
legend-keys-solve = solve: mend the plan around what is locked
legend-keys-publish = publish
legend-keys-undo = undo the last change of a plan, a drill or the map
legend-keys-search = to the words of the library
legend-keys-save = save a drill

look-title = Look
look-light = Light
look-dark = Dark
look-pitch = Pitch: large, black on white

sign-out = Sign out

done = Done

link-address = Address to hand on
link-copy = Copy
link-copied = Copied

places-clubs = Clubs
places-drills = Drills
places-progressions = Progressions
places-plan = Plan
places-evenings = Evenings
places-levels = Levels
places-standards = Standards
places-tonight = Tonight
places-test = Test
places-squad = Squad
places-weeks = Weeks

new-version = A new version is here: load it

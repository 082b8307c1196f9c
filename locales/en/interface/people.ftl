### People, invitations, post and signing in.

sign-in-title = Jogo
sign-in-about = What the children learn with the ball, in which order, and how far they have come.
sign-in-login = Name
sign-in-password = Password
sign-in-go = Sign in
sign-in-samples = Look around as one of the people in the demo
sign-in-director = technical director: plans, publishes, reviews
sign-in-club_lead = club lead: sees everything in one club
sign-in-coach = coach of { $teams }

join-welcome = Welcome, { $name }
join-as = { $of ->
        [none] You were invited as { $role }. Choose how you sign in.
       *[other] You were invited as { $role } of { $of }. Choose how you sign in.
    }
join-login = User name
join-login-how = Lower-case letters, digits and hyphens
join-password-how = At least 8 characters
join-go = Start
join-gone = This invitation no longer works
join-ask-again = It has been used, has expired or was withdrawn. Ask the technical director for a new one.

clubs-title = Clubs and people
clubs-beside = Team, club or invitations
clubs-add-club = Add a club
clubs-new-club = New club
clubs-new-team = New team in { $club }
clubs-change = Change
clubs-change-named = Change { $club }
clubs-led-by = led by { $names }
clubs-name = Name
clubs-team-name = Team name
clubs-band = Band
clubs-club = Club
clubs-teams = Teams
clubs-coaches = Coaches
clubs-no-coach = no coach yet
clubs-no-teams = No team yet. Press Change to add one.
clubs-players = { $n ->
        [one] { $n } player
       *[other] { $n } players
    }
clubs-save = Save
clubs-invite = Invite someone
clubs-invited = Invited, not joined yet
clubs-nobody-invited = Nobody. Press “Invite someone” to make a link for a coach.
clubs-until = until { $day }
clubs-withdraw = Withdraw
clubs-full-name = First and last name
clubs-what-for = Which role?
clubs-role-means-coach = Runs sessions for their teams, looks after the squad, takes tests. Sees nothing of other teams.
clubs-role-means-club_lead = Sees the sessions and levels of one club, but changes nothing.
clubs-role-means-director = Sees and changes everything.
clubs-make-link = Create the link
clubs-hand-on = Send this link to { $name }
clubs-once = It works once, until { $day }. It is shown only now.
clubs-my-teams = My teams
clubs-my-club = My club

letters-title = Outbox
letters-now = Write what is due
letters-by-server = Letters are sent by the mail server. Each is written once: the week ahead on Monday, and a reminder when logs are missing.
letters-in-folder = No mail server is set up: letters are kept as files in the folder “outbox” next to the database. Any mail program can open them.
letters-none = Nothing has been written yet. Coaches who have entered an email address get their week on Monday.
letters-left = sent { $when }
letters-waits = waiting
letters-failed = could not be sent: { $why }
letters-mine = My email
letters-mine-about = Your sessions for the week by email, and a reminder when a log is missing. Leave it empty for no email.
letters-address = Email address

calendar-open = My calendar
calendar-title = Your sessions in your calendar
calendar-how = Create an address and add it to the calendar on your phone or computer. New sessions appear there automatically, and cancelled ones are marked.
calendar-secret = Anyone with this address can see your sessions. It is shown only now: if you lose it, create a new one.
calendar-since = You created an address on { $day }.
calendar-make = Create an address
calendar-renew = Create a new one and stop the old one
calendar-end = Stop it

begin-title = A new academy
begin-about = This address works once. You become its technical director; everybody else is invited by you.
begin-academy = Name of the academy
begin-time-zone = Time zone
begin-time-zone-note = Days, weeks and the hour of a session are those of this zone.
begin-name = Your name
begin-name-note = As coaches and directors read it
begin-go = Begin
begin-gone = This address no longer works
begin-gone-how = The academy has begun, or a day has passed. If it has begun, sign in. If not, start Jogo again: it prints a new address.
begin-left = { $n ->
    [one] 1 step to go
   *[other] { $n } steps to go
}
begin-steps = { $n ->
    [0] Your first plan is out
    [one] One step to your first plan
   *[other] { $n } steps to your first plan
}
begin-steps-about = Each can be left and come back to. This list stays until the first plan is out.
begin-step-done = Done
begin-look = Look
begin-step-bands = Bands
begin-how-bands = The age groups, with the length of a session and how long children work without a break.
begin-do-bands = Set bands
begin-step-library = Skills and drills
begin-how-library = What is taught, and the drills that train it. Take what comes with Jogo, or write your own.
begin-do-library = Write a drill
begin-step-teams = Clubs and teams
begin-how-teams = Which clubs belong to the academy, and their teams with the band of each.
begin-do-teams = Add clubs
begin-step-coaches = Coaches
begin-how-coaches = Each coach gets a link that works once: send it to them.
begin-do-coaches = Invite coaches
begin-step-curriculum = A curriculum
begin-how-curriculum = From a template in four short steps. The planner lays out the weeks.
begin-do-curriculum = Make a curriculum
begin-step-edition = A published plan
begin-how-edition = Once it is published, every team of the band has it on the phone.
begin-do-edition = Publish
begin-starter = The library that comes with Jogo
begin-starter-about = All of it can be changed later. Standards and limits are assumptions: put in your own as you learn more. What you have already stays as it is.
begin-part-bands = Bands: { $lacks } of { $pieces }
begin-part-library = Skills, drills, tests and milestones: { $lacks } of { $pieces }
begin-part-standards = Standards for the tests: { $lacks } of { $pieces }
begin-part-templates = Templates, three terms for each band: { $lacks } of { $pieces }
begin-take = Take these
begin-open = What is still to do

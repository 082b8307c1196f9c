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

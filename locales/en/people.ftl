### People, invitations, post and signing in.

sign-in-title = Jogo
sign-in-about = What the children learn with the ball, in what order, and how far they have come.
sign-in-login = Name
sign-in-password = Password
sign-in-go = Sign in
sign-in-samples = Look around as one of the demo’s sample people
sign-in-director = technical director: plans, publishes, looks back
sign-in-club_lead = club lead: reads everything of one club
sign-in-coach = coach of { $teams }

join-welcome = Welcome, { $name }
join-as = { $of ->
        [none] You were invited as { $role }. Choose how you sign in.
       *[other] You were invited as { $role } of { $of }. Choose how you sign in.
    }
join-login = Name to sign in with
join-login-how = Small letters, digits and dashes
join-password-how = At least 8 characters
join-go = Begin
join-gone = This invitation does not work any more
join-ask-again = It was used already, has ended or was taken back. Ask the technical director for a new one.

clubs-title = Clubs and people
clubs-beside = Team, club or invitations
clubs-add-club = Add a club
clubs-new-club = A new club
clubs-new-team = A new team of { $club }
clubs-change = Change
clubs-change-named = Change { $club }
clubs-led-by = led by { $names }
clubs-name = Name
clubs-team-name = Name of the team
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
clubs-invite = Invite somebody
clubs-invited = Invited, not yet here
clubs-nobody-invited = Nobody. Press “Invite somebody” to make a link that lets a coach in.
clubs-until = until { $day }
clubs-withdraw = Take back
clubs-full-name = First and last name
clubs-what-for = As what?
clubs-role-means-coach = Runs the evenings of their teams, keeps the squad, takes tests. Sees nothing of other teams.
clubs-role-means-club_lead = Reads evenings and levels of one club, and changes nothing.
clubs-role-means-director = Sees and changes everything.
clubs-make-link = Make the link
clubs-hand-on = Hand this link on to { $name }
clubs-once = It works once, until { $day }. It is shown only now.
clubs-my-teams = My teams
clubs-my-club = My club

letters-title = Outbox
letters-now = Write what is due now
letters-by-server = Letters leave by the mail server. Each is written once: the week on Monday, and a word about logs that are missing.
letters-in-folder = No mail server is set up: letters lie as files in the folder “outbox” beside the database, where any mail program opens them.
letters-none = Nothing has been written yet. Coaches who have given a mail address get their week on Monday.
letters-left = left { $when }
letters-waits = waits
letters-failed = could not be sent: { $why }
letters-mine = My post
letters-mine-about = Your evenings of the week by mail, and a word when a log is missing. Leave it empty for no post.
letters-address = Mail address

calendar-open = My calendar
calendar-title = Your evenings in your calendar
calendar-how = Make an address and add it to the calendar on your phone or computer. New evenings appear there by themselves, and those that fall out say so.
calendar-secret = Whoever has this address can read your evenings. It is shown only now: make a new one if you lose it.
calendar-since = You made an address on { $day }.
calendar-make = Make an address
calendar-anew = Make a new one, the old one stops
calendar-end = Stop it

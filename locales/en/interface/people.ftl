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
clubs-from-list = From a list
club-list-title = Add clubs from a list
club-list-about = One row per team, with the columns club, team, band and coach. You can put an email after a coach: Name <name@mail.example>.
    Clubs and teams that already exist stay as they are. Each new coach gets an invitation. Check the list first; nothing is saved until you add it.
club-list-choose = Choose a file (CSV or XLSX)
club-list-paste = Or paste rows from a spreadsheet
club-list-example = club, team, band, coach
club-list-look = Check the list
club-list-rows-of = What each row adds
club-list-line = Row
club-list-written = In the list
club-list-becomes = What it adds
club-list-new-club = new club
club-list-new-team = new team
club-list-invites = invites { $names }
club-list-there = nothing new
club-list-ready = { $faulty ->
    [0] Every row can be added. Nothing has been saved yet.
    [one] { $good } rows can be added, 1 is left out. Nothing has been saved yet.
   *[other] { $good } rows can be added, { $faulty } are left out. Nothing has been saved yet.
}
club-list-take = { $n ->
    [one] Add this row
   *[other] Add these { $n } rows
}
club-list-taken = Clubs and teams added
club-list-hand-out = Print these invitations and hand them out. Each link works once and is shown only here.
club-list-nobody-new = There was no new coach to invite.
club-list-to-clubs = Go to clubs
club-list-card = { $academy } invites you to coach { $teams }.
club-list-until = Scan the code or open the address by { $day }. Then choose a user name and a password.
clubs-invite = Invite someone
clubs-people-or-invited = Who is in, and who is invited
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
clubs-email = Email (optional)
clubs-email-about = If the academy has a mail server, the link is sent there too.
link-mailed = The link was also sent by email.
link-not-mailed = The email could not be sent. Please pass the link on yourself.
link-no-server = This academy has no mail server. Please pass the link on yourself.
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
begin-how-teams = Which clubs belong to the academy, and their teams with the band of each: one by one, or all from a list together with their coaches.
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

sign-in-code = Code from your authenticator app
sign-in-code-note = Or one of your recovery codes

sign-out-title = Sign out on this device?
sign-out-offline = There is no network. This device forgets everything it has read; the server is told as soon as the network is back.
sign-out-waiting = { $n ->
        [one] One entry has not been sent. It stays on this device, hidden, until you sign in here again.
       *[other] { $n } entries have not been sent. They stay on this device, hidden, until you sign in here again.
    }
sign-out-stay = Stay signed in

password-title = A new password
password-for = For { $name }, who signs in as “{ $login }”.
password-go = Set the password
password-gone = This link no longer works
password-gone-how = It has been used, or a day has passed. Ask the technical director for a new one.
password-done = The password is set, and every other device is signed out. Sign in with it now.
password-to-sign-in = Sign in

account-title = Your account
account-about = { $name }, signs in as “{ $login }”
account-password = Password
account-password-now = Current password
account-password-new = New password
account-password-how = At least 8 characters; a few unrelated words are best. Every other device is signed out.
account-password-change = Change the password
account-password-changed = The password is changed.
account-devices = Where you are signed in
account-device-phone = Phone
account-device-computer = Computer
account-device-other = Something else
account-device-own = this device
account-device-when = since { $since }, last used { $seen }
account-device-end = Sign out there
account-devices-end = Sign out everywhere else
account-factor = Second factor
account-factor-off = Off. When it is on, signing in also asks for a code from an app on your own device.
account-factor-on = On. Signing in asks for a code from your app, or a recovery code.
account-factor-first = The directors of this academy sign in with a code as well. Set it up to go on.
account-factor-begin = Set it up
account-factor-stop = Turn it off
account-factor-password = Your password
account-factor-scan = Scan this with the authenticator app on your phone, or type the secret into it. Then enter the code that it shows.
account-factor-secret = Secret
account-factor-code = Code
account-factor-turn-on = Turn it on
account-factor-recovery = Keep these recovery codes somewhere other than on your phone. Each lets you in once. They are shown only now.
account-factor-kept = I have saved them
account-leave = Your teams and clubs
account-leave-team = Stop coaching
account-leave-club = Stop leading
account-leave-sure = { $what }: you will no longer see it. What you wrote stays.
account-leave-go = Leave
account-leave-nothing = No team and no club.
account-waiting = Entries of others on this device
account-waiting-about = { $n ->
        [one] One entry of somebody who signed in here has not been sent. It is sent when they sign in here again.
       *[other] { $n } entries of people who signed in here have not been sent. They are sent when these people sign in here again.
    }
account-waiting-discard = Discard them
account-waiting-sure = They are lost for good. Ask those people first.

people-title = People
people-role = { $role }, signs in as “{ $login }”
people-more = Actions for { $name }
people-link = Link for a new password
people-link-title = A new password for { $name }
people-link-how = Send this link to { $name }. It works once, until { $when }. It is shown only now.
people-factor = Remove the second factor
people-factor-sure = { $name } will then sign in with the password alone. Do this only if you are sure who asked you.
people-shut-out = Shut out
people-shut-out-sure = { $name } is signed out everywhere at once. Their calendar address, timing gates and open invitations stop working, and they no longer coach or lead. What they wrote stays.
people-shut-out-list = Shut out
people-let-in = Let in again
people-leads = Who leads
people-leads-none = Nobody. Invite somebody as club lead.
people-end-lead = No longer leads

audit-title = Activity log
audit-about = Who signed in, published, changed rights or deleted data. It never contains a child’s name. Sign-ins are kept for a year.
audit-who = Who
audit-everybody = Everybody
audit-what = What
audit-everything = Everything
audit-export = Download as a list
audit-more = Show more
audit-nothing = Nothing of this kind.
audit-at = When
audit-to = Details
audit-by-itself = Jogo, or the command line
deed-academy_begun = began the academy
deed-academy_named = named the academy
deed-settings_changed = changed the settings
deed-band_changed = changed a band
deed-starter_taken = took from the starter library
deed-imported = imported files
deed-band_added = added a band
deed-clubs_listed = added clubs from a list
deed-coaches_changed = changed who coaches
deed-invited = invited
deed-invitation_withdrawn = withdrew an invitation
deed-joined = joined
deed-person_added = added a person
deed-signed_in = signed in
deed-sign_in_failed = failed to sign in
deed-sign_ins_ended = ended sign-ins
deed-password_changed = changed a password
deed-password_link_made = made a link for a new password
deed-password_link_used = used a link for a new password
deed-second_factor_on = turned the second factor on
deed-second_factor_off = turned the second factor off
deed-shut_out = shut out
deed-let_in_again = let in again
deed-left_club = no longer leads
deed-left_team = stopped coaching
deed-milestone_set = set a milestone
deed-milestone_dropped = dropped a milestone
deed-word_against = overruled the evidence for a milestone
deed-test_set = set a test
deed-test_dropped = dropped a test
deed-standard_set = set a standard
deed-drill_archived = archived a drill
deed-drill_back = brought a drill back
deed-published = published
deed-player_exported = downloaded a player’s data
deed-squad_exported = downloaded a squad list
deed-results_exported = downloaded results
deed-player_corrected = corrected a player
deed-player_moved = moved a player to another team
deed-player_left = noted that a player left
deed-player_back = brought a player back
deed-player_erased = deleted a player
deed-note_deleted = deleted a note
deed-season_changed = changed the season
deed-season_change_taken_back = took a season change back
deed-other = something else

keeping-title = Sign-in limits and stored data
keeping-idle = Days unused until sign-out
keeping-whole = Days until sign-out in any case
keeping-directors = Directors sign in with a code as well
keeping-months = Months kept after a child leaves
keeping-left = Children who left
keeping-left-none = Nobody. When a coach notes that a child has left, they stand here until they are erased.
keeping-left-line = { $name }: left { $left }, erased on { $erased }

# When and where teams meet.
times-title = When and where
times-of = When and where: { $club }
times-about = A team trains on the same weekdays at the same times. When teams share a place, each gets an equal part of the floor and of the markers, and its plan is fitted to that.
times-to-clubs = Back to clubs
times-week = The week
times-none = No times yet
times-sharing = Shared places
times-places = Places
times-places-none = Add the halls and pitches in which the club trains.
times-place-size = { $width } × { $depth } m, { $teams ->
    [one] one team at a time
   *[other] { $teams } teams at a time
}
times-add-place = Add a place
times-teams = Teams at a time
times-drop-place = Remove the place
times-drop-place-says = Teams that train in { $place } keep their times, without a place.
times-day = Day
times-from = From
times-minutes = Minutes
times-place = Place
times-no-place = Place not known
times-add-day = Add a day
times-take-out = Remove
times-refitted = What this means for the plans:
times-fitted = fitted to the new times and floor
times-days-stay = the days stay as they were, because a session has been logged or cancelled
when-said = { $from }–{ $to }
when-beside = shared with { $teams }

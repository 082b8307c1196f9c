### Letters and calendars.

letter-weekday = { $weekday ->
    [1] Monday
    [2] Tuesday
    [3] Wednesday
    [4] Thursday
    [5] Friday
    [6] Saturday
   *[7] Sunday
} { $date }
letter-week-subject = Your sessions from { $date }
letter-week-line = { $date }, { $team }: { $what }
letter-when-line = { $from }–{ $to }
letter-when-where-line = { $from }–{ $to }, { $place }
letter-theme-line = Theme of the week: { $theme }
letter-theme-strand = { $strand } ({ $skills })
letter-week-end = Drawings, clock and log are on your phone, also without network. Your association’s rules and qualified people come first.
letter-invitation-subject = Invitation to { $academy }
letter-invitation-text = { $academy } invites you. This link works once, until { $until }. Open it to choose a user name and a password.
letter-invitation-teams = You will coach { $teams }. Your sessions will be on your phone.
letter-password-subject = { $academy }: choose a new password
letter-password-text = Use this link to choose a new password for { $academy }. It works once, until { $until }. If you did not ask for it, tell your director.
letter-logs-subject = { $count ->
    [one] One session has no log yet
   *[other] { $count } sessions have no log yet
}
letter-logs-text = One tap for each block is enough, and the rest of the plan knows what was shown:
letter-log-line = { $date }, { $team }
letter-block-line = { $minutes } min { $title }
letter-test-line = { $minutes } min Test: { $title }
lasts-whole = { $minutes } min
lasts-left = { $minutes } min are left
lasts-cancelled = cancelled
calendar-entry = { $team }: { $what }

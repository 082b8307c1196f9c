### Briefe und Kalender.

letter-weekday = { $weekday ->
    [1] Montag
    [2] Dienstag
    [3] Mittwoch
    [4] Donnerstag
    [5] Freitag
    [6] Samstag
   *[7] Sonntag
}, { $date }
letter-week-subject = Deine Einheiten ab { $date }
letter-week-line = { $date }, { $team }: { $what }
letter-when-line = { $from }–{ $to } Uhr
letter-when-where-line = { $from }–{ $to } Uhr, { $place }
letter-theme-line = Thema der Woche: { $theme }
letter-theme-strand = { $strand } ({ $skills })
letter-week-end = Zeichnungen, Uhr und Protokoll sind auf deinem Handy, auch ohne Netz. Die Regeln deines Verbands und Fachleute gehen vor.
letter-invitation-subject = Einladung: { $academy }
letter-invitation-text = { $academy } lädt dich ein. Dieser Link gilt einmal, bis { $until }. Wähle dort Benutzername und Passwort.
letter-invitation-teams = Du wirst { $teams } trainieren. Deine Einheiten sind dann auf deinem Handy.
letter-password-subject = { $academy }: ein neues Passwort
letter-password-text = Über diesen Link wählst du ein neues Passwort für { $academy }. Er gilt einmal, bis { $until }. Wenn du nicht darum gebeten hast, sag es deinem Direktor.
letter-logs-subject = { $count ->
    [one] Für eine Einheit fehlt noch das Protokoll
   *[other] Für { $count } Einheiten fehlt noch das Protokoll
}
letter-logs-text = Ein Tipp für jeden Block genügt, und der weitere Plan weiß, was gezeigt wurde:
letter-log-line = { $date }, { $team }
letter-block-line = { $minutes } min { $title }
letter-test-line = { $minutes } min Test: { $title }
lasts-whole = { $minutes } min
lasts-left = { $minutes } min bleiben
lasts-cancelled = fällt aus
calendar-entry = { $team }: { $what }

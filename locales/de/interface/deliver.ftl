### Einheiten: geplant, geleitet, protokolliert, gedruckt, und Üben zu Hause.

session-kit = Mitbringen
session-markers = { $colour ->
        [any] { $n } Hütchen in beliebiger Farbe
       *[other] { $n } Hütchen in { $name }
    }
session-no-kit = nichts
session-unused = { $n } min frei
session-lay-out = { $n } min Aufbau
session-stay = { $n ->
        [one] 1 Hütchen kann liegen bleiben
       *[other] { $n } Hütchen können liegen bleiben
    }
session-lay-out-rest = { $n } min Aufbau, { $stay }
session-theme = Thema der Woche: { $theme }
session-theme-strand = { $strand } ({ $skills })
session-bouts = { $rest ->
        [0] { $n } × { NUMBER($work, maximumFractionDigits: 0) } s Arbeit
       *[other] { $n } × { NUMBER($work, maximumFractionDigits: 0) } s Arbeit, { NUMBER($rest, maximumFractionDigits: 0) } s Pause
    }
session-touches = { $strong } Kontakte mit dem starken Fuß, { $other } mit dem anderen
session-waiting = { $share } Stehzeit
session-assumption = Die Kontakte beruhen auf einer Annahme, bis jemand zählt.
session-points = Coachingpunkte
session-faults = Häufige Fehler
session-cautions = Sicherheit
session-caution-tail = Die Regeln deines Verbands und Fachleute gehen vor.
session-in-game = Im Spiel
session-beside = Wer weiter ist

today-next = Als Nächstes: { $day }
today-none = Noch ist keine Einheit geplant. Sie erscheint hier, sobald die Technische Leitung eine Ausgabe veröffentlicht.
today-start = Uhr starten
today-pause = Pause
today-go-on = Weiter
today-again = Von vorn
today-phase-explain = erklären
today-phase-work = Arbeit
today-phase-rest = Pause
today-phase-challenge = Herausforderung
today-phase-over = Zeit ist um
today-bout = { $n ->
        [0] dann { $of ->
            [one] { $of } Durchgang
           *[other] { $of } Durchgänge
        }
       *[other] Durchgang { $n } von { $of }
    }
today-more = Mehr
today-less = Weniger
today-block = Block { $n } von { $of }
today-how-it-went = Wie lief es?
today-all-said = Die Einheit ist protokolliert. Danke.
session-hinge-share = „{ $skill }“ beginnt hier, sobald { $share } einer Mannschaft die Hürde nehmen.
session-hinge-word = „{ $skill }“ beginnt hier, wenn die Trainerin oder der Trainer es sagt.
session-hinge-meanwhile = Bis dahin: { $instead }.
session-hinge-left-out = Bis dahin fällt es weg.
session-hinge-stuck = Nichts anderes kann hier stehen, ohne eine Regel zu brechen; es beginnt also auf jeden Fall.
today-hinge-ready = „{ $skill }“ beginnt in dieser Einheit: { $ready } von { $players } sind so weit, { $needed } sind nötig.
today-hinge-begun = „{ $skill }“ beginnt in dieser Einheit.
today-hinge-waits = „{ $skill }“ beginnt noch nicht: { $ready } von { $players } sind so weit, { $needed } sind nötig. Die Einheit geht ohne das weiter.
today-hinge-ask = „{ $skill }“ beginnt, wenn du es sagst. Die Einheit geht ohne das weiter.
today-hinge-begin = Trotzdem beginnen
today-hinge-begin-word = Beginnen lassen
today-edition = Ausgabe { $n }
today-to-today = Zu heute
today-sound = Ton an
today-silent = Ton aus
today-rungs = Leichter oder schwerer

ran-one_down = Eins leichter
ran-one_up = Eins schwerer

stations-title = Gruppen
stations-how = Wie werden sie eingeteilt?
stations-mixed = gemischt
stations-like_with_like = nach Niveau
stations-again = Neu mischen
stations-station = Station { $n }
stations-taps = Tippe zwei Namen an:
stations-tap-swap = tauschen
stations-tap-apart = trennen
stations-tap-together = zusammen
stations-first-swap = Tippe zwei Namen an, und sie tauschen in diesem Block die Plätze.
stations-first-apart = Tippe zwei Namen an, und sie bleiben von jetzt an getrennt.
stations-first-together = Tippe zwei Namen an, und sie bleiben von jetzt an zusammen.
stations-second-swap = Wer tauscht mit { $name }?
stations-second-apart = Wer bleibt von { $name } getrennt?
stations-second-together = Wer bleibt bei { $name }?
stations-wish = { $together ->
        [yes] { $one } und { $other } bleiben zusammen.
       *[other] { $one } und { $other } bleiben getrennt.
    }
stations-broken = Mit diesen Gruppen geht das nicht.
stations-drop = Das für { $one } und { $other } vergessen
stations-nobody-said = Das sind Gruppen des ganzen Kaders: Trag im Protokoll ein, wer fehlt, dann werden die Gruppen aus denen gemacht, die da sind.

next-time = Nächstes Mal
next-time-of = Nächstes Mal ({ $day }, { $drill }):
next-time-one_down = Eins leichter
next-time-same = Wie geplant
next-time-one_up = Eins schwerer
next-time-no-one_down = Der Plan lässt keine leichtere Stufe zu.
next-time-no-one_up = Der Plan lässt keine schwerere Stufe zu.
next-time-change = Ändern
next-time-just = { $drill }: wie es lief

next-time-stepped-one_up = Eins schwerer, wie nach dem letzten Mal entschieden
next-time-stepped-one_down = Eins leichter, wie nach dem letzten Mal entschieden
today-not-met = { $n ->
        [one] { $names } war nicht da, als das anfing.
       *[other] { $n } waren nicht da, als das anfing: { $names }.
    }
today-not-met-down = Zum Anfang eins leichter: { $how }.
stations-one_down = die Leichteren zusammen
stations-one-down = eins leichter
session-bibs = { $n } Leibchen

voice-open = Der Leitung sagen
voice-of = Was du der Leitung zu „{ $drill }“ sagst
voice-said = Du hast der Leitung gesagt: { $voice }
voice-line = Ein Satz dazu
voice-answer = { $by } antwortet: „{ $says }“
voice-works = klappt
voice-does_not_fit = passte nicht in die Halle
voice-too_hard = zu schwer
voice-too_easy = zu leicht
voice-not_liked = gefiel den Kindern nicht
outbox-next-time = Nächstes Mal: { $next }
outbox-voice = An die Leitung: { $voice }

dose-timed = { $sets } × { NUMBER($work, maximumFractionDigits: 0) } s
dose-reps = { $sets ->
        [1] { $reps ->
            [one] einmal
           *[other] { $reps }-mal
        }
       *[other] { $sets } Sätze zu { $reps }
    }
dose-laps = { $reps } × { $laps ->
        [one] eine Runde
       *[other] { $laps } Runden
    }
dose-both-ways = in beide Richtungen
dose-tries = { $tries ->
        [one] ein Versuch
       *[other] { $tries } Versuche
    }
dose-streak = bis { $target } hintereinander gelingen, höchstens { NUMBER($cap, maximumFractionDigits: 0) } s
dose-until-told = bis ich „Wechsel“ sage, { $sets ->
        [one] einmal
       *[other] { $sets }-mal
    }, jeweils { NUMBER($least, maximumFractionDigits: 0) } bis { NUMBER($most, maximumFractionDigits: 0) } s
dose-series = { $moves } Übungen, je { NUMBER($work, maximumFractionDigits: 0) } s
dose-rounds = { $n } Durchgänge
dose-challenge = danach { NUMBER($s, maximumFractionDigits: 0) } s Herausforderung
series-title = Übungen
series-challenge = Herausforderung
series-enter = Ergebnisse eintragen: { $challenge }
today-move-next = gleich: { $move }
dose-each = mit jedem Fuß
dose-alternate = links und rechts im Wechsel
dose-rest = { NUMBER($rest, maximumFractionDigits: 0) } s Pause
dose-about = etwa { NUMBER($s, maximumFractionDigits: 0) } s
today-foot-strong = starker Fuß
today-foot-other = anderer Fuß
streak = Saubere hintereinander
streak-hit = Wieder ein sauberer
streak-miss = Daneben
streak-done = { $target } hintereinander!
streak-best = Bestwert { $best }

log-title = Protokoll
log-here = Wer ist da?
log-tap = Tippe an, wer fehlt
log-count = { $here } von { $all } da
log-everyone = Alle sind da
log-is-missing = { $name } fehlt
log-blocks = Wie lief es?
log-nothing = noch nichts protokolliert
log-minutes = Minuten von { $planned }
log-came-off = Gelungen, von zehn
log-note = Eine Notiz fürs nächste Mal
log-note-whom = Über ein Kind
log-note-whom-chosen = Über
log-note-of = Über { $names }
log-note-about = Nur zur Einheit. Nichts über Gesundheit oder Zuhause eines Kindes.
log-note-gone = hat die Notiz gelöscht
log-note-said = hat eine Notiz geschrieben
log-note-delete = Notiz endgültig löschen
log-note-deleted = Die Notiz ist gelöscht, mit allem, was sie vorher sagte.
log-history = Wer was protokolliert hat
log-somebody = ein Kind
log-player = { $present ->
        [yes] { $name } war doch da
       *[other] { $name } fehlte doch
    }
log-tenths = { $n } von zehn
log-block = { $success ->
        [none] { $title }: { $outcome }
       *[other] { $title }: { $outcome }, { $success } von zehn
    }

upset-open = Einheit absagen oder kürzen
upset-title = { $day }: ausgefallen oder gekürzt
upset-kinds-out = Ausgefallen
upset-kinds-short = Gekürzt
upset-kind = Was ist passiert?
upset-left = Minuten, die bleiben
upset-how = Wie soll es weitergehen?
upset-remedy-shift = Verschieben
upset-remedy-squeeze = Einpassen
upset-remedy-skip = Auslassen
upset-means-shift = Alles Spätere rückt um eine Einheit weiter; die letzte fällt weg.
upset-means-squeeze = Worauf spätere Einheiten bauen, kommt in die nächsten; die Pflege weicht.
upset-means-skip = Was geplant war, fällt weg.
upset-score = Wertung { $points }, weniger ist besser
upset-moved = { $n ->
        [0] Kein Block wechselt
        [one] { $n } Block wechselt die Einheit
       *[other] { $n } Blöcke wechseln die Einheit
    }
upset-enough = Jedes Ziel wird noch oft genug geübt
upset-short = Zu wenig: { $what }
upset-sound = Keine Regel wird gebrochen
upset-breaks = { $n ->
        [one] Bricht später { $n } Regel
       *[other] Bricht später { $n } Regeln
    }
upset-go = So weitermachen
upset-cancelled = Diese Einheit ist ausgefallen.

own-open = Unsere Tage und unser Platz
own-open-theirs = Tage und Platz dieses Teams
own-title = Was bei diesem Team anders ist
own-about = Alles andere folgt der Ausgabe. Wo der Plan nicht mehr passt, werden die kommenden Einheiten neu geplant, so nah an der Ausgabe wie möglich.
own-days-fixed = Eine Einheit hat schon ein Protokoll oder ist ausgefallen, deshalb bleiben die Tage.
own-as-edition = Wie in der Ausgabe
own-fitting = Passt an…

weeks-came-off = Von zehn Versuchen gelangen { $came }, erwartet waren { $expected } ({ $n ->
        [one] ein Block
       *[other] { $n } Blöcke
    } mit Angabe).
weeks-came-off-more = Was für diese Mannschaft neu geplant wird, darf etwas schwerer sein.
weeks-came-off-less = Was für diese Mannschaft neu geplant wird, darf etwas leichter sein.
weeks-came-off-theta = Der Planer rechnet mit θ { $theta } (90 %: { $least } bis { $most })
weeks-none = Für dein Team wurde noch keine Ausgabe veröffentlicht.
weeks-planned = { $n ->
        [one] { $n } Block
       *[other] { $n } Blöcke
    }
weeks-today = heute
weeks-no-log = kein Protokoll
weeks-cancelled = ausgefallen
weeks-shortened = auf { $left } min gekürzt
weeks-gone-on-shift = alles Spätere rückte um eine Einheit weiter
weeks-gone-on-squeeze = das Nötige kam in die nächsten Einheiten
weeks-gone-on-skip = ausgelassen
weeks-back = Rückgängig: { $what }

sessions-title = Einheiten
sessions-about = Geplant und gemacht, in Minuten.
sessions-none = Von diesem Curriculum ist keine Ausgabe veröffentlicht. Veröffentliche eine auf der Seite „Plan“.
sessions-delivered = gemacht
sessions-planned = geplant
sessions-logs-missing = { $n ->
        [one] { $n } Protokoll fehlt
       *[other] { $n } Protokolle fehlen
    }
sessions-week = Woche
sessions-cell = { $team }, Woche { $week }: { $delivered } von { $planned } min
sessions-share = bisher
sessions-cancelled = { $n ->
        [one] { $n } Einheit
       *[other] { $n } Einheiten
    } ausgefallen
sessions-short = Zu wenig gegenüber der Ausgabe
sessions-choose = Wähle eine Woche, um ihre Bereiche und ihr Protokoll zu sehen.

home-title = Üben zu Hause
home-how = Zehn Minuten mit dem Ball. Starte die Uhr und folge den Punkten.
home-foot-strong = Nur mit deinem starken Fuß.
home-foot-other = Nur mit deinem anderen Fuß.
home-feet = Mach es mit einem Fuß, dann genauso oft mit dem anderen.
home-grown-up = Ein Erwachsener weiß, wo du übst.
home-nothing = Diese Woche gibt es nichts für zu Hause. Es kommt mit den nächsten Einheiten.
home-gone = Diese Seite ist umgezogen
home-ask-coach = Frag deinen Trainer nach der neuen Adresse.
home-floor = Platz: { NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } m, frei und trocken.
home-instead = Statt { $kit } geht auch: { $instead }.
home-chain = Bau dir etwas: { $n }, die zusammenpassen
home-challenge = Aufgabe der Woche: Wie viele saubere in { $seconds } s? Schreib deinen Bestwert auf.
home-paper = Karten drucken
home-code = Code zum Scannen
home-hand-out = Die Kinder scannen den Code oder öffnen die Adresse. Die Seite fragt nach keinem Namen und zeigt keinen.
home-renew = Neue Adresse erstellen und die alte beenden
home-came = Ergebnisse von zu Hause
home-came-about = { $drill }: Bestwert in { $seconds } s, von den Kindern selbst gemeldet. Es zeigt, dass sie geübt haben, und zählt nie für ein Niveau.
home-self-reported = selbst gemeldet
home-best-of = Bestwert von { $name }, selbst gemeldet
home-begin-with = { $side ->
        [left] beginne mit dem linken Fuß
       *[right] beginne mit dem rechten Fuß
    }
home-scores = Meine Bestwerte

print-session = Karte der Einheit
print-week = { $club }, { $from } bis { $to }
print-week-of = Diese Woche drucken
print-go = Drucken
print-back = Zurück
print-no-session = Kein Team dieses Vereins trainiert in diesen sieben Tagen.
print-from = { $start }–{ $end }
print-for-next-time = Fürs nächste Mal:
print-card = Drucken

carried-yes = Deine nächsten Einheiten sind auf diesem Handy und gehen auch ohne Netz.
carried-not-yet = Deine nächsten Einheiten werden noch gespeichert. Ohne Netz fehlen sie vielleicht.
carried-cannot = Dieser Browser kann nichts speichern: Ohne Netz fehlen deine Einheiten.

outbox-waiting = { $n } noch nicht gesendet
outbox-others = { $n } von einem anderen Trainer warten hier
outbox-refused = Der Server hat abgelehnt:
outbox-unkept = Dieser Browser kann nichts speichern (privates Fenster oder volle Platte). Was du eingibst, geht verloren, wenn du die Seite schließt, bevor es gesendet ist.
outbox-sign-in = { $n ->
        [one] Ein Eintrag wartet auf diesem Gerät. Er wird gesendet, wenn sich anmeldet, wer ihn eingegeben hat.
       *[other] { $n } Einträge warten auf diesem Gerät. Sie werden gesendet, wenn sich anmeldet, wer sie eingegeben hat.
    }
outbox-again = Noch einmal
outbox-seen = Zur Kenntnis genommen, entfernen

session-stations-alone = jeder für sich
session-stations-of = { $stations } Kinder
session-floor-spot = am Platz
session-floor-line = eine Station { NUMBER($length, maximumFractionDigits: 1) } m ({ NUMBER($paces, maximumFractionDigits: 1) } Schritte) lang
session-floor-area = eine Station { NUMBER($w, maximumFractionDigits: 1) } × { NUMBER($d, maximumFractionDigits: 1) } m ({ NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } Schritte)
weeks-done = { $n } gemacht
weeks-short = { $n } gekürzt
weeks-skipped = { $n } entfallen
sessions-blocks-moved = { $n ->
        [one] { $n } Block verschoben
       *[other] { $n } Blöcke verschoben
    }
sessions-blocks-harder = { $n ->
        [one] { $n } Block schwerer
       *[other] { $n } Blöcke schwerer
    }
sessions-blocks-easier = { $n ->
        [one] { $n } Block leichter
       *[other] { $n } Blöcke leichter
    }
sessions-less = Übungen, die seltener gelingen als erwartet
sessions-less-everywhere = in allen Vereinen
sessions-less-of = { $came } von zehn gelangen, { $expected } waren erwartet ({ $n ->
        [one] ein Block
       *[other] { $n } Blöcke
    })
sessions-skills-short = { $n ->
        [one] { $n } Fertigkeit zu kurz
       *[other] { $n } Fertigkeiten zu kurz
    }
outbox-of-block = { $day } { $outcome }
outbox-of-trial = { $day } { $test } { $value }
outbox-here = { $day } da
outbox-missing = { $day } fehlt
outbox-says = { $day } „{ $says }“
outbox-takes-back = Ergebnis gelöscht

today-tests = Zuerst die Tests
today-look = Blick auf
today-look-back = Gesehenes von { $name } zurücknehmen
print-look = Blick in Block { $n }: { $names }.
weeks-looks = { $asked ->
        [one] { $asked } Blick auf Spieler fehlt noch für Meilensteine, die das Auge beurteilt.
       *[other] { $asked } Blicke auf Spieler fehlen noch für Meilensteine, die das Auge beurteilt.
    }
upset-test-moves = Der Test „{ $name }“ rückt auf { $day }.
upset-test-lost = Der Test „{ $name }“ findet in keiner späteren Einheit Platz.

### Übungen, Stellschrauben, Signale und der Übungstisch.

desk-part-title = Titel
desk-part-id = Titel
desk-part-purpose = Zweck
desk-part-in_game = Im Spiel
desk-part-points = Coachingpunkte
desk-part-faults = Häufige Fehler
desk-part-serves = Fertigkeiten
desk-part-strands = Bereiche
desk-part-station = Station
desk-part-doses = Dosis
desk-part-rungs = Leiter
desk-part-touches_per_s = Kontakte
desk-part-difficulty = Schwierigkeit
desk-part-cautions = Vorsicht
desk-part-home = Zu Hause
desk-part-stand_ins = Ersatz
desk-part-cues = Signale

pace-mine = { $pace ->
        [none] Mein Schritt: 0,75 m, angenommen
       *[other] Mein Schritt: { $pace } m
    }
pace-title = Wie lang ist dein Schritt?
pace-how = Geh zehn Schritte so, wie du Hütchen auslegst. Miss die Strecke und gib sie in Metern ein. Jeder Platz steht dann in deinen Schritten da.
pace-metres = Meter in zehn Schritten
pace-one = Ein Schritt ist { NUMBER($pace, maximumFractionDigits: 2) } m.
pace-keep = Meinen Schritt speichern
pace-forget = Zurücksetzen


settings-tempo-own_pace = eigenes Tempo
settings-tempo-in_rhythm = im Rhythmus
settings-tempo-fast = so schnell du kannst
settings-motion-on_the_spot = am Platz
settings-motion-forward = vorwärts
settings-motion-both_directions = in beide Richtungen
settings-eyes-free = frei
settings-eyes-up = oben
settings-eyes-call = ansagen
settings-side-strong = stark
settings-side-alternate = im Wechsel
settings-side-other = nur der andere Fuß
foot-only-strong = nur der starke Fuß
foot-only-other = nur der andere Fuß
settings-surface-as_drilled = wie in der Übung
settings-surface-inside = Innenseite
settings-surface-sole = Sohle
settings-surface-outside = Außenseite
settings-surface-laces = Spann
settings-surface-thigh = Oberschenkel
settings-surface-chest = Brust
settings-touches-free = frei
settings-touches-two = zwei
settings-touches-one = einer
settings-space-wide = weit
settings-space-usual = normal
settings-space-tight = eng
settings-ball-age_size = Größe der Altersgruppe
settings-ball-one_smaller = eins kleiner
settings-ball-tennis_ball = Tennisball
settings-service-own_toss = selbst hochwerfen
settings-service-rolled = gerollt
settings-service-self_kicked = selbst hochgespielt
settings-service-thrown = von unten geworfen
settings-service-firm = fest
settings-service-mixed_speeds = wechselndes Tempo
settings-service-high = hoch
settings-chain-single = einzeln
settings-chain-two_joined = zwei verbunden
settings-chain-three_or_more = drei oder mehr
settings-pressure-none = keiner
settings-pressure-shadow = Schatten
settings-pressure-passive = passiv
settings-pressure-live = echt
settings-contest-none = keiner
settings-contest-own_score = eigener Bestwert
settings-contest-partner = Partner oder Uhr

drills-search = Übung finden
drills-found = { $n ->
        [one] { $n } Übung
       *[other] { $n } Übungen
    }
drills-none = Es gibt noch keine Übung. Schreib eine, oder nimm die Bibliothek, die mit Jogo kommt.
drills-nothing = Keine Übung passt zu all dem. Nimm einen Filter weg, um mehr zu sehen.
questions-open = Bibliothek prüfen
questions-title = { $n ->
    [0] Keine Fragen offen
    [one] Eine Frage
   *[other] { $n } Fragen
}
questions-about = Was ein guter Coach die Bibliothek als Ganzes fragen würde, mit dem Ort und einem Vorschlag.
questions-of-skill = Techniken
questions-of-drill = Übungen
questions-of-test = Tests, Standards und Meilensteine
questions-of-curriculum = Curricula
questions-asks-skill = Fängt in der Altersgruppe, mit der eine Technik beginnt, eine Übung damit an? Heißt sie wie keine andere?
questions-asks-drill = Liegt ein Ball da, wo er gespielt wird? Reichen zu Hause der Platz und an der Station die Leute? Passen Hinweise und Sprossen? Passt die halbe Dosis in einen Block? Lässt sich jeder Punkt durch eine Halle rufen? Sagt jede etwas Eigenes?
questions-asks-test = Wird jeder Test verwendet, und nimmt er, was seine Worte sagen? Achtet die Übung, die zu ihm führt, auf dieselben Punkte? Steigen die Standards mit dem Alter, und bleiben sie bei dem, was Füße können? Zeigt jeden Meilenstein die eigene Technik?
questions-asks-curriculum = Zeigt ein Meilenstein das Ende jedes Ziels?
drills-write = Neue Übung
drills-back-to-all = ← Alle Übungen
drills-words = Suche
drills-words-hint = Titel, Punkte, Fertigkeit
drills-strand = Bereich
drills-stage = Stufe
drills-skill = Fertigkeit
drills-any = alle
drills-no-matter = egal
drills-band = Altersgruppe
drills-minutes = Minuten
drills-minutes-need-band = Wähle zuerst eine Altersgruppe: Ihre Dosis bestimmt die Minuten.
drills-at-station = Je Station
drills-most-markers = Hütchen bis
drills-wide = Platz breit, m
drills-deep = Platz tief, m
drills-surface = Fläche am Fuß
drills-without = Weglassen
drills-where = Wo
drills-switches-home = zu Hause
drills-switches-plain = nur Bälle und Hütchen
drills-switches-archived = archiviert
voices = Aus den Mannschaften
voices-used = { $runs ->
        [one] Einmal gemacht
       *[other] { $runs }-mal gemacht
    }, von { $teams ->
        [one] einer Mannschaft.
       *[other] { $teams } Mannschaften.
    }
voices-came-off = { $came } von zehn gelangen ({ $n ->
        [one] eine Zählung
       *[other] { $n } Zählungen
    }).
voices-answer = { $n ->
        [one] Der einen Person antworten, die sich gemeldet hat
       *[other] Allen { $n } antworten, die sich gemeldet haben
    }
voices-send = Antworten
drills-voices = { $unanswered ->
        [0] { $n ->
            [one] eine Rückmeldung
           *[other] { $n } Rückmeldungen
        }
        [one] eine Rückmeldung wartet auf Antwort
       *[other] { $unanswered } Rückmeldungen warten auf Antwort
    }
drills-switches-unanswered = Rückmeldung wartet
drills-switches-never_run = noch nie gemacht
drills-switches-less = gelingt seltener als erwartet
drills-more-wishes = Mehr Filter
drills-fewer-wishes = Weniger Filter
drills-everything = Alle zeigen
drills-keys = / zum Suchen · Eingabe zu den Zeichnungen · Pfeiltasten zwischen Übungen · N für eine neue Übung
drills-players = { $alike ->
        [yes] { $min ->
            [one] { $min } Kind
           *[other] { $min } Kinder
        }
       *[other] { $min }–{ $max } Kinder
    }
drills-markers = { $n ->
        [0] keine Hütchen
        [one] { $n } Hütchen
       *[other] { $n } Hütchen
    }
drills-home = zu Hause { NUMBER($w, maximumFractionDigits: 1) } × { NUMBER($d, maximumFractionDigits: 1) } m
drills-care = { $n ->
        [one] ein Hinweis
       *[other] { $n } Hinweise
    }
drills-scale = 5 m auf jeder Karte

desk-layout = Aufbau, in Trainerworten
desk-about = Über diese Übung
desk-place = Zeile { $line }, Spalte { $column }:
desk-expected = Erwartet wird { $what }.
desk-more-faults = und { $n } weitere
desk-reads = Jede Zeile ist verstanden. Zeig auf eine Zeile, um zu sehen, was sie aufbaut.
desk-untitled = Neue Übung
desk-new = noch nicht gespeichert
desk-kept-here = noch nicht gespeichert, bleibt auf diesem Gerät
desk-state = Fassung { $version }, gespeichert { $time }
desk-is-away = archiviert: wird nicht mehr gefunden und nicht mehr geplant
desk-copy = Kopieren
desk-copy-of = { $title }, Kopie
desk-put-away = Archivieren
desk-bring-back = Zurückholen
desk-save = Speichern
desk-as-far = Gezeichnet, so weit die Zeilen verstanden sind. Maße folgen, wenn es alle sind.
desk-no-dose = Diese Altersgruppe hat noch keine Dosis: Gib rechts eine ein, um den Zeitstreifen zu sehen.
desk-from-score = aus der Schrittfolge gezählt, Tempo angenommen
desk-assumption = Kontakte je Sekunde sind eine Annahme
desk-block-minutes = { NUMBER($n, maximumFractionDigits: 1) } min
desk-strip = { $rest ->
        [0] Aufbau { $lay } min, erklären { NUMBER($explain, maximumFractionDigits: 1) } s, { $bouts } × { NUMBER($work, maximumFractionDigits: 1) } s Arbeit
       *[other] Aufbau { $lay } min, erklären { NUMBER($explain, maximumFractionDigits: 1) } s, { $bouts } × { NUMBER($work, maximumFractionDigits: 1) } s Arbeit, { NUMBER($rest, maximumFractionDigits: 1) } s Pause
    }
desk-work-to-rest = Arbeit zu Pause { $ratio }
desk-levers = Stellschrauben
desk-ladder = Leiter
desk-rung = Stufe und Schwierigkeit
desk-rung-at = { $stage }, Schwierigkeit { $difficulty }
desk-one-down = − Leichter
desk-one-up = + Schwerer
desk-difficulty = Schwierigkeit { $n }
desk-success = Gelungen, %
desk-proposes = Als Nächstes: { $lever } auf „{ $setting }“ ({ $difficulty }).
desk-stays = Im Fenster, oder nichts mehr zu ändern: so lassen.
desk-do-so = Übernehmen
desk-no-levers = Noch gilt keine Stellschraube. Wähle, was diese Übung anbietet.
desk-offer = Wählen, was sie anbietet
desk-offered = Fertig
desk-make-rung = Diese Einstellungen als Sprosse speichern
desk-no-rung = Diese Einstellungen sind eine Sprosse: entfernen
desk-ground = Platz
desk-own-ground = eigene Größe
desk-wide = breit, m
desk-deep = tief, m
desk-squad = Kinder
desk-bag = Hütchen
desk-fits = { $squad } Kinder → { $stations ->
        [one] { $stations } Station
       *[other] { $stations } Stationen
    }, { $markers ->
        [one] { $markers } Hütchen
       *[other] { $markers } Hütchen
    }, passt auf { $wide } × { $deep } m, { $spare } m bleiben frei
desk-misfit = Passt nicht. { $says }
desk-working = { $share } arbeiten zugleich: { $stations }
desk-footprint = { NUMBER($w, maximumFractionDigits: 1) } × { NUMBER($d, maximumFractionDigits: 1) } m, das sind { NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } Schritte
desk-path = { $turning ->
        [0] { $kind } { NUMBER($length, maximumFractionDigits: 1) } m
       *[other] { $kind } { NUMBER($length, maximumFractionDigits: 1) } m, { $changes ->
            [one] { $changes } Wendung
           *[other] { $changes } Wendungen
        } über 30°, zusammen { $turning }°
    }
desk-path-kind-dribble = Dribbling
desk-path-kind-run = Lauf
desk-path-kind-pass = Pass
desk-path-kind-serve = Zuspiel
desk-what = Über diese Übung
desk-title = Titel
desk-purpose = Zweck, in einem Satz
desk-in-game = Wann es im Spiel vorkommt
desk-points = Coachingpunkte, wie sie auf dem Handy stehen
desk-points-hint = 3 bis 7, einer je Zeile, der Reihe nach
desk-doses = Dosis und Station
desk-band = Altersgruppe
desk-dose-kind = Dosis
desk-not-done = macht diese Altersgruppe nicht
desk-dose-kinds-timed = Arbeit und Pause nach der Uhr
desk-dose-kinds-reps = Wiederholungen
desk-dose-kinds-laps = Runden
desk-dose-kinds-tries = Versuche
desk-dose-kinds-streak = bis zu einer Serie
desk-dose-kinds-until_told = bis ich „Wechsel“ sage
desk-dose-kinds-series = Serie von Übungen
desk-dose-numbers-least_s = mindestens, s
desk-dose-numbers-most_s = höchstens, s
desk-dose-numbers-moves = Übungen
desk-dose-numbers-rounds = Durchgänge
desk-dose-numbers-break_s = Unterbr., s
desk-dose-numbers-challenge_s = Herausf., s
desk-no-challenge = keine
desk-series = Übungen der Serie
desk-series-move = Übung { $n }
desk-series-add = Übung hinzufügen
desk-series-up = Nach oben
desk-series-skill = Fertigkeit
desk-series-no-skill = keine
desk-series-foot = Fuß
desk-series-both = beide
desk-series-says = Name, falls anders als die Fertigkeit
desk-series-points = Darauf achten, je eine Zeile
desk-series-challenge = Herausforderung am Schluss
desk-series-test = Gemessen wird mit
desk-series-own-best = der eigenen Bestmarke
desk-series-challenge-hint = Wie viele ganze Ketten?
desk-dose-numbers-work_s = Arbeit, s
desk-dose-numbers-rest_s = Pause, s
desk-dose-numbers-sets = Sätze
desk-dose-numbers-reps = Wiederh.
desk-dose-numbers-each_s = s je eine
desk-dose-numbers-laps = Runden
desk-dose-numbers-directions = Richtungen
desk-dose-numbers-tries = Versuche
desk-dose-numbers-target = hintereinander
desk-dose-numbers-cap_s = höchstens, s
desk-dose-numbers-try_s = s je Versuch
desk-as-path = wie der Weg
desk-sides = Füße
desk-side-rules-together = beide in einem Durchgang
desk-side-rules-each = jeder für sich
desk-side-rules-alternate = im Wechsel
desk-station = Kinder an einer Station, und wie viele zugleich arbeiten
desk-station-of-min = wenigste
desk-station-of-usual = üblich
desk-station-of-max = meiste
desk-station-of-working = arbeiten
desk-serves = Fertigkeiten, Bereiche, Flächen am Fuß
desk-add-skill = Fertigkeit hinzufügen
desk-choose-skill = Fertigkeit wählen
desk-share = { $strand }, %
desk-faults = Häufige Fehler
desk-fault-see = Was du siehst
desk-fault-why = Warum
desk-fault-say = Was du sagst oder änderst
desk-add-fault = Fehler hinzufügen
desk-take-out = Entfernen
desk-hardness = Schwierigkeit und Kontakte
desk-base = Grundwert, 0–10
desk-cadence = { $stage }, je s
desk-cadence-says = Kontakte in der Sekunde Arbeit, für jede Stufe: Annahmen, bis jemand zählt.
desk-cautions = Sicherheit
desk-home-and-kit = Zu Hause, und ohne das Material
desk-home = geht zu Hause
desk-home-only = nur für zu Hause
desk-missing = Statt
desk-instead = nimm
desk-add-stand-in = Ersatz hinzufügen
desk-cues = Signale
desk-history = Frühere Fassungen
desk-in-editions = In den Plänen { $names }: Ausgaben behalten ihre eigene Kopie.
desk-saved = { $version }. { $by }, { $at }
desk-came-with = aus der Bibliothek
desk-take-this = Diese Fassung zurückholen
desk-before-saving = { $n ->
        [one] Eines fehlt noch vor dem Speichern
       *[other] { $n } Dinge fehlen noch vor dem Speichern
    }

cues-now = Signal
cues-ready = { $n ->
        [one] { $n } Signal
       *[other] { $n } Signale
    } je Durchgang, niemand kann sie erraten
cues-wait = hör hin…
cues-aloud = laut
cues-silent = stumm
cues-add = Mit Signalen
cues-words = Wörter, durch Leerzeichen getrennt
cues-gap = Sekunden dazwischen
cues-back = Sekunden bis zurück
cues-trial = Signale probieren
cues-stop = Stopp
cues-none = Keine Signale
cues-sequence = Der Reihe nach

desk-balls = { $n ->
        [one] { $n } Ball
       *[other] { $n } Bälle
    }
desk-goals = { $n ->
        [one] { $n } Tor
       *[other] { $n } Tore
    }
desk-walls = { $n ->
        [one] { $n } Wand
       *[other] { $n } Wände
    }
desk-players = { $n ->
        [one] { $n } Kind
       *[other] { $n } Kinder
    }
desk-servers = { $n ->
        [one] { $n } Zuspieler
       *[other] { $n } Zuspieler
    }
desk-defenders = { $n ->
        [one] { $n } Verteidiger
       *[other] { $n } Verteidiger
    }
desk-no-dose-in = { $band } (keine Dosis)
desk-in-part = { $part }: { $detail }
desk-in-nth = { $part } { $n }: { $detail }
as-written-note = Noch nicht übersetzt: im Wortlaut, in dem es geschrieben wurde.
desk-translated = Du bearbeitest den Text, wie er geschrieben wurde. Gezeigt wird „{ $said }“, solange du ihn nicht änderst.

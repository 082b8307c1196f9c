### Die Karte der Lernwege und die Altersgruppen.

progressions-title = Lernwege
progressions-count = { $skills ->
        [one] { $skills } Fertigkeit
       *[other] { $skills } Fertigkeiten
    }, { $findings ->
        [0] alles in Ordnung
        [one] { $findings } Hinweis
       *[other] { $findings } Hinweise
    }
progressions-inspector = Gewählte Fertigkeit
progressions-choose = Wähle eine Fertigkeit, um zu sehen, was sie braucht und was sie öffnet. Pfeiltasten: nach rechts zu dem, was sie öffnet, nach links zu dem, was sie braucht, nach oben und unten zu den Nachbarn. Umschalt und Klick auf eine andere Fertigkeit macht, dass sie diese braucht.
progressions-plate = { $name }, { $band }, { $strand }
progressions-since = Änderungen seit
progressions-no-since = kein Vergleich
progressions-beginning = dem Anfang
progressions-same = Seither hat sich nichts geändert.
progressions-larger = Größer
progressions-smaller = Kleiner
progressions-name = Fertigkeit
progressions-side = Füße
progressions-sides-equal = beide gleich
progressions-sides-other_more = mehr mit dem anderen
progressions-sides-strong_first = starker Fuß zuerst
progressions-sides-not_sided = egal
progressions-rests = { $n ->
        [0] Baut auf nichts auf
        [one] Baut auf { $n } Fertigkeit auf
       *[other] Baut auf { $n } Fertigkeiten auf
    }
progressions-opens = { $n ->
        [0] Öffnet noch nichts
        [one] Öffnet { $n } Fertigkeit
       *[other] Öffnet { $n } Fertigkeiten
    }
progressions-stage-of = Stufe von { $name }, die nötig ist
progressions-drop = { $name } entfernen
progressions-part = ein Teil davon
progressions-helps = hilft
progressions-at = verlangt { $stage }
progressions-connect = Voraussetzung hinzufügen
progressions-gate = Hürde: wie ein Kind zeigt, dass es so weit ist
progressions-gate-kind = Gezeigt durch
progressions-no-gate = keine Hürde
progressions-milestone = einen Meilenstein
progressions-test = ein Testergebnis
progressions-value = erreicht
progressions-times = mal
progressions-of-last = von den letzten
progressions-set-gate = Hürde setzen
progressions-way = Der kürzeste Weg
progressions-squad = für den Kader von
progressions-there = Der Kader ist schon da.
progressions-cost = Mindestens { $exposures ->
        [one] { $exposures } Mal
       *[other] { $exposures } Male
    }, { $sessions ->
        [one] { $sessions } Einheit
       *[other] { $sessions } Einheiten
    } nacheinander, { $weeks ->
        [one] { $weeks } Woche
       *[other] { $weeks } Wochen
    }.
progressions-drills = { $n ->
        [0] Noch keine Übung
        [one] { $n } Übung
       *[other] { $n } Übungen
    }
progressions-reshape = Verbinden und teilen
progressions-join = Mit einer anderen Fertigkeit zu einer Kette verbinden
progressions-split = In Teile teilen, einer je Zeile
progressions-split-hint = tippen, stoppen
    übersteigen
progressions-split-now = { $n ->
        [0] Teilen
        [one] Teilen
       *[other] In { $n } Teile teilen
    }
progressions-mend-drop_need = Voraussetzung streichen
progressions-mend-move_band = Voraussetzung früher beginnen
progressions-mend-drop_gate = Hürde entfernen

bands-title = Altersgruppen
bands-add = Altersgruppe anlegen (Alter)
bands-add-go = Anlegen
bands-add-about = Sie beginnt mit den Zahlen der Altersgruppe, die am nächsten liegt.
bands-about = Jede Zahl ist eine Annahme, bis du sagst, woher sie kommt.
bands-save = Altersgruppen speichern
bands-ages = Alter
bands-ages-note = Jahre am Stichtag
bands-youngest = von
bands-oldest = bis
bands-of = { $row }, { $band }
bands-rows-ball_size = Ball
bands-rows-session_min = Einheit
bands-rows-new_skills_per_week = Neue Fertigkeiten
bands-rows-longest_bout_s = Längster Durchgang
bands-rows-longest_block_min = Längster Block
bands-rows-explaining_s = Erklärung
bands-units-ball_size = Größe 1 bis 5
bands-units-session_min = Technikminuten
bands-units-new_skills_per_week = neu in einer Woche
bands-units-longest_bout_s = Sekunden Arbeit ohne Pause
bands-units-longest_block_min = Minuten mit einer Variante
bands-units-explaining_s = Sekunden zum Erklären und Zeigen
bands-tempos = Tempi
bands-tempos-note = Sekunden je Schlag
bands-tempos-shown = { $test }: { NUMBER($seconds, minimumFractionDigits: 2) } s ({ $n } Ergebnisse)
bands-tempos-take = { NUMBER($seconds, minimumFractionDigits: 2) } s als schnell nehmen
bands-tempos-source = { $test }, Median von { $n } Ergebnissen
bands-speeds = Geschwindigkeiten
bands-speeds-note = Meter in der Sekunde auf einem Weg; Annahmen
bands-assumption = Annahme
bands-source = Woher sie kommt
bands-source-of = { $said }: Quelle von { $name } in { $band }
bands-academy = Für die ganze Akademie
bands-save-name = Name und Zeitzone speichern
bands-save-academy = Akademie speichern
bands-cut-off = Stichtag
bands-cut-off-note = Monat und Tag, wie 01-01
bands-language = Sprache von Briefen und Drucken
bands-language-note = in Briefen geht vor, was jemand selbst gewählt hat
bands-heading = Kopfbälle
bands-heading-off = Aus: Keine Altersgruppe macht Übungen mit Kopfbällen, bis hier die Regel des Verbands steht.
bands-heading-on = An ab { $age } Jahren, nach der Regel unten.
bands-from-age = Ab Alter
bands-per-week = Höchstens in der Woche
bands-rule-text = Die Regel des Verbands, auf die ihr euch stützt
bands-heading-enter = Regel des Verbands eintragen
bands-heading-stop = Kopfbälle ausschalten
bands-points = Punkte der Stellschrauben
bands-points-note = Was jede Einstellung zur Schwierigkeit einer Übung beiträgt. Die ersten Werte sind Annahmen.
bands-points-of = Punkte von { $lever }, { $setting }

### Kader, Tests, Meilensteine, Gruppen, Standards und Niveaus.

board-open = Kadertafel
board-open-of = Kadertafel von { $team }
board-view = Zeigen
board-views-board = Tafel
board-views-groups = Gruppen
board-views-list = Ergebnisse
board-views-handover = Übergabe
board-milestones = Meilensteine
board-player = Kind
board-other-foot = Anderer Fuß
board-next-week = Für Woche { $week }, ab { $from }
board-no-week = Es kommt keine Einheit mehr: Die Gruppen beruhen auf allen Meilensteinen der Altersgruppe.
board-state-not_seen = nicht gesehen
board-state-on_the_way = unterwegs
board-state-met = erreicht
board-state-kept = gehalten
board-state-slipped = entglitten
board-state-means-not_seen = noch kein Nachweis
board-state-means-on_the_way = etwas Nachweis
board-state-means-met = der Nachweis ist da
board-state-means-kept = drei Wochen später wieder gezeigt
board-state-means-slipped = war da, aber nicht an den letzten zwei Tagen
board-since = seit { $day }
board-cell = { $player }, { $milestone }: { $state }
board-group-move_on = Weiter
board-group-other_foot = Anderer Fuß
board-group-consolidate = Festigen
board-group-means-move_on = Kann alles für diese Woche: eins schwerer.
board-group-means-other_foot = Kann es mit dem starken Fuß; der andere ist deutlich zurück.
board-group-means-consolidate = Dranbleiben, bis es sitzt.
board-nobody = niemand
board-nothing-seen = noch nichts gesehen
board-missing = { $more ->
        [0] noch: { $names }
       *[other] noch: { $names } und { $more } weitere
    }
board-all-met = { $n ->
        [one] kann es
       *[other] kann alle { $n }
    }
board-behind = { $test }: anderer Fuß { $percent } zurück
board-feet = { $called ->
        [yes] { $test }: anderer Fuß { $percent } zurück
       *[other] { $test }: anderer Fuß { $percent } zurück, im Rahmen des Messfehlers
    }
board-sort = Reihenfolge
board-sorts-list = wie im Kader
board-sorts-decide = was als Nächstes zu entscheiden ist
board-overridden = { $by } sagt das seit { $day }:
board-evidence = Nach dem Nachweis allein: { $state }.
board-say-otherwise = Siehst du es anders?
board-away = War nie da, wenn das gezeigt wurde: { $skills }
board-reason = Warum? Das bleibt stehen, mit deinem Namen.
board-verdict-met = Kann es
board-verdict-not_yet = Noch nicht
board-verdict-as_evidence = Zurück zum Nachweis
board-reason-missing = Bitte nenne zuerst einen Grund, in ein paar Worten.
board-progress-sheet = Lernblatt
board-progress-sheets = Lernblätter drucken
board-print = Drucken
board-empty = Für diese Altersgruppe gibt es noch keine Meilensteine.

progress-back = Zurück zum Kader
progress-lines = Die vier Bereiche bisher
progress-had = { $n } von { $of }
progress-can-do = Kann ich
progress-results = Ergebnisse
progress-test = Test
progress-last = Zuletzt
progress-change = Änderung
progress-real = eine echte Änderung
progress-noise = im Rahmen des Messfehlers
progress-unknown = zu wenige Paare, um es zu sagen
progress-today = heute: { $level }
progress-near = nah an der Grenze: { $level } mit { $percent }
progress-touch = ein Kontakt alle { NUMBER($seconds, minimumFractionDigits: 2, maximumFractionDigits: 2) } s
progress-both-feet = Beide Füße
progress-away = War nie da, wenn das gezeigt wurde: { $skills }.
progress-next = Was als Nächstes kommt
progress-ready = bereit
progress-missing = noch: { $what }
progress-unspoken = kein Meilenstein für { $what }: Dein Auge entscheidet
progress-note = Für die Eltern
progress-data = Gespeicherte Daten
progress-export = Alles Gespeicherte herunterladen
progress-correct = Angaben berichtigen
progress-correct-name = Name
progress-correct-born = Geboren (Jahr und Monat)
progress-correct-foot = Starker Fuß
progress-foot-left = Links
progress-foot-right = Rechts
progress-correct-save = Speichern
progress-move = In ein anderes Team
progress-move-about = { $name } macht in einem anderen Kader weiter, mit allem, was gespeichert ist. Wer { $name } hier trainiert hat, sieht es nicht mehr.
progress-move-to = Neues Team
progress-move-choose = Team wählen
progress-move-none = Du betreust kein anderes Team. Frag die Vereinsleitung oder die technische Leitung.
progress-move-go = Verschieben
progress-leave = Hat den Kader verlassen
progress-leave-about = { $name } gehört nicht mehr zum Kader. Alles Gespeicherte wird nach der Zeit gelöscht, die die Akademie festgelegt hat; bis dahin kann { $name } damit zurückkommen.
progress-waits = Gelöscht. Jemand liest die Datenbank noch so, wie sie vorher war; bis das vorbei ist, stehen Spuren in einer Datei auf dem Server. Jogo entfernt sie von selbst.
left-title = Hat den Kader verlassen
left-line = { $name }, gegangen { $left }, gelöscht am { $erased }
left-return = Wieder im Kader
progress-erase = Dieses Kind löschen
progress-erase-about = Löscht { $name } und alle Ergebnisse, für immer. Was von den Einheiten des Teams bleibt, nennt niemanden. Notizen, die du selbst geschrieben hast, bleiben: Bitte prüfe sie.
progress-erase-sure = Tippe zur Bestätigung den Namen ein
progress-keep = Abbrechen

standards-tests = Tests
standards-no-bands = noch kein Standard
standards-bands = { $first } bis { $last }
standards-results = { $n ->
        [one] { $n } Ergebnis
       *[other] { $n } Ergebnisse
    }
standards-no-results = Keine Ergebnisse in einem Jahr.
standards-no-standard = Noch kein Standard.
standards-begin = Standard für { $band } setzen
standards-from = seit { $day }
standards-handle = { $level } beginnt, { $band }
standards-repeat = Zuverlässigkeit des Tests
standards-typical-error = Typischer Fehler
standards-smallest-real = Kleinste echte Änderung (MDC95)
standards-bias = Zweiter Versuch gegenüber dem ersten
standards-variation = Als Anteil am Mittelwert
standards-agreement = Übereinstimmung (ICC 2,1)
standards-pairs = { $n ->
        [one] { $n } Paar
       *[other] { $n } Paare
    }
standards-old = jetzt
standards-thought = verschoben
standards-quarters = Nach Geburtsquartal
standards-quarter-1 = die Ältesten
standards-quarter-2 = 2.
standards-quarter-3 = 3.
standards-quarter-4 = die Jüngsten
standards-quarter-about = Sicher oder besser. Spät im Jahr geborene Kinder werden mit älteren verglichen.
standards-suggestion = Was die Ergebnisse vorschlagen
standards-percentiles = Niveaus beginnen bei diesen Perzentilen der Ergebnisse
standards-take = Vorschlag nehmen
standards-take-all = Alle Vorschläge nehmen
standards-raw = eigene Ergebnisse ergeben { $value } ({ $low } bis { $high })
standards-tempo = Von Kontakt zu Kontakt
standards-tempo-touch = { NUMBER($seconds, minimumFractionDigits: 2, maximumFractionDigits: 2) } s
standards-tempo-measured = Die Ergebnisse zeigen { NUMBER($seconds, minimumFractionDigits: 2) } s je Schlag (Median von { $n }). Das schnelle Tempo der Altersgruppe ist mit { NUMBER($fast, minimumFractionDigits: 2) } s angesetzt.
standards-tempo-few = Zu wenige Ergebnisse für ein Tempo. Das schnelle Tempo der Altersgruppe ist mit { NUMBER($fast, minimumFractionDigits: 2) } s je Schlag angesetzt.
standards-holds-from = Gilt ab
standards-set = Standard setzen
standards-reset = Änderungen verwerfen
standards-set-done = Gesetzt für { $bands ->
        [one] { $bands } Altersgruppe
       *[other] { $bands } Altersgruppen
    }. Alte Ergebnisse behalten das Niveau ihres Tages.
standards-milestones = Meilensteine, die darauf beruhen
standards-no-milestones = Noch keine.
standards-add-milestone = Meilenstein hinzufügen
standards-since = seit { $day }: { $thresholds }
standards-drop-milestone = Entfernen
standards-making-title = Neuer Meilenstein für { $band }
standards-making-value = Mindestens dieser Wert
standards-making-says = Was ein Kind sagen kann
standards-making-example = Ich kann mit jedem Fuß hin und zurück Slalom
standards-making-short = Kurzname
standards-making-stage = Stufe, die er zeigt
standards-making-evidence = Nachweis
standards-making-level = Mindestens
standards-making-feet = Mit
standards-making-foot-both = beiden Füßen
standards-making-foot-either = irgendeinem Fuß
standards-making-foot-strong = dem starken Fuß
standards-making-foot-other = dem anderen Fuß
standards-making-times = Mal
standards-making-of-last = von den letzten
standards-making-days = Tage
standards-making-keep = Speichern
standards-write = Neuer Test
standards-change-test = Test ändern
standards-writing-fresh = Neuer Test
standards-writing-change = „{ $name }“ ändern
standards-writing-name = Name
standards-writing-short = Kurzname
standards-writing-skill = Fertigkeit, die er zeigt
standards-writing-choose-skill = wählen…
standards-writing-how = Anleitung, in ein bis zwei Sätzen
standards-writing-how-example = Slalom durch sechs Hütchen und zurück. Ein ausgelassenes Hütchen kostet eine Sekunde.
standards-writing-recorded = Was festgehalten wird
standards-writing-fixed = Es gibt Ergebnisse mit diesem Test, deshalb bleibt, was er misst. Um etwas anderes zu messen, erstelle einen neuen Test.
standards-writing-protocol = Protokoll
standards-writing-kind-count = wie viele in einer Zeit
standards-writing-kind-course = Sekunden für einen Parcours
standards-writing-kind-streak = wie viele hintereinander
standards-writing-kind-hits = Treffer von einer Zahl Versuche
standards-writing-kind-bounces = Bodenkontakte bis zur Kontrolle, im Mittel
standards-writing-kind-distance = Meter
standards-writing-kind-points = Punkte, auf die ein Trainer schaut
standards-writing-seconds = Zeit, s
standards-writing-penalty = Ein ausgelassenes Hütchen kostet, s
standards-writing-streak-cap = Aufhören bei
standards-writing-of = Versuche
standards-writing-services = Zuspiele
standards-writing-bounce-cap = Höchstens gezählt
standards-writing-better = Besser ist
standards-writing-betters-higher = weiter
standards-writing-betters-lower = näher
standards-writing-points = Punkte, einer je Zeile
standards-writing-points-example = Knie sind gebeugt
    Ball bleibt in Schrittnähe
    schaut vor der Drehung auf
standards-writing-points-fixed = Es bleiben { $n } Punkte; den Wortlaut kannst du ändern.
standards-writing-per-side = jeder Fuß für sich
standards-writing-trials = Versuche am Tag
standards-writing-summary = Was zählt
standards-writing-summaries-best = der beste
standards-writing-summaries-mean = der Mittelwert
standards-writing-summaries-median = der Median
standards-writing-rest = Pause dazwischen, s
standards-writing-least = Kleinster Wert
standards-writing-most = Größter Wert
standards-writing-layout = Aufbau, wie am Übungstisch (wenn nötig)
standards-writing-layout-example = mark A red
    player P
    ball
    walk 3
    mark B blue
    path dribble A -> B -> A
standards-writing-counted = Gezählt, Schlag für Schlag
standards-writing-counted-none = nicht gesagt
standards-writing-counted-touches = jeder Kontakt zählt eins
standards-writing-counted-rounds = jede ganze Runde zählt eins
standards-writing-counted-about = Damit nennt jedes Ergebnis sein Tempo, und du erfährst, wenn ein Standard mehr verlangt, als Füße können.
standards-writing-keep = Test speichern
standards-writing-drop = Test entfernen
standards-keys = Pfeiltasten verschieben eine Grenze um einen Schritt, mit Umschalt um zehn.
standards-history = Frühere Standards

gates-about = Lichtschranken verbinden sich über das Netz mit diesem Test und senden die Zeiten.
gates-open = Lichtschranken verbinden lassen
gates-there = Die Lichtschranken sind verbunden.
gates-away = Gib diese Adresse in den Lichtschranken ein:
gates-waiting = Noch kein Lauf.
gates-running = läuft…
gates-entered = eingetragen
gates-doubtful = Zweifelhaft, bitte noch einmal laufen
gates-doubt-line_missing = eine Meldung der Lichtschranken fehlt
gates-doubt-no_start = kein Start
gates-doubt-no_stop = kein Stopp
gates-doubt-started_twice = zweimal gestartet
gates-doubt-said_twice = zwei verschiedene Meldungen mit einer Nummer
gates-doubt-clock_went_back = der Stopp liegt nicht nach dem Start
gates-doubt-out_of_range = die Zeit kann nicht stimmen

squad-title = { $n ->
        [one] { $n } Kind
       *[other] { $n } Kinder
    }
squad-none = Dein Kader ist leer. Importiere die Kinder aus einer Tabelle oder CSV-Datei: Name, Geburtsmonat, starker Fuß.
squad-load = Kinder importieren
squad-export = Liste herunterladen:
squad-point = Welche Spalte ist welche?
squad-column = Spalte { $n }
squad-column-of-name = Name
squad-column-of-birth_month = Geburtsmonat
squad-column-of-strong_foot = Starker Fuß
squad-choose-column = Spalte wählen
squad-columns = Name, Geburtsmonat, Starker Fuß
squad-example = Beispieldatei ansehen
squad-nothing-yet = Noch ist nichts gespeichert.
squad-line = Zeile { $n }
squad-ready = { $n ->
        [one] { $n } Kind kann
       *[other] { $n } Kinder können
    } dazukommen
squad-faulty = { $n ->
        [one] { $n } Zeile
       *[other] { $n } Zeilen
    } nicht
squad-add = { $n ->
        [one] { $n } Kind
       *[other] { $n } Kinder
    } hinzufügen
squad-leave-out = und { $n ->
        [one] { $n } Zeile
       *[other] { $n } Zeilen
    } weglassen
squad-added = { $n ->
        [one] { $n } Kind
       *[other] { $n } Kinder
    } hinzugefügt.
squad-strong = { $side ->
        [left] linker Fuß
       *[right] rechter Fuß
    }
squad-born = geboren
squad-no-results = noch keine Ergebnisse
squad-choose = Datei wählen
squad-large = Diese Datei ist zu groß für einen Kader: höchstens 200 kB.

test-title = Test
test-no-squad = Importiere zuerst deinen Kader, dann teste ihn.
test-to-squad = Zum Kader
test-round = Runde { $n }
test-before = zuletzt: { $value }
test-enter = Eintragen
test-entry = { $side ->
        [left] { $player }, linker Fuß, Runde { $round }
        [right] { $player }, rechter Fuß, Runde { $round }
       *[other] { $player }, Runde { $round }
    }
test-delete = Ziffer löschen
test-out-of-range = Zwischen { $least } und { $most }.
test-whole = Eine ganze Zahl.
test-finer = Auf { NUMBER($step, maximumFractionDigits: 2) } genau.
test-sure = Weit weg vom letzten Ergebnis, { $before }. Bist du sicher? Trag es noch einmal ein, um es zu behalten.
test-rest = { $seconds } s Pause zwischen den Versuchen
test-services = alle Bodenkontakte von { $n } Zuspielen zusammen
test-mean = je { $value }
test-tools = Eingeben mit
test-tool-keys = Tasten
test-tool-stopwatch = Stoppuhr
test-tool-tapper = Zähler
test-tool-ticks = Striche
test-tool-points = Punkte
test-tool-gates = Lichtschranken
test-start = Start (Leertaste)
test-stop = Stopp (Leertaste)
test-lap = Runde (L)
test-missed = { $seconds ->
        [0] Hütchen ausgelassen (M): 0
       *[other] Hütchen ausgelassen (M): +{ $seconds } s
    }
test-tap = Tippen (Leertaste)
test-over = Zeit ist um
test-one-less = −1
test-clock = Uhr starten
test-hit = Treffer (Leertaste)
test-miss = Daneben (X)
test-tick-back = Rückgängig
test-ticked = { $hits } Treffer in { $tries } Versuchen, { $of } insgesamt
test-mark-0 = nicht gesehen
test-mark-1 = teilweise
test-mark-2 = gesehen
test-mark-short-0 = nein
test-mark-short-1 = ½
test-mark-short-2 = ja
test-on = Ergebnisse vom
test-on-paper = von Papier eingetragen
test-paper = Blatt drucken
test-lists = Ergebnisse als Liste
test-read-list = Liste importieren
test-list-columns = player, test, side, day, value: eine Zeile je Versuch
test-will-read = { $n ->
        [one] { $n } Zeile kann
       *[other] { $n } Zeilen können
    } importiert werden
test-faulty-lines = { $n ->
        [one] { $n } Zeile
       *[other] { $n } Zeilen
    } nicht
test-read-in = { $n ->
        [one] { $n } Zeile
       *[other] { $n } Zeilen
    } importieren
test-was-read = { $n ->
        [one] { $n } Zeile
       *[other] { $n } Zeilen
    } importiert.
test-complete = Alles eingetragen.
test-back = Alle Tests
test-no-standard = Für heute gibt es keinen Standard: Ergebnisse bleiben, Niveaus kommen später.
test-left = L
test-right = R

levels-title = Niveaus
levels-between = zwischen { $low } und { $high }
levels-band = Altersgruppe
levels-view = Zeigen
levels-views-milestones = Meilensteine
levels-views-tests = Tests
levels-about-milestones = Wie viele Kinder jeden Meilenstein haben, nach dem Nachweis und dem Wort ihres Trainers. Der Strich zeigt, wie sicher der Anteil ist.
levels-about-tests = Kinder nach Niveau, aus dem letzten Ergebnis jedes Kindes nach dem Standard jenes Tages.
levels-milestones = Vereine und Meilensteine
levels-all-clubs = Alle Vereine
levels-have = { $n } von { $of }
levels-none = Noch hat kein Team dieser Altersgruppe Kinder.
levels-without = { $n } nicht getestet
levels-players = { $n ->
        [one] { $n } Kind
       *[other] { $n } Kinder
    }
levels-secure = Sicher oder besser
levels-club = Verein
levels-counts = { $level }: { $n }
levels-few = wenige Ergebnisse: mit Vorsicht lesen

board-scrolls = Tabelle, die sich seitwärts verschieben lässt
levels-promised = Was dieser Abschnitt verspricht
levels-others = Andere
progress-promised = Was dieser Abschnitt verspricht
progress-others = Andere Meilensteine
progress-later = { $n ->
    [one] Ein weiterer Meilenstein gehört zu einem anderen Abschnitt.
   *[other] { $n } weitere Meilensteine gehören zu anderen Abschnitten.
}
standards-none = Es gibt noch keinen Test. Ein Test sagt, wie gut eine Technik gelingt, und seine Standards sagen, was in welchem Alter gut ist.
levels-no-bands = Es gibt noch keine Altersgruppe. Hier steht, wie weit die Vereine sind, Altersgruppe für Altersgruppe.

## Übergabe

handover-to = Was diese { $players } Spieler für „{ $name }“ mitbringen (ab { $day }).
handover-to-draft = Was diese { $players } Spieler für den Entwurf „{ $name }“ mitbringen (ab { $day }).
handover-to-none = Was diese { $players } Spieler mitbringen. Für sie ist noch kein Curriculum veröffentlicht.
handover-short = Erwartet, aber nicht bei allen da
handover-skill = { $skill }, { $stage }
handover-have = { $have } von { $of } haben es
handover-needed-by = Nötig für { $skills }
handover-not-yet = Noch nicht: { $names }
handover-at = { $name } ({ $stage })
handover-unseen = Nicht angesehen: { $names }
handover-bridge = { $n ->
    [one] Brücke: in den ersten drei Wochen { $n }-mal mehr zeigen
   *[other] Brücke: in den ersten drei Wochen { $n }-mal mehr zeigen
} ({ $sessions } Einheiten).
handover-there = Erwartet, und alle haben es
handover-unspoken = Erwartet, aber kein Meilenstein zeigt es: Schau selbst hin
handover-foot = Anderer Fuß zurück
handover-new = Neu hier
handover-new-from = { $name } (aus { $team })
handover-milestones = Meilensteine
handover-milestone = Meilenstein
handover-head-have = haben ihn
handover-head-slipped = verloren
handover-head-on_the_way = unterwegs
handover-head-never_seen = nie angesehen
handover-nobody = { $n ->
    [one] { $n } weiterer, bei dem noch niemand angesehen wurde.
   *[other] { $n } weitere, bei denen noch niemand angesehen wurde.
}

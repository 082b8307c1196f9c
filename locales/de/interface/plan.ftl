### Der Plan, was gewünscht ist, und das Veröffentlichen.

plan-choose = Curriculum
plan-solve = Planen
plan-solving = Plant…
plan-publish = Ausgabe { $n } veröffentlichen
plan-saved = gespeichert { $time }
plan-saving = speichert…
plan-draft = Entwurf
plan-published = Ausgabe { $n } veröffentlicht am { $day }
plan-changed = seither geändert
plan-week = Woche { $n }
plan-session = Einheit { $n }, { $day }, { $minutes } min
plan-minutes-of = Minuten von Einheit { $n }, { $day }
plan-minutes-there = verfügbare Minuten
plan-shares = Anteile
plan-share-of = Anteil von { $strand } in Prozent
plan-laid = jetzt { $percent }
plan-sum = { $n } %: müssen 100 ergeben
plan-shares-wait = Die Anteile werden gespeichert, sobald sie 100 % ergeben.
plan-missing = { $n } fehlen
plan-no-plan = Noch kein Plan. Drück auf „Planen“, und Jogo plant die Wochen.
plan-score = Wertung
plan-score-means = weniger ist besser
plan-price = Was die letzte Änderung gekostet hat
plan-part-S1 = Ziele
plan-part-S2 = Bereiche
plan-part-S3 = Rhythmus
plan-part-S4 = Pflege
plan-part-S5 = Offenes Spiel
plan-part-S6 = Sprünge
plan-part-S7 = Wiederholung
plan-part-S8 = Freie Zeit
plan-part-S9 = Anderer Fuß
plan-part-S10 = Aufbauen
plan-part-S11 = Stehzeit
plan-part-S12 = Anspruch
plan-part-S13 = Wochenwünsche
plan-part-S14 = Schwerpunkt
plan-part-S15 = Aufbau der Einheit
plan-part-S16 = Kurze Blöcke
plan-part-S17 = Nachweise
plan-part-means-S1 = { $points } Punkte für jedes Mal, das einem Ziel fehlt (halb so viele auf der Leiter des anderen Fußes), { $than } für jede Einheit bis dahin
plan-part-means-S2 = { $points ->
        [one] { $points } Punkt
       *[other] { $points } Punkte
    } für jeden Prozentpunkt Abstand von den gewünschten Anteilen
plan-part-means-S3 = { $points ->
        [one] { $points } Punkt
       *[other] { $points } Punkte
    } für jeden Tag über { $than } ohne eine Fertigkeit, die gerade gelernt wird
plan-part-means-S4 = { $points } Punkte für jede Woche über { $than } Tage ohne eine Fertigkeit, die ihr Ziel erreicht hat
plan-part-means-S5 = { $points } Punkte für jeden Prozentpunkt Blick und Zweikampf, der einer Woche fehlt
plan-part-means-S6 = { $points } Punkte für jeden Punkt Schwierigkeit über { $than } von einem Mal zum nächsten
plan-part-means-S7 = { $points ->
        [one] { $points } Punkt
       *[other] { $points } Punkte
    } für dieselbe Übung in der dritten Einheit nacheinander
plan-part-means-S8 = { $points } Punkte für jede freie Minute
plan-part-means-S9 = { $points } Punkte für jeden Prozentpunkt, der dem anderen Fuß fehlt
plan-part-means-S10 = { $points } Punkte für jede Minute Aufbauen zwischen Blöcken
plan-part-means-S11 = { $points } Punkte für jeden Prozentpunkt Stehzeit über { $than }
plan-part-means-S12 = { $points } Punkte für jeden Prozentpunkt, den das erwartete Gelingen außerhalb des Erfolgsfensters liegt, im Mittel aller Minuten
plan-part-means-S13 = { $points } Punkte für jedes Mal zu wenig oder zu viel in einer Woche von dem, was jede Woche gewünscht ist
plan-part-means-S14 = { $points ->
        [one] { $points } Punkt
       *[other] { $points } Punkte
    } für jede Fertigkeit zu viel in einer Einheit, { $than } für jeden Prozentpunkt, den das Thema der Woche unter der Hälfte bleibt ({ $wished } bei einem selbst gewählten Thema)
plan-part-means-S15 = { $points } Punkte für eine Einheit, die mit offenerem Spiel enden könnte, { $than } für einen Block, der leichter ist als ein früherer
plan-part-means-S16 = { $points } Punkte für jede Minute, die ein Block kürzer ist als üblich
plan-part-means-S17 = { $points } Punkte für jede Stufe, die ein Test zeigen soll, bevor sie erreicht ist
plan-part-weight = In diesem Plan zählt das { $weight }-mal.
plan-nothing = nichts zu melden
plan-clash = Diese Einstellungen widersprechen sich
plan-forbids = Kein Plan ist möglich
plan-relax = Was helfen würde:
plan-did-what-it-could = Dieser Plan tut, was möglich ist.
plan-mend = { $says } ({ $points })
plan-more-breaches = … und { $n } weitere, im Plan markiert
plan-breaches = { $n ->
        [one] Dieser Plan bricht { $n } Regel
       *[other] Dieser Plan bricht { $n } Regeln
    }
plan-in-session = Einheit { $n }
plan-stands-running = Laufend
plan-stands-coming = Kommend
plan-stands-over = Vorbei
plan-empty = Es gibt noch kein Curriculum.
plan-make-first = Das erste erstellen
plan-make-new = Neues Curriculum…
plan-undoes = Nimmt zurück: { $what }
plan-look-longer = Weiter verbessern
plan-stop = Wird verbessert… anhalten
plan-offer = Ein besserer Plan wurde gefunden:
plan-offer-moves = { $moved } von { $blocks } Blöcken würden in eine andere Einheit wechseln.
plan-offer-take = Übernehmen
plan-offer-leave = Nicht übernehmen
plan-week-short = W{ $n }
plan-panels = Ansicht
plan-panel-session = Einheit
plan-panel-wishes = Vorgaben
plan-panel-compare = Vergleich
plan-panel-feet = Füße
plan-feet-about = Kontakte eines Spielers über den ganzen Plan: der starke Fuß rechts, der andere links. Übungen am Platz sind aus ihren Schrittfolgen gezählt; die anderen teilen ihre Kontakte auf ihre Stellen auf.
plan-feet-of = { $surface }: { $strong } mit dem starken Fuß, { $other } mit dem anderen
plan-panel-forecast = Prognose
plan-stitch = { $stage } { $nth }/{ $of }, { $minutes } min; etwa { NUMBER($tenths, maximumFractionDigits: 0) } von zehn dürften gelingen
plan-test-in = Test: { $name }, { $minutes } min
plan-locked = gesperrt
plan-beside-it = für die, die weiter sind: { $what }
plan-why = Warum steht das hier?
plan-why-late = Warum gerade dann? { $skill }
plan-without = Ohne das: { $price }
plan-add-here = „{ $skill }“ hier zeigen
plan-block-longer = Länger
plan-block-shorter = Kürzer
plan-block-up = Stufe höher
plan-block-down = Stufe tiefer
plan-block-earlier = Früher
plan-block-later = Später
plan-block-lock = Sperren
plan-block-unlock = Entsperren
plan-block-remove = Entfernen
plan-block-instead = Andere Übung nehmen
plan-block-as-it-is = unverändert
plan-block-beside = Gleichzeitig, für die, die weiter sind
plan-block-together = alle machen dasselbe
plan-approach-repetition_first = Wiederholung zuerst
plan-approach-balanced = Ausgewogen
plan-approach-decision_first = Entscheidung zuerst
plan-approach-means-repetition_first = Viele saubere Wiederholungen allein, Gegner zuletzt.
plan-approach-means-balanced = Von beidem etwas: zuerst saubere Wiederholungen, Signale und Gegner ab der Mitte.
plan-approach-means-decision_first = Fast von Anfang an ein Signal oder ein Gegner.
plan-side-equal = Beide Füße gleich
plan-side-other_more = Mehr mit dem anderen Fuß
plan-side-strong_first = Starker Fuß zuerst
plan-side-not_sided = Egal
plan-wishes-about = Jede Änderung ist sofort gespeichert; der Plan bleibt, bis du auf „Planen“ drückst.
plan-wishes-approach = Ansatz
plan-wishes-times = { $stage }
plan-wishes-open-play-first = Offenes Spiel am Anfang, %
plan-wishes-open-play-last = Am Ende, %
plan-wishes-ladder = Die nächste Stufe beginnt
plan-ladder-strict = wenn die Stufe davor geschafft ist
plan-ladder-overlapping = wenn die Stufe davor begonnen hat
plan-ladder-open = jederzeit, auch in der ersten Einheit
plan-wishes-success-least = Leichter unter, %
plan-wishes-success-most = Schwerer über, %
plan-mastery = Beginnt
plan-mastery-of = Beginnt: { $skill }
plan-mastery-none = wie geplant
plan-mastery-share = sobald { $share } einer Mannschaft die Hürde nehmen
plan-mastery-word = wenn die Trainerin oder der Trainer es sagt
plan-weekly = Jede Woche
plan-weekly-about = Fertigkeiten oder Übungen, die jede Woche vorkommen sollen, sobald sie beginnen können.
plan-weekly-what = Fertigkeit oder Übung
plan-weekly-none = auswählen
plan-weekly-least = Mindestens
plan-weekly-most = Höchstens
plan-weekly-drop = nicht mehr jede Woche
plan-themes = Thema der Woche
plan-themes-about = Mindestens die Hälfte jeder Einheit soll dem Thema ihrer Woche gehören. Überlass es dem Plan, oder wähl aus, worum es in einer Woche geht.
plan-theme-proposed = Dem Plan überlassen: { $theme }
plan-theme-none = Dem Plan überlassen
plan-theme-and = und
plan-theme-no-more = sonst nichts
plan-theme-title = { $theme }: { $skills }
plan-theme-of = { $theme } ({ $share } der Minuten)
plan-weights = Was wie viel zählt
plan-weights-about = Jeder Plan ist ein Kompromiss. Wähl aus, was in deinem mehr zählt und was weniger: von 0 (gar nicht) bis 3-mal.
plan-weight-of = Gewicht von { $part }
plan-weights-plain = Alles einmal zählen
plan-wishes-assumptions = Faustregeln: Annahmen, bis eure eigenen Ergebnisse etwas anderes sagen.
plan-wishes-side = Welcher Fuß
plan-wishes-side-own = wie bei der Fertigkeit
plan-wishes-goals = Ziele
plan-line-other-foot = anderer Fuß
plan-other-foot = { $name }, anderer Fuß
plan-wishes-other-foot = Anderer Fuß
plan-wishes-other-foot-waits = wartet auf den starken Fuß
plan-wishes-not-parted = Beide Füße gehen gemeinsam weiter: Auf einer Stufe ist hier keine Übung für einen Fuß allein.
plan-wishes-present = Der Kader ist bei
plan-wishes-not-met = noch nicht dran
plan-wishes-goal = Ziel
plan-wishes-take-out = { $what } entfernen
plan-wishes-from-squads = Was sagen die heutigen Meilensteine?
plan-wishes-from-nobody = Kader wählen…
plan-wishes-all-squads = alle Kader der Altersgruppe
plan-wishes-stands = { $skill }: { $before } → { $now }
plan-wishes-stands-alike = Der Kader ist, wo diese Einstellungen sagen.
plan-wishes-take-stands = Von dort anfangen ({ $n ->
        [one] { $n } Fertigkeit
       *[other] { $n } Fertigkeiten
    })
plan-wishes-add-goal = Fertigkeit hinzufügen
plan-wishes-choose-skill = wählen…
plan-wishes-when = Wann
plan-wishes-start = Erster Tag
plan-wishes-weeks = Wochen
plan-wishes-weekdays = Wochentage
plan-wishes-holidays = Wochen ohne Einheiten
plan-wishes-day-off = Freien Tag hinzufügen
plan-wishes-last-shown = Zuletzt am { $day }.
plan-wishes-before-planned = Die Curricula davor, wie geplant
plan-wishes-before-forecast = Die Curricula davor, wie vorhergesagt
plan-making-before-about = Jede Fertigkeit beginnt da, wo die Curricula dieser Altersgruppe davor enden, und ihre Ruhe zählt ab dem letzten Mal.
plan-making-terms = Abschnitte
plan-making-term = { $term } { $season }, ab { $first }
plan-wishes-save-season = Plan in diese Zeit verschieben
plan-wishes-season-moves = Einheiten, die bleiben, behalten ihre Blöcke; neue sind leer, bis du auf „Planen“ drückst.
plan-wishes-tests = Tests
plan-wishes-min = min
plan-wishes-test-session = In Einheit
plan-wishes-add-test = Test hinzufügen
plan-wishes-choose-test = wählen…
plan-wishes-where = Name, Platz und Kader
plan-wishes-name = Name
plan-wishes-ground-width_m = Breite m
plan-wishes-ground-depth_m = Tiefe m
plan-wishes-ground-margin_m = Abstand m
plan-wishes-ground-run_off_m = Auslauf m
plan-wishes-ground-squad = Kader
plan-wishes-ground-markers = Hütchen
plan-wishes-ground-adults = Erwachsene
plan-wishes-ground-wall = Eine Wand oder ein Brett gibt den Ball zurück
plan-wishes-files = Für andere Programme
plan-wishes-file-problem = Was ein Plan leisten soll (JSON)
plan-wishes-file-plan = Dieser Plan (JSON)
plan-wishes-replan = Ganz neu planen
plan-wishes-replan-means = Überdenkt alles außer dem Gesperrten. „Planen“ bleibt nah am jetzigen Plan.
plan-compared-about = Dieser Plan ({ $name }) neben einem mit denselben Einstellungen und anderem Ansatz, oder neben einer Ausgabe. Nichts ändert sich, bis du ihn nimmst.
plan-compared-draft = Dieser Plan
plan-compared-edition = Ausgabe { $number }
plan-compared-shared = { $shared } von { $blocks ->
        [one] { $blocks } Block
       *[other] { $blocks } Blöcken
    } stehen am selben Ort.
plan-compared-with = Vergleichen mit
plan-compared-own-numbers = eigene Zahlen
plan-compared-minutes-at = Minuten in { $stage }
plan-compared-meets = Was die Kinder kennenlernen, und wann
plan-compared-meets-means = Die Woche, in der jede Stufe beginnt: oben dieser Plan, unten der andere.
plan-compared-never = nie
plan-compared-take = Plan „{ $name }“ nehmen
plan-forecast-sum = Am Ende sind { $share } aller Ziele erreicht; in acht von zehn Kadern zwischen { $low } und { $high }.
plan-forecast-about = { $players ->
        [one] { $players } gedachtes Kind
       *[other] { $players } gedachte Kinder
    } in Kadern zu { $squad }, wenn alles kommt wie geplant.
plan-forecast-came-off = Sie rechnet mit dem, was den Mannschaften damit gelang: { $came } von zehn, erwartet waren { $expected } ({ $n ->
        [one] ein Block
       *[other] { $n } Blöcke
    }; θ { $theta }, 90 %: { $least } bis { $most }).
plan-forecast-dots = Punkte: was { $squads ->
        [one] { $squads } Kader
       *[other] { $squads } Kader
    } damit bisher erreicht haben, von { $goals } der { $of } Ziele, die Meilensteine zeigen können. Gepunktete Linie: die Prognose für dieselben Ziele.
plan-forecast-no-dots = Noch kein Kader, der danach arbeitet, hat Ergebnisse.
plan-forecast-dot = Bis Woche { $week } erreicht: { $share }, Prognose { $foreseen }
plan-forecast-now = jetzt { $had } von { $of ->
        [one] { $of } Kind
       *[other] { $of } Kindern
    }, Prognose { $foreseen }
plan-forecast-rate-seen = Ergebnisse ergeben eine Rate von { $rate } ({ $steps ->
        [one] { $steps } Schritt
       *[other] { $steps } Schritte
    } in { $exposures ->
        [one] { $exposures } Mal
       *[other] { $exposures } Malen
    })
plan-forecast-seen = Für { $skills ->
        [one] { $skills } Fertigkeit
       *[other] { $skills } Fertigkeiten
    } gibt es Ergebnisse von Kadern dieser Altersgruppe. Die Rate für alle Fertigkeiten wiegt so viel wie 20 Male eines Kindes dagegen.
plan-forecast-take = Diese Raten nehmen
plan-forecast-taken = Diese Raten gelten.
plan-forecast-chart = Erreichte Ziele nach Wochen, in Prozent
plan-forecast-skill = Fertigkeit
plan-forecast-end = am Ziel
plan-forecast-rate = Rate
plan-forecast-rate-of = Rate von { $skill }
plan-forecast-assumes = Annahmen
plan-forecast-rate-all = Rate für alle Fertigkeiten
plan-forecast-present = Kommen zur Einheit, %
plan-forecast-coming = { $share } der Spieler kamen, in { $n ->
        [one] einer Einheit
       *[other] { $n } Einheiten
    }, zu denen das gesagt wurde.
plan-forecast-take-coming = Damit rechnen
plan-forecast-spread = Wie verschieden Kinder sind
plan-forecast-means = Bei Rate 1 bringen sechs Minuten Arbeit an etwas ohne Schwierigkeit 63 von 100 Kindern in die nächste Stufe; jeder Punkt Schwierigkeit bremst um 15 %. Vier Wochen Pause halbieren, was in einer Stufe gewonnen war.
plan-making-title = Neues Curriculum
plan-making-steps-whom = Für wen
plan-making-steps-what = Woraus
plan-making-steps-when = Wann
plan-making-steps-how = Wie
plan-making-band = { $minutes } min je Einheit, { $n ->
        [one] { $n } neue Fertigkeit
       *[other] { $n } neue Fertigkeiten
    } in der Woche
plan-making-nothing = Für diese Altersgruppe gibt es keine Vorlage und keine frühere Saison, und keine Fertigkeit beginnt in ihr. Füg zuerst unter „Lernwege“ Fertigkeiten hinzu.
plan-making-template = Vorlage: { $name }
plan-making-again = Kopie von { $name }
plan-making-skills = Die Fertigkeiten, die in { $band } beginnen
plan-making-contains = { $start ->
        [none] { $weeks ->
            [one] { $weeks } Woche
           *[other] { $weeks } Wochen
        } × { $days }, { $goals ->
            [one] { $goals } Fertigkeit
           *[other] { $goals } Fertigkeiten
        }
       *[other] { $weeks ->
            [one] { $weeks } Woche
           *[other] { $weeks } Wochen
        } × { $days }, { $goals ->
            [one] { $goals } Fertigkeit
           *[other] { $goals } Fertigkeiten
        }, begann { $start }
    }
plan-making-minutes = Minuten je Einheit
plan-making-name = Name
plan-making-approach-there = wie bisher
plan-making-approach-there-means = Mit den Zahlen des Curriculums, von dem es kommt.
plan-making-ground = Platz, Material und Kader
plan-making-own-ground = wie bisher
plan-making-largest-ground = der größte, den es gibt
plan-making-no-ground = eine kleine Halle, bis ihr euren Platz eintragt
plan-making-present = Wo die Kader jetzt sind
plan-making-as-written = wie dort geschrieben
plan-making-not-met = noch nichts war dran
plan-making-of-band = wie alle Kader von { $band } zeigen
plan-making-of-team = wie { $team } zeigt
plan-making-present-about = Jede Fertigkeit beginnt in der Stufe, die zwei von drei Kindern nach ihren Meilensteinen erreicht haben. Fertigkeiten ohne Meilenstein beginnen wie geschrieben.
plan-making-back = Zurück
plan-making-next = Weiter
plan-making-create = Erstellen und planen
plan-making-laying = Plant…
plan-changes-title = Geändert seit Ausgabe { $n }
plan-publish-title = Ausgabe { $n } von „{ $name }“ veröffentlichen?
plan-publish-says = Jedes Team dieser Altersgruppe bekommt sie sofort. Eine Ausgabe ändert sich nie: Spätere Änderungen kommen als nächste Ausgabe.
plan-note = Eine Notiz für die Trainer (wenn du magst)
plan-publish-go = Veröffentlichen
plan-tour-lines = Jede Linie ist eine Fertigkeit, und jeder Stich darauf ist eine Einheit, die sie übt. Ein hoher Stich ist ein langer; die Füllung ist die Stufe.
plan-tour-change = Wähle einen Stich und ändere ihn, oder zieh ihn: Die Kosten stehen sofort darüber. Drück auf „Planen“, und Jogo richtet den Plan um das Gesperrte herum.
plan-tour-session = Wähle eine Einheit, um Ablauf, Material und Platz zu sehen. Wenn es passt, veröffentliche sie für die Vereine.
plan-tour-next = Weiter
plan-tour-done = Verstanden

plan-testing = Wie gemessen werden soll
plan-testing-before = Vorher
plan-testing-on_the_way = Unterwegs
plan-testing-at_the_end = Am Ende
plan-testing-most_in_session = höchstens min je Einheit
plan-testing-most_in_all = höchstens min insgesamt
plan-testing-means = { $n ->
    [0] Noch ist kein Test geplant.
    [one] Ein Test ist geplant, { $minutes } min.
   *[other] { $n } Tests sind geplant, insgesamt { $minutes } min.
} Tests werden beim Planen verteilt; ein festgehaltener bleibt in seiner Einheit.
plan-test-laid = verteilt in Einheit
plan-test-pinned = fest in Einheit
plan-test-pin = Hier lassen
plan-density = Wie nah der Plan gezeigt wird
plan-density-fit = Ganz
plan-density-close = Nah
plan-delivered = { $share } des Eingetragenen gemacht
plan-looks = Ansicht des Plans
plan-look-weeks = Wochen
plan-look-benchmarks = Nachweise

benchmarks-title = Nachweiskarte
benchmarks-head = { $shown } von { $of } Zielen lassen sich bis Woche { $week } zeigen
benchmarks-can-be-shown = Ziele lassen sich bis Woche { $week } zeigen
benchmarks-goal = Ziel
benchmarks-shown-by = Gezeigt durch
benchmarks-practised = Vorher geübt
benchmarks-so-far = Bisher
benchmarks-foreseen = Erwartet
benchmarks-can = Bis zum Ende
benchmarks-yes = ja
benchmarks-not-yet = noch nicht
benchmarks-none = Noch kein Meilenstein in { $stage }
benchmarks-behind = Gilt als schon erreicht
benchmarks-taken = { $test }: { $when }
benchmarks-not-taken = { $test }: noch in keiner Einheit
benchmarks-looked-for = Zu sehen in { $n ->
    [one] einer Einheit, am { $day }
   *[other] { $n } Einheiten, ab { $day }
}
benchmarks-not-seen = Noch keine Einheit, in der man darauf achten kann
benchmarks-looks = Meilensteine, die das Auge beurteilt, brauchen { $asked ->
        [one] { $asked } Blick
       *[other] { $asked } Blicke
    } auf eine Mannschaft von { $n }.
benchmarks-looks-all = Bei vier Spielern je Block und zwei Blöcken je Einheit findet alles Platz.
benchmarks-looks-missing = Bei vier Spielern je Block und zwei Blöcken je Einheit werden { $missing } davon fehlen.
benchmarks-looks-short = { $missing ->
        [one] für { $missing } Blick ist kein Platz
       *[other] für { $missing } Blicke ist kein Platz
    }
benchmarks-no-standard-here = kein Standard für diese Altersgruppe
benchmarks-no-findings = Jedes Ziel hat einen Meilenstein, und jeder Meilenstein eine Einheit, die ihn zeigen kann.
benchmarks-findings = { $n ->
    [one] Eine Sache verhindert, dass Ziele gezeigt werden
   *[other] { $n } Dinge verhindern, dass Ziele gezeigt werden
}
benchmarks-mend-milestone = Meilenstein vorschlagen
benchmarks-mend-points = Punkte dazunehmen
benchmarks-mend-schedule = Am { $when } testen
benchmarks-mend-move = Auf { $when } verschieben
benchmarks-mend-standard = Standard beginnen
benchmarks-mend-from-results = Standard aus Ergebnissen nehmen
benchmarks-mend-goal = Zum Ziel machen
benchmarks-proposed-title = Ein Meilenstein für „{ $skill }“ in { $stage }
benchmarks-propose-form = Ich kann „{ $skill }“ langsam, ohne den Ball zu verlieren
benchmarks-propose-flow = Ich kann „{ $skill }“ im Rhythmus und in Bewegung
benchmarks-propose-scan = Ich kann „{ $skill }“ und schaue dabei hoch
benchmarks-propose-contest = Ich kann „{ $skill }“ gegen einen Verteidiger und behalte den Ball
benchmarks-new-points = Auf diese Punkte wird in einem neuen Test geachtet. Leere Zeilen fallen weg.
benchmarks-points-of = Auf alle Punkte von „{ $test }“ wird geachtet.
benchmarks-point = Punkt { $n }
benchmarks-test-name = { $skill }, gesehen
benchmarks-test-how = In einem gewöhnlichen Block: schau jeweils auf ein Kind.

plan-forecast-can-be-shown = lässt sich bis zum Ende zeigen
plan-forecast-not-shown = lässt sich noch nicht zeigen

## Das Curriculum als Buch

book-title = Curriculum als Buch
book-open = Als Buch lesen oder drucken
book-open-band = Die Curricula der Altersgruppe als Buch
book-parts = Was darin steht
book-part-approach = Wie wir lehren
book-part-year = Wochen im Überblick
book-part-weeks = Woche für Woche
book-part-skills = Fertigkeiten und Meilensteine
book-part-tests = Tests und Stufen
book-part-kit = Material und Sicherheit
book-part-parents = Eine Seite für Eltern
book-paper = Papier
book-none = Öffne ein Curriculum oder eine Altersgruppe im Jahr und wähle dort das Buch.
book-span = { $band }, { $first } bis { $last }
book-draft = Entwurf
book-contents = Inhalt
book-contents-of = Inhalt: { $name }
book-approach = Wie wir lehren
book-stages = Eine Fertigkeit wächst in vier Stufen. Jede braucht mehrere Einheiten; eine Einheit zählt einmal.
book-stage = { $stage }: { $means }, in { $n ->
    [one] { $n } Einheit
   *[other] { $n } Einheiten
}.
book-ladder-strict = Die nächste Stufe beginnt, wenn die vorige fertig ist.
book-ladder-overlapping = Die nächste Stufe darf beginnen, sobald die vorige begonnen hat.
book-ladder-open = Jede Stufe darf jederzeit kommen, schon in der ersten Einheit.
book-open-play = Mindestens { $first } der Minuten sind zu Beginn Spiel mit offenen Entscheidungen, am Ende { $last }.
book-success = Gelingen weniger als { $least } der Versuche, wird die Übung leichter, über { $most } schwerer.
book-shares = So sind die Minuten verteilt:
book-year = Wochen im Überblick
book-column-week = Woche
book-column-sessions = Einheiten
book-column-theme = Thema
book-column-tests = Tests
book-day = { $day } ({ $minutes } min)
book-week-theme = Woche { $n }: { $theme }
book-session = { $day }, Einheit { $n }, { $minutes } min
book-skills = Fertigkeiten und Meilensteine
book-from-to = von { $from } bis { $to }
book-new-to = neu, bis { $to }
book-measured = { $test }: { $reach } mit { $feet }, an { $times } der letzten { $of } Tage
book-seen = { $test }: gesehen an { $days ->
    [one] { $days } Tag
   *[other] { $days } Tagen
}
book-tests = Tests und Stufen
book-level-from = { $level } ab { $value }
book-level-to = { $level } bis { $value }
book-taken = Gemacht am { $days }
book-kit = Material und Sicherheit
book-kit-about = Das meiste, was eine Einheit braucht.
book-parents-title = Was dein Kind lernt: { $name }
book-parents-about = Vom { $first } bis { $last }, in { $sessions } Einheiten. Jedes Kind lernt in seinem eigenen Tempo; diese Sätze sind, wohin der Weg führt.
book-parents-home = Zehn Minuten mit dem Ball zu Hause helfen am meisten. Frag nach dem Code der Übungsseite: Sie zeigt, wie sich die Füße bewegen.

### Was an einer Eingabe nicht stimmt, und wie es richtig wird.

quoted-name = „{ $name }“
quoted-at = „{ $name }“ in Stufe { $stage }
quoted-rung = „{ $name }“ in Stufe { $stage }, Sprosse { $rung }
quoted-foot = { $foot ->
    [strong] { $rung ->
        [1] „{ $name }“ in Stufe { $stage }, nur der starke Fuß
       *[other] „{ $name }“ in Stufe { $stage }, Sprosse { $rung }, nur der starke Fuß
    }
   *[other] { $rung ->
        [1] „{ $name }“ in Stufe { $stage }, nur der andere Fuß
       *[other] „{ $name }“ in Stufe { $stage }, Sprosse { $rung }, nur der andere Fuß
    }
}
quoted-other-foot = { $name }, anderer Fuß
quoted-date = { $day }. { $month ->
    [1] Januar
    [2] Februar
    [3] März
    [4] April
    [5] Mai
    [6] Juni
    [7] Juli
    [8] August
    [9] September
    [10] Oktober
    [11] November
   *[12] Dezember
}
as-written = { $text }

what-name = Name
what-short-name = Kurzname
what-login = Anmeldename
what-title = Titel
what-purpose = Zweck
what-in-game = Im Spiel
what-point = Coachingpunkt
what-kit = Material
what-stand-in = Ersatz
what-move = Übung
what-challenge = Herausforderung
what-fault-seen = Was du siehst
what-fault-why = Warum es passiert
what-fault-said = Was du sagst oder änderst
what-reason = Grund
what-note = Notiz
what-sentence = Satz
what-word = Wort
what-source = Quelle
what-rule = Regel des Verbands
what-instruction = So wird es gemacht
what-strong-foot = Starker Fuß
what-foot = Fuß
what-phrase = Übersetzter Text
what-club = Verein
what-team = Team
what-coach = Trainer

text-empty = { $what }: Hier steht nichts. Schreib etwas hinein.
text-long = { $what }: { $long } Zeichen. Höchstens { $most } sind möglich.
text-control = { $what }: Hier steckt ein Zeilenumbruch, ein Tabulator oder ein anderes Steuerzeichen. Tippe es ohne neu ein.

name-empty = Hier ist nichts gewählt. Wähle etwas, oder gib einen Namen ein.
name-letters = „{ $name }“ geht nicht als Name in Dateien. Nimm kleine Buchstaben, Ziffern und einzelne Bindestriche, wie in weave-there-and-back.

range-between = { $value } liegt außerhalb. Möglich sind { $least } bis { $most }.
range-minutes = { $value } min liegen außerhalb. Möglich sind { $least } bis { $most } min.
range-seconds = { $value } s liegen außerhalb. Möglich sind { $least } bis { $most } s.
range-metres = { $value } m liegen außerhalb. Möglich sind { $least } bis { $most } m.
range-speed = { $value } m/s liegen außerhalb. Möglich sind { $least } bis { $most } m/s.
range-years = { $value } Jahre liegen außerhalb. Möglich sind { $least } bis { $most } Jahre.
range-count = Hier sind es { $count }. Möglich sind { $least } bis { $most }.
range-most = Hier sind es { $count }. Höchstens { $most } sind möglich.
range-shares = Die Anteile ergeben { $percent } %. Sie müssen 100 % ergeben, keiner unter 0.
range-share = { $value } liegt außerhalb. Ein Anteil liegt zwischen 0 und 1.
range-percent = { NUMBER($percent, maximumFractionDigits: 1) } % liegen außerhalb. Ein Anteil liegt zwischen 0 und 100 %.
listed-twice = „{ $id }“ steht zweimal da. Behalte eines.
listed-none = Hier ist nichts genannt. Nenne mindestens eines.

unknown-band = Die Bibliothek kennt keine Altersgruppe „{ $id }“. Wähle eine andere.
unknown-skill = Die Bibliothek kennt keine Fertigkeit „{ $id }“. Wähle eine andere.
unknown-test = Die Bibliothek kennt keinen Test „{ $id }“. Wähle einen anderen.
unknown-milestone = Die Bibliothek kennt keinen Meilenstein „{ $id }“. Wähle einen anderen.
unknown-drill = Eine Übung „{ $id }“ gibt es nicht.

sheet-large = Die Datei hat { $bytes } Byte, höchstens { $most } sind möglich. Schick sie in Teilen.
sheet-encoding = Die Datei ist nicht in UTF-8 geschrieben (zuerst in Zeile { $line }). Speichere sie als „CSV UTF-8“ und schick sie noch einmal.
sheet-lines = Die Datei hat mehr als { $most } Zeilen. Schick sie in Teilen.
sheet-columns = Zeile { $line } lässt sich nicht in Spalten teilen. Prüfe die Anführungszeichen.

roster-sheet = { $fault }
roster-column = In der ersten Zeile fehlt die Spalte „{ $column }“. Nenne die Spalten Name, Geburtsmonat und Starker Fuß.
roster-rows = Die Datei hat mehr als { $most } Zeilen. Ein Kader hat höchstens { $most } Spieler.
roster-empty = Unter der ersten Zeile steht nichts. Schreib eine Zeile für jeden Spieler.

club-list-sheet = { $fault }
club-list-column = In der ersten Zeile fehlt die Spalte „{ $column }“. Nenne die Spalten Verein, Team, Altersgruppe und Trainer.
club-list-rows = Die Liste hat mehr als { $most } Zeilen. Schick sie in Teilen.
club-list-empty = Unter der ersten Zeile steht nichts. Schreib eine Zeile für jedes Team.
club-row-no-band = Altersgruppe: „{ $written }“ gibt es in der Akademie nicht. Es gibt { $known }.
club-row-other-band = Altersgruppe: In Zeile { $line } steht für dieses Team eine andere. Berichtige eine der beiden.
club-row-coaches = Trainer: Das sind mehr als { $most } Namen. Schreib für jeden Trainer eine Zeile.
club-row-no-address = Trainer: „{ $written }“ ist keine E-Mail-Adresse. Schreib Name <name@mail.example> oder nur den Namen.
club-row-has-band = Altersgruppe: Dieses Team ist schon in { $band }. Berichtige die Zeile, oder nenne das Team anders.

row-no-month = Geburtsmonat: „{ $written }“ ist kein Monat. Schreib ihn als 2023-04.
row-no-such-month = Geburtsmonat: Es gibt keinen Monat { $month }. Schreib ihn als 2023-04.
row-not-born = Geburtsmonat: { $month } liegt in der Zukunft. Prüfe das Jahr.
row-too-young = Geburtsmonat: Mit { $month } wäre das Kind unter { $youngest } Jahre alt. Prüfe das Jahr.
row-too-old = Geburtsmonat: Mit { $month } wäre das Kind über { $oldest } Jahre alt. Prüfe das Jahr.
row-foot-missing = { $what }: Hier steht nichts. Schreib links oder rechts.
row-no-foot = { $what }: „{ $written }“ ist weder links noch rechts.
row-same-name = Name: Zeile { $line } hat denselben Namen. Ergänze einen Anfangsbuchstaben, oder lösche eine der beiden Zeilen.
row-in-squad = Name: Dieser Spieler ist schon im Kader. Ergänze einen Anfangsbuchstaben, oder lösche die Zeile.
row-out-of-ages = Am { $date } { $age } Jahre alt, und { $band } ist für { $youngest } bis { $oldest }: trainiert in einer anderen Altersgruppe mit.

line-no-column = In der ersten Zeile fehlt die Spalte „{ $column }“. Nenne die Spalten player, test, side, day und value.
line-already = Dieses Ergebnis ist schon da. Es ist nichts zu tun.
line-foot-missing = Fuß: „{ $test }“ wird mit jedem Fuß gemacht. Schreib links oder rechts.
line-foot-too-much = Fuß: „{ $test }“ wird nicht mit jedem Fuß gemacht. Lass das Feld leer.
line-no-player = Spieler: Im Kader gibt es „{ $name }“ nicht. Nimm diesen Spieler in den Kader auf, oder lösche die Zeile.
line-is-it = Spieler: Im Kader gibt es „{ $name }“ nicht. Ist { $one } gemeint?
line-one-of-two = Spieler: Im Kader gibt es „{ $name }“ nicht. Ist { $one } oder { $other } gemeint?
line-no-test = Test: Einen Test „{ $name }“ gibt es nicht. Es gibt { $known }.
line-no-day = Tag: „{ $written }“ ist kein Tag. Schreib ihn als 2031-02-10.
line-day-to-come = Tag: { $written } liegt in der Zukunft. Prüfe den Tag.
line-long-ago = Tag: { $written } ist mehr als zehn Jahre her. Prüfe das Jahr.
line-no-marks = Wert: „{ $written }“ sind keine Punkte. Schreib für jeden Coachingpunkt eine Zahl, wie 2 1 2.
line-no-number = Wert: „{ $written }“ ist keine Zahl.

band-no-such-number = So heißt keine Zahl einer Altersgruppe. Es gibt { $known }.
band-tempos-out-of-order = Die Tempi stehen falsch herum: eigenes Tempo ist das langsamste, schnell das schnellste. Gib jedem nicht mehr Sekunden als dem davor.
band-no-day-of-the-year = „{ $written }“ ist kein Tag im Jahr. Schreib Monat und Tag als 01-01.
lever-points-missing = „{ $setting }“ braucht 0 bis { $most } Punkte.
gates-no-such-fault = „{ $name }“ ist kein Fehler von Lichtschranken. Möglich sind late, doubled, out-of-order, missing, bounced, all und none.

pair-stranger = Eines der beiden Kinder ist nicht in diesem Kader. Wähle ein anderes.
pair-one-player = Zweimal dasselbe Kind. Wähle zwei verschiedene.
pair-twice = Für diese beiden gibt es schon einen Wunsch. Entferne zuerst den anderen.
pair-contrary = Diese beiden sollen getrennt sein, aber andere Wünsche halten sie zusammen. Entferne zuerst einen davon.

curriculum-no-session = Eine Einheit { $session } gibt es nicht. Wähle eine andere.
team-days-are-fixed = Es gibt schon Protokolle oder ausgefallene Einheiten, deshalb bleiben die Tage. Platz, Material und Kader kannst du noch ändern.
slot-no-time = „{ $written }“ ist keine Uhrzeit. Schreib sie so: 17:30.
slot-after-midnight = { $minutes } min ab { $from } reichen über Mitternacht. Fang früher an oder mach es kürzer.
slot-twice = { $weekday } kommt zweimal vor. Ein Team trifft sich höchstens einmal am Tag.
slot-no-place = Diesen Ort hat der Verein nicht mehr. Wähle einen anderen.
days-end-before = Sie enden am { $last }, bevor sie am { $first } beginnen. Wähl einen späteren letzten Tag.
days-too-long = Sie dauern höchstens { $most } Tage. Wähl einen früheren letzten Tag.
term-outside = „{ $term }“ muss zwischen dem { $first } und dem { $last } liegen, den Tagen der Saison. Ändere die Tage des Abschnitts oder der Saison.
terms-meet = „{ $term }“ beginnt, bevor „{ $before }“ endet. Lass ihn später beginnen.
term-twice = Zwei Abschnitte heißen „{ $term }“. Gib einem einen anderen Namen.
place-shared = { $teams } teilen sich { $place }, { $weekday } von { $from } bis { $to }: je { $width } × { $depth } m.
place-too-many = { $teams } sind alle in { $place }, { $weekday } von { $from } bis { $to }. Dort ist Platz für { $most ->
    [one] ein Team
   *[other] { $most } Teams
} zugleich. Verleg eines davon.
weekday = { $weekday ->
    [1] Montag
    [2] Dienstag
    [3] Mittwoch
    [4] Donnerstag
    [5] Freitag
    [6] Samstag
   *[7] Sonntag
}

### Techniken, Schlag für Schlag.

score-fault = Zeile { $line }, Spalte { $column }: Erwartet wird { $expected }.
score-fault-mendable = Zeile { $line }, Spalte { $column }: Erwartet wird { $expected }. { $mend }
score-expected-statement = ein Kontakt, ein Schritt oder eine andere Anweisung
score-expected-joinable = etwas, das in denselben Schlag passt
score-expected-closing = ein „{"}"}“, das diesen Block schließt
score-expected-opening = „{"{"}“
score-expected-times = wie oft, 1 bis { $most }
score-expected-beats = wie viele Schläge, 1 bis { $most }
score-expected-name = ein Name
score-expected-left = left oder right
score-expected-surface = womit der Ball gespielt wird, oder „step“
score-expected-action = was der Kontakt macht
score-expected-way = wohin
score-expected-way-asked = wohin { $action } geht
score-expected-surface-for = eine Stelle des Fußes, mit der { $action } geht
score-expected-way-for = eine Richtung, die { $surface } und { $action } zulassen: { $ways }
score-expected-length = eine Länge in Metern, wie 0.4
score-expected-length-between = eine Länge von { $least } bis { $most } m
score-expected-degrees = wie weit gedreht wird, in Grad
score-expected-degrees-at-most = höchstens { $most } Grad
score-expected-turn = left, right oder around
score-expected-step = over, round oder wohin
score-expected-over = in oder out
score-expected-height = knee, waist, head oder over
score-expected-feint = pass oder shot
score-expected-ball = „ball“
score-expected-lie = wo der Ball ist: left, right, middle oder hands
score-expected-end = das Ende der Anweisung
score-expected-bytes-at-most = ein Text von höchstens { $most } Byte
score-expected-statements-at-most = eine Zahl von höchstens { $most } Anweisungen
score-expected-nested-at-most = eine Schachtelung von höchstens { $most } Blöcken
score-expected-beats-at-most = eine Zahl von höchstens { $most } Schlägen, Wiederholungen ausgezählt
score-expected-before-first-beat = dies vor dem ersten Schlag
score-expected-a-beat = etwas, das einen Schlag dauert
score-expected-free-name = ein Name, den es noch nicht gibt
score-expected-part = der Name eines Teils
score-expected-skill = eine Fertigkeit mit Schrittfolge
score-expected-sound-skill = eine Schrittfolge ohne Fehler in der Fertigkeit „{ $skill }“
score-expected-no-circle = Teile, die sich nicht selbst spielen: { $path }
score-expected-reach = der Ball höchstens { $most } m { $from ->
        [left] vom linken Fuß
        [right] vom rechten Fuß
       *[body] vom Körper
    } entfernt; er ist { $away } m weit weg
score-expected-free-foot = ein freier Fuß: Auf diesem steht das ganze Gewicht
score-expected-ball-on-floor = ein Ball am Boden; er ist in der Luft
score-expected-ball-in-air = ein Ball in der Luft; er ist am Boden
score-expected-ball-in-hands = ein Ball in den Händen; dort ist er nicht mehr
score-expected-ball-thrown = ein spielbarer Ball; er ist in den Händen
score-expected-ball-still = ein Ball, der noch da ist; er wurde weggeschossen

score-mend-did-you-mean = Meinst du „{ $word }“?
score-mend-one-of = Möglich sind { $known }.
score-mend-split-text = Der Text hat { $bytes } Byte. Mach zwei Fertigkeiten daraus.
score-mend-close = Schreib „{"}"}“ hinter die letzte Anweisung des Blocks.
score-mend-closes-nothing = Dieses „{"}"}“ schließt nichts. Lösche es, oder beginne einen Block mit „repeat 2 {"{"}“.
score-mend-write-block = Schreib zum Beispiel { $head } {"{"} right inside tap {"}"}.
score-mend-write-out = Schreib die inneren aus.
score-mend-repeat-less = Wiederhole weniger oft.
score-mend-new-statement = „{ $written }“ gehört nicht hierher. Ein neuer Schlag beginnt nach „,“ oder in einer eigenen Zeile.
score-mend-on-its-own = Schreib es für sich, ohne „and“.
score-mend-move-up = Setz es ganz nach oben.
score-mend-add-beat = Schreib einen Kontakt, einen Schritt oder „wait 1“.
score-mend-name-taken = Zeile { $line } benutzt „{ $name }“ schon. Wähle einen anderen Namen.
score-mend-no-part = Kein Teil heißt „{ $name }“. Schreib part { $name } {"{"} … {"}"}.
score-mend-no-skill = Keine Fertigkeit „{ $id }“ hat eine Schrittfolge.
score-mend-mend-skill = { $faults ->
    [one] Behebe zuerst ihren Fehler.
   *[other] Behebe zuerst ihre { $faults } Fehler.
}
score-mend-leave-out = Lass diesen weg.
score-mend-this-length = Diese hier hat { NUMBER($metres, maximumFractionDigits: 2) } m.
score-mend-less-or-step = Spiel ihn vorher weniger weit, oder mach danach einen Schritt.
score-mend-other-foot-first = Spiel oder tritt zuerst mit dem anderen Fuß.
score-mend-other-surface = Für { $way } nimm { $surfaces }.
score-mend-bounce-or-cushion = Lass ihn aufspringen, oder nimm ihn zuerst zum Boden mit.
score-mend-lift-or-toss = Heb oder wirf ihn zuerst hoch.
score-mend-toss-first = Wirf ihn zuerst hoch.
score-mend-start-in-hands = Wirf ihn vor dem ersten Kontakt hoch.
score-mend-strike-last = Schieß zuletzt, oder spiel ihn weniger fest.
score-mend-which-side = Schreib right { $surface } oder left { $surface }.

surface-inside = Innenseite
surface-outside = Außenseite
surface-sole = Sohle
surface-laces = Spann
surface-toe = Spitze
surface-heel = Ferse
surface-thigh = Oberschenkel
surface-chest = Brust
surface-head = Kopf
surface-shoulder = Schulter

way-in = nach innen
way-out = nach außen
way-ahead = nach vorn
way-back = zurück
way-left = nach links
way-right = nach rechts
way-ahead-in = nach vorn innen
way-ahead-out = nach vorn außen
way-back-in = zurück nach innen
way-back-out = zurück nach außen

action-tap = tippen
action-push = schieben
action-cut = kappen
action-roll = rollen
action-drag = ziehen
action-rock = wiegen
action-touch = oben antippen
action-stop = stoppen
action-chop = hinters Standbein spielen
action-lift = heben
action-cushion = weich annehmen
action-wedge = im Aufspringen mitnehmen
action-strike = schießen

height-knee = Kniehöhe
height-waist = Hüfthöhe
height-head = Kopfhöhe
height-over = über den Kopf

count-in = innen
count-out = außen
count-sole = Sohle
count-laces = Spann
count-toe = Spitze
count-heel = Ferse
count-roll = rollen
count-drag = ziehen
count-rock = wiegen
count-stop = Stopp
count-chop = hinten
count-up = hoch
count-soft = weich
count-wedge = mit
count-away = weg
count-step = Schritt
count-over = drüber
count-round = herum
count-hop = hopp
count-lunge = Ausfall
count-fake = Finte
count-drop = Schulter
count-turn = drehen
count-look = schau
count-bounce = springt
count-toss = wirf
count-wait = warten

limb-foot = { $surface } { $side }
limb-body = { $surface }

move-touch = { $limb }: { $action }
move-touch-to = { $limb }: { $action } { $way }
move-lift = { $limb }: { $action } auf { $height }
move-step-over = Fuß { $side } steigt über den Ball, { $way }
move-step-round = Fuß { $side } geht um den Ball
move-step-to = Fuß { $side }: Schritt { $way }
move-hop = hüpfen
move-lunge = Ausfallschritt { $way }
move-fake-pass = Pass antäuschen
move-fake-shot = Schuss antäuschen
move-drop = Schulter { $side } fallen lassen
move-turn-to = { $degrees }° nach { $side } drehen
move-turn-around = umdrehen
move-look-up = aufschauen
move-look-to = nach { $side } schauen
move-look-behind = nach hinten schauen
move-bounce = der Ball springt auf
move-toss = Ball hochwerfen
move-wait = warten

surfaces-lopsided = { $percent } % der Kontakte in { $strand } sind mit derselben Stelle: { $surface }.
surfaces-missing = „{ $skill }“ wird damit gespielt, und nichts im Plan: { $surface }.

### Übungen und was auf dem Platz aufgebaut wird.

layout-fault = Zeile { $line }, Spalte { $column }: Erwartet wird { $expected }.
layout-fault-mendable = Zeile { $line }, Spalte { $column }: Erwartet wird { $expected }. { $mend }
layout-expected-statement = eine Anweisung
layout-expected-word = „{ $word }“
layout-expected-closing = ein „{"}"}“, das diese Wiederholung schließt
layout-expected-opening = „{"{"}“
layout-expected-times = wie oft, 1 bis { $most }
layout-expected-markers = wie viele Hütchen, 1 bis { $most }
layout-expected-unit = eine Längeneinheit
layout-expected-turn = left, right oder around
layout-expected-degrees = wie weit gedreht wird, in Grad
layout-expected-degrees-at-most = höchstens { $most } Grad
layout-expected-path-kind = dribble, run, pass oder serve
layout-expected-second-point = „->“ und ein zweiter Punkt
layout-expected-length = eine Länge, wie 3 oder 2.5m
layout-expected-length-between = eine Länge von { $least } bis { $most } m
layout-expected-name = ein Name
layout-expected-free-name = ein Name, den es noch nicht gibt
layout-expected-point-name = der Name eines Punkts
layout-expected-marker-name = der Name eines Hütchens, um das es herumgeht
layout-expected-line-name = der Name einer Reihe, durch die Slalom gelaufen wird
layout-expected-name-for-line = ein Name für die Reihe
layout-expected-colour = eine Farbe
layout-expected-colours = eine Farbe, oder vier mit Kommas dazwischen
layout-expected-point-to-face = ein anderer Punkt zum Hinschauen
layout-expected-end = das Ende der Anweisung
layout-expected-bytes-at-most = ein Text von höchstens { $most } Byte
layout-expected-statements-at-most = eine Zahl von höchstens { $most } Anweisungen
layout-expected-unrolled-at-most = eine Zahl von höchstens { $most } Anweisungen, Wiederholungen ausgezählt
layout-expected-repeats-at-most = eine Schachtelung von höchstens { $most } Wiederholungen
layout-expected-markers-at-most = eine Zahl von höchstens { $most } Hütchen
layout-expected-stops-at-most = eine Zahl von höchstens { $most } Wegpunkten insgesamt
layout-expected-within = ein Ort im Umkreis von { $most } m um den Start

layout-mend-did-you-mean = Meinst du „{ $word }“?
layout-mend-one-of = Möglich sind { $known }.
layout-mend-split-text = Der Text hat { $bytes } Byte. Teile den Aufbau auf zwei Übungen auf.
layout-mend-split-drill = Teile den Aufbau auf zwei Übungen auf.
layout-mend-close = Schreib „{"}"}“ hinter die letzte Anweisung der Wiederholung.
layout-mend-write-out = Schreib die inneren aus.
layout-mend-closes-nothing = Dieses „{"}"}“ schließt keine Wiederholung. Lösche es, oder beginne mit „repeat N {"{"}“.
layout-mend-write-repeat = Schreib zum Beispiel repeat 3 {"{"} mark; walk 2 {"}"}.
layout-mend-repeat-less = Wiederhole weniger oft.
layout-mend-repeat-or-weave-less = Wiederhole weniger oft, oder lauf weniger Slalom.
layout-mend-colour-order = Die Reihenfolge ist vorn links, hinten links, hinten rechts, vorn rechts, wie in red, blue, green, yellow.
layout-mend-new-statement = „{ $written }“ gehört nicht hierher. Eine neue Anweisung beginnt in einer eigenen Zeile oder nach „;“.
layout-mend-this-length = Diese hier hat { NUMBER($metres, maximumFractionDigits: 2) } m.
layout-mend-leads-to = Das führt { $right } m nach rechts und { $ahead } m nach vorn.
layout-mend-turn-instead = Du stehst auf „{ $name }“. Dreh dich stattdessen, oder geh zuerst woandershin.
layout-mend-name-line = Schreib zum Beispiel line 6 W every 1.
layout-mend-name-taken = Zeile { $line } benutzt „{ $name }“ schon. Wähle einen anderen Namen.
layout-mend-no-marker-there = „{ $name }“ ist ein Punkt ohne Hütchen. Stell eines hin mit „mark“, oder lösche das „~“.
layout-mend-lay-line = Leg zuerst eine Reihe, zum Beispiel line 6 W every 1.
layout-mend-lines-known = Es gibt die Reihen { $known }.
layout-mend-line-not-point = „{ $name }“ ist eine Reihe. Schreib { $name }* für den Slalom, oder nenne ein Hütchen, { $name }1 bis { $name }{ $count }.
layout-mend-nothing-called = Hier heißt nichts „{ $name }“.

misfit-ground = Auf dem Platz { $possible ->
    [one] ist Raum für eine Station
   *[other] ist Raum für { $possible } Stationen
}, und { $squad } Kinder brauchen mindestens { $needed }.
misfit-kit = { $squad } Kinder brauchen mindestens { $needed } Hütchen, und es gibt { $markers }.
misfit-wall = Sie braucht eine Wand oder ein Brett, das den Ball zurückgibt.
misfit-home-only = Sie ist für zu Hause, nicht für eine Einheit.
misfit-squad = { $squad } Kinder lassen sich nicht auf Stationen zu { $least } bis { $most } verteilen.
would-fit-margin = Mit { NUMBER($metres, maximumFractionDigits: 1) } m zwischen den Stationen passt es.
would-fit-groups = Mit Stationen bis zu { $players } Kindern passt es, aber mehr davon warten.
would-fit-tighter = Enger gelegt, auf { NUMBER($width, maximumFractionDigits: 1) } × { NUMBER($depth, maximumFractionDigits: 1) } m, passt es.
would-fit-fewer = Für { $players } Kinder auf einmal passt es, { $others } machen so lange etwas anderes.

drill-no-skill = Diese Übung trainiert keine Fertigkeit. Nenne mindestens eine.
drill-no-stage = Es ist keine Stufe genannt. Nenne mindestens eine.
drill-stage-without-rung = Keine Sprosse dieser Übung erreicht { $stage }. Ergänze eine, oder entferne die Stufe.
drill-station = { $least } bis { $most } Kinder, meist { $usual }: Das passt nicht zusammen. Die übliche Zahl liegt dazwischen, und { $largest } ist die Grenze.
series-no-dose = Keine Altersgruppe macht die Serie. Wähle bei einer Altersgruppe die Dosis „Serie“ oder streiche die Übungen.
series-no-series = Diese Dosis ist eine Serie, aber es gibt keine Übungen dazu. Gib an, welche es sind.
series-moves = Die Dosis verlangt { $moves } Übungen, angegeben sind { $of }.
series-no-name = Zu einer Übung gehört eine Fertigkeit oder ein Name.
series-not-served = „{ $skill }“ gehört nicht zu den Fertigkeiten dieser Übungsform. Nimm sie dort auf.
series-not-a-move = „{ $skill }“ ist keine der ersten { $moves } Übungen einer Dosis. Nimm sie auf oder streiche sie bei den Fertigkeiten.
series-no-challenge = Die Dosis lässt Zeit für eine Herausforderung. Gib an, was versucht wird, oder lass die Zeit leer.
drill-no-dose = Keine Altersgruppe macht diese Übung. Gib mindestens eine Dosis an.
drill-no-seconds = Es sind keine Sekunden angegeben, und der Aufbau hat keinen Weg, aus dem sie folgen. Ergänze eines von beiden.
drill-long-bout = Ein Durchgang dauert { NUMBER($seconds, maximumFractionDigits: 0) } s, und { $band } arbeitet höchstens { $most } s ohne Pause. Lieber kürzer, dafür öfter.
drill-same-rung = Diese Sprosse hat dieselben Einstellungen wie eine frühere. Behalte eine davon.
drill-not-offered = Diese Übung bietet diese Einstellung nicht an ({ $lever }). Wähle eine, die sie anbietet.
drill-surface-not-played = Diese Übung spielt den Ball nicht mit { $surface }. Nimm die Einstellung heraus oder gib der Übung diese Fläche.
drill-no-touches = Die Kontakte für { $stage } fehlen, und eine Sprosse erreicht { $stage }. Ergänze sie.
drill-touches-out = Möglich sind 0 bis { $most } Kontakte in der Sekunde.

blocked-no-heading-rule = Gesperrt: Diese Übung hat Kopfbälle, und die Akademie hat die Regel ihres Verbands noch nicht eingetragen.
blocked-too-young = Gesperrt: Diese Übung hat Kopfbälle. Die Akademie übt sie ab { $from_age } Jahren, und diese Altersgruppe beginnt mit { $youngest }.

caution-aerial = Nimm für die ersten Bälle aus der Luft einen etwas weicheren Ball.
caution-heading = Kopfbälle nur, wie es die Regel deines Verbands erlaubt. Bei Verdacht auf eine Kopfverletzung: aufhören, und am selben Tag nicht zurück.
caution-ball_underfoot = Der Ball rollt unter dem Fuß weg: trockener Boden, freier Raum, und am Anfang an einem Partner festhalten.
caution-contact = Schienbeinschoner an, und nur Kinder ähnlicher Größe gegeneinander.
caution-hard_floor = Harter Boden: ein weicherer Ball, und nicht grätschen.
caution-jumping = Zuerst aufwärmen. Schmerzen an Knie oder Ferse: aufhören und zu einer medizinischen Fachperson gehen.
caution-reaction_crowding = Alle bewegen sich auf ein Signal: eine Armlänge Abstand, und niemand läuft einem anderen in den Weg.
caution-throw_in_service = Von unten auf Füße oder Oberschenkel werfen, und nie zu jemandem, der nicht hinschaut.

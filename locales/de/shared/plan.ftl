### Pläne: gebrochene Regeln, Einstellungen im Widerspruch, was eine Änderung kostet, und warum ein Block da steht.

broken-sessions = Der Plan hat { $laid } Einheiten und das Curriculum { $wanted }. Plane gleich viele.
broken-no-variant = In diesem Curriculum gibt es keine Übung „{ $id }“. Wähle eine, die es gibt.
broken-length = „{ $title }“ dauert { $least } bis { $most } min und hat { $minutes } min. Gib ihr { $better } min.
broken-time = Blöcke und Umbauten brauchen { $used } min, und die Einheit hat { $minutes } min. Nimm { $over } min heraus.
broken-time-with-tests = Tests, Blöcke und Umbauten brauchen { $used } min, und die Einheit hat { $minutes } min. Nimm { $over } min heraus.
broken-fit = „{ $title }“ passt nicht. { $why } Wähle eine andere Übung.
broken-half = „{ $title }“ passt nicht auf den halben Platz mit dem halben Kader. Mach sie mit allen.
broken-beside = „{ $title }“ und „{ $beside }“ nebeneinander sind nicht zwei Sprossen für eine Fertigkeit. Wähle eine andere Sprosse.
broken-barred = „{ $title }“ geht nicht. { $why } Wähle eine andere Übung.
broken-bout = „{ $title }“ arbeitet { NUMBER($seconds, maximumFractionDigits: 0) } s ohne Pause, und { $most } s sind die Grenze. Kürze die Dosis, oder wähle eine andere Übung.
broken-long-block = Dieser Block dauert { $minutes } min, und { $most } min sind die Grenze. Kürze ihn.
broken-aerial = { $minutes } min mit Bällen aus der Luft, und { $most } min sind die Grenze. Nimm { $over } min heraus.
broken-headers = { $count } Kopfbälle für jedes Kind in Woche { $week }, und { $most } sind die Grenze. Kürze oder entferne einen Block mit Kopfbällen.
broken-cold-start = Die Einheit beginnt mit „{ $title }“, und das ist kein Aufwärmen. Beginne mit etwas Leichterem.
broken-new-late = „{ $skill }“ ist neu und kommt erst in der zweiten Hälfte. Plane es früher in der Einheit.
broken-after-contest = „{ $skill }“ kommt gegen Gegner, bevor es hier allein geübt wird. Stell diesen Block vor den Zweikampf.
broken-hard-twice = „{ $title }“ ist der zweite sehr anstrengende Block hintereinander. Stell etwas Ruhigeres dazwischen.
broken-twice = „{ $title }“ kommt in dieser Einheit zweimal vor. Nimm einen der beiden Blöcke heraus, oder nimm eine andere Sprosse.
broken-one-drill = „{ $title }“ nimmt in mehreren Blöcken { $minutes } Min. dieser Einheit ein, und mehr als { $most } Min. soll es für eine Übung nicht sein. Kürze sie, oder nimm eine andere Übung.
broken-lock-gone = „{ $title }“ ({ $minutes } min) ist in dieser Einheit gesperrt, aber nicht da. Plane sie ein, oder entsperre sie.
broken-test-early = „{ $test }“ kommt, bevor „{ $skill }“ dran war. Zeig es in einer früheren Einheit, oder teste später.
broken-ladder = „{ $skill }“ kommt zu { $stage }, bevor { $before } geschafft ist. Zeig { $before } öfter in früheren Einheiten, oder verschieb das hier nach hinten.
broken-ladder-first = „{ $skill }“ kommt zu { $stage }, bevor es in { $before } gezeigt wurde. Zeig { $before } in einer früheren Einheit, oder verschieb das hier nach hinten.
broken-ladder-contest = „{ $skill }“ beginnt hier mit dem Zweikampf, und Blick ist noch nicht geschafft. Stell einen leichteren Block dieser Fertigkeit davor.
broken-needs = „{ $skill }“ braucht zuerst „{ $need }“ in Stufe { $stage }. Verschieb es in eine spätere Einheit.
broken-newness = { $count } neue Fertigkeiten in Woche { $week }, und { $most } sind die Grenze. Verschieb { $over } in eine andere Woche.

do-minutes = { $minutes } min für { $block }
do-stage = { $block } lieber in Stufe { $stage } machen
do-replace = „{ $other }“ statt { $block } machen
do-remove = { $block } entfernen
do-show = „{ $skill }“ am { $date } zeigen
do-place = { $block } als Block { $place } der Einheit machen
do-move = { $block } auf den { $date } verschieben
do-whole = { $block } mit dem ganzen Kader machen
do-beside = „{ $other }“ neben { $block } machen
do-lock = { $block } sperren
do-unlock = { $block } entsperren
do-forget = Die Sperre von „{ $title }“ aufheben
do-no-block = ein Block, den es nicht mehr gibt

clash-goal = „{ $skill }“ bis { $stage }
clash-session = Einheit { $session } am { $date } hat { $minutes } min, und die kürzeste Übung dieses Curriculums braucht { $least } min.
clash-session-with-tests = Einheit { $session } am { $date } hat neben ihren Tests { $minutes } min, und die kürzeste Übung dieses Curriculums braucht { $least } min.
clash-strand = Du willst { $percent } % der Zeit für { $strand }, und keine Übung für diese Ziele, die zu Platz, Material und Kader passt, trainiert das.
clash-stage = „{ $skill }“ soll bis { $goal } kommen, und keine Übung, die zu Platz, Material und Kader passt, trainiert es in Stufe { $stage }.
clash-chain = { $goals }: Mit allem, was davor kommen muss, braucht das mindestens { $asked } Einheiten nacheinander, und es gibt { $sessions }.
clash-circle = { $goals } brauchen einander im Kreis, deshalb kann keines davon beginnen.
clash-newness = { $goals }: Zusammen sind das { $asked } neue Fertigkeiten, und { $weeks } Wochen mit je { $per_week } neuen haben Platz für { $room }.
clash-minutes = { $goals }: Zusammen braucht das mindestens { $asked } min, und alle Einheiten haben { $minutes } min.
clash-looked = { $count ->
    [one] { $goals }: Kein Plan erreicht das in diesen Einheiten.
   *[other] { $goals }: Kein Plan erreicht das zusammen in diesen Einheiten.
}
clash-held = Kein Plan hält alle Regeln ein, solange gilt: { $held }.
clash-held-unproved = Es wurde kein Plan gefunden, der alle Regeln einhält, solange gilt: { $held }.
clash-held-lock = „{ $title }“ gesperrt in Einheit { $session } am { $date }
clash-held-test = der Test „{ $test }“ in Einheit { $session } am { $date }

relax-session-minutes = Gib der Einheit mindestens { $minutes } min
relax-drop-session = Streich diese Einheit
relax-strand-to-nothing = Setz den Anteil von { $strand } auf 0 %
relax-goal-in-strand = Nimm ein Ziel aus { $strand } dazu
relax-goal-to = Setz das Ziel auf { $stage }
relax-larger-ground = Plane mit einem größeren Platz oder mehr Hütchen
relax-drop-goal = Streich das Ziel
relax-lower-goal = Setz das Ziel eine Stufe tiefer
relax-lower-one-goal = Setz eines der Ziele eine Stufe tiefer
relax-add-weeks = Nimm Wochen dazu
relax-add-week = Nimm eine Woche dazu
relax-add-session = Nimm eine Einheit dazu
relax-further-already = Sag, dass der Kader schon weiter ist
relax-drop-one-goal = Streich eines davon
relax-more-minutes = Gib den Einheiten mehr Minuten
relax-minutes-more = Gib den Einheiten zusammen { $minutes } min mehr
relax-unlock = Entsperr einen der Blöcke
relax-test-later = Leg den Test in eine spätere Einheit

edit-lasts = „{ $title }“ dauert { $least } bis { $most } min. Nimm eine Zahl dazwischen.
edit-no-lock = Es gibt nur { $locks } Sperren. Wähle eine davon.
edit-no-block = Einheit { $session } hat { $blocks } Blöcke. Wähle einen davon.
edit-no-session = Eine Einheit { $session } gibt es nicht, das Curriculum hat { $sessions }. Wähle eine davon.
edit-no-variant = Dieses Curriculum hat keine Übung „{ $id }“. Wähle eine, die es hat.
edit-no-stage = Keine Übung, die passt, trainiert { $skills } in Stufe { $stage }. Wähle eine andere Stufe.
edit-no-goal = Diese Fertigkeit ist kein Ziel des Curriculums. Wähle eines seiner Ziele.
edit-no-drill = Keine Übung, die zu Platz, Material und Kader passt, trainiert „{ $skill }“. Schreib eine, oder plane mit einem anderen Platz.
edit-unknown-variant = Die Übung dieses Blocks gibt es nicht mehr. Entferne den Block.
edit-breaks = Dieser Plan bricht an { $places ->
    [one] einer Stelle
   *[other] { $places } Stellen
} eine Regel: bitte neu planen.
edit-nothing-to-lay = Es gibt keine Übung zur Auswahl. Wähle eine andere Einheit oder Fertigkeit.

price-nothing = kostet nichts
price-more = +{ NUMBER($points, minimumFractionDigits: 1, maximumFractionDigits: 1) }
price-less = −{ NUMBER($points, minimumFractionDigits: 1, maximumFractionDigits: 1) }
price-more-because = +{ NUMBER($points, minimumFractionDigits: 1, maximumFractionDigits: 1) }: { $reasons }
price-less-because = −{ NUMBER($points, minimumFractionDigits: 1, maximumFractionDigits: 1) }: { $reasons }
price-goals-more = ein Ziel rückt weiter weg
price-goals-less = ein Ziel rückt näher
price-strands-more = die Bereiche entfernen sich von ihren Anteilen
price-strands-less = die Bereiche kommen ihren Anteilen näher
price-rhythm-more = etwas, das gerade gelernt wird, ruht zu lange
price-rhythm-less = weniger ruht zu lange, während es gelernt wird
price-maintenance-more = etwas Erreichtes wird nicht gepflegt
price-maintenance-less = Erreichtes wird besser gepflegt
price-open-play-more = eine Woche hat zu wenig offenes Spiel
price-open-play-less = mehr offenes Spiel, wo es gewünscht ist
price-jumps-more = ein größerer Sprung in der Schwierigkeit
price-jumps-less = kleinere Sprünge in der Schwierigkeit
price-repetition-more = mehr vom Gleichen
price-repetition-less = weniger vom Gleichen
price-unused-more = Minuten bleiben ungenutzt
price-unused-less = weniger Minuten bleiben ungenutzt
price-other-foot-more = der andere Fuß bekommt weniger
price-other-foot-less = der andere Fuß bekommt mehr
price-laying-out-more = mehr Aufbauen
price-laying-out-less = weniger Aufbauen
price-standing-more = mehr Stehzeit
price-standing-less = weniger Stehzeit
price-edge-more = mehr ist zu schwer oder zu leicht
price-edge-less = weniger ist zu schwer oder zu leicht
price-focus-more = Einheiten haben weniger Schwerpunkt
price-focus-less = Einheiten haben mehr Schwerpunkt
price-arc-more = Einheiten bauen schlechter auf
price-arc-less = Einheiten bauen besser auf
price-weekly-more = Wochenwünsche werden verfehlt
price-weekly-less = Wochenwünsche werden öfter erfüllt
price-short-blocks-more = Blöcke sind kürzer als üblich
price-short-blocks-less = weniger Blöcke sind kürzer als üblich
price-evidence-more = ein Test kommt vor dem, was er zeigen soll
price-evidence-less = Tests kommen nach dem, was sie zeigen sollen

points-missing = { $skill }: { $count } × { $stage } fehlt
points-reached = Ziele sind im Schnitt nach { $sessions } Einheiten erreicht
points-strand = { $strand }: { $percent } % von { $target } %
points-rested = { $skill }: { $days } Tage vor dem { $date }
points-not-kept = { $skill }: { $days } Tage bis zum { $date }
points-open-play = Woche { $week }: { $percent } % von { $line } %
points-harder = { $skill }: { NUMBER($points, maximumFractionDigits: 1) } schwerer am { $date }
points-easier = { $skill }: { NUMBER($points, maximumFractionDigits: 1) } leichter am { $date }
points-again = „{ $title }“ wieder am { $date }
points-unused = { $date }: { $minutes } min
points-other-foot = { $percent } % von { $touches } Kontakten, gewünscht { $target } %
points-laying-out = { $changes } Umbauten dauern { $minutes } min, { $percent } % der Zeit
points-standing = { $percent } % der Zeit, { $free } % sind erlaubt
points-too-hard = { $minutes } min gelingen voraussichtlich in { $percent } % der Versuche, mindestens { $least } % sind gewünscht
points-too-easy = { $minutes } min gelingen voraussichtlich in { $percent } % der Versuche, höchstens { $most } % sind gewünscht
points-weekly = Woche { $week }: „{ $what }“ kommt { $times }-mal, gewünscht ist { $least }- bis { $most }-mal
points-off-theme = Woche { $week }: { $percent } % der Minuten gehören zu ihrem Thema
points-unfocused = { $date }: { $skills } Fertigkeiten, { $most } reichen
points-not-open = { $date }: endet in { $stage } und könnte in { $open } enden
points-easier-after = { $date }: { $blocks ->
        [one] 1 Block ist
       *[other] { $blocks } Blöcke sind
    } leichter als ein früherer derselben Fertigkeit
points-short = { $blocks } Blöcke sind zusammen { $minutes } min kürzer als üblich
points-early = „{ $test }“ am { $date } soll „{ $skill }“ in { $stage } zeigen, aber so weit ist es dann noch nicht

short-of-skill = { $skill }: { $exposures }
short-of-stage = { $count } × { $stage }

why-asked-as-goal = „{ $skill }“ hat danach verlangt: Mal { $nth } von { $of } in { $stage }, und das ist das Ziel.
why-asked-on-the-way = „{ $skill }“ hat danach verlangt: Mal { $nth } von { $of } in { $stage }, auf dem Weg zu { $goal }.
why-again = „{ $skill }“ kommt in { $stage } noch einmal vor: Beide Blöcke der Einheit zählen als ein Mal.
why-keeps = Das pflegt „{ $skill }“: Das letzte Mal war { $days ->
    [one] einen Tag
   *[other] { $days } Tage
} davor.
why-besides = Nebenbei kommt auch „{ $skill }“ vor, das nicht danach verlangt hat.
why-weekly = „{ $what }“ ist jede Woche { $least }- bis { $most }-mal gewünscht.
why-waited-for-needs = „{ $skill }“ musste warten auf { $needs }.
why-done-on = „{ $skill }“ in { $stage }, geschafft am { $date }
why-waited-for-stage = { $stage } musste auf { $before } warten, geschafft am { $date }.
why-waited-for-first = { $stage } musste warten, bis { $before } einmal vorgekommen war, am { $date }.
why-opens = Danach kann beginnen: { $skills }.
why-comes-off = „{ $skill }“: Etwa { NUMBER($tenths, maximumFractionDigits: 1) } von zehn dürften gelingen, wie gewünscht ({ $least } bis { $most }).
why-comes-off-seldom = „{ $skill }“: Etwa { NUMBER($tenths, maximumFractionDigits: 1) } von zehn dürften gelingen. Das ist noch schwer: { $least } bis { $most } sind gewünscht.
why-comes-off-easily = „{ $skill }“: Etwa { NUMBER($tenths, maximumFractionDigits: 1) } von zehn dürften gelingen. Das ist inzwischen leicht: { $least } bis { $most } sind gewünscht.
why-locked = Der Block ist hier gesperrt.
why-present-at = Der Kader ist damit schon bei { $stage }.
why-first-met = Zum ersten Mal kommt es am { $date }.
why-never = In diesem Plan kommt es nicht vor.
why-need-done = Es braucht „{ $need }“ in { $stage }, und das ist am { $date } geschafft.
why-need-never-done = Es braucht „{ $need }“ in { $stage }, und das schafft dieser Plan nicht.
why-full-week = Woche { $week } hat schon { $most } neue Fertigkeiten, für mehr ist kein Platz.
why-full-weeks = Die Wochen { $weeks } haben schon je { $most } neue Fertigkeiten, für mehr ist kein Platz.
why-earlier-costs = Schon am { $date } damit zu beginnen würde { NUMBER($points, maximumFractionDigits: 1) } Punkte kosten.
why-earlier-free = Es könnte ohne Kosten schon am { $date } beginnen: Drück auf „Planen“.
why-no-room = In keiner früheren Einheit ist Platz dafür, ohne eine Regel zu brechen.
why-missing-too-late = { $count } × { $stage } fehlt: { $before } ist erst in der letzten Einheit geschafft.
why-missing-few-left = { $count } × { $stage } fehlt: { $before } ist am { $date } geschafft, und in den { $sessions } Einheiten danach zählt anderes mehr.
why-missing-others = { $count } × { $stage } fehlt: In diesen Einheiten zählt anderes mehr.

edition-other-days = Es läuft an anderen Tagen.
edition-other-ground = Platz, Material oder Kader haben sich geändert.
edition-other-approach = Der Ansatz hat sich geändert.
edition-other-feet = Welcher Fuß arbeitet, hat sich geändert.
edition-other-shares = Die Anteile der Bereiche haben sich geändert.
edition-other-themes = Wochen haben andere Themen.
edition-other-weekly = Die Wochenwünsche haben sich geändert.
edition-other-mastery = Welche Techniken warten, bis eine Mannschaft so weit ist, hat sich geändert.
edition-other-tests = Die Tests liegen in anderen Einheiten.
edition-other-minutes = Einheit { $session }: { $now } min statt { $then } min.
edition-new-goal = Neues Ziel: „{ $skill }“ bis { $stage }.
edition-other-goal = „{ $skill }“ bis { $now } statt { $then }.
edition-no-goal = „{ $skill }“ ist kein Ziel mehr.
edition-drill-rewritten = Der Text von „{ $title }“ hat sich geändert.
edition-block-minutes = Einheit { $session }: { $block } dauert { $now } min statt { $then } min.
edition-block-moved = Einheit { $session }: { $block } kommt in Einheit { $to }.
edition-block-left-out = Einheit { $session }: { $block } fällt weg.
edition-block-added = Einheit { $session }: { $block } ist neu.

curriculum-minutes-for-each = Für { $sessions } Einheiten gibt es { $numbers } Zahlen. Gib für jede eine an.
curriculum-tests-too-long = Die Tests dauern { $taken } min, und die Einheit hat { $minutes } min. Möglich sind 1 bis { $minutes } min.
curriculum-test-twice = „{ $test }“ kommt in dieser Einheit zweimal. Behalte einen.
curriculum-lock-without-session = Für diese Sperre gibt es keine Einheit { $session }. Entsperr den Block, oder hol die Einheit zurück.
curriculum-no-goal = Es ist kein Ziel gewählt. Wähle mindestens eine Fertigkeit.
curriculum-need-is-no-goal = „{ $skill }“ braucht „{ $need }“ in { $stage }. Nimm es zu den Zielen dazu.
curriculum-weekdays = Wähle einen bis sieben verschiedene Wochentage, Montag 1 bis Sonntag 7.
curriculum-holiday = Woche { $week }: Nenne jede Woche ohne Einheiten einmal, 1 bis { $weeks }.
curriculum-no-week-left = Es bleibt keine Woche mit einer Einheit. Streich eine freie Woche oder einen freien Tag.

problem-version = Das ist Version { $version }, und dieses Programm liest Versionen bis { $known }.
problem-order = Einheiten stehen in der Reihenfolge ihrer Tage und Wochen. Verschieb diese.
problem-tests-too-long = Die Tests dauern { $tests } min von { $minutes } min. Streich einen.
problem-no-skill = Keine Fertigkeit heißt „{ $id }“. Nimm sie in „skills“ auf, oder streich sie hier.
problem-skill-twice = Eine Fertigkeit steht zweimal da. Behalte eine.
problem-other-id = „{ $id }“ ist nicht die Übung in ihrer Stufe. Schreib „{ $wanted }“.
problem-block-minutes = Ein Block dauert 1 bis 240 min, und das Wenigste ist nicht mehr als das Meiste.
problem-no-session = Eine Einheit { $session } gibt es nicht: Es sind { $sessions }, von 0 an gezählt.
problem-no-variant = Keine Variante heißt „{ $id }“. Entsperr sie, oder nimm sie auf.
problem-no-window = Das Fenster hat keine Breite. Lass es tiefer beginnen, als es endet.
problem-theme-skills = Ein Thema hat ein bis { $most } Fertigkeiten.
problem-weekly-times = Die kleinere Zahl zuerst, und höchstens { $most }-mal in der Woche.
problem-no-drill = Keine Variante gehört zur Übung „{ $id }“.
problem-theme-week = Woche { $week } hat keine Einheiten. Wähl eine andere Woche.
variant-no-stage = „{ $written }“ ist keine Übung in einer Stufe. Schreib sie als weave-there-and-back@flow.

year-untaught = „{ $skill }“ beginnt laut Karte in { $band }, aber kein Curriculum der Saison lehrt es.
year-not-reached = „{ $curriculum }“ erwartet „{ $skill }“ auf { $stage }, doch nichts davor kommt so weit.
year-rests = „{ $skill }“ ruht { $days } Tage, bis „{ $curriculum }“ es wieder aufnimmt. Dann sind noch { $percent } % der Übung da.
year-share = Der Anteil von { $strand } an den Minuten der Saison ist { $percent } %; gewünscht sind { $wished } %.
year-begun-twice = „{ $skill }“ beginnt als neu, obwohl schon { $band } damit beginnt.
year-on-days-off = „{ $curriculum }“ hat { $sessions ->
    [one] eine Einheit am { $date }, der frei ist
   *[other] { $sessions } Einheiten ab dem { $date } an freien Tagen
} ({ $off }). Nimm sie in den Einstellungen heraus, damit anderswo geplant wird, was sie bringen.
season-change-too-many = { $team } hätte { $players } Spieler, mehr als { $most }.
season-change-empty = In { $team } bleibt niemand.
season-change-no-coach = { $team } hat noch niemanden, der trainiert.
season-change-one-name = In { $team } wären zwei Spieler namens „{ $name }“. Wähle für einen ein anderes Team, oder ergänze auf der Spielerseite einen Buchstaben.
season-change-out-of-ages = { $players ->
    [one] { $players } Spieler liegt
   *[other] { $players } Spieler liegen
} außerhalb der Altersgruppe von { $team }, weil du es so gesagt hast.
season-change-no-band = { $players ->
    [one] { $players } Spieler bleibt
   *[other] { $players } Spieler bleiben
} in { $team }, weil keine Altersgruppe das Alter hat.
season-change-unsure = { $players ->
    [one] { $players } Spieler ist
   *[other] { $players } Spieler sind
} im Monat des Stichtags geboren und { $players ->
    [one] zählt
   *[other] zählen
} als danach geboren.

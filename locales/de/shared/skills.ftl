### Fertigkeiten, Tests, Meilensteine und Standards.

map-circle = Diese Fertigkeiten brauchen einander im Kreis, deshalb kann keine beginnen: { $path }. Streich eine der Voraussetzungen.
map-unknown = „{ $skill }“ nennt „{ $named }“, und das gibt es in der Bibliothek nicht. Streich es.
map-later-band = „{ $skill }“ beginnt in { $band } und braucht „{ $need }“ in { $stage }, das erst in { $need_band } beginnt. Lass das früher beginnen, oder streich die Voraussetzung.
map-no-drill = „{ $skill }“ hat keine Übung in { $stage }. Schreib eine, oder nimm die Stufe in eine vorhandene auf.
map-unused-test = Die Hürde von „{ $skill }“ verlangt den Test „{ $test }“, den keine Altersgruppe benutzt. Setz einen Standard dafür, oder entferne die Hürde.
map-no-milestone = Die Hürde von „{ $skill }“ verlangt den Meilenstein „{ $milestone }“, den es nicht gibt, also kommt niemand durch. Wähle einen Meilenstein, oder entferne die Hürde.
map-redundant = „{ $skill }“ braucht „{ $need }“ in { $stage }, und „{ $through }“, das es auch braucht, verlangt das schon. Diese Voraussetzung kann weg.
map-unset = „{ $skill }“ verbindet „{ $from }“ und „{ $to }“: Der Ball ist nicht dort, wo das Zweite beginnt. „{ $touch }“ dazwischen legt ihn hin.
map-unjoined = „{ $skill }“ verbindet „{ $from }“ und „{ $to }“, und kein einzelner Kontakt bringt den Ball dorthin, wo das Zweite beginnt. Schreib eine eigene Schrittfolge.
skill-played-by = Die Schrittfolge von „{ $skill }“ spielt diese hier und hätte Fehler. Ändere auch sie.
skill-counted-by = Der Test „{ $test }“ zählt diese Schrittfolge und wäre dann nicht mehr zu zählen. Ändere zuerst den Test.
map-lonely = Zu „{ $skill }“ führt nichts hin und nichts weg. Nur ein Hinweis.

map-change-new = „{ $skill }“ ist neu.
map-change-gone = „{ $skill }“ wurde entfernt.
map-change-renamed = „{ $before }“ heißt jetzt „{ $skill }“.
map-change-band = „{ $skill }“ beginnt jetzt in { $now }, vorher in { $before }.
map-change-strand = „{ $skill }“ gehört jetzt zu { $now }, vorher zu { $before }.
map-change-need-added = „{ $skill }“ braucht jetzt „{ $need }“ in { $stage }.
map-change-need-stage = „{ $skill }“ braucht „{ $need }“ in { $now }, vorher in { $before }.
map-change-need-dropped = „{ $skill }“ braucht „{ $need }“ nicht mehr.
map-change-gate = Die Hürde von „{ $skill }“ hat sich geändert.
map-change-helps-or-feet = Was „{ $skill }“ hilft, oder die Füße, hat sich geändert.

gate-look = { $times } von den letzten { $of_last } geht nicht. Nimm etwas wie 3 von den letzten 4, höchstens { $most }.
map-would-circle = Das ergäbe einen Kreis, in dem keine Fertigkeit beginnen kann: { $path }.
skill-served-by-drill = Die Übung „{ $drill }“ trainiert „{ $id }“. Ändere zuerst die Übung.
skill-shown-by-test = Der Test „{ $test }“ zeigt „{ $id }“. Lass ihn zuerst eine andere Fertigkeit zeigen.
skill-shown-by-milestone = Der Meilenstein „{ $milestone }“ zeigt „{ $id }“. Ändere ihn zuerst.
skill-named-by-skill = „{ $skill }“ nennt „{ $id }“. Ändere das zuerst.

test-range = { $from } bis { $to } geht nicht als Bereich. Er steigt, höchstens von { $least } bis { $most }.
test-other-protocol = Es gibt Ergebnisse mit einem anderen Protokoll. Schreib daneben einen neuen Test.
test-other-feet = Es gibt Ergebnisse mit einer anderen Regel für die Füße. Schreib daneben einen neuen Test.
test-no-points = „{ $test }“ hat keine Coachingpunkte, auf die man schaut.
test-marks = „{ $test }“ hat { $points } Coachingpunkte, und es sind { $marks } Zahlen. Gib für jeden eine an.
test-no-such-mark = { $mark } geht nicht. Ein Punkt ist 0 für nein, 1 für teilweise oder 2 für ja.
result-out-of-range = { $value } liegt außerhalb. „{ $test }“ liegt zwischen { $least } und { $most }.
test-too-fine = { $value } ist genauer, als dieser Test gemessen wird. Gib ihn in Schritten von { $step } an.
test-score-without-count = Nur ein Test mit „wie viele in einer Zeit“ wird Schlag für Schlag gezählt. Entferne die Schrittfolge, oder wähle dieses Protokoll.
test-score-opens = Die Runde endet anders, als sie beginnt, und lässt sich so nicht immer wieder zählen. Füge den Kontakt hinzu, der den Ball zurückbringt.
test-score-without-touch = In der Schrittfolge ist kein Kontakt, der zählt. Schreib mindestens einen.

milestone-look = { $times } von den letzten { $of_last } geht nicht. Nimm etwas wie 2 von den letzten 3, höchstens { $most }.
milestone-no-such-point = Einen Punkt { $point } gibt es nicht. Der Test hat die Punkte 1 bis { $points }.
milestone-no-points = Der Test „{ $test }“ hat keine Coachingpunkte, auf die man schaut.
milestone-asked-by-gate = Die Hürde von „{ $skill }“ verlangt diesen Meilenstein. Lass sie zuerst einen anderen verlangen.
milestone-would-not-hold = Der Meilenstein „{ $milestone }“ ließe sich nicht mehr zeigen. { $fault }

missing-need = { $skill } in { $stage }
missing-milestone = „{ $milestone }“, { $times } von den letzten { $of_last }
missing-no-milestone = { $milestone } (diesen Meilenstein gibt es nicht)
missing-test = { $test } { $value }, { $times } von den letzten { $of_last }
missing-gate = die Hürde

standard-percentiles = Perzentile steigen von Im Aufbau bis Darüber hinaus, zwischen 0 und 100.
standard-levels-meet = { $band }: Jedes Niveau muss mehr verlangen als das davor.
standard-falls-with-age = { $level } verlangt in { $older } weniger ({ $old }) als in { $younger } ({ $young }). Ein Standard sinkt nie mit dem Alter.
standard-too-fast = { $level } verlangt in { $band } { $count }, einen Schlag alle { $beat_s } s. Unter { $least_s } s hält in diesem Alter kein Kind durch: verlange höchstens { $most }.

note-seen = { $name } sagt, und wir haben es gesehen:
note-working-on = Woran { $name } gerade arbeitet:
note-milestone = „{ $says }“
note-begun = { $name } hat angefangen. Was { $name } kann, steht hier nach dem ersten Test.

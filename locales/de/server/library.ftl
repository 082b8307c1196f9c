### Was an einer Bibliothek zu fragen ist (`jogo library check`).

library-skill-not-dosed = „{ $skill }“ beginnt mit { $band }, und keine Übung beginnt es dort: eine Übung, die ihm bei Form dient, braucht eine Dosis für { $band }, oder es beginnt in einer anderen Altersstufe
library-no-ball = der Ball wird berührt, und keiner liegt da: `ball` dort einfügen, wo er am Anfang liegt
library-home-too-small = zu Hause hat sie { $width } × { $depth } m, und was gelegt wird, braucht { $needs_width } × { $needs_depth } m: so viel verlangen oder weniger legen
library-home-for-more = sie ist für { $people } Personen, und zu Hause ist nur eine: `home` entfernen
library-too-few = { $people } Personen stehen am Boden, und eine Station darf { $least } haben: mit { $people } beginnen
library-rung-serves-nothing = sie ist bei { $stage }, und dort dient sie keiner Technik: die Stufe bei einer Technik ergänzen oder die Sprosse entfernen
library-caution-missing = was sie verlangt, braucht den Hinweis `{ $caution }`: ergänzen
library-caution-without = nichts in ihr braucht den Hinweis `{ $caution }`: entfernen, oder sagen, was ihn braucht
library-never-planned = kein Block von { $band } reicht für die Hälfte davon: die Dosis kürzen
library-never-begun = jede Technik, der sie dient, beginnt nach { $band }: die Dosis entfernen oder eine Technik früher beginnen
library-long-point = hat { $words } Wörter, und höchstens { $most } lassen sich durch eine Halle rufen: weniger sagen
library-alike = „{ $text }“ sagt, was „{ $other }“ sagt: sagen, was daran anders ist
library-says-other = sagt „{ $says }“, und der Test nimmt { $has }: beide auf { $says_number } oder { $has } bringen
library-other-points = „{ $drill }“ führt zu diesem Test und sieht nicht auf „{ $point }“: auf dieselben Punkte in denselben Worten sehen
library-not-asked = kein Meilenstein, keine Hürde und keine Übung fragt nach „{ $test }“: eines fragen lassen oder den Test entfernen
library-too-quick = { $level } verlangt von { $band } { $speed } m/s, und { $most } m/s ist das Höchste: weniger verlangen
library-other-skill = „{ $test }“ zeigt „{ $shows }“, und der Meilenstein ist für „{ $skill }“: einen eigenen Test nehmen
library-goal-not-shown = das Ziel von { $curriculum } ist { $stage }, und kein Meilenstein von { $band } zeigt das bei „{ $skill }“: einen schreiben oder weniger vorhaben

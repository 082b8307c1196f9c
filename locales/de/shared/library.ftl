### Was die Bibliothek als Ganzes offenlässt.

library-skill-not-dosed = „{ $skill }“ beginnt mit { $band }, aber keine Übung fängt dort damit an. Gib einer Übung, die der Technik bei Form dient, eine Dosis für { $band }, oder lass sie in einer anderen Altersgruppe beginnen.
library-no-ball = Der Ball wird gespielt, aber es liegt keiner da. Lege einen dorthin, wo er am Anfang liegt.
library-home-too-small = Zu Hause stehen { $width } × { $depth } m zur Verfügung, der Aufbau braucht { $needs_width } × { $needs_depth } m. Verlange so viel, oder mach den Aufbau kleiner.
library-home-for-more = Sie braucht { $people } Personen, und zu Hause ist ein Kind allein. Nimm sie von der Liste für zu Hause.
library-too-few = Im Aufbau stehen { $people } Personen, eine Station darf aber nur { $least } haben. Lass sie mit { $people } beginnen.
library-rung-serves-nothing = Eine Sprosse liegt bei { $stage }, aber dort dient die Übung keiner Technik. Füge die Stufe bei einer Technik hinzu, oder entferne die Sprosse.
library-caution-missing = Die Übung braucht den Hinweis „{ $caution }“. Füge ihn hinzu.
library-caution-without = Nichts in der Übung verlangt den Hinweis „{ $caution }“. Entferne ihn, oder ergänze, was ihn verlangt.
library-never-planned = Nicht einmal die halbe Dosis passt in einen Block von { $band }. Kürze sie.
library-never-begun = Jede Technik, der sie dient, beginnt erst nach { $band }. Entferne die Dosis von { $band }, oder lass eine Technik früher beginnen.
library-long-point = „{ $point }“ hat { $words } Wörter, zu viele, um sie durch eine Halle zu rufen. Nimm höchstens { $most }.
library-alike = „{ $text }“ steht schon bei „{ $other }“. Sag, was hier anders ist.
library-says-other = Da steht „{ $says }“, der Test nimmt aber { $has }. Mach aus beidem { $says_number } oder { $has }.
library-other-points = „{ $drill }“ führt zu diesem Test, achtet aber nicht auf „{ $point }“. Achte auf dieselben Punkte in denselben Worten.
library-not-asked = Kein Meilenstein, keine Hürde und keine Übung verwendet „{ $test }“. Verwende ihn, oder entferne ihn.
library-too-quick = { $level } verlangt von { $band } { $speed } m/s, mehr als { $most } m/s schaffen sie nicht. Verlange weniger.
library-other-skill = „{ $test }“ zeigt „{ $shows }“, der Meilenstein gehört aber zu „{ $skill }“. Nimm einen Test dieser Technik.
library-goal-not-shown = Das Ziel von „{ $curriculum }“ ist { $stage }, aber kein Meilenstein von { $band } zeigt das bei „{ $skill }“. Schreib einen, oder setz das Ziel tiefer.

### Schrittfolgen und bewegte Füße.

score-title = Schlag für Schlag
score-text = Die Schrittfolge
score-strip = Schlag für Schlag
score-eyes-up = Augen oben
score-feet-of = Die Füße von oben: { $title }
score-play = Abspielen
score-stop = Anhalten
score-back = Einen Schlag zurück
score-next = Nächster Schlag
score-mirror = Anderer Fuß
score-settings = Tempo, Fuß und Ton
score-sound = Ton
score-sound-off = Stumm
score-sound-clicks = Klicks
score-sound-aloud = Laut zählen
score-tempo-own_pace = eigenes Tempo
score-tempo-in_rhythm = im Rhythmus
score-tempo-fast = schnell
score-reads = Die Schrittfolge ist lesbar.
score-write = Schrittfolge schreiben
score-change = Abspielen oder ändern
score-none = Noch steht nirgends, was die Füße tun.
score-propose = Teile verbinden
score-keep = Übernehmen
score-remove = Schrittfolge löschen
score-as-far = So weit die Schrittfolge lesbar ist.
score-per-round = { $n ->
    [one] 1 Kontakt je Runde
   *[other] { $n } Kontakte je Runde
}
score-seconds = { NUMBER($seconds, maximumFractionDigits: 2) } s je Runde
score-rounds = { $n ->
    [one] 1 Runde in 30 s
   *[other] { $n } Runden in 30 s
}
score-feet = rechts { $right }, links { $left }
score-body = Körper { $n }
score-hops = { $n ->
    [one] 1 Hüpfer
   *[other] { $n } Hüpfer
}
score-closing-closes = endet, wo es begann
score-closing-closes_mirrored = endet gespiegelt: Die nächste Runde beginnt mit dem anderen Fuß
score-closing-travels = lässt sich von dort aus noch einmal spielen
score-closing-opens = endet woanders: Leg den Ball vor der nächsten Runde zurecht
score-kin = Hat { $shared } von { $of } Kontakten gemeinsam mit
score-kin-alike = Fast dieselben Kontakte wie
score-help = Als Hilfe aufnehmen
score-of-skill = Diese Übung zeigt die Schrittfolge der Fertigkeit, die sie führt. Schreib eine andere, wenn die Füße hier etwas anderes tun.
score-own = Eine für diese Übung schreiben
desk-own-chain = Kinder bauen ihre eigene Kette
desk-own-chain-none = nein
desk-own-chain-of = aus { $n } Bewegungen
chains-title = Ketten zum Probieren
chains-another = Eine andere
chains-own = Ihre eigenen sind genauso gut.
picture = Bild
picture-ground = Platz
picture-feet = Füße

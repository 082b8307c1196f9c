### Was überall steht, die Legende und die Namen der Orte.

loading = Einen Moment…
working-out = { $of ->
    [0] Wird berechnet…
   *[other] Wird berechnet: { $done } von { $of } Teams
}

no-network = Jogo ist gerade nicht erreichbar. Was du eingibst, bleibt auf diesem Gerät und wird später gesendet.

fallen = Dieser Bildschirm ist abgestürzt. Was du eingegeben hast, bleibt. Bitte lade ihn neu.

no-level = noch kein Niveau

close = Schließen

cancel = Abbrechen

undo = Rückgängig

retry = Noch einmal

minutes = { $n } min

floor-of = Zeichnung: { $title }

legend-title = So liest du das
legend-strands = Ein Bereich ist ein Linienmuster
legend-stages = Eine Stufe ist eine Füllung
legend-levels = Ein Niveau ist eine Höhe
legend-states = Ein Meilenstein ist ein Ring
legend-words = Wörter
legend-keys = Tasten
legend-open = So liest du das (?)
legend-keys-page = diese Seite
legend-keys-sideways = im Plan: Einheit davor oder danach; auf der Karte: was es braucht, was es öffnet
legend-keys-lines = im Plan: Linie davor oder danach; auf der Karte: Nachbarn
legend-keys-more = eine Minute mehr oder weniger; eins schwerer oder leichter am Übungstisch; Karte vergrößern
legend-keys-stage = Block eine Stufe höher oder tiefer
legend-keys-block = Block sperren, entfernen, die Fertigkeit hier zeigen
legend-keys-move = Block in die Einheit davor oder danach verschieben
legend-keys-open = Block öffnen
legend-keys-solve = planen: den Plan um das Gesperrte herum richten
legend-keys-publish = veröffentlichen
legend-keys-undo = die letzte Änderung an Plan, Übung oder Karte zurücknehmen
legend-keys-search = in der Bibliothek suchen
legend-keys-save = Übung speichern

look-title = Aussehen
look-light = Hell
look-dark = Dunkel
look-pitch = Platz: groß, schwarz auf weiß

language-title = Sprache
language-en = English
language-de = Deutsch

sign-out = Abmelden

done = Fertig

link-address = Adresse zum Weitergeben
link-copy = Kopieren
link-copied = Kopiert

places-clubs = Vereine
places-drills = Übungen
places-progressions = Lernwege
places-plan = Plan
places-sessions = Einheiten
places-levels = Niveaus
places-standards = Standards
places-today = Heute
places-test = Test
places-squad = Kader
places-weeks = Wochen

new-version = Eine neue Version ist da: jetzt laden

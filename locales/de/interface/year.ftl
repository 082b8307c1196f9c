### Das Jahr: Saisons, Abschnitte, freie Tage, und was die Curricula einer Saison zusammen ergeben.

places-year = Jahr
year-title = Saison { $name }
year-sheet = Jahresblatt
year-panel = Was das Jahr ergibt
year-part = Was gezeigt wird
year-whole = Ganze Saison
year-season = Saison
year-edit-season = Saison und Abschnitte
year-add-season = Neue Saison
year-drop-season = Saison entfernen
year-season-about = Curricula beginnen mit einem Abschnitt und nehmen seine Wochen. Wird eine Saison entfernt, bleiben ihre Curricula, wie sie sind.
year-terms = Abschnitte
year-term = Abschnitt
year-add-term = Abschnitt hinzufügen
year-drop-term = { $term } entfernen
year-first = Erster Tag
year-last = Letzter Tag
year-autumn = Herbst
year-winter = Winter
year-spring = Frühjahr
year-empty = Hier siehst du alle Curricula einer Saison auf einen Blick: was jede Altersgruppe wann lernt, was dazwischen zu lange ruht und was niemand lehrt. Beginn mit einer Saison und ihren Abschnitten.
year-unread = „{ $name }“ lässt sich nicht lesen, weil sich die Bibliothek seither geändert hat. Öffne den Plan.
year-today = Heute, { $day }
year-off = { $name }, { $first } bis { $last }
year-found = { $n ->
    [one] { $n } Hinweis
   *[other] { $n } Hinweise
}
year-open-band = { $band } ansehen
year-close-band = { $band }: zurück zu allen Altersgruppen
year-made-outline = Skizze
year-made-draft = Entwurf
year-made-published = veröffentlicht
year-strip = { $name }, { $made }, { $first } bis { $last }: { $sessions ->
    [one] { $sessions } Einheit
   *[other] { $sessions } Einheiten
}, { $shown } von { $of } Meilensteinen lassen sich zeigen. Plan öffnen.
year-path = { $skill }: kommt in { $weeks ->
    [one] { $weeks } Woche
   *[other] { $weeks } Wochen
} vor{ $met ->
    [none] { "" }
   *[other] , zuerst in der Woche vom { $met }
}{ $reached ->
    [none] { "" }
   *[other] , Ziel erreicht: { $reached }
}
year-key = Ein Streifen ist ein Curriculum, mit den Minuten je Linie und Woche; Pflöcke sind Tests. Darunter hat jede Fertigkeit eine Linie: hohl, wo sie neu ist, ein Wimpel, wo ihr Ziel erreicht ist, dünn, wo sie gehalten wird, und eine Lücke, wo sie über vier Wochen ruht. Ein gestrichelter Rahmen ist ein Entwurf, ein gepunkteter eine Skizze.
year-bands = Altersgruppen
year-about = Sieh dir eine Altersgruppe an: ihre Fertigkeiten mit Namen, was nicht zusammenpasst und wo du es änderst.
year-look = Ansehen
year-all-bands = Alle Altersgruppen
year-nothing-planned = Noch ist nichts geplant.
year-band-line = { $sessions } Einheiten, { $hours } Stunden Arbeit mit dem Ball, { $found ->
    [0] kein Hinweis
    [one] { $found } Hinweis
   *[other] { $found } Hinweise
}
year-a-child-gets = Ein Kind, das immer da ist, bekommt { $sessions } Einheiten, { $hours } Stunden Arbeit mit dem Ball und { NUMBER($touches) } Berührungen, { $other } davon mit dem anderen Fuß.
year-shares = Minuten je Linie
year-share-of = { $share }, gewünscht { $wished }
year-surfaces = Berührungen je Fläche: { $all }
year-surface = { $surface } { NUMBER($touches) }
year-curriculum = { $name }: { $sessions } Einheiten, { $shown } von { $of } Meilensteinen lassen sich zeigen, bis zu { $drills ->
    [one] { $drills } neue Übung
   *[other] { $drills } neue Übungen
} in der Woche
year-beside = „{ $name }“ liegt in den Wochen eines anderen Curriculums und zählt nicht mit.
year-findings = Hinweise
year-nothing-found = Alles passt zusammen.
year-to-plan = Plan öffnen
year-to-map = Auf der Karte ansehen
year-more = { $n } weitere zeigen
year-outlines = Skizzen
year-outlines-about = Wovon du nur den Namen und die wichtigsten Fertigkeiten weißt. Eine Skizze zählt, als lehrte sie ihre Fertigkeiten.
year-add-outline = Skizze hinzufügen
year-outline-name = Name
year-outline-skill = Fertigkeit hinzufügen
year-outline-choose = Fertigkeit wählen
year-drop-outline = Skizze entfernen
year-lay = Eins nach dem anderen
year-lay-about = { $drafts ->
    [one] Plant den Entwurf dieser Altersgruppe neu, von da aus, wo das Curriculum davor endet.
   *[other] Plant die { $drafts } Entwürfe dieser Altersgruppe neu, jeden von da aus, wo der davor endet.
} Veröffentlichte Curricula bleiben, wie sie sind.
year-believed = Was die Kader mitbringen
year-believed-planned = wie geplant
year-believed-forecast = wie vorhergesagt
year-lay-go = Entwürfe planen
year-laying = Plant: { $done } von { $of }
year-laid = { $name }: { $moved ->
    [0] beginnt wie zuvor
    [one] { $moved } Fertigkeit beginnt auf einer anderen Stufe
   *[other] { $moved } Fertigkeiten beginnen auf einer anderen Stufe
}, { $before } → { $after } Punkte
year-not-laid = { $name }: Kein Plan hält alle Regeln, deshalb bleibt er, wie er war. Öffne ihn, um zu sehen, was sich widerspricht.
year-laid-undo = „Rückgängig“ auf jedem Plan holt ihn zurück.

off-title = Freie Tage
off-about = An ihnen ist keine Einheit; was sie bringen sollte, kommt in die anderen.
off-academy = Die ganze Akademie
off-span = { $first } bis { $last }
off-add = Freie Tage hinzufügen
off-save = Diese Tage freigeben
off-whose = Für wen
off-name = Name
off-example = Halle geschlossen
off-drop-named = { $name } entfernen
off-cancelled = { $n ->
    [one] keine Einheit am { $days }
   *[other] keine Einheiten am { $days }
}
off-held = { $n ->
    [one] die Einheit am { $days } findet doch statt
   *[other] die Einheiten am { $days } finden doch statt
}
off-session = { $name }: keine Einheit

## Der Saisonwechsel

new-season-title = Wechsel in die Saison { $name }
new-season-open = Saisonwechsel
new-season-to-year = Zurück zum Jahr
new-season-about = Alle kommen in ein Team ihres Alters, im eigenen Verein und mit allem, was über sie gespeichert ist. Sieh es durch und ändere, was du besser weißt. Bevor du bestätigst, geschieht nichts.
new-season-panel = Der Wechsel im Ganzen
new-season-ages-on = Das Alter zählt am
new-season-most = Spieler je Team, höchstens
new-season-said = { $n ->
    [one] { $n } Spieler nach deinem Wort
   *[other] { $n } Spieler nach deinem Wort
}
new-season-said-drop = Alle wie vorgeschlagen
new-season-nothing = Alle bleiben in ihrem Team: An diesem Tag gehört niemand in eine andere Altersgruppe.
new-season-of-club = { $n ->
    [0] niemand wechselt
    [one] { $n } Spieler
   *[other] { $n } Spieler
}
new-season-size = jetzt { $before } Spieler, dann { $after }
new-season-size-new = neu, mit { $after } Spielern
new-season-age = { $age } Jahre
new-season-goes = Wo { $name } weitermacht
new-season-as-proposed = Wie vorgeschlagen
new-season-stays-in = Bleibt in { $team }
new-season-leaves = Verlässt die Akademie
new-season-outcome = Was dabei herauskommt
new-season-sum = { $moved ->
    [one] { $moved } Spieler wechselt
   *[other] { $moved } Spieler wechseln
} das Team, { $leaving ->
    [one] { $leaving } geht
   *[other] { $leaving } gehen
}{ $added ->
    [0] { "" }
    [one] , { $added } Team kommt dazu
   *[other] , { $added } Teams kommen dazu
}.
new-season-stops = Behebe zuerst, was rot ist.
new-season-go = Saison wechseln
new-season-sure = { $says } Du kannst es zurücknehmen, bis in den neuen Teams etwas protokolliert oder gemessen wird. Was über jene gespeichert ist, die gehen, wird nach der Aufbewahrungsfrist gelöscht.
new-season-made = Bisherige Wechsel
new-season-made-line = { $day }, { $by }: { $moved } gewechselt, { $left } gegangen
new-season-is-back = Zurückgenommen.
new-season-stays = Seither wurde etwas protokolliert oder gemessen: Er bleibt.
new-season-take-back = Zurücknehmen
new-season-back-done = { $elsewhere ->
    [0] Alle sind wieder dort, wo sie waren.
    [one] Alle sind wieder dort, wo sie waren, außer { $elsewhere } Spieler, der seither gewechselt hat.
   *[other] Alle sind wieder dort, wo sie waren, außer { $elsewhere } Spielern, die seither gewechselt haben.
}

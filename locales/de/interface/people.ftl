### Menschen, Einladungen, Post und Anmeldung.

sign-in-title = Jogo
sign-in-about = Was die Kinder am Ball lernen, in welcher Reihenfolge, und wie weit sie sind.
sign-in-login = Name
sign-in-password = Passwort
sign-in-go = Anmelden
sign-in-samples = Schau dich um wie eine der Personen der Demo
sign-in-director = Technische Leitung: plant, veröffentlicht, wertet aus
sign-in-club_lead = Vereinsleitung: sieht alles in einem Verein
sign-in-coach = Trainer von { $teams }

join-welcome = Willkommen, { $name }
join-as = { $of ->
        [none] Du bist eingeladen als { $role }. Wähle, wie du dich anmeldest.
       *[other] Du bist eingeladen als { $role } von { $of }. Wähle, wie du dich anmeldest.
    }
join-login = Anmeldename
join-login-how = Kleine Buchstaben, Ziffern und Bindestriche
join-password-how = Mindestens 8 Zeichen
join-go = Los geht’s
join-gone = Diese Einladung gilt nicht mehr
join-ask-again = Sie wurde benutzt, ist abgelaufen oder wurde zurückgezogen. Bitte die Technische Leitung um eine neue.

clubs-title = Vereine und Menschen
clubs-beside = Team, Verein oder Einladungen
clubs-add-club = Verein hinzufügen
clubs-new-club = Neuer Verein
clubs-new-team = Neues Team in { $club }
clubs-change = Ändern
clubs-change-named = { $club } ändern
clubs-led-by = geleitet von { $names }
clubs-name = Name
clubs-team-name = Name des Teams
clubs-band = Altersgruppe
clubs-club = Verein
clubs-teams = Teams
clubs-coaches = Trainer
clubs-no-coach = noch kein Trainer
clubs-no-teams = Noch kein Team. Drück auf „Ändern“, um eines hinzuzufügen.
clubs-players = { $n ->
        [one] { $n } Kind
       *[other] { $n } Kinder
    }
clubs-save = Speichern
clubs-invite = Jemanden einladen
clubs-invited = Eingeladen, noch nicht dabei
clubs-nobody-invited = Niemand. Drück auf „Jemanden einladen“, um einen Link für einen Trainer zu machen.
clubs-until = bis { $day }
clubs-withdraw = Zurückziehen
clubs-full-name = Vor- und Nachname
clubs-what-for = Welche Rolle?
clubs-role-means-coach = Leitet die Einheiten der eigenen Teams, betreut den Kader, nimmt Tests ab. Sieht nichts von anderen Teams.
clubs-role-means-club_lead = Sieht Einheiten und Niveaus eines Vereins, ändert aber nichts.
clubs-role-means-director = Sieht und ändert alles.
clubs-make-link = Link erstellen
clubs-hand-on = Schick diesen Link an { $name }
clubs-once = Er gilt einmal, bis { $day }. Er wird nur jetzt gezeigt.
clubs-my-teams = Meine Teams
clubs-my-club = Mein Verein

letters-title = Postausgang
letters-now = Fälliges schreiben
letters-by-server = Briefe gehen über den Mailserver. Jeder wird einmal geschrieben: am Montag die Woche, und eine Erinnerung, wenn Protokolle fehlen.
letters-in-folder = Es ist kein Mailserver eingerichtet: Briefe liegen als Dateien im Ordner „outbox“ neben der Datenbank. Jedes Mailprogramm kann sie öffnen.
letters-none = Noch wurde nichts geschrieben. Trainer, die eine E-Mail-Adresse eingetragen haben, bekommen am Montag ihre Woche.
letters-left = gesendet { $when }
letters-waits = wartet
letters-failed = konnte nicht gesendet werden: { $why }
letters-mine = Meine E-Mail
letters-mine-about = Deine Einheiten der Woche per E-Mail, und eine Erinnerung, wenn ein Protokoll fehlt. Leer heißt: keine E-Mail.
letters-address = E-Mail-Adresse

calendar-open = Mein Kalender
calendar-title = Deine Einheiten in deinem Kalender
calendar-how = Erstelle eine Adresse und trag sie im Kalender auf Handy oder Computer ein. Neue Einheiten erscheinen dort von selbst, ausgefallene sind markiert.
calendar-secret = Wer diese Adresse hat, sieht deine Einheiten. Sie wird nur jetzt gezeigt: Wenn du sie verlierst, erstelle eine neue.
calendar-since = Du hast am { $day } eine Adresse erstellt.
calendar-make = Adresse erstellen
calendar-renew = Neue erstellen und die alte beenden
calendar-end = Beenden

begin-title = Eine neue Akademie
begin-about = Diese Adresse gilt ein einziges Mal. Du wirst technischer Direktor; alle anderen lädst du ein.
begin-academy = Name der Akademie
begin-time-zone = Zeitzone
begin-time-zone-note = Tage, Wochen und Uhrzeiten richten sich nach dieser Zone.
begin-name = Dein Name
begin-name-note = So, wie ihn Coaches und Direktoren lesen
begin-go = Beginnen
begin-gone = Diese Adresse gilt nicht mehr
begin-gone-how = Die Akademie hat schon begonnen, oder ein Tag ist vergangen. Hat sie begonnen, dann melde dich an. Wenn nicht, starte Jogo neu: Es nennt eine neue Adresse.
begin-left = { $n ->
    [one] Noch 1 Schritt
   *[other] Noch { $n } Schritte
}
begin-steps = { $n ->
    [0] Dein erster Plan ist veröffentlicht
    [one] Ein Schritt bis zum ersten Plan
   *[other] { $n } Schritte bis zum ersten Plan
}
begin-steps-about = Jeder Schritt lässt sich unterbrechen. Die Liste bleibt, bis der erste Plan veröffentlicht ist.
begin-step-done = Erledigt
begin-look = Ansehen
begin-step-bands = Altersgruppen
begin-how-bands = Welche Jahrgänge, wie lang eine Einheit dauert und wie lange Kinder ohne Pause arbeiten.
begin-do-bands = Altersgruppen festlegen
begin-step-library = Techniken und Übungen
begin-how-library = Was gelehrt wird und womit. Nimm, was mit Jogo kommt, oder schreib deine eigenen.
begin-do-library = Übung schreiben
begin-step-teams = Vereine und Mannschaften
begin-how-teams = Welche Vereine zur Akademie gehören, und ihre Mannschaften mit der Altersgruppe.
begin-do-teams = Vereine eintragen
begin-step-coaches = Coaches
begin-how-coaches = Jeder Coach bekommt einen Link, der einmal gilt: Schick ihn ihm.
begin-do-coaches = Coaches einladen
begin-step-curriculum = Ein Curriculum
begin-how-curriculum = Aus einer Vorlage in vier kurzen Schritten. Die Wochen legt der Planer.
begin-do-curriculum = Curriculum anlegen
begin-step-edition = Ein veröffentlichter Plan
begin-how-edition = Sobald er veröffentlicht ist, hat ihn jede Mannschaft der Altersgruppe auf dem Telefon.
begin-do-edition = Veröffentlichen
begin-starter = Die Bibliothek, die mit Jogo kommt
begin-starter-about = Alles lässt sich später ändern. Standards und Grenzen sind Annahmen: Trag eigene ein, wenn du mehr weißt. Was du schon hast, bleibt, wie es ist.
begin-part-bands = Altersgruppen: { $lacks } von { $pieces }
begin-part-library = Techniken, Übungen, Tests und Meilensteine: { $lacks } von { $pieces }
begin-part-standards = Standards für die Tests: { $lacks } von { $pieces }
begin-part-templates = Vorlagen, drei Abschnitte für jede Altersgruppe: { $lacks } von { $pieces }
begin-take = Diese nehmen
begin-open = Was noch zu tun ist

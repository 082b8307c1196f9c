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
clubs-from-list = Aus einer Liste
club-list-title = Vereine aus einer Liste
club-list-about = Eine Zeile für jedes Team, mit den Spalten Verein, Team, Altersgruppe und Trainer. Hinter einem Namen kann eine E-Mail-Adresse stehen: Name <name@mail.example>.
    Was es schon gibt, bleibt, wie es ist. Wer als Trainer neu ist, bekommt eine Einladung. Prüfe die Liste zuerst; gespeichert wird erst, wenn du sie übernimmst.
club-list-choose = Datei wählen (CSV oder XLSX)
club-list-paste = Oder Zeilen aus einer Tabelle einfügen
club-list-example = Verein, Team, Altersgruppe, Trainer
club-list-look = Liste prüfen
club-list-rows-of = Was jede Zeile bringt
club-list-line = Zeile
club-list-written = In der Liste
club-list-becomes = Was sie bringt
club-list-new-club = neuer Verein
club-list-new-team = neues Team
club-list-invites = lädt { $names } ein
club-list-there = nichts Neues
club-list-ready = { $faulty ->
    [0] Jede Zeile kann übernommen werden. Noch ist nichts gespeichert.
    [one] { $good } Zeilen können übernommen werden, 1 bleibt weg. Noch ist nichts gespeichert.
   *[other] { $good } Zeilen können übernommen werden, { $faulty } bleiben weg. Noch ist nichts gespeichert.
}
club-list-take = { $n ->
    [one] Diese Zeile übernehmen
   *[other] Diese { $n } Zeilen übernehmen
}
club-list-taken = Vereine und Teams sind angelegt
club-list-hand-out = Druck diese Einladungen und verteil sie. Jeder Link ist nur jetzt zu sehen und gilt einmal.
club-list-nobody-new = Es musste niemand neu eingeladen werden.
club-list-to-clubs = Zu den Vereinen
club-list-card = { $academy } lädt dich ein, { $teams } zu trainieren.
club-list-until = Scanne den Code oder öffne die Adresse bis { $day }. Wähle dann Benutzername und Passwort.
clubs-invite = Jemanden einladen
clubs-people-or-invited = Wer dabei ist und wer eingeladen ist
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
clubs-email = E-Mail (freiwillig)
clubs-email-about = Hat die Akademie einen Mailserver, geht der Link auch dorthin.
link-mailed = Der Link wurde auch per E-Mail geschickt.
link-not-mailed = Die E-Mail konnte nicht geschickt werden. Gib den Link bitte selbst weiter.
link-no-server = Diese Akademie hat keinen Mailserver. Gib den Link bitte selbst weiter.
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
begin-about = Diese Adresse gilt ein einziges Mal. Du übernimmst die Technische Leitung; alle anderen lädst du ein.
begin-academy = Name der Akademie
begin-time-zone = Zeitzone
begin-time-zone-note = Tage, Wochen und Uhrzeiten richten sich nach dieser Zone.
begin-name = Dein Name
begin-name-note = So, wie ihn alle lesen
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
begin-how-teams = Welche Vereine zur Akademie gehören, und ihre Teams mit der Altersgruppe: einzeln, oder alle mit ihren Trainern aus einer Liste.
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

sign-in-code = Code aus deiner Authenticator-App
sign-in-code-note = Oder einer deiner Ersatzcodes

sign-out-title = Auf diesem Gerät abmelden?
sign-out-offline = Es ist kein Netz da. Dieses Gerät vergisst sofort, was es gelesen hat; der Server erfährt es, sobald wieder Netz da ist.
sign-out-waiting = { $n ->
        [one] Ein Eintrag ist nicht gesendet. Er bleibt verborgen auf diesem Gerät, bis du dich hier wieder anmeldest.
       *[other] { $n } Einträge sind nicht gesendet. Sie bleiben verborgen auf diesem Gerät, bis du dich hier wieder anmeldest.
    }
sign-out-stay = Angemeldet bleiben

password-title = Ein neues Passwort
password-for = Für { $name }, Anmeldename „{ $login }“.
password-go = Passwort setzen
password-gone = Dieser Link gilt nicht mehr
password-gone-how = Er wurde benutzt, oder ein Tag ist vergangen. Bitte die Technische Leitung um einen neuen.
password-done = Das Passwort ist gesetzt, und alle anderen Geräte sind abgemeldet. Melde dich jetzt damit an.
password-to-sign-in = Anmelden

account-title = Dein Konto
account-about = { $name }, Anmeldename „{ $login }“
account-password = Passwort
account-password-now = Jetziges Passwort
account-password-new = Neues Passwort
account-password-how = Mindestens 8 Zeichen; am besten ein paar Wörter, die nicht zusammengehören. Alle anderen Geräte werden abgemeldet.
account-password-change = Passwort ändern
account-password-changed = Das Passwort ist geändert.
account-devices = Wo du angemeldet bist
account-device-phone = Handy
account-device-computer = Computer
account-device-other = Etwas anderes
account-device-own = dieses Gerät
account-device-when = seit { $since }, zuletzt benutzt { $seen }
account-device-end = Dort abmelden
account-devices-end = Überall sonst abmelden
account-factor = Zweiter Faktor
account-factor-off = Aus. Mit ihm fragt die Anmeldung außer nach dem Passwort nach einem Code, den eine App auf deinem eigenen Gerät zeigt.
account-factor-on = An. Die Anmeldung fragt nach einem Code deiner App oder einem Ersatzcode.
account-factor-first = Wer diese Akademie leitet, meldet sich auch mit einem Code an. Richte ihn ein, um weiterzumachen.
account-factor-begin = Einrichten
account-factor-stop = Ausschalten
account-factor-password = Dein Passwort
account-factor-scan = Scanne das mit der Authenticator-App auf deinem Handy, oder tippe das Geheimnis dort ein. Gib dann den Code ein, den sie zeigt.
account-factor-secret = Geheimnis
account-factor-code = Code
account-factor-turn-on = Einschalten
account-factor-recovery = Bewahre diese Ersatzcodes dort auf, wo dein Handy nicht ist: Jeder lässt dich einmal hinein. Sie werden nur jetzt gezeigt.
account-factor-kept = Ich habe sie aufbewahrt
account-leave = Deine Teams und Vereine
account-leave-team = Nicht mehr trainieren
account-leave-club = Nicht mehr leiten
account-leave-sure = { $what }: Du siehst dann nichts mehr davon. Was du geschrieben hast, bleibt.
account-leave-go = Aufhören
account-leave-nothing = Kein Team und kein Verein.
account-waiting = Einträge von anderen auf diesem Gerät
account-waiting-about = { $n ->
        [one] Ein Eintrag von jemandem, der hier angemeldet war, ist nicht gesendet. Er wird gesendet, wenn sich diese Person hier wieder anmeldet.
       *[other] { $n } Einträge von Leuten, die hier angemeldet waren, sind nicht gesendet. Sie werden gesendet, wenn diese sich hier wieder anmelden.
    }
account-waiting-discard = Verwerfen
account-waiting-sure = Dann sind sie endgültig verloren. Frag diese Leute zuerst.

people-title = Menschen
people-role = { $role }, Anmeldename „{ $login }“
people-more = Was mit { $name } zu tun ist
people-link = Link für ein neues Passwort
people-link-title = Ein neues Passwort für { $name }
people-link-how = Schick diesen Link an { $name }. Er gilt einmal, bis { $when }. Er wird nur jetzt gezeigt.
people-factor = Zweiten Faktor wegnehmen
people-factor-sure = { $name } meldet sich dann nur mit dem Passwort an. Tu es nur, wenn du sicher bist, wer dich darum gebeten hat.
people-shut-out = Ausschließen
people-shut-out-sure = Jeder Zugang von { $name } endet sofort: Geräte, Kalender, Lichtschranken, offene Einladungen. { $name } trainiert und leitet nichts mehr. Was { $name } geschrieben hat, bleibt.
people-shut-out-list = Ausgeschlossen
people-let-in = Wieder hereinlassen
people-leads = Wer leitet
people-leads-none = Niemand. Lade jemanden als Vereinsleitung ein.
people-end-lead = Leitet nicht mehr

audit-title = Protokoll
audit-about = Wer Rechte geändert, veröffentlicht, gelöscht oder sich angemeldet hat. Der Name eines Kindes steht nie darin. Anmeldungen bleiben ein Jahr.
audit-who = Wer
audit-everybody = Alle
audit-what = Was
audit-everything = Alles
audit-export = Als Liste herunterladen
audit-more = Mehr zeigen
audit-nothing = Nichts dieser Art.
audit-at = Wann
audit-to = Woran
audit-by-itself = Jogo oder die Befehlszeile
deed-academy_begun = hat die Akademie begonnen
deed-academy_named = hat die Akademie benannt
deed-settings_changed = hat die Einstellungen geändert
deed-band_changed = hat eine Altersgruppe geändert
deed-starter_taken = hat etwas aus der Startbibliothek genommen
deed-imported = hat Dateien eingelesen
deed-band_added = hat eine Altersgruppe angelegt
deed-clubs_listed = hat Vereine aus einer Liste übernommen
deed-coaches_changed = hat geändert, wer trainiert
deed-invited = hat eingeladen
deed-invitation_withdrawn = hat eine Einladung zurückgezogen
deed-joined = ist dazugekommen
deed-person_added = hat jemanden hinzugefügt
deed-signed_in = hat sich angemeldet
deed-sign_in_failed = kam nicht hinein
deed-sign_ins_ended = hat Anmeldungen beendet
deed-password_changed = hat ein Passwort geändert
deed-password_link_made = hat einen Link für ein neues Passwort gemacht
deed-password_link_used = hat einen Link für ein neues Passwort benutzt
deed-second_factor_on = hat den zweiten Faktor eingeschaltet
deed-second_factor_off = hat den zweiten Faktor ausgeschaltet
deed-shut_out = hat ausgeschlossen
deed-let_in_again = hat wieder hereingelassen
deed-left_club = leitet nicht mehr
deed-left_team = trainiert nicht mehr
deed-milestone_set = hat einen Meilenstein gesetzt
deed-milestone_dropped = hat einen Meilenstein gestrichen
deed-word_against = hat anders entschieden als die Ergebnisse
deed-test_set = hat einen Test gesetzt
deed-test_dropped = hat einen Test gestrichen
deed-standard_set = hat einen Richtwert gesetzt
deed-drill_archived = hat eine Übung weggelegt
deed-drill_back = hat eine Übung zurückgeholt
deed-published = hat veröffentlicht
deed-player_exported = hat heruntergeladen, was über ein Kind gespeichert ist
deed-squad_exported = hat eine Kaderliste heruntergeladen
deed-results_exported = hat Ergebnisse heruntergeladen
deed-player_corrected = hat Angaben zu einem Kind berichtigt
deed-player_moved = hat ein Kind in ein anderes Team verschoben
deed-player_left = hat eingetragen, dass ein Kind gegangen ist
deed-player_back = hat ein Kind zurückgeholt
deed-player_erased = hat ein Kind gelöscht
deed-note_deleted = hat eine Notiz gelöscht
deed-season_changed = hat die Saison gewechselt
deed-season_change_taken_back = hat einen Saisonwechsel zurückgenommen
deed-other = etwas anderes

keeping-title = Anmeldungen und was gespeichert bleibt
keeping-idle = Tage ohne Besuch bis zur Abmeldung
keeping-whole = Tage bis zur Abmeldung in jedem Fall
keeping-directors = Technische Leitung meldet sich auch mit einem Code an
keeping-months = Monate gespeichert, nachdem ein Kind gegangen ist
keeping-left = Kinder, die gegangen sind
keeping-left-none = Niemand. Wenn ein Trainer einträgt, dass ein Kind gegangen ist, steht es hier, bis es gelöscht wird.
keeping-left-line = { $name }: gegangen { $left }, gelöscht am { $erased }

# Wann und wo Teams trainieren.
times-title = Wann und wo
times-of = Wann und wo: { $club }
times-about = Ein Team trainiert immer an denselben Wochentagen zur selben Zeit. Teilen sich Teams einen Ort, bekommt jedes einen gleichen Teil der Fläche und der Hütchen, und sein Plan wird daran angepasst.
times-to-clubs = Zurück zu den Vereinen
times-week = Die Woche
times-none = Noch keine Zeiten
times-sharing = Geteilte Orte
times-places = Orte
times-places-none = Trag die Hallen und Plätze ein, auf denen der Verein trainiert.
times-place-size = { $width } × { $depth } m, { $teams ->
    [one] ein Team zugleich
   *[other] { $teams } Teams zugleich
}
times-add-place = Ort hinzufügen
times-teams = Teams zugleich
times-drop-place = Ort entfernen
times-drop-place-says = Teams, die in { $place } trainieren, behalten ihre Zeiten, ohne Ort.
times-day = Tag
times-from = Von
times-minutes = Minuten
times-place = Ort
times-no-place = Ort unbekannt
times-add-day = Tag hinzufügen
times-take-out = Entfernen
times-refitted = Das heißt für die Pläne:
times-fitted = an die neuen Zeiten und die neue Fläche angepasst
times-days-stay = die Tage bleiben, weil es schon ein Protokoll oder eine ausgefallene Einheit gibt
when-said = { $from }–{ $to }
when-beside = geteilt mit { $teams }

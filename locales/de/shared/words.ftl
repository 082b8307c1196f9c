### Die Wörter des Fachs.

strand-ball_mastery = Ballgefühl
strand-dribbling = Dribbling
strand-receiving = Ballannahme
strand-passing = Passen

stage-form = Form
stage-flow = Fluss
stage-scan = Blick
stage-contest = Zweikampf
stage-means-form = sauber und langsam, am Platz
stage-means-flow = im Rhythmus, schnell, in Bewegung
stage-means-scan = Augen oben, auf ein Signal
stage-means-contest = gegen einen Gegner

level-starting = Am Anfang
level-building = Im Aufbau
level-secure = Sicher
level-stretching = Darüber hinaus
level-means-starting = fängt gerade an
level-means-building = kann Teile davon
level-means-secure = kann es
level-means-stretching = kann mehr, als diese Altersgruppe verlangt

side-left = links
side-right = rechts

foot-strong = starker Fuß
foot-other = anderer Fuß

outcome-done = Gemacht
outcome-short = Gekürzt
outcome-skipped = Entfallen

role-director = Technische Leitung
role-club_lead = Vereinsleitung
role-coach = Trainer

caution-tag-aerial = Bälle aus der Luft
caution-tag-heading = Kopfbälle
caution-tag-ball_underfoot = Ball unter dem Fuß
caution-tag-contact = Körperkontakt
caution-tag-hard_floor = harter Boden
caution-tag-jumping = Springen
caution-tag-reaction_crowding = Gedränge auf Signal
caution-tag-throw_in_service = geworfene Bälle

lever-tempo = Tempo
lever-motion = Bewegung
lever-eyes = Augen
lever-side = Seite
lever-surface = Fläche
lever-touches = Kontakte
lever-space = Raum
lever-ball = Ball
lever-service = Zuspiel
lever-chain = Kette
lever-pressure = Druck
lever-contest = Wettkampf

joined-more = { $one }, { $other }
joined-last = { $one } und { $other }

colour-white = Weiß
colour-yellow = Gelb
colour-orange = Orange
colour-red = Rot
colour-blue = Blau
colour-green = Grün
colour-black = Schwarz
colour-pink = Pink

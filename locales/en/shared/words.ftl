### The words of the field.

strand-ball_mastery = ball mastery
strand-dribbling = dribbling
strand-receiving = receiving
strand-passing = passing

stage-form = Form
stage-flow = Flow
stage-scan = Scan
stage-contest = Contest
stage-means-form = correct and slow, on the spot
stage-means-flow = in rhythm, at speed, on the move
stage-means-scan = eyes up, reacting to a cue
stage-means-contest = against an opponent

level-starting = Starting
level-building = Building
level-secure = Secure
level-stretching = Stretching
level-means-starting = just beginning
level-means-building = has parts of it
level-means-secure = has it
level-means-stretching = has more than this band asks for

side-left = left
side-right = right

foot-strong = strong foot
foot-other = other foot

outcome-done = Done
outcome-short = Cut short
outcome-skipped = Skipped

role-director = technical director
role-club_lead = club lead
role-coach = coach

caution-tag-aerial = balls in the air
caution-tag-heading = headers
caution-tag-ball_underfoot = ball underfoot
caution-tag-contact = contact
caution-tag-hard_floor = hard ground
caution-tag-jumping = jumping
caution-tag-reaction_crowding = crowding on a call
caution-tag-throw_in_service = thrown service

lever-tempo = tempo
lever-motion = motion
lever-eyes = eyes
lever-side = side
lever-surface = surface
lever-touches = touches
lever-space = space
lever-ball = ball
lever-service = service
lever-chain = chain
lever-pressure = pressure
lever-contest = contest

joined-more = { $one }, { $other }
joined-last = { $one } and { $other }

colour-white = white
colour-yellow = yellow
colour-orange = orange
colour-red = red
colour-blue = blue
colour-green = green
colour-black = black
colour-pink = pink

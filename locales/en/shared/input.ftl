### What is wrong with what was entered, and how to mend it.

quoted-name = “{ $name }”
quoted-at = “{ $name }” at { $stage }
quoted-rung = “{ $name }” at { $stage }, rung { $rung }
quoted-foot = { $foot ->
    [strong] { $rung ->
        [1] “{ $name }” at { $stage }, strong foot only
       *[other] “{ $name }” at { $stage }, rung { $rung }, strong foot only
    }
   *[other] { $rung ->
        [1] “{ $name }” at { $stage }, other foot only
       *[other] “{ $name }” at { $stage }, rung { $rung }, other foot only
    }
}
quoted-other-foot = { $name }, other foot
quoted-date = { $day } { $month ->
    [1] January
    [2] February
    [3] March
    [4] April
    [5] May
    [6] June
    [7] July
    [8] August
    [9] September
    [10] October
    [11] November
   *[12] December
}
as-written = { $text }

what-name = Name
what-short-name = Short name
what-login = Sign-in name
what-title = Title
what-purpose = Purpose
what-in-game = In a game
what-point = Coaching point
what-kit = Kit
what-stand-in = Stand-in
what-move = Move
what-challenge = Challenge
what-fault-seen = What you see
what-fault-why = Why it happens
what-fault-said = What to say or change
what-reason = Reason
what-note = Note
what-sentence = Sentence
what-word = Word
what-source = Source
what-rule = Rule of the association
what-instruction = How it is done
what-strong-foot = Strong foot
what-foot = Foot
what-phrase = Translated text
what-club = Club
what-team = Team
what-coach = Coach

text-empty = { $what }: nothing is written here. Write something.
text-long = { $what }: { $long } characters. Use { $most } at most.
text-control = { $what }: there is a line break, a tab or another control character. Type it again without it.

name-empty = Nothing is chosen here. Choose one, or give it a name.
name-letters = “{ $name }” cannot be a name in files. Use small letters, digits and single dashes, as in weave-there-and-back.

range-between = { $value } is out of range. Use { $least } to { $most }.
range-minutes = { $value } min is out of range. Use { $least } to { $most } min.
range-seconds = { $value } s is out of range. Use { $least } to { $most } s.
range-metres = { $value } m is out of range. Use { $least } to { $most } m.
range-speed = { $value } m/s is out of range. Use { $least } to { $most } m/s.
range-years = { $value } years is out of range. Use { $least } to { $most } years.
range-count = There are { $count } here. Give { $least } to { $most }.
range-most = There are { $count } here. Give { $most } at most.
range-shares = The shares add up to { $percent } %. Make them 100 %, none below 0.
range-share = { $value } is out of range. A share is between 0 and 1.
range-percent = { NUMBER($percent, maximumFractionDigits: 1) } % is out of range. A share is between 0 and 100 %.
listed-twice = “{ $id }” is listed twice. Keep one.
listed-none = Nothing is named here. Name at least one.

unknown-band = The library has no band “{ $id }”. Choose another one.
unknown-skill = The library has no skill “{ $id }”. Choose another one.
unknown-test = The library has no test “{ $id }”. Choose another one.
unknown-milestone = The library has no milestone “{ $id }”. Choose another one.
unknown-drill = There is no drill “{ $id }”.

sheet-large = The file has { $bytes } bytes, and { $most } is the limit. Send it in parts.
sheet-encoding = The file is not written in UTF-8 (line { $line } is the first that is not). Save it as “CSV UTF-8” and send it again.
sheet-lines = The file has more than { $most } lines. Send it in parts.
sheet-columns = Line { $line } cannot be split into columns. Check its quotation marks.

roster-sheet = { $fault }
roster-column = The first line has no column “{ $column }”. Name the columns name, birth month and strong foot.
roster-rows = The file has more than { $most } rows. A squad list has { $most } players at most.
roster-empty = The file has no rows below its first line. Write one row for each player.

club-list-sheet = { $fault }
club-list-column = The first row has no column “{ $column }”. Name the columns club, team, band and coach.
club-list-rows = The list has more than { $most } rows. Send it in parts.
club-list-empty = The list has no rows below the first. Write one row for each team.
club-row-no-band = Band: the academy has no “{ $written }”. Its bands are { $known }.
club-row-other-band = Band: row { $line } puts this team in another band. Correct one of the two.
club-row-coaches = Coach: there are more than { $most } names here. Use one row for each coach.
club-row-no-address = Coach: “{ $written }” is not an email address. Write Name <name@mail.example>, or just the name.
club-row-has-band = Band: this team is already in { $band }. Correct the row, or give the team another name.

row-no-month = Birth month: “{ $written }” is not a month. Write it as 2023-04.
row-no-such-month = Birth month: there is no month { $month }. Write it as 2023-04.
row-not-born = Birth month: { $month } is in the future. Check the year.
row-too-young = Birth month: { $month } means under { $youngest } years old. Check the year.
row-too-old = Birth month: { $month } means over { $oldest } years old. Check the year.
row-foot-missing = { $what }: nothing is written here. Write left or right.
row-no-foot = { $what }: “{ $written }” is neither left nor right.
row-same-name = Name: line { $line } has the same name. Add an initial, or remove one of the two rows.
row-in-squad = Name: this player is in the squad already. Add an initial, or remove the row.
row-out-of-ages = { $age } years old on { $date }, and { $band } is for { $youngest } to { $oldest }: practises up or down.

line-no-column = The first line has no column “{ $column }”. Name the columns player, test, side, day and value.
line-already = This result is there already. There is nothing to do.
line-foot-missing = Foot: “{ $test }” is taken with each foot. Write left or right.
line-foot-too-much = Foot: “{ $test }” is not taken with each foot. Leave it empty.
line-no-player = Player: the squad has no “{ $name }”. Add this player to the squad, or remove the line.
line-is-it = Player: the squad has no “{ $name }”. Is it { $one }?
line-one-of-two = Player: the squad has no “{ $name }”. Is it { $one } or { $other }?
line-no-test = Test: there is no test “{ $name }”. The tests are { $known }.
line-no-day = Day: “{ $written }” is not a day. Write it as 2031-02-10.
line-day-to-come = Day: { $written } is in the future. Check the day.
line-long-ago = Day: { $written } is more than ten years ago. Check the year.
line-no-marks = Value: “{ $written }” is not a list of marks. Write one mark for each point, as 2 1 2.
line-no-number = Value: “{ $written }” is not a number.

band-no-such-number = No number of a band has this name. The names are { $known }.
band-tempos-out-of-order = The tempos are out of order: own pace is the slowest, fast the fastest. Give each no more seconds than the one before it.
band-no-day-of-the-year = “{ $written }” is not a day of the year. Write month and day as 01-01.
lever-points-missing = “{ $setting }” needs 0 to { $most } points.
gates-no-such-fault = “{ $name }” is not a fault of timing gates. Use late, doubled, out-of-order, missing, bounced, all or none.

pair-stranger = One of these two is not in this squad. Choose another player.
pair-one-player = The same player is named twice. Choose two players.
pair-twice = There is a wish about these two already. Remove that one first.
pair-contrary = These two are kept apart, but other wishes keep them together. Remove one of those first.

curriculum-no-session = There is no session { $session }. Choose another one.
team-days-are-fixed = Some sessions have a log or were cancelled, so the days cannot change. You can still change the ground, the kit and the squad.
slot-no-time = “{ $written }” is not a time. Write it as 17:30.
slot-after-midnight = { $minutes } min from { $from } go past midnight. Begin earlier or make it shorter.
slot-twice = { $weekday } is listed twice. A team meets at most once a day.
slot-no-place = The club does not have this place any more. Choose another one.
days-end-before = They end on { $last }, before they begin on { $first }. Choose a later last day.
days-too-long = They may last { $most } days at most. Choose an earlier last day.
term-outside = “{ $term }” must lie between { $first } and { $last }, the days of the season. Change its days or those of the season.
terms-meet = “{ $term }” begins before “{ $before }” ends. Let it begin later.
term-twice = Two terms are called “{ $term }”. Give one of them another name.
place-shared = { $teams } share { $place } on { $weekday } from { $from } to { $to }: { $width } × { $depth } m each.
place-too-many = { $teams } are all down for { $place } on { $weekday } from { $from } to { $to }. It has room for { $most ->
    [one] one team
   *[other] { $most } teams
} at a time. Move one of them.
weekday = { $weekday ->
    [1] Monday
    [2] Tuesday
    [3] Wednesday
    [4] Thursday
    [5] Friday
    [6] Saturday
   *[7] Sunday
}

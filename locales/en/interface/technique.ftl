### Scores and moving feet.

score-title = Beat by beat
score-text = The score
score-strip = Beat by beat
score-eyes-up = eyes up
score-feet-of = The feet, from above: { $title }
score-play = Play
score-stop = Stop
score-back = One beat back
score-next = Next beat
score-mirror = Other foot
score-settings = Tempo, foot and sound
score-sound = Sound
score-sound-off = Silent
score-sound-clicks = Clicks
score-sound-aloud = Count aloud
score-tempo-own_pace = own pace
score-tempo-in_rhythm = in rhythm
score-tempo-fast = fast
score-reads = The score reads.
score-write = Write the score
score-change = Play or change it
score-none = Nothing says yet what the feet do.
score-propose = Join the parts
score-keep = Keep
score-remove = Remove the score
score-as-far = As far as the score reads.
score-per-round = { $n ->
    [one] 1 touch a round
   *[other] { $n } touches a round
}
score-seconds = { NUMBER($seconds, maximumFractionDigits: 2) } s a round
score-rounds = { $n ->
    [one] 1 round in 30 s
   *[other] { $n } rounds in 30 s
}
score-feet = right { $right }, left { $left }
score-body = body { $n }
score-hops = { $n ->
    [one] 1 hop
   *[other] { $n } hops
}
score-closing-closes = ends where it began
score-closing-closes_mirrored = ends in the mirror: the next round begins with the other foot
score-closing-travels = can be played again from where it ends
score-closing-opens = ends somewhere else: set the ball before the next round
score-kin = Shares { $shared } of { $of } touches with
score-kin-alike = Nearly the same touches as
score-help = Add as help
score-of-skill = This drill shows the score of the skill that leads it. Write another one if the feet do something else here.
score-own = Write one for this drill
desk-own-chain = Children make their own chain
desk-own-chain-none = no
desk-own-chain-of = of { $n } moves
chains-title = Chains to try
chains-another = Another one
chains-own = Their own chains are just as good.
picture = Picture
picture-ground = Ground
picture-feet = Feet

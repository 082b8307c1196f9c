-- Who was there is asked team by team, player by player.

CREATE INDEX presence_by_player ON presence (player, day, said_at);

-- Who was there is asked team by team, player by player.
CREATE INDEX presence_by_player ON presence (player, day, said_at);

-- What directors set last is asked before anything is shown that was worked out earlier.
CREATE INDEX audit_by_deed ON audit (what);

-- In which team a child was before, up to a day: results keep the level of the band in which they were shown.
CREATE TABLE player_before (
    player BLOB NOT NULL REFERENCES player (id) ON DELETE CASCADE,
    team BLOB NOT NULL REFERENCES team (id),
    -- The first day in another team.
    until TEXT NOT NULL,
    -- The season change that moved them, if one did.
    change BLOB REFERENCES season_change (id),
    PRIMARY KEY (player, until, team)
) STRICT;

-- A change of season, and everything that it takes to take it back.
CREATE TABLE season_change (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    season BLOB NOT NULL CHECK (length(season) = 16),
    made_on TEXT NOT NULL,
    made_at TEXT NOT NULL,
    made_by BLOB NOT NULL REFERENCES person (id),
    moved INTEGER NOT NULL,
    leaving INTEGER NOT NULL,
    taken_back_at TEXT
) STRICT;

CREATE TABLE season_move (
    change BLOB NOT NULL REFERENCES season_change (id),
    player BLOB NOT NULL REFERENCES player (id) ON DELETE CASCADE,
    from_team BLOB NOT NULL REFERENCES team (id),
    from_place INTEGER NOT NULL,
    -- Nothing for whoever left.
    to_team BLOB REFERENCES team (id),
    PRIMARY KEY (change, player)
) STRICT;

CREATE INDEX season_move_by_player ON season_move (player);

-- A team that was added, the team that its first children came from, and whether it took over coaches and times.
CREATE TABLE season_team (
    change BLOB NOT NULL REFERENCES season_change (id),
    team BLOB NOT NULL REFERENCES team (id) ON DELETE CASCADE,
    like BLOB NOT NULL REFERENCES team (id),
    takes_over INTEGER NOT NULL CHECK (takes_over IN (0, 1)),
    PRIMARY KEY (change, team)
) STRICT;

-- Pairs that were parted.
CREATE TABLE season_pair (
    change BLOB NOT NULL REFERENCES season_change (id),
    one BLOB NOT NULL REFERENCES player (id) ON DELETE CASCADE,
    other BLOB NOT NULL REFERENCES player (id) ON DELETE CASCADE,
    together INTEGER NOT NULL CHECK (together IN (0, 1)),
    PRIMARY KEY (change, one, other)
) STRICT;

-- The page for practice at home has an address that can be handed on; it shows nothing of any player, so the address may be read.
CREATE TABLE home_page (
    team BLOB PRIMARY KEY REFERENCES team (id),
    token TEXT NOT NULL UNIQUE,
    made_at TEXT NOT NULL
) STRICT;

-- What players say that they did at home. Never evidence for a level.
CREATE TABLE self_reported (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    player BLOB NOT NULL REFERENCES player (id),
    drill TEXT NOT NULL,
    day TEXT NOT NULL,
    best INTEGER NOT NULL CHECK (best BETWEEN 0 AND 1000),
    said_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL,
    received_at TEXT NOT NULL
) STRICT;

CREATE INDEX self_reported_by_player ON self_reported (player, day);

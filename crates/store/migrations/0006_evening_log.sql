-- What a coach says of an evening besides: how well a block went and which rung was run, who was there, a line of note.
-- As everywhere, the latest saying counts and the earlier ones stay.

ALTER TABLE outcome ADD COLUMN success INTEGER CHECK (success BETWEEN 0 AND 100);
ALTER TABLE outcome ADD COLUMN ran TEXT CHECK (ran IN ('one_down', 'one_up'));

CREATE TABLE presence (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    player BLOB NOT NULL REFERENCES player (id),
    day TEXT NOT NULL,
    present INTEGER NOT NULL CHECK (present IN (0, 1)),
    said_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL,
    received_at TEXT NOT NULL
) STRICT;

CREATE INDEX presence_by_day ON presence (day, player, said_at);

CREATE TABLE note (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    team BLOB NOT NULL REFERENCES team (id),
    day TEXT NOT NULL,
    says TEXT NOT NULL CHECK (length(says) <= 200),
    said_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL,
    received_at TEXT NOT NULL
) STRICT;

CREATE INDEX note_by_day ON note (team, day, said_at);

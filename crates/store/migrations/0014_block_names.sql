-- A block has a name of its own, so that what was said of it stays with the drill that was run. Outcomes from before named
-- blocks by their places; `upgrade::name_blocks` gives every kept block its name and brings them over.
ALTER TABLE outcome RENAME TO outcome_by_place;
DROP INDEX outcome_by_block;

CREATE TABLE outcome (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    team BLOB NOT NULL REFERENCES team (id),
    edition BLOB NOT NULL REFERENCES edition (id),
    -- The session in which it was run, from 0.
    session INTEGER NOT NULL CHECK (session >= 0),
    block BLOB NOT NULL CHECK (length(block) = 16),
    outcome TEXT NOT NULL CHECK (outcome IN ('done', 'short', 'skipped')),
    minutes INTEGER CHECK (minutes BETWEEN 0 AND 240),
    success INTEGER CHECK (success BETWEEN 0 AND 100),
    ran TEXT CHECK (ran IN ('one_down', 'one_up')),
    said_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL,
    received_at TEXT NOT NULL
) STRICT;

CREATE INDEX outcome_by_session ON outcome (team, edition, session, said_at);

-- How far each device has counted what was entered on it, and when the last of it counts as said: clocks order what
-- several devices said, each device's own count orders what it said itself.
CREATE TABLE device (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    count INTEGER NOT NULL,
    said_at TEXT NOT NULL
) STRICT;

-- What an upgrade has done that SQL alone cannot do.
CREATE TABLE upgraded (what TEXT PRIMARY KEY, at TEXT NOT NULL) STRICT;

-- A team works by an edition from a day on, and may go on another way than it; every state of its plan is kept.

-- Nothing for the first edition of a curriculum: it holds from the beginning.
ALTER TABLE team_edition ADD COLUMN from_day TEXT;

CREATE TABLE team_plan (
    team BLOB NOT NULL,
    edition BLOB NOT NULL,
    version INTEGER NOT NULL CHECK (version > 0),
    doc TEXT NOT NULL CHECK (json_valid(doc)),
    what TEXT NOT NULL,
    changed_by BLOB NOT NULL REFERENCES person (id),
    changed_at TEXT NOT NULL,
    PRIMARY KEY (team, edition, version),
    FOREIGN KEY (team, edition) REFERENCES team_edition (team, edition)
) STRICT;

-- What holds for the whole academy, drills and bands that are edited, with the history of drills, and people's paces.

ALTER TABLE academy ADD COLUMN doc TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(doc));
ALTER TABLE academy ADD COLUMN version INTEGER NOT NULL DEFAULT 1 CHECK (version > 0);

ALTER TABLE band ADD COLUMN place INTEGER NOT NULL DEFAULT 0;
ALTER TABLE band ADD COLUMN version INTEGER NOT NULL DEFAULT 1 CHECK (version > 0);

ALTER TABLE drill ADD COLUMN version INTEGER NOT NULL DEFAULT 1 CHECK (version > 0);
ALTER TABLE drill ADD COLUMN archived_at TEXT;

-- Every state of a drill that was ever kept. Nobody stands behind what came with the program.
CREATE TABLE drill_history (
    drill TEXT NOT NULL REFERENCES drill (id),
    version INTEGER NOT NULL CHECK (version > 0),
    doc TEXT NOT NULL CHECK (json_valid(doc)),
    saved_by BLOB REFERENCES person (id),
    saved_at TEXT NOT NULL,
    PRIMARY KEY (drill, version)
) STRICT;

INSERT INTO drill_history (drill, version, doc, saved_at)
SELECT id, version, doc, '1970-01-01T00:00:00.000000Z' FROM drill;

-- Metres of ten measured paces, by ten; nothing until somebody has measured theirs.
ALTER TABLE person ADD COLUMN pace_m REAL CHECK (pace_m BETWEEN 0.3 AND 1.5);

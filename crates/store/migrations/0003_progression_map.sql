-- Skills are edited on the map; every state of each is kept, so that the map can be seen as it was on any day.

ALTER TABLE skill ADD COLUMN version INTEGER NOT NULL DEFAULT 1 CHECK (version > 0);

-- A skill that was taken out has a last state without a document.
CREATE TABLE skill_history (
    change INTEGER PRIMARY KEY,
    skill TEXT NOT NULL,
    doc TEXT CHECK (doc IS NULL OR json_valid(doc)),
    saved_by BLOB REFERENCES person (id),
    saved_at TEXT NOT NULL
) STRICT;

CREATE INDEX skill_history_by_skill ON skill_history (skill, change);

INSERT INTO skill_history (skill, doc, saved_at)
SELECT id, doc, '1970-01-01T00:00:00.000000Z' FROM skill ORDER BY place;

-- What a director may take back, and what a new curriculum may begin from.

-- The state of a curriculum before each change, with what the change was; taking a change back removes its row.
CREATE TABLE curriculum_history (
    change INTEGER PRIMARY KEY,
    curriculum BLOB NOT NULL REFERENCES curriculum (id),
    doc TEXT NOT NULL CHECK (json_valid(doc)),
    plan TEXT NOT NULL CHECK (json_valid(plan)),
    what TEXT NOT NULL,
    changed_by BLOB NOT NULL REFERENCES person (id),
    changed_at TEXT NOT NULL
) STRICT;

CREATE INDEX curriculum_history_by_curriculum ON curriculum_history (curriculum, change);

-- A template is a curriculum whose dates do not matter.
CREATE TABLE template (
    id TEXT PRIMARY KEY,
    place INTEGER NOT NULL,
    doc TEXT NOT NULL CHECK (json_valid(doc))
) STRICT;

-- What was seen of each point, where a test looks at points; `value` is their sum.
ALTER TABLE trial ADD COLUMN marks TEXT CHECK (marks IS NULL OR json_valid(marks));
-- How the value came: typed in or taken by a coach, timed by gates, read back from paper or a file.
ALTER TABLE trial ADD COLUMN origin TEXT NOT NULL DEFAULT 'entered' CHECK (origin IN ('entered', 'gates', 'read_in'));

CREATE TABLE milestone (
    id TEXT PRIMARY KEY,
    place INTEGER NOT NULL,
    doc TEXT NOT NULL CHECK (json_valid(doc)),
    version INTEGER NOT NULL DEFAULT 1 CHECK (version > 0)
) STRICT;

-- What a coach says against the evidence; what was said last counts, and every word stays.
CREATE TABLE milestone_word (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    player BLOB NOT NULL REFERENCES player (id),
    milestone TEXT NOT NULL REFERENCES milestone (id),
    day TEXT NOT NULL,
    verdict TEXT NOT NULL CHECK (verdict IN ('met', 'not_yet', 'as_evidence')),
    reason TEXT NOT NULL CHECK (length(reason) BETWEEN 1 AND 200),
    said_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL,
    received_at TEXT NOT NULL
) STRICT;

CREATE INDEX milestone_word_by_player ON milestone_word (player, milestone, said_at);

-- Who set a standard, and when, is kept here.
ALTER TABLE standard ADD COLUMN set_by BLOB REFERENCES person (id);
ALTER TABLE standard ADD COLUMN set_at TEXT;

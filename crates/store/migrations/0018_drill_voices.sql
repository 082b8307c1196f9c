-- What coaches tell the director of a drill they have run. Of each coach what was said last counts; everything stays.
CREATE TABLE drill_voice (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    drill TEXT NOT NULL REFERENCES drill (id),
    team BLOB NOT NULL REFERENCES team (id),
    voice TEXT NOT NULL CHECK (voice IN ('works', 'does_not_fit', 'too_hard', 'too_easy', 'not_liked')),
    says TEXT NOT NULL CHECK (length(says) <= 200),
    said_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL,
    received_at TEXT NOT NULL
) STRICT;

CREATE INDEX drill_voice_by_drill ON drill_voice (drill, said_at);
CREATE INDEX drill_voice_by_team ON drill_voice (team, said_at);

-- What the director answers to all who have spoken of a drill by then.
CREATE TABLE drill_answer (
    id INTEGER PRIMARY KEY,
    drill TEXT NOT NULL REFERENCES drill (id),
    says TEXT NOT NULL CHECK (length(says) BETWEEN 1 AND 400),
    answered_by BLOB NOT NULL REFERENCES person (id),
    answered_at TEXT NOT NULL
) STRICT;

CREATE INDEX drill_answer_by_drill ON drill_answer (drill, answered_at);

-- Where somebody gets the academy's post; nothing for those who want none.
ALTER TABLE person ADD COLUMN email TEXT CHECK (length(email) BETWEEN 3 AND 120);

-- Every letter, once for each person, kind and week.
CREATE TABLE letter (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    person BLOB NOT NULL REFERENCES person (id),
    kind TEXT NOT NULL CHECK (kind IN ('week', 'logs_missing')),
    week TEXT NOT NULL,
    address TEXT NOT NULL,
    subject TEXT NOT NULL,
    body TEXT NOT NULL,
    written_at TEXT NOT NULL,
    -- When it left; nothing while it waits or if it could not be sent.
    left_at TEXT,
    -- Why it could not be sent the last time.
    failed TEXT,
    UNIQUE (person, kind, week)
) STRICT;

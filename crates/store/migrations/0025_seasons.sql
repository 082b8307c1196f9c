-- Seasons with their terms, days off in three layers, and curricula that are planned as an outline only.

CREATE TABLE season (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    first_day TEXT NOT NULL,
    doc TEXT NOT NULL CHECK (json_valid(doc))
) STRICT;

-- Of one club, of one team, or of the whole academy. What was taken away stays as a row, so that its number goes on.
CREATE TABLE days_off (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    club BLOB REFERENCES club (id),
    team BLOB REFERENCES team (id),
    name TEXT NOT NULL,
    first_day TEXT NOT NULL,
    last_day TEXT NOT NULL CHECK (last_day >= first_day),
    version INTEGER NOT NULL CHECK (version > 0),
    dropped INTEGER NOT NULL DEFAULT 0 CHECK (dropped IN (0, 1)),
    CHECK (club IS NULL OR team IS NULL)
) STRICT;

CREATE TABLE outline (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    doc TEXT NOT NULL CHECK (json_valid(doc))
) STRICT;

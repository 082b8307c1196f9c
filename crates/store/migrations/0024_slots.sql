-- When and where a team meets, week by week; a place belongs to a club.

CREATE TABLE place (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    club BLOB NOT NULL REFERENCES club (id),
    name TEXT NOT NULL,
    doc TEXT NOT NULL CHECK (json_valid(doc)),
    UNIQUE (club, name)
) STRICT;

CREATE TABLE slot (
    team BLOB NOT NULL REFERENCES team (id),
    weekday INTEGER NOT NULL CHECK (weekday BETWEEN 1 AND 7),
    starts TEXT NOT NULL,
    minutes INTEGER NOT NULL CHECK (minutes > 0),
    -- A place that is taken away leaves the time.
    place BLOB REFERENCES place (id) ON DELETE SET NULL,
    PRIMARY KEY (team, weekday)
) STRICT;

CREATE INDEX slot_by_place ON slot (place);

-- A milestone that slipped is met again before it is kept: the counts of all teams are worked out anew.
UPDATE team_levels SET doc = NULL, version = version + 1;

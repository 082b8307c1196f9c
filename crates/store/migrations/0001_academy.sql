-- One database holds one academy. What the library and the director write (drills, skills, curricula) are documents in
-- their open formats; what happened (players, outcomes, trials) are rows, and rows that were said are never changed.

CREATE TABLE academy (
    id INTEGER PRIMARY KEY CHECK (id = 1),
    name TEXT NOT NULL,
    time_zone TEXT NOT NULL
) STRICT;

CREATE TABLE band (id TEXT PRIMARY KEY, doc TEXT NOT NULL CHECK (json_valid(doc))) STRICT;

CREATE TABLE skill (
    id TEXT PRIMARY KEY,
    place INTEGER NOT NULL,
    doc TEXT NOT NULL CHECK (json_valid(doc))
) STRICT;

CREATE TABLE drill (id TEXT PRIMARY KEY, doc TEXT NOT NULL CHECK (json_valid(doc))) STRICT;

CREATE TABLE test (
    id TEXT PRIMARY KEY,
    place INTEGER NOT NULL,
    doc TEXT NOT NULL CHECK (json_valid(doc))
) STRICT;

CREATE TABLE standard (
    test TEXT NOT NULL REFERENCES test (id),
    band TEXT NOT NULL REFERENCES band (id),
    from_date TEXT NOT NULL,
    building REAL NOT NULL,
    secure REAL NOT NULL,
    stretching REAL NOT NULL,
    PRIMARY KEY (test, band, from_date)
) STRICT;

CREATE TABLE club (id BLOB PRIMARY KEY CHECK (length(id) = 16), name TEXT NOT NULL UNIQUE) STRICT;

CREATE TABLE person (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    login TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    role TEXT NOT NULL CHECK (role IN ('director', 'coach')),
    password TEXT NOT NULL,
    sample INTEGER NOT NULL DEFAULT 0 CHECK (sample IN (0, 1)),
    created_at TEXT NOT NULL
) STRICT;

-- Only a hash of the token is kept: who reads the database cannot sign in with it.
CREATE TABLE sign_in (
    token_hash BLOB PRIMARY KEY CHECK (length(token_hash) = 32),
    person BLOB NOT NULL REFERENCES person (id) ON DELETE CASCADE,
    created_at TEXT NOT NULL,
    expires_at TEXT NOT NULL
) STRICT;

CREATE TABLE team (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    club BLOB NOT NULL REFERENCES club (id),
    band TEXT NOT NULL REFERENCES band (id),
    name TEXT NOT NULL,
    UNIQUE (club, name)
) STRICT;

CREATE TABLE team_coach (
    team BLOB NOT NULL REFERENCES team (id),
    person BLOB NOT NULL REFERENCES person (id),
    PRIMARY KEY (team, person)
) STRICT;

CREATE INDEX team_coach_by_person ON team_coach (person);

CREATE TABLE player (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    team BLOB NOT NULL REFERENCES team (id),
    name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 40),
    birth_month TEXT NOT NULL CHECK (birth_month GLOB '[0-9][0-9][0-9][0-9]-[01][0-9]'),
    strong_foot TEXT NOT NULL CHECK (strong_foot IN ('left', 'right')),
    place INTEGER NOT NULL,
    added_by BLOB NOT NULL REFERENCES person (id),
    added_at TEXT NOT NULL
) STRICT;

CREATE UNIQUE INDEX player_by_name ON player (team, lower(name));

CREATE TABLE curriculum (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    doc TEXT NOT NULL CHECK (json_valid(doc)),
    plan TEXT NOT NULL CHECK (json_valid(plan)),
    version INTEGER NOT NULL CHECK (version > 0),
    changed_by BLOB NOT NULL REFERENCES person (id),
    changed_at TEXT NOT NULL
) STRICT;

-- A published edition keeps its own copy of everything that it shows, so that nothing can change under it.
CREATE TABLE edition (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    curriculum BLOB NOT NULL REFERENCES curriculum (id),
    number INTEGER NOT NULL CHECK (number > 0),
    note TEXT NOT NULL,
    doc TEXT NOT NULL CHECK (json_valid(doc)),
    published_by BLOB NOT NULL REFERENCES person (id),
    published_at TEXT NOT NULL,
    UNIQUE (curriculum, number)
) STRICT;

CREATE TABLE team_edition (
    team BLOB NOT NULL REFERENCES team (id),
    edition BLOB NOT NULL REFERENCES edition (id),
    assigned_at TEXT NOT NULL,
    PRIMARY KEY (team, edition)
) STRICT;

-- What a coach said of a block. The latest saying counts, the earlier ones stay.
CREATE TABLE outcome (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    team BLOB NOT NULL REFERENCES team (id),
    edition BLOB NOT NULL REFERENCES edition (id),
    session INTEGER NOT NULL CHECK (session >= 0),
    block INTEGER NOT NULL CHECK (block >= 0),
    outcome TEXT NOT NULL CHECK (outcome IN ('done', 'short', 'skipped')),
    minutes INTEGER CHECK (minutes BETWEEN 0 AND 240),
    said_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL,
    received_at TEXT NOT NULL
) STRICT;

CREATE INDEX outcome_by_block ON outcome (team, edition, session, block, said_at);

CREATE TABLE trial (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    player BLOB NOT NULL REFERENCES player (id),
    test TEXT NOT NULL REFERENCES test (id),
    taken_on TEXT NOT NULL,
    side TEXT CHECK (side IN ('left', 'right')),
    value REAL NOT NULL,
    taken_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL,
    received_at TEXT NOT NULL
) STRICT;

CREATE INDEX trial_by_player ON trial (player, test, taken_on);

-- A trial that was taken back stays, and so does who took it back.
CREATE TABLE trial_taken_back (
    trial BLOB PRIMARY KEY REFERENCES trial (id),
    said_by BLOB NOT NULL REFERENCES person (id),
    said_at TEXT NOT NULL
) STRICT;

CREATE TABLE audit (
    id INTEGER PRIMARY KEY,
    at TEXT NOT NULL,
    person BLOB REFERENCES person (id),
    what TEXT NOT NULL,
    about TEXT NOT NULL
) STRICT;

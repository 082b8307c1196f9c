-- When it was last tried whether the database can be written.
CREATE TABLE beat (
    id INTEGER PRIMARY KEY CHECK (id = 1),
    at TEXT NOT NULL
) STRICT;

-- Who is kept apart, who stays together at the stations. The smaller id stands first, so that a pair stands once.
CREATE TABLE pair_wish (
    one BLOB NOT NULL REFERENCES player (id),
    other BLOB NOT NULL REFERENCES player (id),
    together INTEGER NOT NULL CHECK (together IN (0, 1)),
    PRIMARY KEY (one, other),
    CHECK (one < other)
) STRICT;

CREATE INDEX pair_wish_by_other ON pair_wish (other);

-- The library's texts in other languages, text by text; words that are called are kept apart.
CREATE TABLE phrase (
    language TEXT NOT NULL,
    called INTEGER NOT NULL CHECK (called IN (0, 1)),
    original TEXT NOT NULL,
    said TEXT NOT NULL,
    PRIMARY KEY (language, called, original)
) STRICT, WITHOUT ROWID;

-- Sign-ins that can be told apart and ended, people who are shut out, links for a new password, and second factors.

ALTER TABLE sign_in ADD COLUMN id BLOB CHECK (length(id) = 16);
ALTER TABLE sign_in ADD COLUMN seen_at TEXT;
ALTER TABLE sign_in ADD COLUMN device TEXT NOT NULL DEFAULT 'other' CHECK (device IN ('phone', 'computer', 'other'));
UPDATE sign_in SET id = randomblob(16), seen_at = created_at;
CREATE INDEX sign_in_by_person ON sign_in (person, seen_at);

-- Whoever is shut out stays as the author of what they wrote.
ALTER TABLE person ADD COLUMN shut_out_at TEXT;

CREATE TABLE password_link (
    token_hash BLOB PRIMARY KEY CHECK (length(token_hash) = 32),
    person BLOB NOT NULL UNIQUE REFERENCES person (id),
    made_by BLOB NOT NULL REFERENCES person (id),
    expires_at TEXT NOT NULL
) STRICT;

-- The secret from which a person's device makes codes; it asks for them once somebody has shown that it does.
CREATE TABLE second_factor (
    person BLOB PRIMARY KEY REFERENCES person (id),
    secret BLOB NOT NULL,
    since TEXT,
    -- The time step of the last code, so that none is taken twice.
    last_step INTEGER NOT NULL DEFAULT 0
) STRICT;

CREATE TABLE recovery_code (
    person BLOB NOT NULL REFERENCES person (id),
    code_hash BLOB NOT NULL CHECK (length(code_hash) = 32),
    PRIMARY KEY (person, code_hash)
) STRICT;

DROP VIEW acting;
-- Everybody who may sign in, with the role in which they act: whoever leads a club acts as its lead.
CREATE VIEW acting AS
    SELECT id, login, name,
        CASE WHEN role = 'coach' AND EXISTS (SELECT 1 FROM club_lead WHERE person = person.id) THEN 'club_lead' ELSE role END
            AS acting_role
    FROM person WHERE shut_out_at IS NULL;

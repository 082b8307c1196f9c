-- Who leads a club reads everything of it. Whoever is invited signs in for the first time through a link that works once.
-- A calendar is read through an address that holds a secret; only hashes of secrets are kept.

CREATE TABLE club_lead (
    club BLOB NOT NULL REFERENCES club (id),
    person BLOB NOT NULL REFERENCES person (id),
    PRIMARY KEY (club, person)
) STRICT;

CREATE INDEX club_lead_by_person ON club_lead (person);

CREATE TABLE invitation (
    id BLOB PRIMARY KEY CHECK (length(id) = 16),
    token_hash BLOB NOT NULL UNIQUE CHECK (length(token_hash) = 32),
    name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
    role TEXT NOT NULL CHECK (role IN ('director', 'club_lead', 'coach')),
    -- Which one a club lead reads.
    club BLOB REFERENCES club (id),
    invited_by BLOB NOT NULL REFERENCES person (id),
    invited_at TEXT NOT NULL,
    expires_at TEXT NOT NULL,
    used_by BLOB REFERENCES person (id),
    CHECK ((role = 'club_lead') = (club IS NOT NULL))
) STRICT;

-- The teams that a coach will have.
CREATE TABLE invitation_team (
    invitation BLOB NOT NULL REFERENCES invitation (id) ON DELETE CASCADE,
    team BLOB NOT NULL REFERENCES team (id),
    PRIMARY KEY (invitation, team)
) STRICT;

CREATE TABLE feed (
    person BLOB PRIMARY KEY REFERENCES person (id),
    token_hash BLOB NOT NULL UNIQUE CHECK (length(token_hash) = 32),
    made_at TEXT NOT NULL
) STRICT;

-- Everybody with the role in which they act: whoever leads a club acts as its lead.
CREATE VIEW acting AS
    SELECT id, login, name,
        CASE WHEN role = 'coach' AND EXISTS (SELECT 1 FROM club_lead WHERE person = person.id) THEN 'club_lead' ELSE role END
            AS acting_role
    FROM person;

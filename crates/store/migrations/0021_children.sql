-- Children who leave, lines of note that are deleted, and erasures that are not finished while the log of writes still
-- holds what they erased.

ALTER TABLE player ADD COLUMN left_on TEXT;

-- A name is free again in a squad once the child who had it has left.
DROP INDEX player_by_name;
CREATE UNIQUE INDEX player_by_name ON player (team, lower(name)) WHERE left_on IS NULL;
CREATE INDEX player_by_team ON player (team);

-- The ids of deleted notes: a phone that sends one again does not bring it back.
CREATE TABLE note_deleted (id BLOB PRIMARY KEY CHECK (length(id) = 16)) STRICT;

CREATE TABLE erasure (
    id INTEGER PRIMARY KEY,
    at TEXT NOT NULL,
    -- When nothing of it was left in the files.
    finished_at TEXT
) STRICT;

-- What is noted has a name of its own, so that it can be read in any language.
UPDATE audit SET what = CASE what
    WHEN 'invited' THEN 'invited'
    WHEN 'took up an invitation' THEN 'joined'
    WHEN 'began the academy' THEN 'academy_begun'
    WHEN 'named the academy' THEN 'academy_named'
    WHEN 'changed the academy' THEN 'settings_changed'
    WHEN 'changed a band' THEN 'band_changed'
    WHEN 'changed who coaches' THEN 'coaches_changed'
    WHEN 'took from the starter library' THEN 'starter_taken'
    WHEN 'milestone set' THEN 'milestone_set'
    WHEN 'milestone dropped' THEN 'milestone_dropped'
    WHEN 'milestone overridden' THEN 'word_against'
    WHEN 'test set' THEN 'test_set'
    WHEN 'test dropped' THEN 'test_dropped'
    WHEN 'standard set' THEN 'standard_set'
    WHEN 'player erased' THEN 'player_erased'
    WHEN 'published' THEN 'published'
    WHEN 'put a drill away' THEN 'drill_archived'
    WHEN 'brought a drill back' THEN 'drill_back'
    ELSE 'other' END;
CREATE INDEX audit_by_time ON audit (at);

-- A note of a session may say whom it is about, in place of a name in its text: the name that is shown is the one that
-- the child has now, and nothing of it is left once the child is erased.

CREATE TABLE note_about (
    note BLOB NOT NULL REFERENCES note (id) ON DELETE CASCADE,
    player BLOB NOT NULL REFERENCES player (id),
    PRIMARY KEY (note, player)
) STRICT;
CREATE INDEX note_about_player ON note_about (player);

-- How many players of a team stand on each level, as it follows from trials, squad and standards: kept so that the view of
-- all clubs need not read every trial. Whatever could change it takes the document away and counts the version up; who
-- works it out anew keeps it only under the version that it was read with. `jogo rebuild` proves that it is what follows.
CREATE TABLE team_levels (
    team BLOB PRIMARY KEY REFERENCES team (id),
    version INTEGER NOT NULL,
    doc TEXT CHECK (doc IS NULL OR json_valid(doc))
) STRICT;

-- What is kept of a team now counts milestones too: worked out anew where it is asked for.
UPDATE team_levels SET doc = NULL, version = version + 1;

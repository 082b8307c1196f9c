-- A gate names its milestone by id, so that rewording a sentence changes no gate. So far it held the sentence, and the
-- first milestone with that sentence answered it. A sentence that no milestone had is noted, and its gate stays shut
-- until somebody names a milestone or takes it away: the map says so.
CREATE TEMP TABLE gate_sentence AS
SELECT sentence, COALESCE(
    (SELECT id FROM milestone WHERE json_extract(milestone.doc, '$.says') = sentence ORDER BY place, id LIMIT 1),
    'no-such-milestone'
) AS milestone
FROM (
    SELECT json_extract(doc, '$.gate.milestone') AS sentence FROM skill
    UNION SELECT json_extract(doc, '$.gate.milestone') FROM skill_history WHERE doc IS NOT NULL
    UNION SELECT json_extract(skill.value, '$.gate.milestone') FROM edition, json_each(edition.doc, '$.skills') AS skill
) WHERE sentence IS NOT NULL;

INSERT INTO audit (at, person, what, about)
SELECT strftime('%Y-%m-%dT%H:%M:%fZ', 'now'), NULL, 'gate without a milestone',
    skill.id || ': ' || json_extract(skill.doc, '$.gate.milestone')
FROM skill JOIN gate_sentence ON sentence = json_extract(skill.doc, '$.gate.milestone')
WHERE milestone = 'no-such-milestone';

UPDATE skill SET doc = json_set(doc, '$.gate.milestone', (
    SELECT milestone FROM gate_sentence WHERE sentence = json_extract(doc, '$.gate.milestone')
)) WHERE json_extract(doc, '$.gate.kind') = 'milestone';

UPDATE skill_history SET doc = json_set(doc, '$.gate.milestone', (
    SELECT milestone FROM gate_sentence WHERE sentence = json_extract(doc, '$.gate.milestone')
)) WHERE doc IS NOT NULL AND json_extract(doc, '$.gate.kind') = 'milestone';

UPDATE edition SET doc = json_set(doc, '$.skills', (
    SELECT json_group_array(json(CASE
        WHEN json_extract(value, '$.gate.kind') = 'milestone' THEN json_set(value, '$.gate.milestone', (
            SELECT milestone FROM gate_sentence WHERE sentence = json_extract(value, '$.gate.milestone')
        ))
        ELSE value
    END)) FROM (SELECT value FROM json_each(edition.doc, '$.skills') ORDER BY key)
));

DROP TABLE gate_sentence;

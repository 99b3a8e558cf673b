-- What is called otherwise since: sessions and who takes part, materials, overrides and placements. What
-- the records hold as JSON is renamed by the function that also reads earlier household files.
-- References go on to the renamed tables by themselves.
ALTER TABLE things RENAME TO materials;
ALTER TABLE sittings RENAME TO sessions;
ALTER TABLE sessions RENAME COLUMN takers TO participants;
ALTER TABLE sitting_children RENAME TO session_children;
ALTER TABLE session_children RENAME COLUMN sitting_id TO session_id;
DROP INDEX sittings_by_day;
CREATE INDEX sessions_by_day ON sessions (day);

CREATE TABLE renamed_facts (
  seq        INTEGER PRIMARY KEY,
  id         TEXT NOT NULL UNIQUE,
  kind       TEXT NOT NULL CHECK (kind IN ('observation', 'voiding', 'override', 'placement')),
  child_id   TEXT NOT NULL REFERENCES children (id),
  session_id TEXT REFERENCES sessions (id),
  skill_id   TEXT,
  voids      TEXT REFERENCES renamed_facts (id),
  day        TEXT NOT NULL,
  body       TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
INSERT INTO renamed_facts
SELECT
  seq, id,
  CASE kind WHEN 'word' THEN 'override' WHEN 'pegs' THEN 'placement' ELSE kind END,
  child_id, sitting_id, skill_id, voids, day,
  renamed(CASE kind WHEN 'observation' THEN 'observations' WHEN 'pegs' THEN 'placements' ELSE kind END, body)
FROM facts
ORDER BY seq;
DROP TABLE facts;
ALTER TABLE renamed_facts RENAME TO facts;
CREATE INDEX facts_by_child ON facts (child_id, seq);
CREATE INDEX facts_by_skill ON facts (child_id, skill_id, seq) WHERE kind = 'observation';
CREATE INDEX facts_by_session ON facts (session_id) WHERE session_id IS NOT NULL;
CREATE INDEX facts_voided ON facts (voids) WHERE voids IS NOT NULL;
CREATE INDEX facts_by_day ON facts (day) WHERE kind = 'observation';

UPDATE household SET body = renamed('household', body);
UPDATE children SET body = renamed('children', body);
UPDATE materials SET body = renamed('materials', body);
UPDATE activities SET body = renamed('activities', body);
UPDATE kits SET body = renamed('kits', body);
UPDATE plan_entries SET body = renamed('plan', body);
UPDATE day_sheets SET body = renamed('days', body);
UPDATE weeks SET body = renamed('weeks', body);
UPDATE print_items SET body = renamed('prints', body);
UPDATE sessions SET participants = renamed('participants', participants);
DELETE FROM snapshots;

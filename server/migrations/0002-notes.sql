-- Words about a child, apart from any try; added and taken away whole.
CREATE TABLE notes (
  id       TEXT PRIMARY KEY,
  child_id TEXT NOT NULL REFERENCES children (id),
  day      TEXT NOT NULL,
  at       TEXT NOT NULL,
  body     TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
CREATE INDEX notes_by_child ON notes (child_id, at);
CREATE INDEX notes_by_day ON notes (day);
CREATE INDEX facts_by_day ON facts (day) WHERE kind = 'observation';

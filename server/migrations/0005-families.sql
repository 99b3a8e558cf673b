-- Pages for families as they were kept.
CREATE TABLE family_letters (
  id       TEXT PRIMARY KEY,
  child_id TEXT NOT NULL REFERENCES children (id),
  body     TEXT NOT NULL CHECK (json_valid(body)),
  version  INTEGER NOT NULL
) STRICT;
CREATE INDEX family_letters_by_child ON family_letters (child_id);

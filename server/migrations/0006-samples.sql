-- Pictures of work, kept whole in the records: so they are in every copy, and gone with their child.
CREATE TABLE work_samples (
  id       TEXT PRIMARY KEY,
  child_id TEXT NOT NULL REFERENCES children (id),
  day      TEXT NOT NULL,
  body     TEXT NOT NULL CHECK (json_valid(body)),
  version  INTEGER NOT NULL
) STRICT;
CREATE INDEX work_samples_by_child ON work_samples (child_id, day);

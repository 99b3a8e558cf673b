-- Graphs that the household made, to be looked at and printed again.
CREATE TABLE graphs (
  id      TEXT PRIMARY KEY,
  body    TEXT NOT NULL CHECK (json_valid(body)),
  version INTEGER NOT NULL
) STRICT;

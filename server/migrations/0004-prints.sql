-- Sheets that are kept over the week to be printed together.
CREATE TABLE print_items (
  id      TEXT PRIMARY KEY,
  body    TEXT NOT NULL CHECK (json_valid(body)),
  version INTEGER NOT NULL
) STRICT;

-- A week as its planner wants it: closed days, activities left out, places left empty, and what the
-- plan was found to be worth. The cards themselves are plan entries.
CREATE TABLE weeks (
  from_day TEXT PRIMARY KEY,
  body     TEXT NOT NULL CHECK (json_valid(body)),
  version  INTEGER NOT NULL
) STRICT;

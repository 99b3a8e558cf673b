-- Which Gumo wrote here last: copies and restored records say so too.
CREATE TABLE about (
  name  TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;

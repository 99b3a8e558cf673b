-- What was done with the records as a whole: taken along, brought in, taken back, forgotten. It says no
-- names, and is no part of the household: it stays with this file.
CREATE TABLE audit (
  id     INTEGER PRIMARY KEY,
  at     TEXT NOT NULL,
  what   TEXT NOT NULL CHECK (what IN ('exported', 'imported', 'restored', 'forgotten', 'copy-removed')),
  detail TEXT NOT NULL
) STRICT;

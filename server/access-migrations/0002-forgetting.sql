-- A child that is to be forgotten: said before anything is removed, and taken out when all of it is done, so
-- that a stop half-way is finished at the next start.
CREATE TABLE forgetting (
  child_id TEXT PRIMARY KEY,
  -- Whether copies of the records are written anew without the child.
  copies   INTEGER NOT NULL CHECK (copies IN (0, 1)),
  at       TEXT NOT NULL
) STRICT;

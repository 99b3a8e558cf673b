-- Who may ask over the network. This file stays with the machine: it is in no copy of the records and in no
-- export, so that taking an old copy back lets nobody in again.
CREATE TABLE choices (
  what  TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;

CREATE TABLE devices (
  id           TEXT PRIMARY KEY,
  name         TEXT NOT NULL,
  role         TEXT NOT NULL CHECK (role IN ('keeper', 'helper')),
  -- SHA-256 of the token in the device's cookie: who reads this file cannot ask with it.
  token_hash   BLOB NOT NULL UNIQUE,
  added_at     TEXT NOT NULL,
  seen_at      TEXT NOT NULL,
  touched_at   TEXT NOT NULL,
  lock_minutes INTEGER,
  pin_hash     TEXT,
  pin_misses   INTEGER NOT NULL DEFAULT 0,
  shut         INTEGER NOT NULL DEFAULT 0 CHECK (shut IN (0, 1))
) STRICT;

-- Who came in, and what was done with the records as a whole.
CREATE TABLE audit (
  id     INTEGER PRIMARY KEY,
  at     TEXT NOT NULL,
  what   TEXT NOT NULL,
  detail TEXT NOT NULL,
  who    TEXT NOT NULL
) STRICT;

-- Who keeps the records is their owner.
CREATE TABLE renamed_devices (
  id           TEXT PRIMARY KEY,
  name         TEXT NOT NULL,
  role         TEXT NOT NULL CHECK (role IN ('owner', 'helper')),
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
INSERT INTO renamed_devices
SELECT
  id, name, CASE role WHEN 'keeper' THEN 'owner' ELSE role END, token_hash, added_at, seen_at, touched_at,
  lock_minutes, pin_hash, pin_misses, shut
FROM devices
ORDER BY rowid;
DROP TABLE devices;
ALTER TABLE renamed_devices RENAME TO devices;

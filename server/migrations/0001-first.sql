-- Rows that people edit carry a version; facts are only ever added.

CREATE TABLE household (
  id      TEXT PRIMARY KEY,
  body    TEXT NOT NULL CHECK (json_valid(body)),
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE children (
  id       TEXT PRIMARY KEY,
  name     TEXT NOT NULL,
  archived INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1)),
  body     TEXT NOT NULL CHECK (json_valid(body)),
  version  INTEGER NOT NULL
) STRICT;

CREATE TABLE things (
  id      TEXT PRIMARY KEY,
  name    TEXT NOT NULL,
  body    TEXT NOT NULL CHECK (json_valid(body)),
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE activities (
  id       TEXT PRIMARY KEY,
  title    TEXT NOT NULL,
  archived INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1)),
  body     TEXT NOT NULL CHECK (json_valid(body)),
  version  INTEGER NOT NULL
) STRICT;

CREATE TABLE songs (
  id      TEXT PRIMARY KEY,
  title   TEXT NOT NULL,
  body    TEXT NOT NULL CHECK (json_valid(body)),
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE kits (
  id      TEXT PRIMARY KEY,
  title   TEXT NOT NULL,
  body    TEXT NOT NULL CHECK (json_valid(body)),
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE plan_entries (
  id      TEXT PRIMARY KEY,
  day     TEXT NOT NULL,
  state   TEXT NOT NULL CHECK (state IN ('planned', 'begun', 'done', 'left')),
  body    TEXT NOT NULL CHECK (json_valid(body)),
  version INTEGER NOT NULL
) STRICT;
CREATE INDEX plan_entries_by_day ON plan_entries (day);

CREATE TABLE day_sheets (
  day  TEXT PRIMARY KEY,
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

CREATE TABLE sittings (
  id            TEXT PRIMARY KEY,
  activity_id   TEXT NOT NULL,
  -- No reference: a plan entry may be taken out of the plan, the sitting remains.
  plan_entry_id TEXT,
  day           TEXT NOT NULL,
  started_at    TEXT NOT NULL,
  ended_at      TEXT,
  mood          TEXT CHECK (mood IN ('calm', 'tired', 'tense', 'great')),
  takers        TEXT NOT NULL CHECK (json_valid(takers))
) STRICT;
CREATE INDEX sittings_by_day ON sittings (day);

CREATE TABLE sitting_children (
  sitting_id TEXT NOT NULL REFERENCES sittings (id),
  child_id   TEXT NOT NULL REFERENCES children (id),
  PRIMARY KEY (child_id, sitting_id)
) STRICT, WITHOUT ROWID;

-- What was seen, what was taken back, the educator's own word, and where a first look begins, in
-- the order in which it arrived.
CREATE TABLE facts (
  seq        INTEGER PRIMARY KEY,
  id         TEXT NOT NULL UNIQUE,
  kind       TEXT NOT NULL CHECK (kind IN ('observation', 'voiding', 'word', 'pegs')),
  child_id   TEXT NOT NULL REFERENCES children (id),
  sitting_id TEXT REFERENCES sittings (id),
  skill_id   TEXT,
  voids      TEXT REFERENCES facts (id),
  day        TEXT NOT NULL,
  body       TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
CREATE INDEX facts_by_child ON facts (child_id, seq);
CREATE INDEX facts_by_skill ON facts (child_id, skill_id, seq) WHERE kind = 'observation';
CREATE INDEX facts_by_sitting ON facts (sitting_id) WHERE sitting_id IS NOT NULL;
CREATE INDEX facts_voided ON facts (voids) WHERE voids IS NOT NULL;

-- Conclusions about a child up to a fact; always rebuildable from the facts.
CREATE TABLE snapshots (
  child_id TEXT PRIMARY KEY REFERENCES children (id),
  rules    INTEGER NOT NULL,
  upto     INTEGER NOT NULL,
  body     TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

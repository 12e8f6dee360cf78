-- What is counted up by every change, beside the jobs, which carry their own: lists that several people change.
CREATE TABLE sheet (
  name        TEXT PRIMARY KEY,
  version     INTEGER NOT NULL,
  changed_by  TEXT NOT NULL,
  changed_at  TEXT NOT NULL
) STRICT, WITHOUT ROWID;

-- Calls that named themselves, so that one made twice is done once; kept a day. The answer comes after what was done is stored.
CREATE TABLE press (
  id      INTEGER PRIMARY KEY,
  key     TEXT NOT NULL UNIQUE,
  digest  TEXT NOT NULL,
  at      TEXT NOT NULL,
  status  INTEGER,
  head    TEXT,
  body    BLOB
) STRICT;

CREATE INDEX press_at ON press (at);

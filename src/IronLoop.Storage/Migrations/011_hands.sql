-- Who works here, who is signed in where, and which version a job is at.

CREATE TABLE fitter (
  id        INTEGER PRIMARY KEY,
  initials  TEXT NOT NULL UNIQUE CHECK (length(initials) BETWEEN 1 AND 4),
  role      TEXT NOT NULL,
  hash      TEXT NOT NULL,
  since     TEXT NOT NULL,
  gone_at   TEXT
) STRICT;

-- A session is known by the digest of its key: what stands here opens nothing.
CREATE TABLE session (
  digest     TEXT PRIMARY KEY,
  fitter_id  INTEGER NOT NULL REFERENCES fitter(id),
  since      TEXT NOT NULL,
  seen_at    TEXT NOT NULL,
  device     TEXT NOT NULL DEFAULT ''
) STRICT, WITHOUT ROWID;

CREATE INDEX session_fitter ON session (fitter_id);

-- What happened at the door: signed in, refused, ended, made, changed.
CREATE TABLE door_entry (
  id        INTEGER PRIMARY KEY,
  at        TEXT NOT NULL,
  initials  TEXT NOT NULL,
  what      TEXT NOT NULL,
  device    TEXT NOT NULL DEFAULT ''
) STRICT;

-- Counted up by every change, so that a change made on an older sight of the job is known as such.
ALTER TABLE job ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE job ADD COLUMN changed_by TEXT NOT NULL DEFAULT '';
ALTER TABLE job ADD COLUMN changed_at TEXT;

-- Every change by whoever was signed in, to a job or to anything else.
CREATE TABLE change_entry (
  id       INTEGER PRIMARY KEY,
  at       TEXT NOT NULL,
  by       TEXT NOT NULL,
  job_id   INTEGER REFERENCES job(id),
  version  INTEGER,
  what     TEXT NOT NULL
) STRICT;

CREATE INDEX change_entry_job ON change_entry (job_id, id) WHERE job_id IS NOT NULL;

-- What is seen, brought along and agreed when a job is taken in.

ALTER TABLE job ADD COLUMN price_cents INTEGER CHECK (price_cents >= 0);
ALTER TABLE job ADD COLUMN referred_at TEXT;
ALTER TABLE job ADD COLUMN refer_note TEXT NOT NULL DEFAULT '';

CREATE TABLE outside_craft (
  job_id  INTEGER NOT NULL REFERENCES job(id),
  reason  TEXT NOT NULL,
  PRIMARY KEY (job_id, reason)
) STRICT, WITHOUT ROWID;

CREATE TABLE condition_mark (
  id      INTEGER PRIMARY KEY,
  job_id  INTEGER NOT NULL REFERENCES job(id),
  place   TEXT NOT NULL,
  kind    TEXT NOT NULL,
  note    TEXT NOT NULL DEFAULT ''
) STRICT;

CREATE INDEX condition_mark_job ON condition_mark (job_id);

-- The job's parts ledger begins with what came with the watch.
CREATE TABLE came_with (
  job_id  INTEGER NOT NULL REFERENCES job(id),
  what    TEXT NOT NULL,
  count   INTEGER NOT NULL CHECK (count > 0),
  PRIMARY KEY (job_id, what)
) STRICT, WITHOUT ROWID;

-- The pictures themselves lie in the folder photos beside this file, named for this table's id.
CREATE TABLE photo (
  id        INTEGER PRIMARY KEY,
  job_id    INTEGER NOT NULL REFERENCES job(id),
  type      TEXT NOT NULL,
  bytes     INTEGER NOT NULL,
  taken_at  TEXT NOT NULL
) STRICT;

CREATE INDEX photo_job ON photo (job_id);
CREATE INDEX client_name ON client (name COLLATE NOCASE);
CREATE INDEX watch_client ON watch (client_id);

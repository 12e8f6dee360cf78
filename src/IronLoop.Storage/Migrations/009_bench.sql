-- The bench: how a job is worked, its rounds between try-ons, every move of a small part, what was left out and why, and how long it took.

ALTER TABLE band ADD COLUMN fastener TEXT;
ALTER TABLE band ADD COLUMN pin_um INTEGER;

CREATE TABLE bench_setup (
  job_id     INTEGER PRIMARY KEY REFERENCES job(id),
  fastener   TEXT,
  tools      TEXT NOT NULL,
  insertion  TEXT NOT NULL,
  micro      TEXT NOT NULL,
  pin_um     INTEGER,
  slot_um    INTEGER,
  gap_um     INTEGER,
  no_arrow   INTEGER NOT NULL
) STRICT;

-- Steps have other names than before; what is on the bench is ticked anew.
DELETE FROM bench_step WHERE job_id IN (SELECT id FROM job WHERE closed_at IS NULL);
ALTER TABLE bench_step ADD COLUMN round INTEGER NOT NULL DEFAULT 1;
ALTER TABLE bench_step ADD COLUMN part TEXT NOT NULL DEFAULT 'Check';
ALTER TABLE bench_step ADD COLUMN kind TEXT NOT NULL DEFAULT 'Check';
ALTER TABLE bench_step ADD COLUMN what TEXT NOT NULL DEFAULT '';
ALTER TABLE bench_step ADD COLUMN skipped TEXT;
ALTER TABLE bench_step ADD COLUMN seconds INTEGER;

CREATE INDEX bench_step_kind ON bench_step (kind) WHERE seconds IS NOT NULL;

-- After a try-on that changed the plan: which time round, and the links as they lay then.
CREATE TABLE bench_round (
  job_id      INTEGER PRIMARY KEY REFERENCES job(id),
  round       INTEGER NOT NULL,
  first_side  TEXT NOT NULL,
  position    INTEGER NOT NULL
) STRICT;

CREATE TABLE bench_round_link (
  job_id     INTEGER NOT NULL REFERENCES bench_round(job_id) ON DELETE CASCADE,
  side       TEXT NOT NULL,
  ordinal    INTEGER NOT NULL,
  pitch_um   INTEGER NOT NULL,
  fate       TEXT NOT NULL,
  mark       TEXT NOT NULL DEFAULT '',
  one_sided  INTEGER NOT NULL DEFAULT 0,
  PRIMARY KEY (job_id, side, ordinal)
) STRICT, WITHOUT ROWID;

-- Only ever added to: what is taken back is a move of its own.
CREATE TABLE tray_entry (
  id          INTEGER PRIMARY KEY,
  job_id      INTEGER NOT NULL REFERENCES job(id),
  at          TEXT NOT NULL,
  by          TEXT NOT NULL,
  step        TEXT,
  part        TEXT NOT NULL,
  count       INTEGER NOT NULL CHECK (count > 0),
  from_place  TEXT NOT NULL,
  to_place    TEXT NOT NULL,
  why         TEXT NOT NULL DEFAULT ''
) STRICT;

CREATE INDEX tray_entry_job ON tray_entry (job_id, id);

ALTER TABLE consent ADD COLUMN signature TEXT NOT NULL DEFAULT '';
ALTER TABLE consent ADD COLUMN on_paper INTEGER NOT NULL DEFAULT 0;

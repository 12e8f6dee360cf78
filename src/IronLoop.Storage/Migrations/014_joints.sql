-- Things and joints: what is on the watch when it comes, what holds each group of joints, what was agreed thing by thing, and every step as
-- the acts it was made of.

-- Only what somebody said; else what is usual for the request goes.
CREATE TABLE job_came (
  job_id     INTEGER PRIMARY KEY REFERENCES job(id),
  on_watch   TEXT NOT NULL,
  held       TEXT NOT NULL,
  is_wanted  INTEGER NOT NULL,
  position   INTEGER
) STRICT;

-- A bench that was begun took it that an old band hung on two loose bars.
INSERT INTO job_came (job_id, on_watch, held, is_wanted)
  SELECT job.id, 'Soft', 'LooseBars', 0 FROM job JOIN band ON band.id = job.band_id
  WHERE job.closed_at IS NULL AND band.owner_client_id IS NULL AND EXISTS (SELECT 1 FROM bench_step WHERE bench_step.job_id = job.id);

CREATE TABLE joint_look (
  job_id          INTEGER NOT NULL REFERENCES job(id),
  joints          TEXT NOT NULL,
  fastener        TEXT NOT NULL,
  across_um       INTEGER,
  slot_um         INTEGER,
  slot_length_um  INTEGER,
  gap_um          INTEGER,
  no_arrow        INTEGER NOT NULL DEFAULT 0,
  PRIMARY KEY (job_id, joints)
) STRICT, WITHOUT ROWID;

INSERT INTO joint_look (job_id, joints, fastener, across_um, slot_um, gap_um, no_arrow)
  SELECT job_id, 'Links', fastener, pin_um, slot_um, gap_um, no_arrow FROM bench_setup WHERE fastener IS NOT NULL;

CREATE TABLE bench_setup_now (
  job_id     INTEGER PRIMARY KEY REFERENCES job(id),
  tools      TEXT NOT NULL,
  insertion  TEXT NOT NULL,
  micro      TEXT NOT NULL,
  runs       TEXT NOT NULL DEFAULT 'InsideTheLinks',
  one_by_one INTEGER NOT NULL DEFAULT 0,
  parted     INTEGER NOT NULL DEFAULT 0,
  try_on     TEXT NOT NULL DEFAULT 'BetweenTheSides',
  head_off   INTEGER NOT NULL DEFAULT 0,
  bends_bars INTEGER NOT NULL DEFAULT 0
) STRICT;

INSERT INTO bench_setup_now (job_id, tools, insertion, micro) SELECT job_id, tools, insertion, micro FROM bench_setup;
DROP TABLE bench_setup;
ALTER TABLE bench_setup_now RENAME TO bench_setup;

-- From the first step on: how it stood, and how it shall stand when each round ends.
CREATE TABLE bench_plan (
  job_id   INTEGER PRIMARY KEY REFERENCES job(id),
  plan     TEXT,
  at_seq   INTEGER NOT NULL DEFAULT 0,
  changed  INTEGER NOT NULL DEFAULT 0
) STRICT;

INSERT INTO bench_plan (job_id, changed) SELECT job_id, 1 FROM bench_round WHERE job_id IN (SELECT id FROM job WHERE closed_at IS NOT NULL);

-- Steps of before have no acts: they are history.
CREATE TABLE bench_step_now (
  job_id   INTEGER NOT NULL REFERENCES job(id),
  seq      INTEGER NOT NULL,
  key      TEXT NOT NULL,
  row      TEXT NOT NULL,
  round    INTEGER NOT NULL,
  says     TEXT NOT NULL,
  acts     TEXT,
  skipped  TEXT,
  done_at  TEXT NOT NULL,
  by       TEXT NOT NULL DEFAULT '',
  seconds  INTEGER,
  PRIMARY KEY (job_id, seq)
) STRICT, WITHOUT ROWID;

INSERT INTO bench_step_now (job_id, seq, key, row, round, says, skipped, done_at, seconds)
  SELECT job_id, ROW_NUMBER() OVER (PARTITION BY job_id ORDER BY done_at, round, key), key,
    CASE kind WHEN 'OpenJoint' THEN 'Open' WHEN 'CloseJoint' THEN 'Join' WHEN 'Bars' THEN 'Lugs' WHEN 'Clasp' THEN 'ClaspOn' WHEN 'Extra' THEN 'Prepare' ELSE kind END,
    round, what, skipped, done_at, seconds
  FROM bench_step;

-- What was lost or thrown away on an open bench is told with its history: the round holds how many.
INSERT INTO bench_step_now (job_id, seq, key, row, round, says, skipped, done_at)
  SELECT job_id, 1000000 + ROW_NUMBER() OVER (PARTITION BY job_id ORDER BY part, place), 'gone', 'Tray', SUM(moved), part, place, MAX(at)
  FROM (
    SELECT job_id, part, to_place AS place, count AS moved, at FROM tray_entry
    UNION ALL SELECT job_id, part, from_place, -count, at FROM tray_entry
  )
  WHERE place IN ('Lost', 'Scrapped') AND job_id IN (SELECT id FROM job WHERE closed_at IS NULL)
  GROUP BY job_id, part, place HAVING SUM(moved) > 0;

DROP TABLE bench_step;
DROP TABLE bench_round_link;
DROP TABLE bench_round;
DROP TABLE tray_entry;
ALTER TABLE bench_step_now RENAME TO bench_step;
CREATE INDEX bench_step_newest ON bench_step (done_at DESC, row, seconds) WHERE seconds IS NOT NULL AND skipped IS NULL;

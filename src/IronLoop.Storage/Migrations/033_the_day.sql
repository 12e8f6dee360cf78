-- Who works when; no initials stand for the shop itself.
CREATE TABLE work_hours (
  initials TEXT NOT NULL,
  week     TEXT NOT NULL,
  does_not TEXT NOT NULL DEFAULT '',
  PRIMARY KEY (initials)
) STRICT;
CREATE TABLE day_off (
  initials TEXT NOT NULL,
  day      TEXT NOT NULL,
  PRIMARY KEY (initials, day)
) STRICT, WITHOUT ROWID;

-- What holds a job up that nobody at the bench can do anything about, and what goes first.
ALTER TABLE job ADD COLUMN hold_until TEXT;
ALTER TABLE job ADD COLUMN hold_why TEXT NOT NULL DEFAULT 'OnHold' CONSTRAINT hold_why_known CHECK (hold_why IN ('OnHold', 'TryOn'));
-- The hour it is promised for, where one was said, and whose job it is, where it was given to somebody.
ALTER TABLE job ADD COLUMN promised_hour TEXT;
ALTER TABLE job ADD COLUMN hand TEXT;
ALTER TABLE job ADD COLUMN in_front INTEGER NOT NULL DEFAULT 0;

-- What the bench was expected to take when the plan was approved, in minutes; not known of jobs before.
ALTER TABLE job ADD COLUMN expected_minutes INTEGER;

-- Whom somebody rang, and whether they were reached.
CREATE TABLE ring (
  id      INTEGER PRIMARY KEY,
  job_id  INTEGER NOT NULL REFERENCES job(id) ON DELETE CASCADE,
  why     TEXT NOT NULL CONSTRAINT why_known CHECK (why IN ('WorkIsDone', 'PartsCame', 'Consent', 'FollowUp')),
  at      TEXT NOT NULL,
  by      TEXT NOT NULL,
  reached INTEGER NOT NULL CHECK (reached IN (0, 1))
) STRICT;
CREATE INDEX ring_of_job ON ring (job_id);

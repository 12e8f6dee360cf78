-- Several bands on one job; holes that are punched; other closures; what goes back how; and watches that are observed, or seen by somebody else, meanwhile.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, '''AskedAfter'', ''WentBack'')', '''AskedAfter'', ''WentBack'', ''BandAdded'', ''ObservationSet'', ''Observed'', ''ObservationEnded'')') WHERE type = 'table' AND name = 'log_entry';
UPDATE sqlite_schema SET sql = replace(sql, '''SwapEnds'')', '''SwapEnds'', ''ExtraHole'')') WHERE type = 'table' AND name = 'consent_work';
UPDATE sqlite_schema SET sql = replace(sql, '''Why'', ''Earlier'')', '''Why'', ''Earlier'', ''Shown'')') WHERE type = 'table' AND name = 'wording';
PRAGMA writable_schema = RESET;

-- Beside the band that is on the watch when it leaves: some go along in the bag, some were only held to the head.
CREATE TABLE also_band (
  job_id    INTEGER NOT NULL REFERENCES job(id),
  band_id   INTEGER NOT NULL REFERENCES band(id),
  way       TEXT NOT NULL,
  as_what   TEXT NOT NULL,
  added_at  TEXT NOT NULL,
  PRIMARY KEY (job_id, band_id),
  CONSTRAINT way_known CHECK (way IN ('Double', 'Single', 'ReversedDouble', 'ReversedSingle')),
  CONSTRAINT as_what_known CHECK (as_what IN ('ForTheBag', 'ForLooks'))
) STRICT, WITHOUT ROWID;

-- The hole after which one more is to be punched on this job; and on a band that has one, where it is.
ALTER TABLE job ADD COLUMN extra_hole INTEGER CHECK (extra_hole >= 0);
ALTER TABLE band ADD COLUMN extra_hole INTEGER CHECK (extra_hole >= 0);

-- What closes a one-piece band, and how far it goes where it closes anywhere; its whole length stands where a strap has its tail's.
ALTER TABLE band ADD COLUMN closure TEXT CONSTRAINT closure_known CHECK (closure IN ('Buckle', 'HookAndLoop', 'SideRelease'));
ALTER TABLE band ADD COLUMN farthest_um INTEGER;

-- A referral of one thing, while the band is fitted all the same.
ALTER TABLE job ADD COLUMN fitted_meanwhile INTEGER NOT NULL DEFAULT 0 CHECK (fitted_meanwhile IN (0, 1));
ALTER TABLE job ADD COLUMN craft TEXT CONSTRAINT craft_known CHECK (craft IN ('BenchOnly', 'NeedsWatchmaker'));
ALTER TABLE job ADD COLUMN returns TEXT CONSTRAINT returns_known CHECK (returns IN ('Collected', 'OwnBox', 'OurBox'));
ALTER TABLE job ADD COLUMN postage_paid INTEGER NOT NULL DEFAULT 0 CHECK (postage_paid IN (0, 1));
ALTER TABLE came_with ADD COLUMN note TEXT NOT NULL DEFAULT '';

-- Observed before it goes back: what was set when, and what it showed later.
CREATE TABLE observation (
  job_id    INTEGER PRIMARY KEY REFERENCES job(id),
  until     TEXT NOT NULL,
  set_what  TEXT NOT NULL,
  set_at    TEXT NOT NULL,
  by        TEXT NOT NULL,
  ended_at  TEXT
) STRICT;

CREATE TABLE observation_look (
  id         INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id     INTEGER NOT NULL REFERENCES job(id),
  due        TEXT NOT NULL,
  shows      TEXT NOT NULL DEFAULT '',
  looked_at  TEXT,
  by         TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX observation_look_job ON observation_look (job_id);

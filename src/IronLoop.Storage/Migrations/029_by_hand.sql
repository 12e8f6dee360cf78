-- Work that the hands know without a figure: requests of its own, what was said of it, and steps that no joint tells of.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, '''Refit'', ''SomethingElse'')', '''Refit'', ''SomethingElse'', ''PositionOnly'', ''ReplacePart'', ''OffAndOn'', ''PutOwnBandOn'')')
WHERE type = 'table' AND name = 'job';
UPDATE sqlite_schema SET sql = replace(sql, '''Tray'', ''Before'')', '''Tray'', ''Before'', ''AsTold'')') WHERE type = 'table' AND name = 'bench_step';
UPDATE sqlite_schema SET sql = replace(sql, '''HandedOver'', ''AskedAfter'')', '''HandedOver'', ''AskedAfter'', ''WentBack'')') WHERE type = 'table' AND name = 'log_entry';
-- Not sized: no length was wanted.
UPDATE sqlite_schema SET sql = replace(sql, 'target_um  INTEGER NOT NULL', 'target_um  INTEGER') WHERE type = 'table' AND name = 'plan';
PRAGMA writable_schema = RESET;

CREATE TABLE hand_work (
  job_id      INTEGER PRIMARY KEY REFERENCES job(id),
  kind        TEXT NOT NULL,
  of_band     TEXT NOT NULL,
  twelve      INTEGER,
  six         INTEGER,
  from_place  INTEGER,
  to_place    INTEGER,
  part        TEXT,
  side        TEXT,
  is_lost     INTEGER CHECK (is_lost IN (0, 1)),
  attaches    TEXT,
  CHECK ((kind = 'ByCount') = (twelve IS NOT NULL AND six IS NOT NULL)),
  CHECK ((kind = 'AtPlace') = (from_place IS NOT NULL AND to_place IS NOT NULL)),
  CHECK ((kind = 'Part') = (part IS NOT NULL AND is_lost IS NOT NULL)),
  CHECK ((kind = 'OwnBandOn') = (attaches IS NOT NULL)),
  CONSTRAINT kind_known CHECK (kind IN ('ByCount', 'AtPlace', 'Part', 'OwnBandOn')),
  CONSTRAINT of_band_known CHECK (of_band IN ('Nothing', 'Soft', 'Bracelet', 'Mesh', 'PulledThrough')),
  CONSTRAINT part_known CHECK (part IN ('LugBar', 'LinkPin', 'ClaspPin', 'Keeper', 'Tongue')),
  CONSTRAINT side_known CHECK (side IN ('Twelve', 'Six')),
  CONSTRAINT attaches_known CHECK (attaches IN ('LooseBar', 'QuickRelease', 'PullThrough', 'OpenEnd', 'ScrewThrough'))
) STRICT;

-- How a loop that fits is known: measured here, the old strap in its worn hole, or a measure that was sent.
ALTER TABLE copied_loop ADD COLUMN loop_by TEXT NOT NULL DEFAULT 'Measured'
  CONSTRAINT loop_by_known CHECK (loop_by IN ('Measured', 'OldStrap', 'Sent'));

-- A watch that went back as it came; why stands in its closing note.
ALTER TABLE job ADD COLUMN unworked INTEGER NOT NULL DEFAULT 0 CHECK (unworked IN (0, 1));

-- What was also done and also found, and the marks in the watch, are notes of their own kind.
ALTER TABLE step_note ADD COLUMN kind TEXT NOT NULL DEFAULT 'Note'
  CONSTRAINT kind_known CHECK (kind IN ('Note', 'AlsoDone', 'AlsoFound', 'FormerMark', 'HouseMark'));

-- What was said freely of a job stands in one place, each wording once, with those before it; a line of the log is a kind, its facts, and
-- what it refers to. Whoever is forgotten takes all of their wordings along.

ALTER TABLE log_entry RENAME TO log_before;

CREATE TABLE log_entry (
  id       INTEGER PRIMARY KEY,
  job_id   INTEGER NOT NULL REFERENCES job(id),
  at       TEXT NOT NULL,
  by       TEXT NOT NULL,
  station  TEXT NOT NULL,
  kind     TEXT NOT NULL,
  facts    TEXT NOT NULL DEFAULT '[]',
  note_id  INTEGER REFERENCES step_note(id) ON DELETE SET NULL,
  CONSTRAINT station_known CHECK (station IN ('TakeIn', 'Gauge', 'Match', 'Clasp', 'Size', 'Bench', 'HandOver')),
  CONSTRAINT kind_known CHECK (kind IN ('TakenIn', 'CameBack', 'Referred', 'TakenBack', 'OwnGauged', 'BandChosen', 'Consented', 'Signed', 'OwnPartSeen', 'Instead', 'ClaspKept', 'ClaspReplaced', 'CameIn', 'PlanAgreed', 'Tray', 'Noted', 'Answered', 'TriedOn', 'BenchDone', 'HandedOver', 'AskedAfter'))
) STRICT;

CREATE TABLE wording (
  id      INTEGER PRIMARY KEY,
  job_id  INTEGER NOT NULL REFERENCES job(id),
  field   TEXT NOT NULL,
  words   TEXT NOT NULL,
  at      TEXT NOT NULL,
  by      TEXT NOT NULL,
  log_id  INTEGER REFERENCES log_entry(id),
  seq     INTEGER,
  CONSTRAINT field_known CHECK (field IN ('Words', 'ReferNote', 'CloseNote', 'ObserveFor', 'Heard', 'SignedBy', 'Why', 'Earlier'))
) STRICT;

-- The lines there are keep their words, as wordings of the job; of those who were forgotten only the kind is kept.
INSERT INTO log_entry (id, job_id, at, by, station, kind)
SELECT id, job_id, at, by, station,
  CASE
    WHEN words LIKE 'Taken in again%' THEN 'CameBack'
    WHEN words LIKE 'Taken in%' THEN 'TakenIn'
    WHEN words LIKE 'Referred to%' THEN 'Referred'
    WHEN words LIKE 'Taken back%' THEN 'TakenBack'
    WHEN words LIKE 'The owner%' THEN 'OwnGauged'
    WHEN words LIKE 'Band chosen%' THEN 'BandChosen'
    WHEN words LIKE 'Written consent%' THEN 'Consented'
    WHEN words LIKE 'Signed %' THEN 'Signed'
    WHEN words LIKE 'Instead of%' THEN 'Instead'
    WHEN words LIKE 'Clasp kept%' THEN 'ClaspKept'
    WHEN words LIKE 'Clasp replaced%' THEN 'ClaspReplaced'
    WHEN words LIKE 'Came in%' THEN 'CameIn'
    WHEN words LIKE 'Plan agreed%' THEN 'PlanAgreed'
    WHEN words LIKE 'Tray:%' THEN 'Tray'
    WHEN words LIKE 'Noted at%' THEN 'Noted'
    WHEN words LIKE 'Said to the note%' THEN 'Answered'
    WHEN words LIKE 'Tried on%' OR words LIKE 'Not tried on%' THEN 'TriedOn'
    WHEN words LIKE 'Bench work done%' THEN 'BenchDone'
    WHEN words LIKE 'Handed over%' THEN 'HandedOver'
    WHEN words LIKE 'Asked after%' THEN 'AskedAfter'
    WHEN station = 'TakeIn' THEN 'TakenIn'
    WHEN station = 'Gauge' THEN 'OwnGauged'
    WHEN station = 'Match' THEN 'BandChosen'
    WHEN station = 'Clasp' THEN 'OwnPartSeen'
    WHEN station = 'Size' THEN 'PlanAgreed'
    WHEN station = 'Bench' THEN 'BenchDone'
    ELSE 'HandedOver'
  END
FROM log_before;

INSERT INTO wording (job_id, field, words, at, by, log_id)
SELECT log_before.job_id, 'Earlier', log_before.words, log_before.at, log_before.by, log_before.id
FROM log_before JOIN job ON job.id = log_before.job_id JOIN client ON client.id = job.client_id
WHERE client.erased_at IS NULL;

DROP TABLE log_before;
CREATE INDEX log_entry_job ON log_entry (job_id, id);
CREATE INDEX log_entry_at ON log_entry (at, id);
CREATE INDEX log_entry_note ON log_entry (note_id) WHERE note_id IS NOT NULL;
CREATE INDEX wording_job ON wording (job_id, field, id);
CREATE INDEX wording_log ON wording (log_id) WHERE log_id IS NOT NULL;

-- What stood in the job's own columns stands there from now on.
INSERT INTO wording (job_id, field, words, at, by) SELECT id, 'Words', words, taken_in_at, taken_in_by FROM job WHERE words <> '';
INSERT INTO wording (job_id, field, words, at, by) SELECT id, 'ReferNote', refer_note, COALESCE(referred_at, taken_in_at), taken_in_by FROM job WHERE refer_note <> '';
INSERT INTO wording (job_id, field, words, at, by) SELECT id, 'CloseNote', close_note, closed_at, COALESCE(closed_by, taken_in_by) FROM job WHERE close_note <> '' AND closed_at IS NOT NULL;
INSERT INTO wording (job_id, field, words, at, by) SELECT id, 'ObserveFor', observe_for, closed_at, COALESCE(closed_by, taken_in_by) FROM job WHERE observe_for <> '' AND closed_at IS NOT NULL;

DROP TRIGGER visit_due_job_changed;
ALTER TABLE job DROP COLUMN words;
ALTER TABLE job DROP COLUMN refer_note;
ALTER TABLE job DROP COLUMN close_note;
ALTER TABLE job DROP COLUMN observe_for;
CREATE TRIGGER visit_due_job_changed AFTER UPDATE OF band_id, closed_by, watch_id, client_id ON job BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.id);
END;

INSERT INTO wording (job_id, field, words, at, by)
SELECT DISTINCT consent.job_id, 'SignedBy', consent.signed_by, consent.signed_at, job.taken_in_by FROM consent
JOIN job ON job.id = consent.job_id JOIN client ON client.id = job.client_id WHERE client.erased_at IS NULL;
ALTER TABLE consent ADD COLUMN signed_id INTEGER REFERENCES wording(id) ON DELETE SET NULL;
UPDATE consent SET signed_id =
  (SELECT MAX(id) FROM wording WHERE wording.job_id = consent.job_id AND field = 'SignedBy' AND words = consent.signed_by AND at = consent.signed_at);
ALTER TABLE consent DROP COLUMN signed_by;

-- The index of words is made anew when a line or a wording changes.
CREATE TRIGGER visit_due_log AFTER INSERT ON log_entry BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.job_id);
END;
CREATE TRIGGER visit_due_wording AFTER INSERT ON wording BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.job_id);
END;
CREATE TRIGGER visit_due_wording_changed AFTER UPDATE ON wording BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.job_id);
END;
CREATE TRIGGER visit_due_wording_gone AFTER DELETE ON wording BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (old.job_id);
END;
CREATE TRIGGER visit_due_note_gone AFTER DELETE ON step_note BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (old.job_id);
END;

-- Who was forgotten, when, by whom, and what was taken out: the receipt. The backups made before are gone through until that is done.
CREATE TABLE forgetting (
  client_id   INTEGER PRIMARY KEY REFERENCES client(id),
  at          TEXT NOT NULL,
  by          TEXT NOT NULL,
  names       INTEGER NOT NULL,
  wordings    INTEGER NOT NULL,
  notes       INTEGER NOT NULL,
  signatures  INTEGER NOT NULL,
  photos      INTEGER NOT NULL,
  figures     INTEGER NOT NULL,
  backups     INTEGER NOT NULL DEFAULT 0,
  unread      TEXT NOT NULL DEFAULT '',
  settled_at  TEXT
) STRICT;
INSERT INTO forgetting (client_id, at, by, names, wordings, notes, signatures, photos, figures)
SELECT id, erased_at, '', 0, 0, 0, 0, 0, 0 FROM client WHERE erased_at IS NOT NULL;
INSERT OR IGNORE INTO visit_due SELECT job.id FROM job JOIN client ON client.id = job.client_id WHERE client.erased_at IS NOT NULL;

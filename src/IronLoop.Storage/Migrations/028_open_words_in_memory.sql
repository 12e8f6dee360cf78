-- Words of the jobs on the rack change with every step: they are kept in memory. Here is counted how often each was changed; a closed job's
-- row stands until its words are in the index, an open one's until it is closed.
DROP TABLE visit_words_open;
CREATE TABLE due_before AS SELECT job_id FROM visit_due UNION SELECT id FROM job WHERE closed_at IS NULL;
DROP TRIGGER visit_due_job;
DROP TRIGGER visit_due_job_changed;
DROP TRIGGER visit_due_reading;
DROP TRIGGER visit_due_reading_gone;
DROP TRIGGER visit_due_part;
DROP TRIGGER visit_due_log;
DROP TRIGGER visit_due_wording;
DROP TRIGGER visit_due_wording_changed;
DROP TRIGGER visit_due_wording_gone;
DROP TRIGGER visit_due_note_gone;
DROP TRIGGER visit_due_client;
DROP TRIGGER visit_due_watch;
DROP TABLE visit_due;
CREATE TABLE visit_due (
  job_id  INTEGER PRIMARY KEY,
  times   INTEGER NOT NULL
) STRICT;
INSERT INTO visit_due SELECT job_id, 1 FROM due_before;
DROP TABLE due_before;

CREATE TRIGGER visit_due_job AFTER INSERT ON job BEGIN
  INSERT INTO visit_due VALUES (new.id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_job_changed AFTER UPDATE OF band_id, closed_at, closed_by, watch_id, client_id ON job BEGIN
  INSERT INTO visit_due VALUES (new.id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_reading AFTER INSERT ON reading WHEN new.figure = 'LugWidth' BEGIN
  INSERT INTO visit_due VALUES (new.job_id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_reading_gone AFTER DELETE ON reading WHEN old.figure = 'LugWidth' BEGIN
  INSERT INTO visit_due VALUES (old.job_id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_part AFTER INSERT ON part_taken BEGIN
  INSERT INTO visit_due VALUES (new.job_id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_log AFTER INSERT ON log_entry BEGIN
  INSERT INTO visit_due VALUES (new.job_id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_wording AFTER INSERT ON wording BEGIN
  INSERT INTO visit_due VALUES (new.job_id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_wording_changed AFTER UPDATE ON wording BEGIN
  INSERT INTO visit_due VALUES (new.job_id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_wording_gone AFTER DELETE ON wording BEGIN
  INSERT INTO visit_due VALUES (old.job_id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_note_gone AFTER DELETE ON step_note BEGIN
  INSERT INTO visit_due VALUES (old.job_id, 1) ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_client AFTER UPDATE OF name ON client WHEN old.name IS NOT new.name BEGIN
  INSERT INTO visit_due SELECT id, 1 FROM job WHERE client_id = new.id ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER visit_due_watch AFTER UPDATE OF name, family ON watch WHEN old.name IS NOT new.name OR old.family IS NOT new.family BEGIN
  INSERT INTO visit_due SELECT id, 1 FROM job WHERE watch_id = new.id ON CONFLICT (job_id) DO UPDATE SET times = times + 1;
END;

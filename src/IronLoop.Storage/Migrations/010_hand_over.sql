-- How a job went back, what was promised with it, the band as it left, and the log's index of words.

ALTER TABLE job ADD COLUMN goes_back TEXT;
ALTER TABLE job ADD COLUMN closed_by TEXT;
ALTER TABLE job ADD COLUMN close_note TEXT NOT NULL DEFAULT '';
ALTER TABLE job ADD COLUMN left_band_id INTEGER REFERENCES band(id);
ALTER TABLE job ADD COLUMN back_from INTEGER REFERENCES job(id);
ALTER TABLE job ADD COLUMN observe_on TEXT;
ALTER TABLE job ADD COLUMN observe_for TEXT NOT NULL DEFAULT '';
ALTER TABLE job ADD COLUMN observed_at TEXT;

CREATE INDEX job_observe ON job (observe_on) WHERE observe_on IS NOT NULL AND observed_at IS NULL;
CREATE INDEX job_client ON job (client_id);
CREATE INDEX job_closed ON job (closed_at) WHERE closed_at IS NOT NULL;

-- A client who asked to be forgotten: the jobs stay, without a name.
ALTER TABLE client ADD COLUMN erased_at TEXT;

-- One line a job: what the log is asked for in figures. Made from what is stored and can be made again.
CREATE TABLE visit (
  job_id    INTEGER PRIMARY KEY REFERENCES job(id) ON DELETE CASCADE,
  width_um  INTEGER
) STRICT;

CREATE INDEX visit_width ON visit (width_um, job_id);

-- And its words. A word is found by how it begins; accents do not matter.
CREATE VIRTUAL TABLE visit_words USING fts5 (client, watch, part, words, fitter, tokenize = "unicode61 remove_diacritics 2", prefix = '2 3');
INSERT INTO visit_words (visit_words, rank) VALUES ('secure-delete', 1);

-- Jobs whose line in the index is out of date: it is made anew before the log is asked.
CREATE TABLE visit_due (job_id INTEGER PRIMARY KEY) STRICT;

CREATE TRIGGER visit_due_job AFTER INSERT ON job BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.id);
END;
CREATE TRIGGER visit_due_job_changed AFTER UPDATE OF words, band_id, closed_by, watch_id, client_id ON job BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.id);
END;
CREATE TRIGGER visit_due_reading AFTER INSERT ON reading WHEN new.figure = 'LugWidth' BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.job_id);
END;
CREATE TRIGGER visit_due_reading_gone AFTER DELETE ON reading WHEN old.figure = 'LugWidth' BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (old.job_id);
END;
CREATE TRIGGER visit_due_part AFTER INSERT ON part_taken BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.job_id);
END;
CREATE TRIGGER visit_due_log AFTER INSERT ON log_entry BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.job_id);
END;
CREATE TRIGGER visit_due_log_changed AFTER UPDATE ON log_entry BEGIN
  INSERT OR IGNORE INTO visit_due VALUES (new.job_id);
END;
CREATE TRIGGER visit_due_client AFTER UPDATE OF name ON client BEGIN
  INSERT OR IGNORE INTO visit_due SELECT id FROM job WHERE client_id = new.id;
END;
CREATE TRIGGER visit_due_watch AFTER UPDATE OF name, family ON watch BEGIN
  INSERT OR IGNORE INTO visit_due SELECT id FROM job WHERE watch_id = new.id;
END;

INSERT INTO visit_due SELECT id FROM job;

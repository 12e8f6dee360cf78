-- What a shop knows of watch models: it fills itself from what is gauged, piece by piece.
CREATE TABLE model (
  id   INTEGER PRIMARY KEY,
  name TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE UNIQUE INDEX model_by_name ON model (name COLLATE NOCASE);

CREATE TABLE edition (
  id       INTEGER PRIMARY KEY,
  model_id INTEGER NOT NULL REFERENCES model(id) ON DELETE CASCADE,
  name     TEXT NOT NULL DEFAULT '',
  UNIQUE (model_id, name)
) STRICT;

-- What one watch says of its edition; piece 0 is what a file said of so many pieces. Sums and squares, so that a mean needs no looking up.
CREATE TABLE model_reading (
  edition_id INTEGER NOT NULL REFERENCES edition(id) ON DELETE CASCADE,
  figure     TEXT NOT NULL CONSTRAINT figure_known CHECK (figure IN ('LugWidth', 'LugToLug', 'BarToBar', 'BarRise', 'CaseHeight', 'BarGap', 'LugHole', 'OwnBar', 'SlotHeight', 'BandWidth', 'BandEnd', 'BandThickness', 'ClaspEnd', 'LinkPitch', 'Wrist', 'WristWidth', 'WristDepth', 'ClaspInner', 'ClaspThroat', 'ClaspTube', 'OverButtons', 'ClaspBar', 'ClaspBarLength', 'MicroPitch', 'Extension', 'EndNotch', 'EndBore', 'OtherEndBore', 'PinDiameter', 'PinLength')),
  piece      INTEGER NOT NULL,
  pieces     INTEGER NOT NULL CHECK (pieces > 0),
  um         INTEGER NOT NULL,
  squares    INTEGER NOT NULL,
  how        TEXT NOT NULL CONSTRAINT how_known CHECK (how IN ('Read', 'Said', 'Catalogue')),
  by         TEXT NOT NULL,
  at         TEXT NOT NULL,
  PRIMARY KEY (edition_id, figure, piece)
) STRICT, WITHOUT ROWID;

-- How a figure was had follows from the counts: what was read counts for more than what was said, that for more than a catalogue.
CREATE TABLE model_figure (
  edition_id INTEGER NOT NULL REFERENCES edition(id) ON DELETE CASCADE,
  figure     TEXT NOT NULL,
  pieces     INTEGER NOT NULL,
  um         INTEGER NOT NULL,
  squares    INTEGER NOT NULL,
  read       INTEGER NOT NULL,
  said       INTEGER NOT NULL,
  last_by    TEXT NOT NULL,
  PRIMARY KEY (edition_id, figure)
) STRICT, WITHOUT ROWID;

CREATE TRIGGER model_figure_more AFTER INSERT ON model_reading BEGIN
  INSERT INTO model_figure VALUES (new.edition_id, new.figure, new.pieces, new.um, new.squares, (new.how = 'Read') * new.pieces, (new.how = 'Said') * new.pieces, CASE WHEN new.piece = 0 THEN '' ELSE new.by END)
  ON CONFLICT DO UPDATE SET pieces = pieces + excluded.pieces, um = um + excluded.um, squares = squares + excluded.squares, read = read + excluded.read, said = said + excluded.said,
    last_by = CASE WHEN excluded.last_by = '' THEN last_by ELSE excluded.last_by END;
END;
CREATE TRIGGER model_figure_less AFTER DELETE ON model_reading BEGIN
  UPDATE model_figure SET pieces = pieces - old.pieces, um = um - old.um, squares = squares - old.squares, read = read - (old.how = 'Read') * old.pieces, said = said - (old.how = 'Said') * old.pieces
  WHERE edition_id = old.edition_id AND figure = old.figure;
  DELETE FROM model_figure WHERE edition_id = old.edition_id AND figure = old.figure AND pieces <= 0;
END;

-- What of a model is no figure: how it takes a band, its rows of links, its clasp.
CREATE TABLE model_fact (
  edition_id INTEGER NOT NULL REFERENCES edition(id) ON DELETE CASCADE,
  fact       TEXT NOT NULL CONSTRAINT fact_known CHECK (fact IN ('Attachment', 'CaseShape', 'Family', 'Twelve', 'Six', 'HalfPitch', 'ClaspName', 'ClaspTwelve', 'ClaspSix', 'MicroSide', 'Positions', 'Step', 'Fastener', 'FreedTwelve', 'FreedSix', 'Tools', 'StrapLengths')),
  piece      INTEGER NOT NULL,
  value      TEXT NOT NULL,
  PRIMARY KEY (edition_id, fact, piece)
) STRICT, WITHOUT ROWID;

-- How many watches say what; a file's word is counted apart, as it goes only where no watch tells.
CREATE TABLE model_saying (
  edition_id INTEGER NOT NULL REFERENCES edition(id) ON DELETE CASCADE,
  fact       TEXT NOT NULL,
  value      TEXT NOT NULL,
  pieces     INTEGER NOT NULL,
  of_a_file  INTEGER NOT NULL,
  PRIMARY KEY (edition_id, fact, value)
) STRICT, WITHOUT ROWID;

CREATE TRIGGER model_saying_more AFTER INSERT ON model_fact BEGIN
  INSERT INTO model_saying VALUES (new.edition_id, new.fact, new.value, new.piece <> 0, new.piece = 0)
  ON CONFLICT DO UPDATE SET pieces = pieces + excluded.pieces, of_a_file = of_a_file + excluded.of_a_file;
END;
CREATE TRIGGER model_saying_less AFTER DELETE ON model_fact BEGIN
  UPDATE model_saying SET pieces = pieces - (old.piece <> 0), of_a_file = of_a_file - (old.piece = 0) WHERE edition_id = old.edition_id AND fact = old.fact AND value = old.value;
  DELETE FROM model_saying WHERE edition_id = old.edition_id AND fact = old.fact AND value = old.value AND pieces <= 0 AND of_a_file <= 0;
END;

-- What holds its joints, group by group, as it was looked at on one watch; piece 0 is what a file said.
CREATE TABLE model_joint (
  edition_id      INTEGER NOT NULL REFERENCES edition(id) ON DELETE CASCADE,
  joints          TEXT NOT NULL CONSTRAINT joints_known CHECK (joints IN ('Links', 'ClaspTwelve', 'ClaspSix', 'Lugs')),
  piece           INTEGER NOT NULL,
  fastener        TEXT NOT NULL CONSTRAINT fastener_known CHECK (fastener IN ('SplitPin', 'PinWithTube', 'Screw', 'ScrewInTube', 'SpringBar', 'LeveredBar', 'FixedBar', 'ScrewedBar', 'SlotScrews', 'FrictionPin', 'Threaded', 'ByHand', 'Sewn', 'Riveted', 'OpenEnd', 'MakersOwn', 'NotLookedAt')),
  across_um       INTEGER,
  slot_um         INTEGER,
  slot_length_um  INTEGER,
  gap_um          INTEGER,
  no_arrow        INTEGER NOT NULL CHECK (no_arrow IN (0, 1)),
  PRIMARY KEY (edition_id, joints, piece)
) STRICT, WITHOUT ROWID;

CREATE VIRTUAL TABLE model_words USING fts5 (name, tokenize = "trigram remove_diacritics 1");
INSERT INTO model_words (model_words, rank) VALUES ('secure-delete', 1);
CREATE TRIGGER model_words_new AFTER INSERT ON model BEGIN
  INSERT INTO model_words (rowid, name) VALUES (new.id, new.name);
END;
CREATE TRIGGER model_words_changed AFTER UPDATE OF name ON model BEGIN
  UPDATE model_words SET name = new.name WHERE rowid = new.id;
END;
CREATE TRIGGER model_words_gone AFTER DELETE ON model BEGIN
  DELETE FROM model_words WHERE rowid = old.id;
END;

ALTER TABLE watch ADD COLUMN edition_id INTEGER REFERENCES edition(id) ON DELETE SET NULL;
CREATE INDEX watch_of_edition ON watch (edition_id) WHERE edition_id IS NOT NULL;

-- What a job took from the book, as it stood then.
CREATE TABLE book_figure (
  job_id    INTEGER NOT NULL REFERENCES job(id) ON DELETE CASCADE,
  figure    TEXT NOT NULL CONSTRAINT figure_known CHECK (figure IN ('LugWidth', 'LugToLug', 'BarToBar', 'BarRise', 'CaseHeight', 'BarGap', 'LugHole', 'OwnBar', 'SlotHeight', 'BandWidth', 'BandEnd', 'BandThickness', 'ClaspEnd', 'LinkPitch', 'Wrist', 'WristWidth', 'WristDepth', 'ClaspInner', 'ClaspThroat', 'ClaspTube', 'OverButtons', 'ClaspBar', 'ClaspBarLength', 'MicroPitch', 'Extension', 'EndNotch', 'EndBore', 'OtherEndBore', 'PinDiameter', 'PinLength')),
  um        INTEGER NOT NULL,
  spread_um INTEGER NOT NULL,
  pieces    INTEGER NOT NULL,
  how       TEXT NOT NULL CONSTRAINT how_known CHECK (how IN ('Read', 'Said', 'Catalogue')),
  confirmed INTEGER NOT NULL DEFAULT 0 CHECK (confirmed IN (0, 1)),
  PRIMARY KEY (job_id, figure)
) STRICT, WITHOUT ROWID;

-- The book as it would have filled itself: of each watch that was gauged, the newest visit that read a figure.
INSERT INTO model (name)
SELECT MIN(watch.name) FROM watch JOIN client ON client.id = watch.client_id
WHERE client.erased_at IS NULL AND watch.name <> 'watch' COLLATE NOCASE
  AND EXISTS (SELECT 1 FROM job JOIN reading ON reading.job_id = job.id WHERE job.watch_id = watch.id AND reading.figure NOT LIKE 'Wrist%')
GROUP BY watch.name COLLATE NOCASE;
INSERT INTO edition (model_id) SELECT id FROM model;
UPDATE watch SET edition_id = (SELECT edition.id FROM edition JOIN model ON model.id = edition.model_id WHERE model.name = watch.name COLLATE NOCASE)
WHERE client_id IN (SELECT id FROM client WHERE erased_at IS NULL);
INSERT INTO model_reading
SELECT edition_id, figure, watch_id, 1, mean, mean * mean, 'Read', by, at FROM (
  SELECT watch.edition_id, reading.figure, watch.id AS watch_id, CAST(ROUND(AVG(reading.um)) AS INTEGER) AS mean, MAX(job.taken_in_by) AS by, MAX(reading.read_at) AS at
  FROM reading JOIN job ON job.id = reading.job_id JOIN watch ON watch.id = job.watch_id
  WHERE watch.edition_id IS NOT NULL AND reading.figure NOT LIKE 'Wrist%'
    AND job.id = (SELECT MAX(j.id) FROM job AS j JOIN reading AS r ON r.job_id = j.id WHERE j.watch_id = watch.id AND r.figure = reading.figure)
  GROUP BY watch.id, reading.figure);
INSERT INTO model_fact SELECT edition_id, 'Attachment', id, attachment FROM watch WHERE edition_id IS NOT NULL AND attachment IS NOT NULL;
INSERT INTO model_fact SELECT edition_id, 'CaseShape', id, case_shape FROM watch WHERE edition_id IS NOT NULL AND case_shape IS NOT NULL;
INSERT OR IGNORE INTO model_joint (edition_id, joints, piece, fastener, across_um, slot_um, slot_length_um, gap_um, no_arrow)
SELECT watch.edition_id, joint_look.joints, watch.id, joint_look.fastener, joint_look.across_um, joint_look.slot_um, joint_look.slot_length_um, joint_look.gap_um, joint_look.no_arrow
FROM joint_look JOIN job ON job.id = joint_look.job_id JOIN watch ON watch.id = job.watch_id
WHERE watch.edition_id IS NOT NULL AND joint_look.fastener <> 'NotLookedAt' ORDER BY job.id DESC;

-- What is told apart is told apart by codes, not by words: how a band closes, and what a consent is to.
ALTER TABLE band ADD COLUMN clasp_kind TEXT
  CONSTRAINT clasp_kind_known CHECK (clasp_kind IN ('PinBuckle', 'StrapFolding', 'Butterfly', 'FoldOver', 'Extending', 'Slide'));
ALTER TABLE band ADD COLUMN clasp_flap INTEGER NOT NULL DEFAULT 0 CHECK (clasp_flap IN (0, 1));
UPDATE band SET clasp_flap = clasp_name LIKE '%flap%', clasp_kind = CASE
  WHEN clasp_name LIKE '%butterfly%' THEN 'Butterfly'
  WHEN clasp_name LIKE '%buckle%' THEN 'PinBuckle'
  WHEN clasp_name LIKE '%extending%' THEN 'Extending'
  WHEN clasp_name LIKE '%fold-over%' THEN 'FoldOver'
  WHEN clasp_name LIKE '%folding%' THEN 'StrapFolding'
  WHEN clasp_name LIKE '%slide%' THEN 'Slide'
END;

-- What a kind of band does not have is not there; so far a band without a buckle piece had one of no length. The rule is written into the
-- table's own words, as 022 did.
PRAGMA writable_schema = ON;
UPDATE sqlite_schema SET sql = replace(sql, 'CHECK ((clasp_twelve_um IS NULL) <> (buckle_piece_um IS NULL))',
  'CHECK ((kind = ''LinkBracelet'') = (clasp_twelve_um IS NOT NULL)),
  CHECK (kind = ''TwoPiece'' OR buckle_piece_um IS NULL)') WHERE type = 'table' AND name = 'band';
PRAGMA writable_schema = RESET;
UPDATE band SET buckle_piece_um = NULL WHERE kind <> 'TwoPiece';

CREATE TABLE consent_work (
  job_id  INTEGER NOT NULL,
  topic   TEXT NOT NULL,
  kind    TEXT NOT NULL,
  PRIMARY KEY (job_id, topic, kind),
  FOREIGN KEY (job_id, topic) REFERENCES consent (job_id, topic) ON DELETE CASCADE,
  CONSTRAINT topic_known CHECK (topic IN ('Band', 'Clasp')),
  CONSTRAINT kind_known CHECK (kind IN ('Bore', 'Pierce', 'Press', 'File', 'Trim', 'CurvedBar', 'BarsOut', 'SwapEnds'))
) STRICT, WITHOUT ROWID;
INSERT INTO consent_work SELECT job_id, topic, 'Bore' FROM consent WHERE work LIKE '%bore%';
INSERT INTO consent_work SELECT job_id, topic, 'Pierce' FROM consent WHERE work LIKE '%pierce%';
INSERT INTO consent_work SELECT job_id, topic, 'Press' FROM consent WHERE work LIKE '%press %';
INSERT INTO consent_work SELECT job_id, topic, 'File' FROM consent WHERE work LIKE '%file %';
INSERT INTO consent_work SELECT job_id, topic, 'Trim' FROM consent WHERE work LIKE '%trim %';

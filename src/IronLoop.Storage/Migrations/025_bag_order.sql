-- The lines of a bag stand in the order they were packed in; so far their words said it.
ALTER TABLE bag_line ADD COLUMN place INTEGER NOT NULL DEFAULT 0 CHECK (place >= 0);
UPDATE bag_line SET place = (
  SELECT count(*) FROM bag_line AS before WHERE before.job_id = bag_line.job_id
    AND (before.fits = '', before.what NOT LIKE 'links%', before.what) < (bag_line.fits = '', bag_line.what NOT LIKE 'links%', bag_line.what));

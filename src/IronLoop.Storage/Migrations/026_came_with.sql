-- What was said to be on the watch was said of a band; once another is chosen, it no longer is the one the job is about.
ALTER TABLE job_came ADD COLUMN band_id INTEGER REFERENCES band(id);
UPDATE job_came SET band_id = (SELECT band_id FROM job WHERE job.id = job_came.job_id) WHERE is_wanted = 1;

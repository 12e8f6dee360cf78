-- The shop's own times are asked for at every step: the newest are found without looking through all of many years.

CREATE INDEX bench_step_newest ON bench_step (done_at DESC, kind, seconds) WHERE seconds IS NOT NULL AND skipped IS NULL;

-- Whether a bracelet's reach is still to be worked out is asked at every start.
CREATE INDEX band_without_reach ON band (id) WHERE reach_id IS NULL AND kind = 'LinkBracelet';

-- Words of the jobs on the rack change with every step: they stand in a small index of their own, and come to the large one when a job is closed.
CREATE VIRTUAL TABLE visit_words_open USING fts5 (client, watch, part, words, fitter, tokenize = "unicode61 remove_diacritics 2", prefix = '2 3');
INSERT INTO visit_words_open (visit_words_open, rank) VALUES ('secure-delete', 1);
INSERT OR IGNORE INTO visit_due SELECT id FROM job WHERE closed_at IS NULL;

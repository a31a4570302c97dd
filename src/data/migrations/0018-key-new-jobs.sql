-- A new job's own key: the wish for it sent twice, after a break in the connection, opens one.
CREATE UNIQUE INDEX job_event_opened ON job_event (key) WHERE version = 1 AND key IS NOT NULL;

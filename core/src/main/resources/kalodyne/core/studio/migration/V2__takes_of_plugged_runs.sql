-- Version 2: a run may follow from what is plugged, and is then known by its two ends. Its takes belong to the setup, whether
-- or not it is plugged so at the moment.

CREATE TABLE take_of_any_run (
    setup TEXT NOT NULL REFERENCES setup (id) DEFERRABLE INITIALLY DEFERRED,
    run   TEXT NOT NULL,
    name  TEXT NOT NULL,
    place REAL NOT NULL,
    body  TEXT NOT NULL,
    PRIMARY KEY (setup, run, name)
) STRICT;

INSERT INTO take_of_any_run (setup, run, name, place, body) SELECT setup, run, name, place, body FROM take;
DROP TABLE take;
ALTER TABLE take_of_any_run RENAME TO take;

PRAGMA user_version = 2;

-- Version 3: the times that the run sheet of a setup was gone through.

CREATE TABLE sitting (
    setup TEXT NOT NULL REFERENCES setup (id) DEFERRABLE INITIALLY DEFERRED,
    name  TEXT NOT NULL,
    place REAL NOT NULL,
    body  TEXT NOT NULL,
    PRIMARY KEY (setup, name)
) STRICT;

PRAGMA user_version = 3;

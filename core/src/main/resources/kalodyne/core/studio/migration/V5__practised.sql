-- Version 5: exercises that were answered.

CREATE TABLE practised (
    at    TEXT PRIMARY KEY,
    place REAL NOT NULL,
    body  TEXT NOT NULL
) STRICT;

PRAGMA user_version = 5;

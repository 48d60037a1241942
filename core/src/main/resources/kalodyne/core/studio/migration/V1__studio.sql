-- Version 1 of the studio file. Never edited once released: later versions are files of their own.
-- Every item has a key, a place in its list, and a body in JSON as docs/formats/studio.md describes.

CREATE TABLE studio (
    id    TEXT PRIMARY KEY CHECK (id = 'studio'),
    place REAL NOT NULL,
    body  TEXT NOT NULL
) STRICT;

CREATE TABLE device (
    id    TEXT PRIMARY KEY,
    place REAL NOT NULL,
    body  TEXT NOT NULL
) STRICT;

CREATE TABLE lead (
    id    TEXT PRIMARY KEY,
    place REAL NOT NULL,
    body  TEXT NOT NULL
) STRICT;

CREATE TABLE setup (
    id    TEXT PRIMARY KEY,
    place REAL NOT NULL,
    body  TEXT NOT NULL
) STRICT;

-- References are checked when an edit is complete: a run that is renamed takes its takes with it.
CREATE TABLE run (
    setup TEXT NOT NULL REFERENCES setup (id) DEFERRABLE INITIALLY DEFERRED,
    name  TEXT NOT NULL,
    place REAL NOT NULL,
    body  TEXT NOT NULL,
    PRIMARY KEY (setup, name)
) STRICT;

CREATE TABLE take (
    setup TEXT NOT NULL,
    run   TEXT NOT NULL,
    name  TEXT NOT NULL,
    place REAL NOT NULL,
    body  TEXT NOT NULL,
    PRIMARY KEY (setup, run, name),
    FOREIGN KEY (setup, run) REFERENCES run (setup, name) DEFERRABLE INITIALLY DEFERRED
) STRICT;

-- The past, and the undone future.
CREATE TABLE edit (
    number      INTEGER PRIMARY KEY,
    at          TEXT NOT NULL,
    description TEXT NOT NULL,
    undone      INTEGER NOT NULL CHECK (undone IN (0, 1))
) STRICT;

CREATE TABLE change (
    edit         INTEGER NOT NULL REFERENCES edit (number) ON DELETE CASCADE,
    position     INTEGER NOT NULL,
    kind         TEXT NOT NULL,
    path         TEXT NOT NULL,
    before_place REAL,
    before_body  TEXT,
    after_place  REAL,
    after_body   TEXT,
    PRIMARY KEY (edit, position)
) STRICT;

-- "KALO": what tells a studio from other SQLite files; and the version of this file.
PRAGMA application_id = 1262570575;
PRAGMA user_version = 1;

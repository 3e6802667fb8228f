-- Who may enter from beyond this machine: the kitchen's passphrase, the screens that have signed in with it, and the keys of probes.
-- Of what a cookie or a key holds only the SHA-256 is kept. Instants are ms since 1970 by the machine's own clock.
CREATE TABLE passphrase (
    id   INTEGER PRIMARY KEY CHECK (id = 1),
    hash TEXT NOT NULL
) STRICT;

CREATE TABLE screen (
    id           TEXT PRIMARY KEY,
    name         TEXT NOT NULL,
    role         TEXT NOT NULL CHECK (role IN ('cook', 'look')),
    token        BLOB NOT NULL UNIQUE,
    -- The cookie before the last: what was sent with it while it was being changed still counts, for a moment.
    before       BLOB,
    before_until INTEGER NOT NULL DEFAULT 0,
    token_at     INTEGER NOT NULL,
    signed_in_at INTEGER NOT NULL,
    seen_at      INTEGER NOT NULL
) STRICT;
CREATE INDEX screen_by_before ON screen (before) WHERE before IS NOT NULL;

CREATE TABLE probe_key (
    id      TEXT PRIMARY KEY,
    name    TEXT NOT NULL,
    key     BLOB NOT NULL UNIQUE,
    made_at INTEGER NOT NULL,
    used_at INTEGER
) STRICT;

-- Whose screen it was tapped on.
ALTER TABLE cook_event ADD COLUMN screen TEXT;

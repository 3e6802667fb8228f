//! Copies of the whole database: one asked for, the daily ones, and bringing one back.

use std::os::unix::fs::{OpenOptionsExt, PermissionsExt};
use std::path::{Path, PathBuf};

use ergastic_words::{Message, keeping as say};
use jiff::Timestamp;
use sqlx::sqlite::SqliteConnectOptions;
use sqlx::{ConnectOptions, Connection};

use crate::error::{Error, Result, Trouble};
use crate::migrations::NEWEST;
use crate::state::free_bytes;
use crate::store::Store;

/// Daily copies that are kept.
const KEPT: usize = 7;
/// Together they may take so much, bytes; the newest is kept however large.
const KEPT_BYTES: u64 = 2 << 30;
/// The folder of the copies, beside the database.
const FOLDER: &str = "backups";

fn io(path: &Path) -> impl Fn(std::io::Error) -> Error + '_ {
    move |error| match error.kind() {
        std::io::ErrorKind::StorageFull => Error::Unusable(Trouble::Full),
        _ => Error::of_file(path, &error),
    }
}

impl Store {
    /// Copies the database as it is at one moment into a new file, while it goes on being used. The file is whole or not there.
    ///
    /// # Errors
    /// When there is such a file, or it can't be written.
    pub async fn backup(&self, to: &Path) -> Result<()> {
        if to.exists() {
            return Err(Error::File(say::file_is_there(&to.display().to_string())));
        }
        let partial = PathBuf::from(format!("{}.part", to.display()));
        let _ = std::fs::remove_file(&partial);
        // Its owner's alone from the first byte on.
        std::fs::OpenOptions::new().write(true).create_new(true).mode(0o600).open(&partial).map_err(io(&partial))?;
        let copied = async {
            let mut connection = self.connections.beside().await?;
            sqlx::query("VACUUM INTO ?").bind(partial.display().to_string()).execute(&mut connection).await?;
            connection.close().await?;
            let file = std::fs::File::open(&partial).map_err(io(&partial))?;
            file.sync_all().map_err(io(&partial))?;
            std::fs::rename(&partial, to).map_err(io(to))
        };
        let copied: Result<()> = copied.await;
        if copied.is_err() {
            let _ = std::fs::remove_file(&partial);
        }
        copied
    }
}

/// Makes the day's copy beside the database, if there is none and the disk has room for it, and lets the oldest go; the copy
/// that was made.
///
/// # Errors
/// When it can't be written.
pub async fn keep_backup(store: &Store, now: Timestamp) -> Result<Option<PathBuf>> {
    let file = store.connections.file();
    let folder = file.parent().unwrap_or(Path::new(".")).join(FOLDER);
    let day = now.to_string().chars().take(10).collect::<String>();
    let to = folder.join(format!("ergastic-{day}.sqlite"));
    let size = std::fs::metadata(file).map_or(0, |data| data.len());
    // A copy must not be what fills the disk.
    if to.exists() || free_bytes(file).is_some_and(|free| free < 3 * size.max(1 << 20)) {
        return Ok(None);
    }
    std::fs::create_dir_all(&folder).map_err(io(&folder))?;
    std::fs::set_permissions(&folder, std::fs::Permissions::from_mode(0o700)).map_err(io(&folder))?;
    store.backup(&to).await?;
    rotate(&folder)?;
    Ok(Some(to))
}

/// Keeps the newest copies.
fn rotate(folder: &Path) -> Result<()> {
    let mut copies: Vec<(PathBuf, u64)> = std::fs::read_dir(folder)
        .map_err(io(folder))?
        .filter_map(|entry| {
            let entry = entry.ok()?;
            let name = entry.file_name().into_string().ok()?;
            let daily = name.strip_prefix("ergastic-")?.strip_suffix(".sqlite")?.len() == 10;
            daily.then_some((entry.path(), entry.metadata().ok()?.len()))
        })
        .collect();
    copies.sort_by(|a, b| b.0.cmp(&a.0));
    let mut bytes = 0;
    for (i, (path, size)) in copies.into_iter().enumerate() {
        bytes += size;
        if i > 0 && (i >= KEPT || bytes > KEPT_BYTES) {
            std::fs::remove_file(&path).map_err(io(&path))?;
        }
    }
    Ok(())
}

/// Puts a copy in the place of the database in `to`, which must not be in use; what was there goes into the folder of the
/// copies, and its path is answered.
///
/// # Errors
/// When the copy is not a whole Ergastic database, or can't be put there; then nothing has changed.
pub async fn restore(copy: &Path, to: &Path, now: Timestamp) -> Result<Option<PathBuf>> {
    let not_one = |why: Message| Error::File(say::no_copy(&copy.display().to_string(), why));
    let reason = |error: &dyn std::fmt::Display| not_one(Message::text(error.to_string()));
    if !copy.is_file() {
        return Err(not_one(say::no_such_file()));
    }
    let mut connection =
        SqliteConnectOptions::new().filename(copy).read_only(true).connect().await.map_err(|error| reason(&error))?;
    let sound: std::result::Result<String, _> =
        sqlx::query_scalar("PRAGMA quick_check(1)").fetch_one(&mut connection).await;
    let known: std::result::Result<i64, _> =
        sqlx::query_scalar("SELECT max(version) FROM _sqlx_migrations").fetch_one(&mut connection).await;
    match (sound, known) {
        (Ok(sound), Ok(version)) if sound == "ok" => {
            if version > NEWEST {
                return Err(Error::Newer(version));
            }
        }
        (Ok(sound), Ok(_)) => return Err(reason(&sound)),
        (Err(error), _) | (_, Err(error)) => return Err(reason(&error)),
    }
    let partial = PathBuf::from(format!("{}.part", to.display()));
    let _ = std::fs::remove_file(&partial);
    std::fs::OpenOptions::new().write(true).create_new(true).mode(0o600).open(&partial).map_err(io(&partial))?;
    // Through SQLite, and not the file as it lies there: what its log still holds comes along.
    sqlx::query("VACUUM INTO ?").bind(partial.display().to_string()).execute(&mut connection).await?;
    let _ = connection.close().await;
    std::fs::File::open(&partial).and_then(|file| file.sync_all()).map_err(io(&partial))?;
    // Whoever was let at the database before is let at it still, and nobody else.
    if let Ok(there) = std::fs::metadata(to) {
        std::fs::set_permissions(&partial, there.permissions()).map_err(io(&partial))?;
    }
    let aside = set_aside(to, now)?;
    std::fs::rename(&partial, to).map_err(io(to))?;
    if let Some(folder) = to.parent() {
        std::fs::File::open(folder).and_then(|folder| folder.sync_all()).map_err(io(folder))?;
    }
    Ok(aside)
}

/// Moves a database with its log out of the way.
fn set_aside(file: &Path, now: Timestamp) -> Result<Option<PathBuf>> {
    if !file.exists() {
        return Ok(None);
    }
    let folder = file.parent().unwrap_or(Path::new(".")).join(FOLDER);
    std::fs::create_dir_all(&folder).map_err(io(&folder))?;
    std::fs::set_permissions(&folder, std::fs::Permissions::from_mode(0o700)).map_err(io(&folder))?;
    let stamp = now.strftime("%Y-%m-%dT%H%M%SZ").to_string();
    let aside = folder.join(format!("before-restore-{stamp}.sqlite"));
    // The log first: a database without it is an older one, a log without its database is nothing.
    for ending in ["-wal", "-shm"] {
        let from = PathBuf::from(format!("{}{ending}", file.display()));
        if from.exists() {
            let to = PathBuf::from(format!("{}{ending}", aside.display()));
            std::fs::rename(&from, &to).map_err(io(&to))?;
        }
    }
    std::fs::rename(file, &aside).map_err(io(&aside))?;
    Ok(Some(aside))
}

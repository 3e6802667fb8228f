//! Who may enter from beyond this machine: the passphrase, the screens that have signed in, the keys of probes.
//!
//! Tokens and keys come here as their SHA-256 alone. None of it stands in an export; a copy of the database has it. Instants are the machine's own: a kitchen's clock may run faster.

use jiff::{SignedDuration, Timestamp};
use uuid::Uuid;

use crate::error::{Error, Result};
use crate::store::Store;
use crate::text::read_id;

/// The SHA-256 of what a cookie or a key holds.
pub type Digest = [u8; 32];

/// What a screen may do.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Role {
    /// All that a cook does.
    Cook,
    /// Look, and change nothing.
    Look,
}

impl Role {
    fn key(self) -> &'static str {
        match self {
            Self::Cook => "cook",
            Self::Look => "look",
        }
    }

    fn of_key(key: &str) -> Self {
        if key == "cook" { Self::Cook } else { Self::Look }
    }
}

/// A screen that has signed in.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Device {
    /// Its id.
    pub id: Uuid,
    /// What it is called.
    pub name: String,
    /// What it may do.
    pub role: Role,
    /// When its cookie was made.
    pub token_at: Timestamp,
    /// When it signed in.
    pub signed_in_at: Timestamp,
    /// When it was seen last.
    pub seen_at: Timestamp,
}

/// The key of a probe or of a hub of them.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct ProbeKey {
    /// Its id.
    pub id: Uuid,
    /// What it is called.
    pub name: String,
    /// When it was made.
    pub made_at: Timestamp,
    /// When it was used last.
    pub used_at: Option<Timestamp>,
}

fn instant(ms: i64) -> Timestamp {
    Timestamp::from_millisecond(ms).unwrap_or(Timestamp::UNIX_EPOCH)
}

type DeviceRow = (String, String, String, i64, i64, i64);

fn device((id, name, role, token_at, signed_in_at, seen_at): DeviceRow) -> Result<Device> {
    Ok(Device {
        id: read_id(&id)?,
        name,
        role: Role::of_key(&role),
        token_at: instant(token_at),
        signed_in_at: instant(signed_in_at),
        seen_at: instant(seen_at),
    })
}

impl Store {
    /// The hash of the passphrase (a PHC string), if one was set.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn passphrase_hash(&self) -> Result<Option<String>> {
        Ok(sqlx::query_scalar("SELECT hash FROM passphrase WHERE id = 1")
            .fetch_optional(self.connections.read())
            .await?)
    }

    /// Sets the passphrase; every screen but one that may stay has to sign in again.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn set_passphrase_hash(&self, hash: &str, stays: Option<Uuid>) -> Result<()> {
        let mut writing = self.connections.write().await?;
        sqlx::query(
            "INSERT INTO passphrase (id, hash) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET hash = excluded.hash",
        )
        .bind(hash)
        .execute(&mut *writing)
        .await?;
        sqlx::query("DELETE FROM device WHERE id IS NOT ?")
            .bind(stays.map(|id| id.to_string()))
            .execute(&mut *writing)
            .await?;
        writing.commit().await
    }

    /// Lets a screen in under the digest of its cookie.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn sign_in(&self, device: &Device, token: &Digest) -> Result<()> {
        let mut writing = self.connections.write().await?;
        sqlx::query(
            "INSERT INTO device (id, name, role, token, token_at, signed_in_at, seen_at) VALUES (?, ?, ?, ?, ?, ?, ?)",
        )
        .bind(device.id.to_string())
        .bind(&device.name)
        .bind(device.role.key())
        .bind(token.as_slice())
        .bind(device.token_at.as_millisecond())
        .bind(device.signed_in_at.as_millisecond())
        .bind(device.seen_at.as_millisecond())
        .execute(&mut *writing)
        .await?;
        writing.commit().await
    }

    /// The screen whose cookie has a digest, and whether it is the cookie of now or the one before.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn device_of(&self, token: &Digest, now: Timestamp) -> Result<Option<(Device, bool)>> {
        let columns = "id, name, role, token_at, signed_in_at, seen_at";
        let query = format!(
            "SELECT {columns}, 1 FROM device WHERE token = ?1
             UNION ALL SELECT {columns}, 0 FROM device WHERE before = ?1 AND before_until > ?2 LIMIT 1"
        );
        let row: Option<(String, String, String, i64, i64, i64, bool)> = sqlx::query_as(sqlx::AssertSqlSafe(query))
            .bind(token.as_slice())
            .bind(now.as_millisecond())
            .fetch_optional(self.connections.read())
            .await?;
        row.map(|(id, name, role, token_at, signed_in_at, seen_at, current)| {
            Ok((device((id, name, role, token_at, signed_in_at, seen_at))?, current))
        })
        .transpose()
    }

    /// Gives a screen another cookie; the one before it still counts for a while. Whether it was done: two requests that come
    /// at once change it once.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn change_token(
        &self,
        id: Uuid,
        from: &Digest,
        to: &Digest,
        now: Timestamp,
        still: SignedDuration,
    ) -> Result<bool> {
        let mut writing = self.connections.write().await?;
        let done = sqlx::query(
            "UPDATE device SET token = ?3, before = ?2, before_until = ?5, token_at = ?4, seen_at = ?4
             WHERE id = ?1 AND token = ?2",
        )
        .bind(id.to_string())
        .bind(from.as_slice())
        .bind(to.as_slice())
        .bind(now.as_millisecond())
        .bind(now.as_millisecond() + i64::try_from(still.as_millis()).unwrap_or(0))
        .execute(&mut *writing)
        .await?
        .rows_affected();
        writing.commit().await?;
        Ok(done > 0)
    }

    /// That a screen was seen.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn device_seen(&self, id: Uuid, now: Timestamp) -> Result<()> {
        let mut writing = self.connections.write().await?;
        sqlx::query("UPDATE device SET seen_at = ? WHERE id = ?")
            .bind(now.as_millisecond())
            .bind(id.to_string())
            .execute(&mut *writing)
            .await?;
        writing.commit().await
    }

    /// Whether a screen is still signed in.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn is_signed_in(&self, id: Uuid) -> Result<bool> {
        let there: Option<i64> = sqlx::query_scalar("SELECT 1 FROM device WHERE id = ?")
            .bind(id.to_string())
            .fetch_optional(self.connections.read())
            .await?;
        Ok(there.is_some())
    }

    /// The screens that are signed in, the one seen last first.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn devices(&self) -> Result<Vec<Device>> {
        let rows: Vec<DeviceRow> = sqlx::query_as(
            "SELECT id, name, role, token_at, signed_in_at, seen_at FROM device ORDER BY seen_at DESC, id",
        )
        .fetch_all(self.connections.read())
        .await?;
        rows.into_iter().map(device).collect()
    }

    /// Signs a screen out.
    ///
    /// # Errors
    /// [`Error::NotFound`] when it is not signed in.
    pub async fn sign_out(&self, id: Uuid) -> Result<()> {
        self.remove("DELETE FROM device WHERE id = ?", "device", id).await
    }

    /// Signs every screen out but one that may stay.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn sign_all_out(&self, stays: Option<Uuid>) -> Result<()> {
        let mut writing = self.connections.write().await?;
        sqlx::query("DELETE FROM device WHERE id IS NOT ?")
            .bind(stays.map(|id| id.to_string()))
            .execute(&mut *writing)
            .await?;
        writing.commit().await
    }

    /// Signs out those that signed in, or were seen last, too long ago.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn forget_devices(&self, signed_in_before: Timestamp, seen_before: Timestamp) -> Result<()> {
        let mut writing = self.connections.write().await?;
        sqlx::query("DELETE FROM device WHERE signed_in_at < ? OR seen_at < ?")
            .bind(signed_in_before.as_millisecond())
            .bind(seen_before.as_millisecond())
            .execute(&mut *writing)
            .await?;
        writing.commit().await
    }

    /// Keeps the digest of a probe's key.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn add_probe_key(&self, key: &ProbeKey, digest: &Digest) -> Result<()> {
        let mut writing = self.connections.write().await?;
        sqlx::query("INSERT INTO probe_key (id, name, key, made_at) VALUES (?, ?, ?, ?)")
            .bind(key.id.to_string())
            .bind(&key.name)
            .bind(digest.as_slice())
            .bind(key.made_at.as_millisecond())
            .execute(&mut *writing)
            .await?;
        writing.commit().await
    }

    /// The keys of probes.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn probe_keys(&self) -> Result<Vec<ProbeKey>> {
        let rows: Vec<(String, String, i64, Option<i64>)> =
            sqlx::query_as("SELECT id, name, made_at, used_at FROM probe_key ORDER BY made_at, id")
                .fetch_all(self.connections.read())
                .await?;
        let key = |(id, name, made_at, used_at): (String, String, i64, Option<i64>)| {
            Ok(ProbeKey { id: read_id(&id)?, name, made_at: instant(made_at), used_at: used_at.map(instant) })
        };
        rows.into_iter().map(key).collect()
    }

    /// Which key has a digest, and when it was used last.
    ///
    /// # Errors
    /// When the database can't be read.
    pub async fn probe_key_of(&self, digest: &Digest) -> Result<Option<(Uuid, Option<Timestamp>)>> {
        let row: Option<(String, Option<i64>)> = sqlx::query_as("SELECT id, used_at FROM probe_key WHERE key = ?")
            .bind(digest.as_slice())
            .fetch_optional(self.connections.read())
            .await?;
        row.map(|(id, used_at)| Ok((read_id(&id)?, used_at.map(instant)))).transpose()
    }

    /// That a key was used.
    ///
    /// # Errors
    /// When the database can't be written.
    pub async fn probe_key_used(&self, id: Uuid, now: Timestamp) -> Result<()> {
        let mut writing = self.connections.write().await?;
        sqlx::query("UPDATE probe_key SET used_at = ? WHERE id = ?")
            .bind(now.as_millisecond())
            .bind(id.to_string())
            .execute(&mut *writing)
            .await?;
        writing.commit().await
    }

    /// Revokes a key.
    ///
    /// # Errors
    /// [`Error::NotFound`] when there is none.
    pub async fn revoke_probe_key(&self, id: Uuid) -> Result<()> {
        self.remove("DELETE FROM probe_key WHERE id = ?", "key", id).await
    }

    async fn remove(&self, query: &'static str, what: &'static str, id: Uuid) -> Result<()> {
        let mut writing = self.connections.write().await?;
        let done = sqlx::query(query).bind(id.to_string()).execute(&mut *writing).await?.rows_affected();
        if done == 0 {
            return Err(Error::NotFound { what, id: id.to_string() });
        }
        writing.commit().await
    }
}

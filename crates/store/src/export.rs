//! The whole kitchen going out: one moment of it, written as it is read.

use ergastic_core::cook::{Event, Happened};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use jiff::Timestamp;
use serde_json::Value;
use tokio::sync::mpsc;
use uuid::Uuid;

use crate::connect::Snapshot;
use crate::cooks::StoredCook;
use crate::cooks::{RawEvent, raw_cook};
use crate::document::Document;
use crate::error::Result;
use crate::file::{CookFile, EventFile, FILE_VERSION, PlanFile};
use crate::kitchens::newest;
use crate::readings::Sweep;
use crate::store::Store;
use crate::text::{read_id, read_instant};

/// Bytes handed on at a time.
const PIECE: usize = 1 << 16;

/// How far an export or an import has come.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Progress {
    /// Plans' versions, cooks and readings so far.
    pub done: u64,
    /// Of so many, where that is known.
    pub of: Option<u64>,
}

/// Text on its way out.
struct Outgoing {
    send: mpsc::Sender<Result<Vec<u8>>>,
    piece: Vec<u8>,
    progress: Progress,
    tell: Box<dyn Fn(Progress) + Send + Sync>,
    told: u64,
}

/// Nobody receives any more.
struct ReceiverGone;

impl Outgoing {
    async fn write(&mut self, text: &[u8]) -> std::result::Result<(), ReceiverGone> {
        self.piece.extend_from_slice(text);
        if self.piece.len() >= PIECE { self.flush().await } else { Ok(()) }
    }

    async fn flush(&mut self) -> std::result::Result<(), ReceiverGone> {
        let piece = std::mem::replace(&mut self.piece, Vec::with_capacity(PIECE + PIECE / 4));
        self.send.send(Ok(piece)).await.map_err(|_| ReceiverGone)
    }

    /// An item of a list, as JSON.
    async fn item(&mut self, first: &mut bool, text: Vec<u8>) -> std::result::Result<(), ReceiverGone> {
        if !std::mem::take(first) {
            self.piece.push(b',');
        }
        self.count(1);
        self.write(&text).await
    }

    fn count(&mut self, more: u64) {
        const EVERY: u64 = 100_000;
        self.progress.done += more;
        if self.progress.done >= self.told + EVERY {
            self.told = self.progress.done;
            (self.tell)(self.progress);
        }
    }
}

/// Goes on while someone receives.
macro_rules! go_on {
    ($written:expr) => {
        if let Err(ReceiverGone) = $written {
            return Ok(());
        }
    };
}

impl Store {
    /// Everything that is kept at this moment, as a kitchen file in pieces; an error comes as the last of them. What can't be
    /// read goes out as it is kept, and says so. `tell` hears of the progress.
    pub fn export(&self, tell: impl Fn(Progress) + Send + Sync + 'static) -> mpsc::Receiver<Result<Vec<u8>>> {
        let (send, receive) = mpsc::channel(4);
        let store = self.clone();
        tokio::spawn(async move {
            let progress = Progress { done: 0, of: None };
            let out = Outgoing { send: send.clone(), piece: Vec::new(), progress, tell: Box::new(tell), told: 0 };
            if let Err(error) = store.write_file(out).await {
                let _ = send.send(Err(error)).await;
            }
        });
        receive
    }

    async fn write_file(&self, mut out: Outgoing) -> Result<()> {
        let mut snapshot = self.connections.snapshot().await?;
        let count: i64 = sqlx::query_scalar(
            "SELECT (SELECT count(*) FROM reading) + (SELECT count(*) FROM plan) + (SELECT count(*) FROM cook)",
        )
        .fetch_one(&mut *snapshot)
        .await?;
        out.progress.of = Some(count as u64);
        (out.tell)(out.progress);
        go_on!(out.write(format!("{{\"ergastic\":{FILE_VERSION}").as_bytes()).await);
        if let Some((_, text, format)) = newest(&mut snapshot).await? {
            let document = Document { format, text };
            if let Err(reason) = document.read::<Kitchen>() {
                let reason = Value::String(reason.to_string());
                go_on!(out.write(format!(",\"kitchen_damaged\":{reason}").as_bytes()).await);
            }
            let kitchen = document.as_json::<Kitchen>()?;
            go_on!(out.write(format!(",\"kitchen\":{kitchen}").as_bytes()).await);
        }
        go_on!(self.write_plans(&mut snapshot, &mut out).await?);
        go_on!(self.write_cooks(&mut snapshot, &mut out).await?);
        go_on!(self.write_probes(&mut snapshot, &mut out).await?);
        go_on!(out.write(b"}").await);
        go_on!(out.flush().await);
        (out.tell)(out.progress);
        Ok(())
    }

    async fn write_plans(
        &self,
        snapshot: &mut Snapshot,
        out: &mut Outgoing,
    ) -> Result<std::result::Result<(), ReceiverGone>> {
        type ExportRow = (String, i64, String, i64, String, Option<String>);
        let keys: Vec<(String, i64)> =
            sqlx::query_as("SELECT id, version FROM plan ORDER BY id, version").fetch_all(&mut **snapshot).await?;
        if out.write(b",\"plans\":[").await.is_err() {
            return Ok(Err(ReceiverGone));
        }
        let mut first = true;
        for (id, version) in keys {
            let row: ExportRow = sqlx::query_as(
                "SELECT id, version, document, format, saved_at, (SELECT deleted_at FROM plan_trash WHERE plan_id = id)
                 FROM plan WHERE id = ? AND version = ?",
            )
            .bind(id)
            .bind(version)
            .fetch_one(&mut **snapshot)
            .await?;
            let (id, version, text, format, saved_at, deleted_at) = row;
            let document = Document { format, text };
            let (Ok(id), Ok(saved_at)) = (read_id(&id), read_instant(&saved_at)) else { continue };
            let plan = PlanFile {
                id,
                version: Some(version),
                saved_at,
                plan: document.as_json::<Plan>()?,
                deleted_at: deleted_at.and_then(|at| read_instant(&at).ok()),
                damaged: document.read::<Plan>().err().map(|error| error.to_string()),
            };
            if out.item(&mut first, serde_json::to_vec(&plan)?).await.is_err() {
                return Ok(Err(ReceiverGone));
            }
        }
        Ok(out.write(b"]").await)
    }

    async fn write_cooks(
        &self,
        snapshot: &mut Snapshot,
        out: &mut Outgoing,
    ) -> Result<std::result::Result<(), ReceiverGone>> {
        let ids: Vec<String> =
            sqlx::query_scalar("SELECT id FROM cook ORDER BY opened_at, id").fetch_all(&mut **snapshot).await?;
        if out.write(b",\"cooks\":[").await.is_err() {
            return Ok(Err(ReceiverGone));
        }
        let mut first = true;
        for id in ids {
            let Some(raw) = raw_cook(snapshot, &id).await? else { continue };
            let damaged = match StoredCook::try_from(raw.clone()) {
                Err(error) => Some(error.to_string()),
                Ok(_) => {
                    raw.events.iter().find_map(|event| Event::try_from(event).err()).map(|error| error.to_string())
                }
            };
            let (Ok(id), Ok(opened_at)) = (read_id(&raw.id), read_instant(&raw.opened_at)) else { continue };
            let events = raw.events.iter().filter_map(|RawEvent { id, at, happened, device }| {
                let happened = happened.as_json::<Happened>().ok()?;
                Some(EventFile { id: read_id(id).ok()?, at: read_instant(at).ok()?, happened, device: device.clone() })
            });
            let cook = CookFile {
                id,
                plan_id: read_id(&raw.plan_id).unwrap_or(Uuid::nil()),
                opened_at,
                plan: raw.document.as_json::<Plan>()?,
                events: events.collect(),
                deleted_at: raw.deleted_at.as_deref().and_then(|at| read_instant(at).ok()),
                damaged,
            };
            if out.item(&mut first, serde_json::to_vec(&cook)?).await.is_err() {
                return Ok(Err(ReceiverGone));
            }
        }
        Ok(out.write(b"]").await)
    }

    async fn write_probes(
        &self,
        snapshot: &mut Snapshot,
        out: &mut Outgoing,
    ) -> Result<std::result::Result<(), ReceiverGone>> {
        let probes: Vec<(i64, String)> = sqlx::query_as(
            "SELECT seq, name FROM probe WHERE EXISTS (SELECT 1 FROM reading WHERE probe = probe.seq
                AND batch NOT IN (SELECT id FROM import_open)) ORDER BY name",
        )
        .fetch_all(&mut **snapshot)
        .await?;
        if out.write(b",\"probes\":[").await.is_err() {
            return Ok(Err(ReceiverGone));
        }
        for (i, (number, name)) in probes.into_iter().enumerate() {
            let comma = if i == 0 { "" } else { "," };
            let head = format!("{comma}{{\"probe\":{},\"readings\":[", serde_json::to_string(&name)?);
            if out.write(head.as_bytes()).await.is_err() {
                return Ok(Err(ReceiverGone));
            }
            let mut first = true;
            let mut sweep = Sweep::of(number, Timestamp::MIN, Timestamp::MAX);
            loop {
                let readings = sweep.next(snapshot).await?;
                if readings.is_empty() {
                    break;
                }
                let mut text = Vec::with_capacity(80 * readings.len());
                for reading in &readings {
                    if !std::mem::take(&mut first) {
                        text.push(b',');
                    }
                    serde_json::to_writer(&mut text, &(reading.id, reading.at, reading.celsius))?;
                }
                out.count(readings.len() as u64);
                if out.write(&text).await.is_err() {
                    return Ok(Err(ReceiverGone));
                }
            }
            if out.write(b"]}").await.is_err() {
                return Ok(Err(ReceiverGone));
            }
        }
        Ok(out.write(b"]").await)
    }
}

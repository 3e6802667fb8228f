//! A kitchen file on its way into the store: all of it or nothing.

use std::io::Read;

use axum::body::Bytes;
use ergastic_core::kitchen::Kitchen;
use ergastic_store::{Brought, Import, Reading, Staged, Store};
use ergastic_words::{Voice, keeping as say};
use jiff::Timestamp;
use tokio::runtime::Handle;
use tokio::sync::mpsc;

use crate::error::{ApiError, ApiResult};
use crate::kitchen_file::{Sink, read_file};

/// Pieces of a body, read from a thread that may wait for them. `None` is the proper end; a closed channel is not.
pub struct Pieces {
    receive: mpsc::Receiver<Option<Bytes>>,
    piece: Bytes,
    ended: bool,
}

impl Pieces {
    /// What comes through a channel.
    pub fn new(receive: mpsc::Receiver<Option<Bytes>>) -> Self {
        Self { receive, piece: Bytes::new(), ended: false }
    }
}

impl Read for Pieces {
    fn read(&mut self, into: &mut [u8]) -> std::io::Result<usize> {
        while self.piece.is_empty() && !self.ended {
            match self.receive.blocking_recv() {
                Some(Some(piece)) => self.piece = piece,
                Some(None) => self.ended = true,
                None => {
                    return Err(std::io::Error::new(
                        std::io::ErrorKind::UnexpectedEof,
                        Voice::default().render(say::broke_off()),
                    ));
                }
            }
        }
        let length = into.len().min(self.piece.len());
        into[..length].copy_from_slice(&self.piece.split_to(length));
        Ok(length)
    }
}

/// Where parts are brought in.
pub struct Bringing {
    /// The import.
    pub import: Import,
    /// Of the runtime that the database is on.
    pub handle: Handle,
}

impl Sink for Bringing {
    fn items(&mut self, items: Vec<Staged>) -> ApiResult<()> {
        Ok(self.handle.block_on(self.import.stage(&items))?)
    }

    fn readings(&mut self, probe: &str, readings: Vec<Reading>) -> ApiResult<()> {
        Ok(self.handle.block_on(self.import.stage_readings(probe, readings))?)
    }
}

/// Brings in a file that is there as a whole.
///
/// # Errors
/// Names the field that can't be used; nothing is brought in then.
pub async fn bring_in(store: &Store, file: Vec<u8>, now: Timestamp) -> ApiResult<Brought> {
    let (kitchen, import) = (store.kitchen().await?, store.begin_import().await?);
    let handle = Handle::current();
    let read = tokio::task::spawn_blocking(move || Bringing { import, handle }.all(file.as_slice(), kitchen, now));
    read.await.map_err(|error| ApiError::Internal(error.to_string()))?
}

impl Bringing {
    /// Brings in all that a reader gives, or nothing.
    ///
    /// # Errors
    /// Names the field that can't be used, or what the store says.
    pub fn all(mut self, reader: impl Read, kitchen: Kitchen, now: Timestamp) -> ApiResult<Brought> {
        let handle = self.handle.clone();
        match read_file(reader, kitchen, now, &mut self) {
            Ok(()) => Ok(handle.block_on(self.import.finish())?),
            Err(error) => {
                // What can't be cleared now is cleared before the next import.
                let _ = handle.block_on(self.import.give_up());
                Err(error)
            }
        }
    }
}

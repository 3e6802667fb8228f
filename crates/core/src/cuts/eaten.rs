//! How the meat is eaten: what "done" means.

use ergastic_words::{Message, cuts as say};
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

/// How the meat is eaten: what "done" means.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum EatenAs {
    /// A fork goes in, a slice holds.
    Slice,
    /// Soft chunks that hold their shape.
    Fork,
    /// A probe slides in like butter, and it still slices.
    Probe,
    /// Shreds, in chunks first, in threads later.
    Pull,
    /// Collapses under a spoon.
    Spoon,
}

impl EatenAs {
    /// All five, from firm to soft.
    pub const ALL: [Self; 5] = [Self::Slice, Self::Fork, Self::Probe, Self::Pull, Self::Spoon];

    /// The sign by which a cook knows it.
    pub fn sign(self) -> Message {
        say::sign(self.key())
    }

    /// What it then is: ready to slice, fork-tender.
    pub fn done(self) -> Message {
        say::done(self.key())
    }

    /// Its name in JSON, and the word on the screen.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

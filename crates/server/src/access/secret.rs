//! Secrets that are made here: cookies, codes and keys of 256 random bits. Only their SHA-256 is kept; being that long and random
//! they need no slower hash.

use ergastic_store::Digest;
use rand::Rng;
use sha2::{Digest as _, Sha256};

/// A secret, shown once.
pub struct Secret(String);

impl Secret {
    /// From the system's randomness, in hexadecimal.
    pub fn fresh() -> Self {
        let mut bytes = [0u8; 32];
        rand::rng().fill_bytes(&mut bytes);
        Self(bytes.iter().map(|byte| format!("{byte:02x}")).collect())
    }

    /// What it holds.
    pub fn told(&self) -> &str {
        &self.0
    }

    /// What is kept of it.
    pub fn digest(&self) -> Digest {
        digest(&self.0)
    }
}

/// What is kept of a secret that somebody shows.
pub fn digest(shown: &str) -> Digest {
    Sha256::digest(shown.as_bytes()).into()
}

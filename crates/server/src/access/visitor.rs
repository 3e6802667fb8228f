//! Who asks: said by the door, read by the handlers.

use std::net::IpAddr;

use axum::extract::FromRequestParts;
use axum::http::request::Parts;
use ergastic_store::{Device, Role};

use crate::error::ApiError;

/// The other end of a connection.
#[derive(Debug, Clone, Copy)]
pub struct Peer(pub IpAddr);

/// Who asks.
#[derive(Debug, Clone)]
pub enum Visitor {
    /// Somebody at this machine.
    Machine,
    /// A screen that has signed in.
    Device(Device),
    /// A probe with its key.
    Probe,
    /// Nobody knows who.
    Stranger(IpAddr),
}

impl Visitor {
    /// Its screen, where it has signed in with one.
    pub fn device(&self) -> Option<&Device> {
        match self {
            Self::Device(device) => Some(device),
            _ => None,
        }
    }

    /// What it may do, where it may do anything.
    pub fn role(&self) -> Option<Role> {
        match self {
            Self::Machine => Some(Role::Cook),
            Self::Device(device) => Some(device.role),
            Self::Probe | Self::Stranger(_) => None,
        }
    }
}

impl<S: Send + Sync> FromRequestParts<S> for Visitor {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, _: &S) -> Result<Self, ApiError> {
        // Every door says it: a request without it came through none.
        parts
            .extensions
            .get::<Self>()
            .cloned()
            .ok_or_else(|| ApiError::Internal("a request came through no door".into()))
    }
}

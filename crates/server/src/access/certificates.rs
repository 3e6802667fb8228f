//! The certificate that the door is opened with: made anew before it ends and when the machine's addresses change, without
//! closing the door.

use std::fmt;
use std::net::{IpAddr, Ipv4Addr, Ipv6Addr};
use std::sync::{Arc, PoisonError, RwLock};

use jiff::{SignedDuration, Timestamp};
use rustls::ServerConfig;
use rustls::server::{ClientHello, ResolvesServerCert};
use rustls::sign::CertifiedKey;

use super::addresses::{Addresses, is_private};
use super::authority::Authority;

/// With so long to go it is made anew.
const ANEW: SignedDuration = SignedDuration::from_hours(24 * 30);

/// The certificate of now, from the kitchen's authority.
pub struct Certificates {
    /// The kitchen's authority.
    pub authority: Authority,
    addresses: Arc<Addresses>,
    shown: RwLock<(Arc<CertifiedKey>, Timestamp)>,
}

impl fmt::Debug for Certificates {
    fn fmt(&self, formatter: &mut fmt::Formatter<'_>) -> fmt::Result {
        formatter.debug_struct("Certificates").field("addresses", &self.addresses).finish_non_exhaustive()
    }
}

fn made(
    authority: &Authority,
    addresses: &Addresses,
    now: Timestamp,
) -> anyhow::Result<(Arc<CertifiedKey>, Timestamp)> {
    let own = [IpAddr::V4(Ipv4Addr::LOCALHOST), IpAddr::V6(Ipv6Addr::LOCALHOST)];
    let ips: Vec<IpAddr> = own.into_iter().take(1).chain(addresses.ips()).filter(|ip| is_private(*ip)).collect();
    let names: Vec<String> = ["localhost".to_owned()].into_iter().chain(addresses.names().iter().cloned()).collect();
    authority.vouch(&names, &ips, now)
}

impl Certificates {
    /// For the addresses there are.
    ///
    /// # Errors
    /// When a name can't stand in a certificate.
    pub fn new(authority: Authority, addresses: Arc<Addresses>, now: Timestamp) -> anyhow::Result<Self> {
        let shown = RwLock::new(made(&authority, &addresses, now)?);
        Ok(Self { authority, addresses, shown })
    }

    /// Makes it anew where that is due; whether it was.
    ///
    /// # Errors
    /// When a name can't stand in a certificate.
    pub fn look(&self, now: Timestamp) -> anyhow::Result<bool> {
        let moved = self.addresses.look();
        if !moved && now + ANEW < self.ends_at() {
            return Ok(false);
        }
        *self.shown.write().unwrap_or_else(PoisonError::into_inner) = made(&self.authority, &self.addresses, now)?;
        Ok(true)
    }

    /// The one of now, with its key.
    pub fn shown(&self) -> Arc<CertifiedKey> {
        self.shown.read().unwrap_or_else(PoisonError::into_inner).0.clone()
    }

    /// When the one of now ends.
    pub fn ends_at(&self) -> Timestamp {
        self.shown.read().unwrap_or_else(PoisonError::into_inner).1
    }

    /// How the door speaks: TLS 1.3, or 1.2 with forward secrecy; nothing older is known to it.
    ///
    /// # Errors
    /// When the library knows none of these.
    pub fn speaks(self: &Arc<Self>) -> anyhow::Result<Arc<ServerConfig>> {
        let provider = Arc::new(rustls::crypto::ring::default_provider());
        let mut config = ServerConfig::builder_with_provider(provider)
            .with_protocol_versions(&[&rustls::version::TLS13, &rustls::version::TLS12])?
            .with_no_client_auth()
            .with_cert_resolver(self.clone());
        config.alpn_protocols = vec![b"http/1.1".to_vec()];
        Ok(Arc::new(config))
    }
}

impl ResolvesServerCert for Certificates {
    fn resolve(&self, _: ClientHello<'_>) -> Option<Arc<CertifiedKey>> {
        Some(self.shown())
    }
}

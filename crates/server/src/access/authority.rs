//! The kitchen's own authority, made once: it vouches for the kitchen's certificate, and for nothing beyond one's own networks.

use std::io::Write;
use std::net::IpAddr;
use std::os::unix::fs::OpenOptionsExt;
use std::path::Path;
use std::sync::Arc;

use anyhow::Context;
use jiff::{SignedDuration, Timestamp};
use rcgen::{
    BasicConstraints, CertificateParams, CidrSubnet, DnType, ExtendedKeyUsagePurpose, GeneralSubtree, IsCa, Issuer,
    KeyPair, KeyUsagePurpose, NameConstraints, SanType, date_time_ymd,
};
use rustls::crypto::ring::sign::any_ecdsa_type;
use rustls::pki_types::pem::PemObject;
use rustls::pki_types::{CertificateDer, PrivateKeyDer, PrivatePkcs8KeyDer};
use rustls::sign::CertifiedKey;
use serde::{Deserialize, Serialize};
use sha2::{Digest, Sha256};

/// Its file in the kitchen's folder, its owner's alone.
const FILE: &str = "authority.json";
/// It holds for ten years.
const HOLDS: SignedDuration = SignedDuration::from_hours(24 * 3652);
/// What it vouches for holds for 90 days, and is made anew long before.
pub const LEAF_HOLDS: SignedDuration = SignedDuration::from_hours(24 * 90);
/// Clocks of phones may be so much behind.
const BEHIND: SignedDuration = SignedDuration::from_hours(48);
/// Endings of names that are nobody's on the open internet.
const LOCAL_NAMES: [&str; 5] = ["localhost", "local", "lan", "internal", "home.arpa"];
/// One's own networks: private, link-local and shared addresses of IPv4, unique local ones of IPv6.
const LOCAL_NETWORKS: [(&str, u8); 7] = [
    ("127.0.0.0", 8),
    ("10.0.0.0", 8),
    ("172.16.0.0", 12),
    ("192.168.0.0", 16),
    ("169.254.0.0", 16),
    ("100.64.0.0", 10),
    ("fc00::", 7),
];

/// What is kept of it.
#[derive(Serialize, Deserialize)]
struct KeptKeys {
    certificate: String,
    key: String,
    ends_at: Timestamp,
    names: Vec<String>,
}

/// The kitchen's authority.
pub struct Authority {
    certificate: CertificateDer<'static>,
    pem: String,
    issuer: Issuer<'static, KeyPair>,
    /// When it ends.
    pub ends_at: Timestamp,
}

/// The day of an instant, as the certificate's library takes it.
fn day(at: Timestamp) -> time::OffsetDateTime {
    let date = at.to_zoned_datetime(jiff::tz::TimeZone::UTC).date();
    date_time_ymd(date.year().into(), date.month() as u8, date.day() as u8)
}

/// What the authority is: the same whenever it is asked, so that its certificate needs no reading.
fn params(names: &[String], now: Timestamp, ends_at: Timestamp) -> anyhow::Result<CertificateParams> {
    let mut params = CertificateParams::default();
    params.distinguished_name.push(DnType::CommonName, "Ergastic: the authority of this kitchen");
    params.is_ca = IsCa::Ca(BasicConstraints::Constrained(0));
    params.key_usages = vec![KeyUsagePurpose::KeyCertSign, KeyUsagePurpose::DigitalSignature];
    params.not_before = day(now - BEHIND);
    params.not_after = day(ends_at);
    // A phone that trusts it is in no danger by it anywhere else, even if its key were stolen.
    let networks = LOCAL_NETWORKS
        .iter()
        .map(|(net, prefix)| Ok(GeneralSubtree::IpAddress(CidrSubnet::from_addr_prefix(net.parse()?, *prefix))));
    let names = LOCAL_NAMES.iter().copied().map(str::to_owned).chain(names.iter().cloned());
    let permitted: anyhow::Result<Vec<_>> =
        networks.chain(names.map(|name| Ok(GeneralSubtree::DnsName(name)))).collect();
    params.name_constraints = Some(NameConstraints { permitted_subtrees: permitted?, excluded_subtrees: Vec::new() });
    Ok(params)
}

fn vouched(names: &[String], name: &str) -> bool {
    let under = |end: &str| name == end || name.ends_with(&format!(".{end}"));
    LOCAL_NAMES.iter().any(|end| under(end)) || names.iter().any(|end| under(end))
}

impl Authority {
    /// The authority in a folder, made where there is none, where it has ended, or where it does not vouch for a name that leads
    /// here.
    ///
    /// # Errors
    /// When its file can't be read or written.
    pub fn open(folder: &Path, names: &[String], now: Timestamp) -> anyhow::Result<Self> {
        let file = folder.join(FILE);
        let told = || file.display().to_string();
        if file.exists() {
            let text = std::fs::read_to_string(&file).with_context(told)?;
            let kept: KeptKeys = serde_json::from_str(&text).with_context(told)?;
            if kept.ends_at > now + LEAF_HOLDS && names.iter().all(|name| vouched(&kept.names, name)) {
                return Self::of(kept, now);
            }
        }
        let (key, ends_at) = (KeyPair::generate()?, now + HOLDS);
        let certificate = params(names, now, ends_at)?.self_signed(&key)?.pem();
        let kept = KeptKeys { certificate, key: key.serialize_pem(), ends_at, names: names.to_vec() };
        // Whole or not at all, and never for others to read.
        let half = file.with_extension("new");
        let mut out = std::fs::OpenOptions::new()
            .write(true)
            .create(true)
            .truncate(true)
            .mode(0o600)
            .open(&half)
            .with_context(told)?;
        out.write_all(serde_json::to_string(&kept)?.as_bytes()).and_then(|()| out.sync_all()).with_context(told)?;
        std::fs::rename(&half, &file).with_context(told)?;
        Self::of(kept, now)
    }

    fn of(kept: KeptKeys, now: Timestamp) -> anyhow::Result<Self> {
        let KeptKeys { certificate: pem, key, ends_at, names } = kept;
        let certificate = CertificateDer::from_pem_slice(pem.as_bytes())?;
        let issuer = Issuer::new(params(&names, now, ends_at)?, KeyPair::from_pem(&key)?);
        Ok(Self { certificate, pem, issuer, ends_at })
    }

    /// Its certificate, for a phone to trust.
    pub fn pem(&self) -> &str {
        &self.pem
    }

    /// The same as it is carried.
    pub fn der(&self) -> &CertificateDer<'static> {
        &self.certificate
    }

    /// SHA-256 of its certificate, as a phone shows it: what is compared before it is trusted.
    pub fn fingerprint(&self) -> String {
        let bytes = Sha256::digest(&self.certificate);
        bytes.iter().map(|byte| format!("{byte:02X}")).collect::<Vec<_>>().join(":")
    }

    /// A certificate for names and addresses, with a key of its own that is nowhere kept, and when it ends.
    ///
    /// # Errors
    /// When a name can't stand in a certificate.
    pub fn vouch(
        &self,
        names: &[String],
        ips: &[IpAddr],
        now: Timestamp,
    ) -> anyhow::Result<(Arc<CertifiedKey>, Timestamp)> {
        let ends_at = (now + LEAF_HOLDS).min(self.ends_at);
        let mut leaf = CertificateParams::default();
        leaf.distinguished_name.push(DnType::CommonName, "Ergastic: this kitchen");
        leaf.not_before = day(now - BEHIND);
        leaf.not_after = day(ends_at);
        leaf.use_authority_key_identifier_extension = true;
        leaf.key_usages = vec![KeyUsagePurpose::DigitalSignature];
        leaf.extended_key_usages = vec![ExtendedKeyUsagePurpose::ServerAuth];
        for name in names {
            leaf.subject_alt_names.push(SanType::DnsName(name.as_str().try_into()?));
        }
        leaf.subject_alt_names.extend(ips.iter().map(|ip| SanType::IpAddress(*ip)));
        let key = KeyPair::generate()?;
        let certificate = leaf.signed_by(&key, &self.issuer)?;
        let private = PrivateKeyDer::Pkcs8(PrivatePkcs8KeyDer::from(key.serialize_der()));
        let chain = vec![certificate.der().clone(), self.certificate.clone()];
        Ok((Arc::new(CertifiedKey::new(chain, any_ecdsa_type(&private)?)), ends_at))
    }
}

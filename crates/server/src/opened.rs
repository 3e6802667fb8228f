//! Opens the way in from beyond this machine: its passphrase, its certificate, what it listens on, and what is said of it.

use std::io::{BufRead, IsTerminal, Write};
use std::net::{IpAddr, Ipv4Addr};
use std::path::Path;
use std::sync::Arc;

use anyhow::{Context, bail, ensure};
use ergastic_store::Store;
use ergastic_words::{Message, Voice, service as say};
use jiff::Timestamp;
use qrcode::QrCode;
use qrcode::render::unicode;
use rustls::pki_types::DnsName;
use tokio::net::TcpListener;

use crate::access::{Addresses, Authority, Beyond, Certificates, check, hashed, is_private};
use crate::app::App;
use crate::router::beyond;
use crate::serve::Outer;

fn told(said: Message) -> String {
    Voice::default().render(said)
}

/// A passphrase: typed twice and not shown, or the line that comes in.
fn typed() -> anyhow::Result<String> {
    if !std::io::stdin().is_terminal() {
        let mut line = String::new();
        std::io::stdin().lock().read_line(&mut line)?;
        return Ok(line.trim_end_matches(['\r', '\n']).to_owned());
    }
    let first = rpassword::prompt_password(format!("{} ", told(say::ask_passphrase())))?;
    let again = rpassword::prompt_password(format!("{} ", told(say::ask_passphrase_again())))?;
    ensure!(first == again, told(say::passphrases_differ()));
    Ok(first)
}

/// Asks for a passphrase and keeps it.
///
/// # Errors
/// When what is typed is no good passphrase, or it can't be kept.
pub async fn ask_passphrase(store: &Store) -> anyhow::Result<()> {
    let passphrase = typed()?;
    check(&passphrase)?;
    store.set_passphrase_hash(&hashed(&passphrase)?, None).await?;
    println!("{}", told(say::passphrase_is_set()));
    Ok(())
}

/// That a host to listen on and its names can be had, before anything is opened.
///
/// # Errors
/// Says which can't.
pub fn check_host(host: IpAddr, names: &[String]) -> anyhow::Result<()> {
    ensure!(host.is_unspecified() || is_private(host), told(say::host_not_private(&host.to_string())));
    for name in names {
        let good = DnsName::try_from(name.as_str()).is_ok() && name.parse::<IpAddr>().is_err();
        ensure!(good, told(say::no_such_name(&format!("{name:?}"))));
    }
    Ok(())
}

/// What is listened on: this machine's own address always, and the one asked for.
///
/// # Errors
/// When a port is taken.
pub async fn listeners(host: Option<IpAddr>, port: u16) -> anyhow::Result<(Vec<TcpListener>, u16)> {
    let taken = |port: u16| told(say::port_taken(&port.to_string()));
    let own = IpAddr::V4(Ipv4Addr::LOCALHOST);
    // An address that stands for all of them stands for this machine's own too.
    let first = host.filter(|host| host.is_unspecified()).unwrap_or(own);
    let first = TcpListener::bind((first, port)).await.with_context(|| taken(port))?;
    let port = first.local_addr()?.port();
    let mut listeners = vec![first];
    if let Some(host) = host.filter(|host| !host.is_unspecified() && *host != own) {
        listeners.push(TcpListener::bind((host, port)).await.with_context(|| taken(port))?);
    }
    Ok((listeners, port))
}

/// Opens the way in; without a passphrase it stays shut.
///
/// # Errors
/// When there is no passphrase and nobody to ask for it, or no certificate.
pub async fn open(app: &App, folder: &Path, host: IpAddr, names: &[String], port: u16) -> anyhow::Result<Outer> {
    if app.store.passphrase_hash().await?.is_none() {
        if !std::io::stdin().is_terminal() {
            bail!("{}", told(say::no_passphrase_yet()));
        }
        ask_passphrase(&app.store).await?;
    }
    let addresses = Arc::new(Addresses::new(host, port, names));
    let now = Timestamp::now();
    let authority = Authority::open(folder, addresses.names(), now).with_context(|| told(say::authority_not_made()))?;
    let certificates = Arc::new(Certificates::new(authority, addresses.clone(), now)?);
    app.desk.open(Beyond { addresses: addresses.clone(), certificates: certificates.clone() });
    Ok(Outer { router: beyond(app.clone()), addresses, certificates })
}

/// Says where the kitchen is found, to a terminal as a picture too.
pub fn announce(outer: &Outer) {
    let mut out = std::io::stdout().lock();
    let urls = outer.addresses.urls();
    // Who reads it may have gone; the kitchen stands all the same.
    for url in &urls {
        let _ = writeln!(out, "{url}");
    }
    let _ = writeln!(out, "{}", told(say::fingerprint_is(&outer.certificates.authority.fingerprint())));
    if let Some(code) = urls.first().filter(|_| std::io::stdout().is_terminal()).and_then(|url| QrCode::new(url).ok()) {
        let _ = writeln!(out, "{}", code.render::<unicode::Dense1x2>().build());
    }
}

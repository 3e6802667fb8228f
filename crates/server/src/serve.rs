//! Connections: how many, how long they may take over a request's head, by which door they come in, and how they end.

use std::collections::HashMap;
use std::convert::Infallible;
use std::net::IpAddr;
use std::pin::pin;
use std::sync::Arc;
use std::time::Duration;

use axum::Router;
use axum::body::Body;
use axum::http::{HeaderValue, Request, StatusCode, header};
use axum::response::{IntoResponse, Response};
use futures_util::future::select_all;
use hyper::body::Incoming;
use hyper::server::conn::http1;
use hyper::service::service_fn;
use hyper_util::rt::{TokioIo, TokioTimer};
use hyper_util::server::graceful::{GracefulShutdown, Watcher};
use jiff::Timestamp;
use tokio::io::{AsyncRead, AsyncWrite};
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::{OwnedSemaphorePermit, Semaphore};
use tokio::task::JoinSet;
use tokio_rustls::TlsAcceptor;
use tower::ServiceExt;

use crate::access::{Addresses, Certificates, Peer};
use crate::patient::Patient;

/// Connections from this machine that may be open at once.
const CONNECTIONS: usize = 512;
/// Connections from beyond it: they take none of those.
const FROM_BEYOND: usize = 256;
/// Of these so many of one address: one that opens more leaves room for others.
const OF_ONE_ADDRESS: usize = 32;
/// What is sent must get on within this time, else the connection is given up.
const PATIENCE: Duration = Duration::from_secs(20);
/// The head of a request must be there by then.
const HEAD: Duration = Duration::from_secs(15);
/// What is under way when the server is asked to stop may take so long to end.
const ENDING: Duration = Duration::from_millis(1500);
/// It is looked so often whether the certificate has to be made anew.
const LOOK: Duration = Duration::from_secs(60);
/// How a connection over TLS begins (RFC 8446, 5.1: a handshake record).
const HANDSHAKE: u8 = 22;

/// The way in from beyond this machine.
#[derive(Clone)]
pub struct Outer {
    /// What answers there.
    pub router: Router,
    /// Where it is found.
    pub addresses: Arc<Addresses>,
    /// What it shows.
    pub certificates: Arc<Certificates>,
}

/// What a connection needs to be served.
#[derive(Clone)]
struct Doors {
    own: Router,
    outer: Option<(Outer, TlsAcceptor)>,
}

/// Serves until asked to stop; then lets what is under way end, but not for long. `ending` is called in between: it ends
/// what would never end by itself.
///
/// # Errors
/// When no certificate can be shown.
pub async fn serve(
    listeners: Vec<TcpListener>,
    own: Router,
    outer: Option<Outer>,
    stop: impl Future<Output = ()>,
    ending: impl FnOnce(),
) -> anyhow::Result<()> {
    let outer = outer.map(|outer| Ok::<_, anyhow::Error>((outer.certificates.speaks()?, outer))).transpose()?;
    let doors = Doors { own, outer: outer.map(|(speaks, outer)| (outer, TlsAcceptor::from(speaks))) };
    let mut places = Places::new();
    let graceful = GracefulShutdown::new();
    let mut connections = JoinSet::new();
    let mut stop = pin!(stop);
    let mut look = tokio::time::interval(LOOK);
    loop {
        let any = select_all(listeners.iter().map(|listener| Box::pin(listener.accept())));
        let (stream, peer) = tokio::select! {
            (accepted, ..) = any => match accepted {
                Ok((stream, peer)) => (stream, peer.ip().to_canonical()),
                // Out of file handles, or the other side has gone already: neither is a reason to stop.
                Err(error) => {
                    tracing::warn!("a connection can't be taken: {error}");
                    tokio::time::sleep(Duration::from_millis(50)).await;
                    continue;
                }
            },
            Some(_) = connections.join_next(), if !connections.is_empty() => continue,
            _ = look.tick(), if doors.outer.is_some() => {
                doors.look();
                continue;
            }
            () = &mut stop => break,
        };
        // Beyond the most a connection is closed at once; whoever it was asks again.
        let Some(place) = places.of(peer) else { continue };
        let _ = stream.set_nodelay(true);
        let (doors, watcher) = (doors.clone(), graceful.watcher());
        connections.spawn(async move {
            let _place = place;
            if let Err(error) = doors.lead_in(stream, peer, watcher).await {
                tracing::debug!("a connection ended: {error}");
            }
        });
    }
    drop(listeners);
    ending();
    if tokio::time::timeout(ENDING, graceful.shutdown()).await.is_err() {
        tracing::warn!("{} connections were still under way and are closed", connections.len());
    }
    connections.abort_all();
    Ok(())
}

/// Places for connections: of this machine, from beyond, and of one address.
struct Places {
    near: Arc<Semaphore>,
    far: Arc<Semaphore>,
    of_address: HashMap<IpAddr, Arc<Semaphore>>,
}

/// A connection's place, given back with it.
type Reached = (OwnedSemaphorePermit, Option<OwnedSemaphorePermit>);

impl Places {
    fn new() -> Self {
        let [near, far] = [CONNECTIONS, FROM_BEYOND].map(|most| Arc::new(Semaphore::new(most)));
        Self { near, far, of_address: HashMap::new() }
    }

    /// A place for who comes from an address; none where all are taken.
    fn of(&mut self, peer: IpAddr) -> Option<Reached> {
        let all = if peer.is_loopback() { &self.near } else { &self.far };
        let place = all.clone().try_acquire_owned().ok()?;
        let own = self.of_address.entry(peer).or_insert_with(|| Arc::new(Semaphore::new(OF_ONE_ADDRESS))).clone();
        let own = if peer.is_loopback() { None } else { Some(own.try_acquire_owned().ok()?) };
        self.of_address.retain(|_, own| own.available_permits() < OF_ONE_ADDRESS);
        Some((place, own))
    }
}

impl Doors {
    /// Has the certificate made anew in time.
    fn look(&self) {
        if let Some((outer, _)) = &self.outer
            && let Err(error) = outer.certificates.look(Timestamp::now())
        {
            tracing::warn!("the certificate can't be made anew: {error}");
        }
    }

    /// Leads a connection to its door: over TLS always to the one from beyond, whoever it is; else this machine to its own, and
    /// anybody else to the same address over TLS.
    async fn lead_in(self, stream: TcpStream, peer: IpAddr, watcher: Watcher) -> anyhow::Result<()> {
        let Some((outer, tls)) = self.outer else { return answered(stream, self.own, peer, watcher).await };
        let mut first = [0u8];
        if tokio::time::timeout(HEAD, stream.peek(&mut first)).await?? == 0 {
            return Ok(());
        }
        if first[0] == HANDSHAKE {
            let stream = tokio::time::timeout(HEAD, tls.accept(stream)).await??;
            return answered(stream, outer.router, peer, watcher).await;
        }
        if peer.is_loopback() {
            return answered(stream, self.own, peer, watcher).await;
        }
        let addresses = outer.addresses;
        let elsewhere = Router::new().fallback(move |request: axum::extract::Request| {
            let answer = over_tls(&addresses, &request);
            async move { answer }
        });
        answered(stream, elsewhere, peer, watcher).await
    }
}

/// Nothing is answered in the open but where to come instead.
fn over_tls(addresses: &Addresses, request: &axum::extract::Request) -> Response {
    let host = request.headers().get(header::HOST).and_then(|host| host.to_str().ok());
    let Some(host) = host.filter(|host| addresses.answers_to(host)) else {
        return StatusCode::FORBIDDEN.into_response();
    };
    let path = request.uri().path_and_query().map_or("/", |path| path.as_str());
    match HeaderValue::from_str(&format!("https://{host}{path}")) {
        Ok(there) => (StatusCode::PERMANENT_REDIRECT, [(header::LOCATION, there)]).into_response(),
        Err(_) => StatusCode::FORBIDDEN.into_response(),
    }
}

/// Answers what comes over a connection.
async fn answered(
    stream: impl AsyncRead + AsyncWrite + Unpin + Send + 'static,
    router: Router,
    peer: IpAddr,
    watcher: Watcher,
) -> anyhow::Result<()> {
    let service = service_fn(move |request: Request<Incoming>| {
        let router = router.clone();
        async move {
            let mut request = request.map(Body::new);
            request.extensions_mut().insert(Peer(peer));
            let answered = router.oneshot(request).await;
            Ok::<_, Infallible>(answered.unwrap_or_else(|never| match never {}))
        }
    });
    let connection = http1::Builder::new()
        .timer(TokioTimer::new())
        .header_read_timeout(HEAD)
        .serve_connection(TokioIo::new(Patient::new(stream, PATIENCE)), service);
    watcher.watch(connection).await?;
    Ok(())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn in_the_open_nothing_is_said_but_where_to_come_instead() {
        let addresses = Addresses::new("192.168.7.4".parse().unwrap(), 4870, &[]);
        let ask = |host: &str, path: &str| {
            let request = Request::builder().uri(path).header("host", host).header("cookie", "__Host-screen=x");
            over_tls(&addresses, &request.body(Body::empty()).unwrap())
        };
        let answer = ask("192.168.7.4:4870", "/cook/1?x=2");
        assert_eq!(answer.status(), StatusCode::PERMANENT_REDIRECT);
        assert_eq!(answer.headers()[header::LOCATION], "https://192.168.7.4:4870/cook/1?x=2");
        let headers: Vec<_> = answer.headers().keys().map(|name| name.as_str()).collect();
        assert_eq!(headers, ["location"]);
        assert_eq!(ask("evil.example", "/api/now").status(), StatusCode::FORBIDDEN);
    }
}

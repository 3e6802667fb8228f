//! Connections: how many, how long they may take over a request's head, and how they end.

use std::convert::Infallible;
use std::pin::pin;
use std::sync::Arc;
use std::time::Duration;

use axum::Router;
use axum::body::Body;
use axum::http::Request;
use hyper::body::Incoming;
use hyper::server::conn::http1;
use hyper::service::service_fn;
use hyper_util::rt::{TokioIo, TokioTimer};
use hyper_util::server::graceful::GracefulShutdown;
use tokio::net::TcpListener;
use tokio::sync::Semaphore;
use tokio::task::JoinSet;
use tower::ServiceExt;

/// Connections that may be open at once.
const CONNECTIONS: usize = 512;
/// The head of a request must be there by then.
const HEAD: Duration = Duration::from_secs(15);
/// What is under way when the server is asked to stop may take so long to end.
const ENDING: Duration = Duration::from_millis(1500);

/// Serves until asked to stop; then lets what is under way end, but not for long. `ending` is called in between: it ends
/// what would never end by itself.
pub async fn serve(listener: TcpListener, router: Router, stop: impl Future<Output = ()>, ending: impl FnOnce()) {
    let places = Arc::new(Semaphore::new(CONNECTIONS));
    let graceful = GracefulShutdown::new();
    let mut connections = JoinSet::new();
    let mut stop = pin!(stop);
    loop {
        let stream = tokio::select! {
            accepted = listener.accept() => match accepted {
                Ok((stream, _)) => stream,
                // Out of file handles, or the other side has gone already: neither is a reason to stop.
                Err(error) => {
                    tracing::warn!("a connection can't be taken: {error}");
                    tokio::time::sleep(Duration::from_millis(50)).await;
                    continue;
                }
            },
            Some(_) = connections.join_next(), if !connections.is_empty() => continue,
            () = &mut stop => break,
        };
        // Beyond the most a connection is closed at once; whoever it was asks again.
        let Ok(place) = places.clone().try_acquire_owned() else { continue };
        let _ = stream.set_nodelay(true);
        let router = router.clone();
        let service = service_fn(move |request: Request<Incoming>| {
            let router = router.clone();
            async move {
                let answered = router.oneshot(request.map(Body::new)).await;
                Ok::<_, Infallible>(answered.unwrap_or_else(|never| match never {}))
            }
        });
        let connection = http1::Builder::new()
            .timer(TokioTimer::new())
            .header_read_timeout(HEAD)
            .serve_connection(TokioIo::new(stream), service);
        let connection = graceful.watch(connection);
        connections.spawn(async move {
            let _place = place;
            if let Err(error) = connection.await {
                tracing::debug!("a connection ended: {error}");
            }
        });
    }
    drop(listener);
    ending();
    if tokio::time::timeout(ENDING, graceful.shutdown()).await.is_err() {
        tracing::warn!("{} connections were still under way and are closed", connections.len());
    }
    connections.abort_all();
}

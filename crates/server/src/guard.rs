//! The two doors. At this machine's own nobody is asked who they are, and nothing but this machine's names for itself is answered
//! to. From beyond it a screen shows its cookie and a probe its key, and only the addresses that are allowed are answered to.

use std::net::{IpAddr, Ipv4Addr};

use axum::extract::{Request, State};
use axum::http::{HeaderMap, HeaderName, HeaderValue, Method, StatusCode, header, uri::Authority};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};
use ergastic_words::service as say;
use jiff::{SignedDuration, Timestamp};

use crate::access::{Peer, Secret, Visitor, digest, is_own, may, session_of, with_cookie};
use crate::app::App;
use crate::error::ApiError;
use crate::queue::{ASKER, Asker};

/// Pages load nothing from elsewhere; styles are set by the component library at run time.
const CONTENT_POLICY: &str = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; \
    object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

/// The headers that every answer carries.
pub const HEADERS: [(&str, &str); 5] = [
    ("content-security-policy", CONTENT_POLICY),
    ("x-content-type-options", "nosniff"),
    ("referrer-policy", "same-origin"),
    ("cross-origin-resource-policy", "same-origin"),
    ("cross-origin-opener-policy", "same-origin"),
];
/// A browser that has come by a name over HTTPS comes no other way for a year.
const NO_DOWNGRADE: HeaderValue = HeaderValue::from_static("max-age=31536000");
/// It is kept so often that a probe's key was used.
const USED_EVERY: SignedDuration = SignedDuration::from_secs(60);

fn refused(said: ergastic_words::Message) -> Response {
    ApiError::Refused(StatusCode::FORBIDDEN, said).into_response()
}

fn text(headers: &HeaderMap, name: HeaderName) -> Option<&str> {
    headers.get(name).and_then(|value| value.to_str().ok())
}

/// The host that a request names.
fn host(request: &Request) -> Option<&str> {
    text(request.headers(), header::HOST).or_else(|| request.uri().authority().map(Authority::as_str))
}

/// Whether a page that asks is the kitchen's own: its `Origin` is the very address that it asks, scheme and port too.
fn is_own_page(origin: &str, scheme: &str, host: &str) -> bool {
    let default = if scheme == "https" { ":443" } else { ":80" };
    let authority = origin.split_once("://").filter(|(theirs, _)| *theirs == scheme).map(|(_, authority)| authority);
    authority.is_some_and(|authority| {
        let bare = |authority: &str| authority.strip_suffix(default).unwrap_or(authority).to_ascii_lowercase();
        bare(authority) == bare(host)
    })
}

/// Whether another site's page asks, also for what only reads: a stream is held for good.
fn from_another_site(request: &Request) -> bool {
    let site = text(request.headers(), HeaderName::from_static("sec-fetch-site"));
    is_api(request.uri().path()) && site.is_some_and(|site| site != "same-origin" && site != "none")
}

fn is_api(path: &str) -> bool {
    path.starts_with("/api/")
}

/// Refuses what is addressed to, or sent by the page of, any other name.
fn addressed(request: &Request, scheme: &str, ours: impl Fn(&str) -> bool) -> Result<(), Box<Response>> {
    // Of two hosts one is a lie to whoever reads the other.
    let one = request.headers().get_all(header::HOST).iter().count() < 2;
    let Some(host) = host(request).filter(|host| one && ours(host)) else {
        return Err(Box::new(refused(say::own_names_only())));
    };
    let elsewhere = match request.headers().get(header::ORIGIN) {
        Some(origin) => !origin.to_str().is_ok_and(|origin| is_own_page(origin, scheme, host)),
        None => false,
    };
    if elsewhere || from_another_site(request) {
        return Err(Box::new(refused(say::another_site())));
    }
    Ok(())
}

/// This machine's own door. A name that was rebound to it must not reach the kitchen.
pub async fn own_door(mut request: Request, next: Next) -> Response {
    let ours = |authority: &str| authority.parse::<Authority>().is_ok_and(|authority| is_own(authority.host()));
    if let Err(refusal) = addressed(&request, "http", ours) {
        return *refusal;
    }
    request.extensions_mut().insert(Visitor::Machine);
    ASKER.scope(Asker::of(&Visitor::Machine), next.run(request)).await
}

/// The door from beyond this machine.
pub async fn beyond_door(State(app): State<App>, mut request: Request, next: Next) -> Response {
    let Some(beyond) = app.desk.beyond() else { return refused(say::own_machine_only()) };
    if let Err(refusal) = addressed(&request, "https", |authority| beyond.addresses.answers_to(authority)) {
        return *refusal;
    }
    // An address is no name, and this machine is reached by its own without HTTPS too.
    let named = host(&request).and_then(|host| host.parse::<Authority>().ok()).is_some_and(|authority| {
        let host = authority.host();
        !is_own(host) && host.trim_matches(['[', ']']).parse::<IpAddr>().is_err()
    });
    let peer = request.extensions().get::<Peer>().map_or(IpAddr::V4(Ipv4Addr::UNSPECIFIED), |peer| peer.0);
    let asked = (request.uri().path(), request.headers());
    let mut response = match who(&app, peer, asked).await {
        Err(error) => error.into_response(),
        Ok((visitor, other)) => match allowed(&visitor, request.method(), request.uri().path()) {
            Err(refusal) => refusal.into_response(),
            Ok(()) => {
                let asker = Asker::of(&visitor);
                request.extensions_mut().insert(visitor);
                let answered = ASKER.scope(asker, next.run(request)).await;
                match other {
                    Some(secret) => with_cookie(answered, &secret),
                    None => answered,
                }
            }
        },
    };
    if named {
        response.headers_mut().insert(header::STRICT_TRANSPORT_SECURITY, NO_DOWNGRADE);
    }
    response
}

/// Who asks, by its key or its cookie, with another cookie where that is due.
async fn who(
    app: &App,
    peer: IpAddr,
    (path, headers): (&str, &HeaderMap),
) -> Result<(Visitor, Option<Secret>), ApiError> {
    let stranger = Visitor::Stranger(peer);
    if !is_api(path) {
        return Ok((stranger, None));
    }
    // By the machine's own clock: a kitchen's may run faster.
    let now = Timestamp::now();
    if let Some(shown) = text(headers, header::AUTHORIZATION) {
        let key = shown.strip_prefix("Bearer ").map(digest);
        let known = match key {
            Some(key) => app.store.probe_key_of(&key).await?,
            None => None,
        };
        let Some((id, used_at)) = known else {
            return Err(ApiError::Refused(StatusCode::UNAUTHORIZED, say::no_such_key()));
        };
        if used_at.is_none_or(|used_at| now.duration_since(used_at) > USED_EVERY) {
            app.store.probe_key_used(id, now).await?;
        }
        return Ok((Visitor::Probe, None));
    }
    let session = session_of(&app.store, headers, now).await?;
    Ok(session.map_or((stranger, None), |session| (Visitor::Device(session.device), session.other)))
}

/// Whether a visitor may ask an address.
fn allowed(visitor: &Visitor, method: &Method, path: &str) -> Result<(), ApiError> {
    // The page itself, and asking to be let in, are everybody's.
    let open = !is_api(path) || (path == "/api/device" && (method == Method::GET || method == Method::POST));
    let refused = match visitor {
        _ if open => return Ok(()),
        Visitor::Probe if is_readings(path) => return Ok(()),
        Visitor::Probe => ApiError::Refused(StatusCode::FORBIDDEN, say::probes_read_only()),
        Visitor::Stranger(_) => ApiError::Refused(StatusCode::UNAUTHORIZED, say::sign_in_first()),
        Visitor::Machine => return Ok(()),
        Visitor::Device(device) if may(device.role, method, path) => return Ok(()),
        Visitor::Device(_) => ApiError::Refused(StatusCode::FORBIDDEN, say::looks_only()),
    };
    Err(refused)
}

/// `/api/probes/{probe}/readings`, and nothing else.
fn is_readings(path: &str) -> bool {
    let named = path.strip_prefix("/api/probes/").and_then(|rest| rest.strip_suffix("/readings"));
    named.is_some_and(|probe| !probe.is_empty() && !probe.contains('/'))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_page_is_the_kitchens_own_by_scheme_host_and_port() {
        for (origin, scheme, host, own) in [
            ("http://localhost:4870", "http", "localhost:4870", true),
            ("http://LOCALHOST:4870", "http", "localhost:4870", true),
            ("https://galley.example", "https", "galley.example:443", true),
            ("http://localhost", "http", "localhost:80", true),
            ("http://localhost:4871", "http", "localhost:4870", false),
            ("https://localhost:4870", "http", "localhost:4870", false),
            ("http://127.0.0.1:4870", "http", "localhost:4870", false),
            ("http://localhost:4870.evil.example", "http", "localhost:4870", false),
            ("null", "http", "localhost:4870", false),
        ] {
            assert_eq!(is_own_page(origin, scheme, host), own, "{origin} at {scheme}://{host}");
        }
    }

    #[test]
    fn two_hosts_are_none() {
        let ours = |host: &str| host == "localhost:4870";
        let request = Request::builder().uri("/").header("host", "localhost:4870");
        assert!(addressed(&request.body(Default::default()).unwrap(), "http", ours).is_ok());
        for second in ["localhost:4870", "evil.example"] {
            let two = Request::builder().uri("/").header("host", "localhost:4870").header("host", second);
            assert!(addressed(&two.body(Default::default()).unwrap(), "http", ours).is_err(), "{second}");
        }
    }
}

//! What is let in from beyond the kitchen's own machine. Each test stands for a line of docs/threats.md.

use std::net::IpAddr;
use std::path::PathBuf;
use std::sync::Arc;

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Request, Response, StatusCode, header};
use ergastic::access::{Addresses, Authority, Beyond, Certificates, Peer, forget_unseen, hashed, session_of};
use ergastic::{App, api_document, beyond, router};
use ergastic_store::Store;
use jiff::{SignedDuration, Timestamp};
use rustls::client::WebPkiServerVerifier;
use rustls::client::danger::ServerCertVerifier;
use rustls::pki_types::{ServerName, UnixTime};
use rustls::sign::CertifiedKey;
use serde_json::{Value, json};
use tokio_stream::StreamExt;
use tower::ServiceExt;
use uuid::Uuid;

const PASSPHRASE: &str = "seven ladles of cold smoke";
const HOST: &str = "192.168.7.4:4870";
const PLAN: &str = "/api/plans/00000000-0000-4000-8000-000000000001";
const COOK: &str = "/api/cooks/00000000-0000-4000-8000-000000000002";

/// A folder that goes with the test.
struct Folder(PathBuf);

impl Folder {
    fn new() -> Self {
        let folder = std::env::temp_dir().join(format!("ergastic-{}", Uuid::new_v4()));
        std::fs::create_dir_all(&folder).unwrap();
        Self(folder)
    }
}

impl Drop for Folder {
    fn drop(&mut self) {
        let _ = std::fs::remove_dir_all(&self.0);
    }
}

fn certificates(folder: &Folder, names: &[String], now: Timestamp) -> (Arc<Addresses>, Certificates) {
    let authority = Authority::open(&folder.0, names, now).unwrap();
    let addresses = Arc::new(Addresses::new("192.168.7.4".parse().unwrap(), 4870, names));
    let certificates = Certificates::new(authority, addresses.clone(), now).unwrap();
    (addresses, certificates)
}

/// A kitchen with both doors.
struct Kitchen {
    app: App,
    own: Router,
    beyond: Router,
}

impl Kitchen {
    async fn new() -> Self {
        let app = App::new(Store::temporary().await.unwrap()).unwrap();
        app.store.set_passphrase_hash(&hashed(PASSPHRASE).unwrap(), None).await.unwrap();
        let (addresses, certificates) = certificates(&Folder::new(), &["galley.lan".into()], Timestamp::now());
        app.desk.open(Beyond { addresses, certificates: Arc::new(certificates) });
        Self { own: router(app.clone()), beyond: beyond(app.clone()), app }
    }

    /// Signs in and answers the cookie.
    async fn cookie(&self, role: &str) -> String {
        let asked = json!({"name": "Apron phone", "passphrase": PASSPHRASE, "role": role});
        let answer = send(&self.beyond, "POST", "/api/device", &[], asked).await;
        assert_eq!(answer.status(), StatusCode::OK);
        cookie(&answer)
    }
}

fn cookie(answer: &Response<Body>) -> String {
    let set = answer.headers()[header::SET_COOKIE].to_str().unwrap();
    set.split(';').next().unwrap().to_owned()
}

async fn send(door: &Router, method: &str, path: &str, headers: &[(&str, &str)], body: Value) -> Response<Body> {
    from("192.168.7.20", door, method, path, headers, body).await
}

async fn from(
    peer: &str,
    door: &Router,
    method: &str,
    path: &str,
    headers: &[(&str, &str)],
    body: Value,
) -> Response<Body> {
    let mut request = Request::builder().method(method).uri(path).extension(Peer(peer.parse::<IpAddr>().unwrap()));
    if !headers.iter().any(|(name, _)| *name == "host") {
        request = request.header("host", HOST);
    }
    for (name, value) in headers {
        request = request.header(*name, *value);
    }
    let body = if body.is_null() { Body::empty() } else { Body::from(body.to_string()) };
    door.clone().oneshot(request.body(body).unwrap()).await.unwrap()
}

async fn status(door: &Router, method: &str, path: &str, headers: &[(&str, &str)], body: Value) -> StatusCode {
    send(door, method, path, headers, body).await.status()
}

async fn read(answer: Response<Body>) -> Value {
    serde_json::from_slice(&to_bytes(answer.into_body(), 1 << 24).await.unwrap()).unwrap_or(Value::Null)
}

/// Every operation of the API, with something for each name in its address.
fn operations() -> Vec<(String, String)> {
    let document = serde_json::to_value(api_document()).unwrap();
    let id = Uuid::from_u128(9).to_string();
    let of = |(path, item): (&String, &Value)| {
        let filled: Vec<&str> =
            path.split('/').map(|part| if part.starts_with('{') { id.as_str() } else { part }).collect();
        let path = filled.join("/");
        item.as_object().unwrap().keys().map(|method| (method.to_uppercase(), path.clone())).collect::<Vec<_>>()
    };
    document["paths"].as_object().unwrap().iter().flat_map(of).collect()
}

#[tokio::test]
async fn a_foreign_screen_gets_nothing_but_the_page_and_the_question_who_it_is() {
    let kitchen = Kitchen::new().await;
    let mut asked = 0;
    for (method, path) in operations() {
        let open = path == "/api/device" && method != "DELETE";
        for cookie in ["", "__Host-screen=0", "__Host-screen=' OR 1=1 --"] {
            let got = status(&kitchen.beyond, &method, &path, &[("cookie", cookie)], Value::Null).await;
            assert_eq!(got != StatusCode::UNAUTHORIZED, open, "{method} {path}: {got}");
            asked += 1;
        }
    }
    assert!(asked > 150);
    assert_eq!(
        status(&kitchen.beyond, "GET", "/api/export", &[("authorization", "Bearer x")], Value::Null).await,
        StatusCode::UNAUTHORIZED
    );
    let who = read(send(&kitchen.beyond, "GET", "/api/device", &[], Value::Null).await).await;
    assert_eq!(who, json!({"signed_in": false, "name": "", "role": null, "machine": false}));
}

#[tokio::test]
async fn guessing_the_passphrase_costs_longer_each_time_and_hinders_no_one_else() {
    let kitchen = Kitchen::new().await;
    let wrong = json!({"name": "x", "passphrase": "seven ladles of warm smoke"});
    let right = json!({"name": "x", "passphrase": PASSPHRASE});
    let ask = |peer: &'static str, body: Value| {
        let door = kitchen.beyond.clone();
        async move { from(peer, &door, "POST", "/api/device", &[], body).await }
    };
    for _ in 0..4 {
        assert_eq!(ask("192.168.7.66", wrong.clone()).await.status(), StatusCode::FORBIDDEN);
    }
    // Even the right one is not looked at before the time is over.
    for body in [wrong.clone(), right.clone(), json!({"name": "x", "invitation": "guess"})] {
        let answer = ask("192.168.7.66", body).await;
        assert_eq!(answer.status(), StatusCode::TOO_MANY_REQUESTS);
        assert!(
            answer.headers().contains_key(header::RETRY_AFTER) && !answer.headers().contains_key(header::SET_COOKIE)
        );
    }
    assert_eq!(ask("192.168.7.7", right).await.status(), StatusCode::OK);
    // All at once is no way round it.
    let guesses = (0..30).map(|_| ask("192.168.7.67", wrong.clone()));
    let answers = futures_util::future::join_all(guesses).await;
    assert_eq!(answers.iter().filter(|answer| answer.status() == StatusCode::FORBIDDEN).count(), 4);
    let missing = ask("192.168.7.8", json!({"name": "x"})).await;
    assert_eq!(read(missing).await["field"], "passphrase");
}

#[tokio::test]
async fn a_session_is_never_one_that_somebody_brought_and_its_cookie_is_the_browsers_alone() {
    let kitchen = Kitchen::new().await;
    let brought = "__Host-screen=5eed5eed";
    let asked = json!({"name": "Wall", "passphrase": PASSPHRASE, "role": "look"});
    let answer = send(&kitchen.beyond, "POST", "/api/device", &[("cookie", brought)], asked).await;
    let set = answer.headers()[header::SET_COOKIE].to_str().unwrap().to_owned();
    for part in ["HttpOnly", "Secure", "SameSite=Strict", "Path=/"] {
        assert!(set.contains(part), "{set}");
    }
    assert!(!set.contains("Domain"));
    assert_ne!(cookie(&answer), brought);
    assert_eq!(
        status(&kitchen.beyond, "GET", "/api/now", &[("cookie", brought)], Value::Null).await,
        StatusCode::UNAUTHORIZED
    );
    assert_ne!(kitchen.cookie("cook").await, kitchen.cookie("cook").await);
}

#[tokio::test]
async fn a_cookie_is_changed_every_day_and_a_stolen_one_ends_with_it() {
    let kitchen = Kitchen::new().await;
    let sent = kitchen.cookie("cook").await;
    let headers = |cookie: &str| [(header::COOKIE, cookie.parse().unwrap())].into_iter().collect();
    let (store, now) = (&kitchen.app.store, Timestamp::now());
    let hours = SignedDuration::from_hours;
    assert!(session_of(store, &headers(&sent), now + hours(1)).await.unwrap().unwrap().other.is_none());
    let later = now + hours(25);
    let other = session_of(store, &headers(&sent), later).await.unwrap().unwrap().other.expect("another cookie");
    let fresh = format!("__Host-screen={}", other.told());
    // What was under way with the one before still counts, for a minute; it is changed no second time.
    let under_way = later + SignedDuration::from_secs(20);
    assert!(session_of(store, &headers(&sent), under_way).await.unwrap().unwrap().other.is_none());
    assert!(session_of(store, &headers(&sent), later + SignedDuration::from_secs(61)).await.unwrap().is_none());
    assert!(session_of(store, &headers(&fresh), later + hours(1)).await.unwrap().is_some());
    // A screen that lay in a drawer for a month is a stranger; a clock that was wrong for one request makes none of it.
    for wrong in [24 * 32, 24 * 400, 24 * 365 * 40] {
        assert!(session_of(store, &headers(&fresh), later + hours(wrong)).await.unwrap().is_none());
        assert!(session_of(store, &headers(&fresh), later + hours(2)).await.unwrap().is_some(), "{wrong} hours off");
    }
    assert!(session_of(store, &headers(&fresh), later - hours(24 * 365 * 40)).await.unwrap().is_some());
    assert!(session_of(store, &headers(&fresh), later + hours(3)).await.unwrap().is_some());
    forget_unseen(store, later + hours(24 * 32)).await.unwrap();
    assert!(kitchen.app.store.devices().await.unwrap().is_empty());
}

#[tokio::test]
async fn another_sites_page_neither_sends_nor_listens_at_either_door() {
    let kitchen = Kitchen::new().await;
    let sent = kitchen.cookie("cook").await;
    let own = ("host", "127.0.0.1:4870");
    for (door, more) in [(&kitchen.own, own), (&kitchen.beyond, ("cookie", sent.as_str()))] {
        for foreign in [
            ("origin", "https://evil.example"),
            ("origin", "null"),
            ("sec-fetch-site", "cross-site"),
            ("sec-fetch-site", "same-site"),
        ] {
            for (method, path) in
                [("GET", "/api/events"), ("GET", "/api/export"), ("POST", "/api/forecast"), ("DELETE", "/api/trash")]
            {
                let got = status(door, method, path, &[more, foreign], json!({})).await;
                assert_eq!(got, StatusCode::FORBIDDEN, "{method} {path} {foreign:?}");
            }
        }
        let answer = send(door, "GET", "/api/cooks", &[more], Value::Null).await;
        assert_eq!(answer.status(), StatusCode::OK);
        assert!(!answer.headers().contains_key("access-control-allow-origin"));
    }
}

#[tokio::test]
async fn a_name_that_was_rebound_is_not_answered_to_at_either_door() {
    let kitchen = Kitchen::new().await;
    let sent = kitchen.cookie("cook").await;
    for host in ["evil.example", "evil.example:4870", "192.168.7.4.evil.example", "192.168.7.5:4870", ""] {
        let headers = [("host", host), ("cookie", sent.as_str())];
        assert_eq!(
            status(&kitchen.beyond, "GET", "/api/now", &headers, Value::Null).await,
            StatusCode::FORBIDDEN,
            "{host}"
        );
        assert_eq!(
            status(&kitchen.own, "GET", "/api/now", &headers, Value::Null).await,
            StatusCode::FORBIDDEN,
            "{host}"
        );
    }
    for host in [HOST, "galley.lan:4870", "localhost:4870"] {
        let headers = [("host", host), ("cookie", sent.as_str())];
        assert_eq!(status(&kitchen.beyond, "GET", "/api/now", &headers, Value::Null).await, StatusCode::OK, "{host}");
    }
    // The addresses from beyond are no names of this machine's own door.
    assert_eq!(status(&kitchen.own, "GET", "/api/now", &[("host", HOST)], Value::Null).await, StatusCode::FORBIDDEN);
}

#[tokio::test]
async fn a_stolen_probe_key_reads_and_sends_readings_and_is_revoked() {
    let kitchen = Kitchen::new().await;
    let made =
        read(send(&kitchen.own, "POST", "/api/probe-keys", &[("host", "localhost")], json!({"name": "Pit hub"})).await)
            .await;
    let bearer = format!("Bearer {}", made["key"].as_str().unwrap());
    let key = [("authorization", bearer.as_str())];
    let reading = json!([{"id": Uuid::new_v4(), "at": Timestamp::now(), "celsius": 71.2}]);
    let readings = "/api/probes/galley/readings";
    assert_eq!(status(&kitchen.beyond, "POST", readings, &key, reading.clone()).await, StatusCode::OK);
    for (method, path) in operations() {
        if path.ends_with("/readings") || path == "/api/device" {
            continue;
        }
        assert_eq!(
            status(&kitchen.beyond, &method, &path, &key, Value::Null).await,
            StatusCode::FORBIDDEN,
            "{method} {path}"
        );
    }
    let path = format!("/api/probe-keys/{}", made["id"].as_str().unwrap());
    assert_eq!(
        status(&kitchen.own, "DELETE", &path, &[("host", "localhost")], Value::Null).await,
        StatusCode::NO_CONTENT
    );
    assert_eq!(status(&kitchen.beyond, "POST", readings, &key, reading).await, StatusCode::UNAUTHORIZED);
}

#[tokio::test]
async fn who_only_looks_changes_nothing() {
    let kitchen = Kitchen::new().await;
    let sent = kitchen.cookie("look").await;
    let cookie = [("cookie", sent.as_str())];
    for (method, path) in operations() {
        let worked_out = [
            "/api/forecast",
            "/api/match",
            "/api/prepare",
            "/api/sheet",
            "/api/sauce",
            "/api/why",
            "/api/recipes/read",
            "/api/probes/log",
        ];
        let changes = match method.as_str() {
            "GET" => path == "/api/export" || path == "/api/devices",
            "POST" => !worked_out.iter().any(|allowed| path.starts_with(allowed)) && !path.ends_with("/tried"),
            _ => true,
        };
        if path == "/api/device" || path == "/api/events" {
            continue;
        }
        let got = status(&kitchen.beyond, &method, &path, &cookie, Value::Null).await;
        assert_eq!(got == StatusCode::FORBIDDEN, changes, "{method} {path}: {got}");
    }
    assert_eq!(status(&kitchen.beyond, "DELETE", "/api/device", &cookie, Value::Null).await, StatusCode::NO_CONTENT);
    assert_eq!(status(&kitchen.beyond, "GET", "/api/now", &cookie, Value::Null).await, StatusCode::UNAUTHORIZED);
}

#[tokio::test]
async fn a_screen_that_is_signed_out_hears_nothing_more_and_another_passphrase_signs_all_out() {
    let kitchen = Kitchen::new().await;
    let sent = kitchen.cookie("cook").await;
    let cookie = [("cookie", sent.as_str())];
    let stream = send(&kitchen.beyond, "GET", "/api/events", &cookie, Value::Null).await;
    let mut heard = stream.into_body().into_data_stream();
    assert!(heard.next().await.is_some(), "it says hello");
    let devices = read(send(&kitchen.own, "GET", "/api/devices", &[("host", "localhost")], Value::Null).await).await;
    let path = format!("/api/devices/{}", devices["devices"][0]["id"].as_str().unwrap());
    assert_eq!(
        status(&kitchen.own, "DELETE", &path, &[("host", "localhost")], Value::Null).await,
        StatusCode::NO_CONTENT
    );
    let ended = tokio::time::timeout(std::time::Duration::from_secs(10), heard.next()).await;
    assert!(ended.expect("the stream ends").is_none());
    let sent = kitchen.cookie("cook").await;
    let other = kitchen.cookie("cook").await;
    let cookie = [("cookie", sent.as_str())];
    let change = |before: &str| json!({"before": before, "passphrase": "eight ladles of thin ice"});
    assert_eq!(
        status(&kitchen.beyond, "PUT", "/api/passphrase", &cookie, change("wrong")).await,
        StatusCode::FORBIDDEN
    );
    assert_eq!(
        status(&kitchen.beyond, "PUT", "/api/passphrase", &cookie, change(PASSPHRASE)).await,
        StatusCode::NO_CONTENT
    );
    assert_eq!(status(&kitchen.beyond, "GET", "/api/now", &cookie, Value::Null).await, StatusCode::OK);
    assert_eq!(
        status(&kitchen.beyond, "GET", "/api/now", &[("cookie", other.as_str())], Value::Null).await,
        StatusCode::UNAUTHORIZED
    );
}

#[tokio::test]
async fn an_invitation_lets_one_screen_in_once_for_what_it_was_made_for() {
    let kitchen = Kitchen::new().await;
    let made =
        read(send(&kitchen.own, "POST", "/api/invitations", &[("host", "localhost")], json!({"role": "look"})).await)
            .await;
    let (address, code) = made["url"].as_str().unwrap().split_once('#').unwrap();
    assert_eq!(address, "https://galley.lan:4870/in");
    assert!(made["picture"].as_str().unwrap().contains("<svg"));
    // What it is for is not the guest's to say.
    let asked = json!({"name": "Guest", "invitation": code, "role": "cook", "passphrase": "no"});
    let came = read(send(&kitchen.beyond, "POST", "/api/device", &[], asked.clone()).await).await;
    assert_eq!((&came["signed_in"], &came["role"], &came["name"]), (&json!(true), &json!("look"), &json!("Guest")));
    assert_eq!(status(&kitchen.beyond, "POST", "/api/device", &[], asked).await, StatusCode::FORBIDDEN);
}

#[tokio::test]
async fn a_replayed_tap_counts_once_and_whose_it_was_is_the_doors_to_say() {
    let kitchen = Kitchen::new().await;
    let sent = kitchen.cookie("cook").await;
    let cookie = [("cookie", sent.as_str())];
    let plan = json!({"version": 0, "plan": {"name": "Lake-ice shin", "serve_at": "2040-02-06T16:30:00Z", "forecast": {"cut": "shin", "method": "braise", "members": 16}}});
    assert_eq!(status(&kitchen.beyond, "PUT", PLAN, &cookie, plan).await, StatusCode::OK);
    let open = json!({"plan_id": "00000000-0000-4000-8000-000000000001"});
    assert_eq!(status(&kitchen.beyond, "PUT", COOK, &cookie, open).await, StatusCode::OK);
    let at = Timestamp::now();
    let taken = json!([{"id": Uuid::from_u128(5), "at": at, "happened": {"kind": "task_taken", "task": "preheat", "hands": "Runa"}, "device": "Office"}]);
    let events = format!("{COOK}/events");
    for _ in 0..3 {
        assert_eq!(status(&kitchen.beyond, "POST", &events, &cookie, taken.clone()).await, StatusCode::OK);
    }
    let note = json!([{"id": Uuid::from_u128(6), "at": at, "happened": {"kind": "task_taken", "task": "preheat", "hands": "Isko"}}]);
    let host = ("host", "localhost");
    let cook = read(send(&kitchen.own, "POST", &events, &[host], note).await).await;
    let log = cook["view"]["log"].as_array().unwrap();
    let devices: Vec<_> = log.iter().map(|line| line["event"]["device"].as_str().unwrap()).collect();
    assert_eq!(devices, ["Apron phone", "the kitchen's own machine"]);
    let task = cook["view"]["tasks"].as_array().unwrap().iter().find(|task| task["task"]["id"] == "preheat").unwrap();
    assert_eq!(task["taken_words"], "Runa and Isko have it: one of you can let go");
    // It goes out with the kitchen's file, and comes in again.
    let file = read(send(&kitchen.own, "GET", "/api/export", &[host], Value::Null).await).await;
    assert_eq!(file["cooks"][0]["events"][0]["device"], "Apron phone");
    let other = Kitchen::new().await;
    assert_eq!(status(&other.own, "POST", "/api/import", &[host], file).await, StatusCode::OK);
    let came = read(send(&other.own, "GET", COOK, &[host], Value::Null).await).await;
    assert_eq!(came["view"]["log"][0]["event"]["device"], "Apron phone");
}

/// Whether a phone that trusts the authority takes a certificate for a name at an instant.
fn taken(authority: &Authority, shown: &CertifiedKey, name: &str, at: Timestamp) -> bool {
    let mut roots = rustls::RootCertStore::empty();
    roots.add(authority.der().clone()).unwrap();
    let provider = Arc::new(rustls::crypto::ring::default_provider());
    let verifier = WebPkiServerVerifier::builder_with_provider(Arc::new(roots), provider).build().unwrap();
    let name = ServerName::try_from(name.to_owned()).unwrap();
    let at = UnixTime::since_unix_epoch(std::time::Duration::from_secs(at.as_second() as u64));
    verifier.verify_server_cert(&shown.cert[0], &shown.cert[1..], &name, &[], at).is_ok()
}

#[test]
fn a_certificate_that_would_expire_is_made_anew_with_the_door_open() {
    let (folder, now) = (Folder::new(), Timestamp::now());
    let (_, certificates) = certificates(&folder, &["galley.lan".into()], now);
    let day = |days: i64| now + SignedDuration::from_hours(24 * days);
    let first = certificates.shown();
    for name in ["192.168.7.4", "galley.lan", "localhost", "127.0.0.1"] {
        assert!(taken(&certificates.authority, &first, name, now), "{name}");
    }
    assert!(!taken(&certificates.authority, &first, "192.168.7.5", now));
    assert!(!taken(&certificates.authority, &first, "galley.lan", day(91)));
    assert!(!certificates.look(day(50)).unwrap(), "there is no hurry yet");
    assert!(certificates.look(day(61)).unwrap());
    let second = certificates.shown();
    assert!(taken(&certificates.authority, &second, "galley.lan", day(91)));
    assert_ne!(first.cert[0], second.cert[0]);
    // Phones trust the authority once: it is the same after a restart, also years later.
    let again = Authority::open(&folder.0, &["galley.lan".into()], day(3000)).unwrap();
    assert_eq!(again.der(), certificates.authority.der());
    let (leaf, ends) = again.vouch(&["galley.lan".into()], &[], day(3000)).unwrap();
    assert!(taken(&certificates.authority, &leaf, "galley.lan", day(3000)) && ends > day(3080));
}

#[test]
fn the_authority_vouches_for_nothing_beyond_ones_own_networks_and_its_key_is_its_owners_alone() {
    use std::os::unix::fs::PermissionsExt;
    let (folder, now) = (Folder::new(), Timestamp::now());
    let authority = Authority::open(&folder.0, &[], now).unwrap();
    for (name, ip, good) in [
        ("bank.example", "192.168.7.4", false),
        ("galley.local", "192.168.7.4", true),
        ("galley.local", "203.0.113.9", false),
    ] {
        let (leaf, _) = authority.vouch(&[name.to_owned()], &[ip.parse().unwrap()], now).unwrap();
        assert_eq!(taken(&authority, &leaf, name, now), good, "{name} {ip}");
    }
    let mode = std::fs::metadata(folder.0.join("authority.json")).unwrap().permissions().mode();
    assert_eq!(mode & 0o777, 0o600);
}

//! A screen's cookie: made at signing in, changed every day, kept as its digest.

use axum::http::{HeaderMap, HeaderValue, header};
use axum::response::Response;
use cookie::{Cookie, SameSite};
use ergastic_store::{Device, Digest, Result, Role, Store};
use jiff::{SignedDuration, Timestamp};
use uuid::Uuid;

use super::secret::{Secret, digest};

/// Its name: the prefix binds it to this very host, to HTTPS and to every path (RFC 6265bis).
pub const COOKIE: &str = "__Host-screen";
/// A cookie is changed after this.
const CHANGED_AFTER: SignedDuration = SignedDuration::from_hours(24);
/// The one before it still counts so long: what was sent with it may be under way.
const STILL: SignedDuration = SignedDuration::from_secs(60);
/// A screen that was not seen for so long signs in again.
const UNSEEN: SignedDuration = SignedDuration::from_hours(24 * 30);
/// However often it was seen, after so long it does.
const LONGEST: SignedDuration = SignedDuration::from_hours(24 * 365);
/// It is kept so often that a screen was seen.
const SEEN_EVERY: SignedDuration = SignedDuration::from_secs(60);

/// What a request's cookie has shown.
pub struct Session {
    /// Whose it is.
    pub device: Device,
    /// Another cookie, to be given with the answer.
    pub other: Option<Secret>,
}

fn set(secret: &str) -> Option<HeaderValue> {
    let cookie = Cookie::build((COOKIE, secret))
        .path("/")
        .secure(true)
        .http_only(true)
        .same_site(SameSite::Strict)
        .max_age(time::Duration::days(LONGEST.as_hours() / 24))
        .build();
    HeaderValue::from_str(&cookie.to_string()).ok()
}

/// The header that takes the cookie away.
pub fn removal() -> HeaderValue {
    let cookie = Cookie::build((COOKIE, "")).path("/").secure(true).http_only(true).same_site(SameSite::Strict);
    HeaderValue::from_str(&cookie.removal().build().to_string()).unwrap_or(HeaderValue::from_static(""))
}

/// An answer that gives a cookie.
pub fn with_cookie(mut response: Response, secret: &Secret) -> Response {
    if let Some(cookie) = set(secret.told()) {
        response.headers_mut().append(header::SET_COOKIE, cookie);
    }
    response
}

/// What a request's cookie holds.
pub fn cookie_of(headers: &HeaderMap) -> Option<String> {
    let sent = headers.get_all(header::COOKIE).iter().filter_map(|sent| sent.to_str().ok());
    let found = sent.flat_map(Cookie::split_parse).filter_map(|cookie| cookie.ok()).find(|one| one.name() == COOKIE);
    found.map(|cookie| cookie.value().to_owned())
}

/// Signs a screen in: always with a cookie that nobody had before.
pub async fn let_in(store: &Store, name: String, role: Role, now: Timestamp) -> Result<Session> {
    let device = Device { id: Uuid::new_v4(), name, role, token_at: now, signed_in_at: now, seen_at: now };
    let secret = Secret::fresh();
    store.sign_in(&device, &secret.digest()).await?;
    Ok(Session { device, other: Some(secret) })
}

/// Forgets the screens that were not seen for too long, by a clock that has proved right.
///
/// # Errors
/// When the database can't be written.
pub async fn forget_unseen(store: &Store, now: Timestamp) -> Result<()> {
    store.forget_devices(now - LONGEST, now - UNSEEN).await
}

/// The screen whose cookie a request shows, if it is signed in; its cookie is changed where that is due.
pub async fn session_of(store: &Store, headers: &HeaderMap, now: Timestamp) -> Result<Option<Session>> {
    let Some(shown) = cookie_of(headers) else { return Ok(None) };
    let shown: Digest = digest(&shown);
    let Some((device, current)) = store.device_of(&shown, now).await? else { return Ok(None) };
    // It is not forgotten yet: a clock that is wrong for a moment must sign nobody out for good.
    if now.duration_since(device.seen_at) > UNSEEN || now.duration_since(device.signed_in_at) > LONGEST {
        return Ok(None);
    }
    let mut other = None;
    if current && now.duration_since(device.token_at) > CHANGED_AFTER {
        let fresh = Secret::fresh();
        // Of two requests that come at once the other has changed it.
        if store.change_token(device.id, &shown, &fresh.digest(), now, STILL).await? {
            other = Some(fresh);
        }
    } else if now.duration_since(device.seen_at) > SEEN_EVERY {
        store.device_seen(device.id, now).await?;
    }
    Ok(Some(Session { device, other }))
}

//! The screens of the kitchen: signing in and out, letting others in, the keys of probes, the passphrase.

use std::net::IpAddr;
use std::time::Duration;

use axum::extract::State;
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use ergastic_core::Error;
use ergastic_core::error::WhatIsWrong;
use ergastic_core::text::check_name;
use ergastic_store::{ProbeKey, Role};
use ergastic_words::{RoughMinutes, service as say};
use jiff::Timestamp;
use qrcode::QrCode;
use qrcode::render::svg;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use crate::access::{self, Desk, Secret, Shown, Visitor, let_in, removal, with_cookie};
use crate::app::App;
use crate::error::{ApiError, ApiResult, ProblemDetails};
use crate::extract::{Id, Json};

/// What a screen may do.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum DeviceRole {
    /// All that a cook does.
    Cook,
    /// Look, and change nothing.
    Look,
}

impl From<Role> for DeviceRole {
    fn from(role: Role) -> Self {
        if role == Role::Cook { Self::Cook } else { Self::Look }
    }
}

impl From<DeviceRole> for Role {
    fn from(role: DeviceRole) -> Self {
        if role == DeviceRole::Cook { Self::Cook } else { Self::Look }
    }
}

/// Who asks.
#[derive(Serialize, ToSchema)]
pub struct ThisDevice {
    /// It may see the kitchen.
    signed_in: bool,
    /// What it is called; empty for who has not signed in.
    name: String,
    /// What it may do.
    role: Option<DeviceRole>,
    /// It is at the kitchen's own machine, which needs no passphrase.
    machine: bool,
}

/// Signing in: by the passphrase, or by an invitation.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct SignIn {
    /// What the screen is to be called.
    #[schema(min_length = 1, max_length = 40)]
    name: String,
    /// The kitchen's passphrase.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(max_length = 128)]
    passphrase: Option<String>,
    /// With the passphrase: what it wants to do; a cook's work where nothing is said.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    role: Option<DeviceRole>,
    /// The code of an invitation, which says itself what for.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(max_length = 128)]
    invitation: Option<String>,
}

/// A screen that is signed in.
#[derive(Serialize, ToSchema)]
pub struct DeviceLine {
    id: Uuid,
    name: String,
    role: DeviceRole,
    /// When it was seen last, min ago.
    seen_min: f64,
    /// It is the one that asks.
    here: bool,
}

/// The key of a probe or a hub of them.
#[derive(Serialize, ToSchema)]
pub struct KeyLine {
    id: Uuid,
    name: String,
    /// When it was used last, min ago.
    used_min: Option<f64>,
}

/// The kitchen's own authority, which a phone may trust.
#[derive(Serialize, ToSchema)]
pub struct AuthorityLine {
    /// SHA-256 of its certificate, as a phone shows it.
    fingerprint: String,
    /// When it ends.
    ends_at: Timestamp,
}

/// Everything about the kitchen's screens.
#[derive(Serialize, ToSchema)]
pub struct Devices {
    /// Where other screens find the kitchen; none while it answers on its own machine only.
    addresses: Vec<String>,
    /// Its authority, where it is found elsewhere.
    authority: Option<AuthorityLine>,
    /// The screens that are signed in, the one seen last first.
    devices: Vec<DeviceLine>,
    /// The keys of probes.
    keys: Vec<KeyLine>,
}

/// What a screen is let in for.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Invite {
    role: DeviceRole,
}

/// An invitation for one screen.
#[derive(Serialize, ToSchema)]
pub struct Invitation {
    /// The address that lets it in, once.
    url: String,
    /// The same as a picture that a phone reads: an SVG.
    picture: String,
    /// How long it holds, min.
    holds_min: f64,
}

/// What a key is made for.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct NewKey {
    /// What the probe or hub is called.
    #[schema(min_length = 1, max_length = 40)]
    name: String,
}

/// A new key, shown this once.
#[derive(Serialize, ToSchema)]
pub struct MadeKey {
    id: Uuid,
    /// Sent as `Authorization: Bearer …`.
    key: String,
}

/// Another passphrase.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct NewPassphrase {
    /// The one of now; not needed at the kitchen's own machine.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(max_length = 128)]
    before: Option<String>,
    /// The new one.
    #[schema(min_length = 12, max_length = 128)]
    passphrase: String,
}

fn minutes_since(at: Timestamp, now: Timestamp) -> f64 {
    now.duration_since(at).as_secs_f64().max(0.0) / 60.0
}

fn told(visitor: &Visitor, app: &App) -> ThisDevice {
    let machine = matches!(visitor, Visitor::Machine);
    ThisDevice {
        signed_in: visitor.role().is_some(),
        name: app.device_name(visitor).unwrap_or_default(),
        role: visitor.role().map(DeviceRole::from),
        machine,
    }
}

/// Who asks.
#[utoipa::path(get, path = "/api/device", responses((status = 200, body = ThisDevice)))]
pub async fn get_device(State(app): State<App>, visitor: Visitor) -> Json<ThisDevice> {
    Json(told(&visitor, &app))
}

fn not_let_in(shown: Shown) -> ApiError {
    match shown {
        Shown::Wait(wait) => {
            ApiError::Wait(wait, say::wait_first(RoughMinutes((wait.as_secs_f64() / 60.0).max(1.0 / 60.0))))
        }
        _ => ApiError::Refused(StatusCode::FORBIDDEN, say::wrong_passphrase()),
    }
}

/// Signs in; the cookie comes with the answer. The kitchen's own machine is in already.
#[utoipa::path(post, path = "/api/device", request_body = SignIn, responses((status = 200, body = ThisDevice), (status = 429, body = ProblemDetails, content_type = "application/problem+json", description = "After wrong ones: wait first, as long as `retry-after` says.")))]
pub async fn sign_in(State(app): State<App>, visitor: Visitor, Json(asked): Json<SignIn>) -> ApiResult<Response> {
    check_name("name", &asked.name, 40)?;
    let Visitor::Stranger(peer) = visitor else {
        // Who is in stays in, under the cookie it has; another name needs another signing in.
        return Ok(Json(told(&visitor, &app)).into_response());
    };
    let role = match (asked.passphrase, asked.invitation) {
        (_, Some(code)) => app.desk.take(peer, &code).map_err(|shown| match shown {
            Shown::Wait(_) => not_let_in(shown),
            _ => ApiError::Refused(StatusCode::FORBIDDEN, say::no_invitation()),
        })?,
        (Some(passphrase), None) => match app.desk.look_at(&app.store, peer, passphrase).await? {
            Shown::Right => asked.role.map_or(Role::Cook, Role::from),
            other => return Err(not_let_in(other)),
        },
        (None, None) => {
            return Err(Error::new(WhatIsWrong::Missing, "passphrase", "", say::passphrase_or_invitation()).into());
        }
    };
    let session = let_in(&app.store, asked.name, role, Timestamp::now()).await?;
    tracing::info!(%peer, device = session.device.name, "a screen has signed in");
    let answer = Json(told(&Visitor::Device(session.device), &app)).into_response();
    Ok(match session.other {
        Some(secret) => with_cookie(answer, &secret),
        None => answer,
    })
}

/// Signs this screen out.
#[utoipa::path(delete, path = "/api/device", responses((status = 204)))]
pub async fn sign_out(State(app): State<App>, visitor: Visitor) -> ApiResult<Response> {
    if let Some(device) = visitor.device() {
        app.store.sign_out(device.id).await?;
        app.desk.signed_out();
    }
    Ok((StatusCode::NO_CONTENT, [(header::SET_COOKIE, removal())]).into_response())
}

/// Everything about the kitchen's screens.
#[utoipa::path(get, path = "/api/devices", responses((status = 200, body = Devices)))]
pub async fn list_devices(State(app): State<App>, visitor: Visitor) -> ApiResult<Json<Devices>> {
    let now = Timestamp::now();
    let here = visitor.device().map(|device| device.id);
    let (devices, keys) = (app.store.devices().await?, app.store.probe_keys().await?);
    let beyond = app.desk.beyond();
    Ok(Json(Devices {
        addresses: beyond.map_or_else(Vec::new, |beyond| beyond.addresses.urls()),
        authority: beyond.map(|beyond| AuthorityLine {
            fingerprint: beyond.certificates.authority.fingerprint(),
            ends_at: beyond.certificates.authority.ends_at,
        }),
        devices: devices
            .into_iter()
            .map(|device| DeviceLine {
                seen_min: minutes_since(device.seen_at, now),
                here: here == Some(device.id),
                id: device.id,
                name: device.name,
                role: device.role.into(),
            })
            .collect(),
        keys: keys
            .into_iter()
            .map(|key| KeyLine {
                used_min: key.used_at.map(|used_at| minutes_since(used_at, now)),
                id: key.id,
                name: key.name,
            })
            .collect(),
    }))
}

/// Signs a screen out: what it listens to ends at once.
#[utoipa::path(delete, path = "/api/devices/{id}", params(("id" = Uuid, Path)), responses((status = 204)))]
pub async fn sign_one_out(State(app): State<App>, Id(id): Id) -> ApiResult<StatusCode> {
    app.store.sign_out(id).await?;
    app.desk.signed_out();
    Ok(StatusCode::NO_CONTENT)
}

/// Signs every screen out but the one that asks.
#[utoipa::path(delete, path = "/api/devices", responses((status = 204)))]
pub async fn sign_all_out(State(app): State<App>, visitor: Visitor) -> ApiResult<StatusCode> {
    app.store.sign_all_out(visitor.device().map(|device| device.id)).await?;
    app.desk.signed_out();
    Ok(StatusCode::NO_CONTENT)
}

/// The picture of an address.
fn picture(url: &str) -> ApiResult<String> {
    let code = QrCode::new(url).map_err(|error| ApiError::Internal(error.to_string()))?;
    Ok(code.render::<svg::Color>().min_dimensions(240, 240).quiet_zone(true).build())
}

/// Invites one screen, for some minutes.
#[utoipa::path(post, path = "/api/invitations", request_body = Invite, responses((status = 200, body = Invitation), (status = 409, body = ProblemDetails, content_type = "application/problem+json", description = "The kitchen answers on its own machine only.")))]
pub async fn invite(State(app): State<App>, Json(Invite { role }): Json<Invite>) -> ApiResult<Json<Invitation>> {
    let found = app.desk.beyond().and_then(|beyond| beyond.addresses.urls().into_iter().next());
    let Some(address) = found else { return Err(ApiError::Refused(StatusCode::CONFLICT, say::not_open())) };
    let code = app.desk.invite(role.into());
    // After the #: no server, and no log, ever sees it.
    let url = format!("{address}/in#{}", code.told());
    let picture = picture(&url)?;
    let holds: Duration = Desk::invitation_holds();
    Ok(Json(Invitation { url, picture, holds_min: holds.as_secs_f64() / 60.0 }))
}

/// Makes the key of a probe, or of a hub of them.
#[utoipa::path(post, path = "/api/probe-keys", request_body = NewKey, responses((status = 200, body = MadeKey)))]
pub async fn make_key(State(app): State<App>, Json(NewKey { name }): Json<NewKey>) -> ApiResult<Json<MadeKey>> {
    check_name("name", &name, 40)?;
    let secret = Secret::fresh();
    let key = ProbeKey { id: Uuid::new_v4(), name, made_at: Timestamp::now(), used_at: None };
    app.store.add_probe_key(&key, &secret.digest()).await?;
    Ok(Json(MadeKey { id: key.id, key: secret.told().to_owned() }))
}

/// Revokes the key of a probe.
#[utoipa::path(delete, path = "/api/probe-keys/{id}", params(("id" = Uuid, Path)), responses((status = 204)))]
pub async fn revoke_key(State(app): State<App>, Id(id): Id) -> ApiResult<StatusCode> {
    app.store.revoke_probe_key(id).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Sets another passphrase; every other screen signs in again.
#[utoipa::path(put, path = "/api/passphrase", request_body = NewPassphrase, responses((status = 204), (status = 429, body = ProblemDetails, content_type = "application/problem+json", description = "After wrong ones: wait first, as long as `retry-after` says.")))]
pub async fn put_passphrase(
    State(app): State<App>,
    visitor: Visitor,
    Json(NewPassphrase { before, passphrase }): Json<NewPassphrase>,
) -> ApiResult<StatusCode> {
    access::check(&passphrase)?;
    if let Some(device) = visitor.device() {
        // Whose cookie was stolen waits as anybody does, wherever it is sent from.
        let peer = IpAddr::V6(device.id.as_u128().into());
        match app.desk.look_at(&app.store, peer, before.unwrap_or_default()).await? {
            Shown::Right => {}
            other => return Err(not_let_in(other)),
        }
    }
    let hash = app.desk.hash(passphrase).await.map_err(|error| ApiError::Internal(error.to_string()))?;
    app.store.set_passphrase_hash(&hash, visitor.device().map(|device| device.id)).await?;
    app.desk.signed_out();
    Ok(StatusCode::NO_CONTENT)
}

/// The certificate of the kitchen's authority, for a phone to trust.
pub async fn authority(State(app): State<App>) -> Response {
    match app.desk.beyond() {
        None => ApiError::Refused(StatusCode::NOT_FOUND, say::not_open()).into_response(),
        Some(beyond) => {
            let kind = [
                (header::CONTENT_TYPE, "application/x-x509-ca-cert"),
                (header::CONTENT_DISPOSITION, "attachment; filename=\"this-kitchen.crt\""),
                (header::CACHE_CONTROL, "no-store"),
            ];
            (kind, beyond.certificates.authority.pem().to_owned()).into_response()
        }
    }
}

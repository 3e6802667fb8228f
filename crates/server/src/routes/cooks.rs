//! Cooks: opened from a plan, told what happens, folded into what is so now.
//!
//! What happens is folded before it is kept: what can't be folded is refused, and the cook stands as it did.

use std::collections::HashSet;

use axum::extract::State;
use axum::http::StatusCode;
use axum::response::Response;
use ergastic_core::Error;
use ergastic_core::afterwards::Afterwards;
use ergastic_core::cook::{
    CookLine, CookSummary, CookView, Event, GoneWrong, WhatIf, gone_wrong, plated, unread_in, what_if,
};
use ergastic_core::error::{Unit, WhatIsWrong, in_range};
use ergastic_core::plan::Plan;
use ergastic_store::{StoredCook, Trashable};
use ergastic_words::{Voice, errors};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_json::value::RawValue;
use serde_with::skip_serializing_none;
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use super::meals::from_its_sheet;
use crate::access::Visitor;
use crate::app::App;
use crate::asked::MadeFrom;
use crate::changes::Change;
use crate::checks;
use crate::error::{ApiError, ApiResult};
use crate::extract::{Id, Json, JsonList, Query, json_text};
use crate::folded::{Works, computed, folded, folded_lately};
use crate::queue::WorkLane;
use crate::summaries;
use crate::traces::traces;

/// The most events in one request.
const MAX_EVENTS: usize = 1000;
/// So often what happened meanwhile is folded in, before the sender is asked to try again.
const ROUNDS: usize = 8;

/// A cook as it stands.
#[skip_serializing_none]
#[derive(Serialize, ToSchema)]
pub struct CookAnswer {
    id: Uuid,
    plan_id: Uuid,
    plan: Plan,
    opened_at: Timestamp,
    /// The server's clock, for timers.
    now: Timestamp,
    view: CookView,
    /// That some of what happened can't be read, and the cook goes on without it.
    unread: Option<String>,
}

/// The plan a cook is opened from.
#[derive(Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct OpenCook {
    plan_id: Uuid,
}

async fn answer(app: &App, cook: StoredCook) -> ApiResult<CookAnswer> {
    let kitchen = app.store.kitchen().await?;
    let now = app.clock.now();
    let view = folded_lately(app, &cook, &kitchen, now).await?;
    Ok(told(cook, now, view, kitchen.voice()))
}

fn told(cook: StoredCook, now: Timestamp, view: CookView, voice: Voice) -> CookAnswer {
    let StoredCook { id, plan_id, plan, opened_at, unread, .. } = cook;
    CookAnswer { id, plan_id, plan, opened_at, now, view, unread: unread_in(unread, voice) }
}

/// What is known of every cook, the latest first; one that can't be shown says why, and hinders no other.
#[utoipa::path(get, path = "/api/cooks", responses((status = 200, body = Vec<CookLine>)))]
pub async fn list_cooks(State(app): State<App>) -> ApiResult<Response> {
    Ok(json_text(app.store.cook_list().await?))
}

/// A page of the log.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
pub struct Page {
    /// So many of the latest are passed over.
    #[serde(default)]
    #[param(maximum = 1_000_000)]
    from: u32,
    /// So many are answered, 25 where nothing is said.
    #[serde(default = "some")]
    #[param(minimum = 1, maximum = 500)]
    count: u32,
}

fn some() -> u32 {
    25
}

/// Cooks that are over.
#[derive(Serialize, ToSchema)]
pub struct LogPage {
    #[schema(value_type = Vec<CookSummary>)]
    cooks: Vec<Box<RawValue>>,
    /// How many there are in all.
    all: u64,
}

/// Cooks that are over, what was foretold of them and what came, the latest bell first.
#[utoipa::path(get, path = "/api/log", params(Page), responses((status = 200, body = LogPage)))]
pub async fn log(State(app): State<App>, Query(Page { from, count }): Query<Page>) -> ApiResult<Json<LogPage>> {
    in_range("count", f64::from(count), 1.0, 500.0, Unit::None)?;
    in_range("from", f64::from(from), 0.0, 1e6, Unit::None)?;
    let (cooks, all) = app.store.log(from, count).await?;
    Ok(Json(LogPage { cooks, all }))
}

/// One cook as it stands now.
#[utoipa::path(get, path = "/api/cooks/{id}", params(("id" = Uuid, Path)), responses((status = 200, body = CookAnswer)))]
pub async fn get_cook(State(app): State<App>, Id(id): Id) -> ApiResult<Json<CookAnswer>> {
    Ok(Json(answer(&app, app.store.cook(id).await?).await?))
}

/// What is worked out of a cook beside its view: once for all who ask in the same moments, and behind the cook at work.
async fn beside<T: Serialize + Send + 'static>(
    app: &App,
    id: Uuid,
    what: &'static str,
    works: Works<T>,
) -> ApiResult<Response> {
    let (cook, kitchen) = (app.store.cook(id).await?, app.store.kitchen().await?);
    let asked = (id, what, MadeFrom::new(cook.seq, &kitchen));
    let answer = app.asked.once(asked, async || {
        let now = app.clock.now();
        let traces = traces(&app.store, &cook, now).await?;
        let found = computed(app, WorkLane::Bench, &cook, &kitchen, traces, now, works).await?;
        serde_json::to_string(&found).map_err(|error| ApiError::Internal(error.to_string()))
    });
    Ok(json_text(answer.await?.as_ref().to_owned()))
}

/// What could be done now, each with where it leads.
#[utoipa::path(get, path = "/api/cooks/{id}/what-if", params(("id" = Uuid, Path)), responses((status = 200, body = WhatIf)))]
pub async fn get_what_if(State(app): State<App>, Id(id): Id) -> ApiResult<Response> {
    beside(&app, id, "what-if", what_if).await
}

/// What may go wrong now, each with what to do about it in this pot, the likely first.
#[utoipa::path(get, path = "/api/cooks/{id}/gone-wrong", params(("id" = Uuid, Path)), responses((status = 200, body = Vec<GoneWrong>)))]
pub async fn get_gone_wrong(State(app): State<App>, Id(id): Id) -> ApiResult<Response> {
    beside(&app, id, "gone-wrong", gone_wrong).await
}

/// What comes after its sauce: the meat to the plate, held, cooled, kept, warmed again, and what is left over.
#[utoipa::path(get, path = "/api/cooks/{id}/afterwards", params(("id" = Uuid, Path)), responses((status = 200, body = Afterwards)))]
pub async fn get_afterwards(State(app): State<App>, Id(id): Id) -> ApiResult<Response> {
    beside(&app, id, "afterwards", plated).await
}

/// Opens a cook from a plan, under an id made by the sender. Opening it again changes nothing; where another cook of the plan
/// is under way, that one is answered.
#[utoipa::path(put, path = "/api/cooks/{id}", params(("id" = Uuid, Path)), request_body = OpenCook, responses((status = 200, body = CookAnswer)))]
pub async fn open(State(app): State<App>, Id(id): Id, Json(open): Json<OpenCook>) -> ApiResult<Json<CookAnswer>> {
    match app.store.cook(id).await {
        Ok(there) => return Ok(Json(answer(&app, there).await?)),
        Err(ergastic_store::Error::NotFound { .. }) => {}
        Err(error) => return Err(error.into()),
    }
    let kitchen = app.store.kitchen().await?;
    let planned = app.store.plan(open.plan_id).await?.plan;
    let plan = from_its_sheet(&app, open.plan_id, planned).await.frozen(&kitchen);
    let opened_at = app.clock.now();
    let cook = StoredCook { id, plan_id: open.plan_id, plan, opened_at, events: Vec::new(), unread: 0, seq: 0 };
    let view = folded(&app, &cook, &kitchen, opened_at).await?;
    // Who starts a sheet twice, or on two pages, gets the cook that is under way.
    let id = app.store.open_cook(id, cook.plan_id, &cook.plan, opened_at, &summaries::reckoned(&cook, &view)).await?;
    app.changed(Change::Cook { id });
    Ok(Json(answer(&app, app.store.cook(id).await?).await?))
}

/// Puts a cook in the bin.
#[utoipa::path(delete, path = "/api/cooks/{id}", params(("id" = Uuid, Path)), responses((status = 204)))]
pub async fn delete_cook(State(app): State<App>, Id(id): Id) -> ApiResult<StatusCode> {
    app.store.put_away(Trashable::Cook, id, app.clock.now()).await?;
    app.changed(Change::Cook { id });
    Ok(StatusCode::NO_CONTENT)
}

/// Appends what happened, all of it or none, and answers the cook as it then stands.
#[utoipa::path(post, path = "/api/cooks/{id}/events", params(("id" = Uuid, Path)), request_body = Vec<Event>, responses((status = 200, body = CookAnswer)))]
pub async fn append(
    State(app): State<App>,
    Id(id): Id,
    visitor: Visitor,
    JsonList(mut events): JsonList<Event, MAX_EVENTS>,
) -> ApiResult<Json<CookAnswer>> {
    // Whose tap it was is nobody's to say but the door's.
    let device = app.device_name(&visitor);
    for event in &mut events {
        event.device.clone_from(&device);
    }
    checks::events(&events, app.clock.now())?;
    for _ in 0..ROUNDS {
        let mut cook = app.store.cook(id).await?;
        let from_seq = cook.seq;
        let mut known: HashSet<Uuid> = cook.events.iter().map(|event| event.id).collect();
        let new: Vec<Event> = events.iter().filter(|event| known.insert(event.id)).cloned().collect();
        if new.is_empty() {
            return Ok(Json(answer(&app, cook).await?));
        }
        if cook.events.len() + new.len() > ergastic_store::MAX_EVENTS {
            return Err(ergastic_store::Error::CookFull { most: ergastic_store::MAX_EVENTS }.into());
        }
        cook.events.extend(new);
        // Nothing else has this place yet: no view of it is kept.
        cook.seq = -1;
        let now = app.clock.now();
        let kitchen = app.store.kitchen().await?;
        let view = folded(&app, &cook, &kitchen, now).await?;
        if let Some(at) = events.iter().position(|event| view.passed_over.contains(&event.id)) {
            let field = format!("[{at}].happened");
            return Err(Error::said(WhatIsWrong::Clash, field, errors::this_change(), errors::no_such_change()).into());
        }
        match app.store.append(id, from_seq, &events, &summaries::reckoned(&cook, &view)).await {
            Err(ergastic_store::Error::Moved) => {}
            Err(error) => return Err(error.into()),
            Ok((_, seq)) => {
                // Every other screen asks in the same moment: what was worked out for this one is theirs too.
                app.keep_live_view(id, MadeFrom::new(seq, &kitchen), &view);
                app.changed(Change::Cook { id });
                return Ok(Json(told(cook, now, view, kitchen.voice())));
            }
        }
    }
    Err(ergastic_store::Error::Moved.into())
}

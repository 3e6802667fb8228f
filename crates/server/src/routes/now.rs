//! The whole kitchen at a glance: every dish on the heat, what rings, and the hand-over.

use axum::extract::State;
use ergastic_core::clock::{within, zone};
use ergastic_core::cook::{CookLine, OnTheHeat, Status, hand_over, in_their_order};
use jiff::Timestamp;
use serde::Serialize;
use utoipa::ToSchema;

use crate::app::App;
use crate::error::ApiResult;
use crate::extract::Json;
use crate::folded::folded_lately;

/// Dishes on the heat that are followed at once: those opened last.
const MAX: usize = 12;

/// The kitchen as it stands.
#[derive(Serialize, ToSchema)]
pub struct KitchenNow {
    /// The server's clock.
    now: Timestamp,
    /// The kitchen sleeps: a screen on its wall is dimmed.
    asleep: bool,
    /// Every dish on the heat, the one with the nearest bell first; those left open after all others.
    dishes: Vec<OnTheHeat>,
    /// Its state in ten lines, for who takes the next shift.
    hand_over: Vec<String>,
}

/// The whole kitchen at a glance.
#[utoipa::path(get, path = "/api/now", responses((status = 200, body = KitchenNow)))]
pub async fn get_now(State(app): State<App>) -> ApiResult<Json<KitchenNow>> {
    let kitchen = app.store.kitchen().await?;
    let (now, zone, voice) = (app.clock.now(), zone("zone", &kitchen.zone)?, kitchen.voice());
    let cooks: Vec<CookLine> = serde_json::from_str(&app.store.cook_list().await?).unwrap_or_default();
    let open = cooks.iter().filter(|cook| cook.status != Status::Closed && cook.broken.is_none());
    let mut dishes = Vec::new();
    for line in open.take(MAX) {
        // One that can't be shown hinders no other; it says so on its own page.
        let Ok(cook) = app.store.cook(line.id).await else { continue };
        let Ok(view) = folded_lately(&app, &cook, &kitchen, now).await else { continue };
        let dish = OnTheHeat::of(cook.id, &cook.plan.name, cook.plan.people, &view, now, &zone, voice);
        dishes.push(dish.going_on_without(cook.unread, voice));
    }
    dishes.sort_by_key(in_their_order);
    let hand_over = hand_over(&dishes, now, &zone, voice);
    let asleep = within(&kitchen.asleep, now, &zone);
    Ok(Json(KitchenNow { now, asleep, dishes, hand_over }))
}
